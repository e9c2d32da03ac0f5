import { listed, type Describers } from '../case/describers';
import { t } from '../messages';
import { partName, stepWords } from '../messages/fitting';

/** How the entries of Strap are said. */
export const describers = {
  'strap.begun': (entry) => ({ title: t('entry.begun'), rest: entry.body.policy ? t('entry.policy') : '' }),
  'strap.done': (entry, { state }) => ({
    title: stepWords(state.programme, entry.body.step).name,
    ...(entry.body.minutes === undefined
      ? {}
      : { value: t('common.minutes', { count: entry.body.minutes }) }),
    rest: listed(
      entry.body.pass === 2 && t('strapping.secondPass'),
      entry.body.outOfOrder && t('strapping.outOfOrder'),
      entry.body.alike && t('entry.alike'),
    ),
  }),
  'strap.lost': (entry, { state }) => ({
    title: t('entry.lost'),
    value: stepWords(state.programme, entry.body.step).name,
    rest: entry.body.note ?? '',
  }),
  'strap.tension': (entry, { state }) => ({
    title: t('entry.tension', { strap: partName(state.programme, entry.body.part) }),
    value: `${entry.body.newtons} N`,
    rest: entry.body.from === 'gauge' ? t('entry.gauge') : '',
  }),
} satisfies Describers;
