import { limitedMotion } from '@estribo/core/programmes';
import { listed, type Describers } from '../case/describers';
import { named, t } from '../messages';
import { formatDay } from '../parts/format';
import { saidOfLimbs } from './limbs-felt';
import { formatPhase } from './print-order';

/** How the entries of Screen are said. */
export const describers = {
  'screen.looked': (entry) => {
    const present = entry.body.answers.filter(({ is }) => is !== 'absent');
    return {
      title: t('entry.looked'),
      rest:
        present.length === 0
          ? t('screening.nothingFound')
          : present
              .map(({ finding, is, known }) => {
                const more = is === 'unable' ? t('screening.unable') : known ? t('entry.known') : '';
                return more ? `${named('findings', finding)} (${more})` : named('findings', finding);
              })
              .join(', '),
    };
  },
  'limbs.noted': (entry) => ({
    title: t('entry.limbs'),
    value: named('moment', entry.body.moment),
    rest: saidOfLimbs(entry.body.limbs) || t('entry.limbsFull'),
  }),
  'circulation.noted': (entry) => {
    const { left, right } = entry.body;
    return {
      title: t('circulation.title'),
      rest: `${named('side', 'left')}: ${named('pulse', left.pulse)}, ${named('side', 'right')}: ${named('pulse', right.pulse)}`,
    };
  },
  'screen.overridden': (entry) => ({
    title: t('entry.overridden'),
    value: named('findings', entry.body.finding),
    rest: entry.body.reason,
  }),
  'order.given': (entry, { state }) => ({
    title: t('entry.order'),
    value: formatPhase(entry.body, entry.body.phases[0]!, limitedMotion(state.programme)),
    rest: entry.body.diagnosis,
  }),
  'order.changed': (entry) => ({
    title: t(changeTitles[entry.body.what]),
    value: formatDay(entry.body.day),
    rest: listed(entry.body.prescriber, entry.body.reason),
  }),
} satisfies Describers;

const changeTitles = {
  held: 'entry.orderHeld',
  resumed: 'entry.orderResumed',
  moved: 'entry.orderMoved',
} as const;
