import { type Describers } from '../case/describers';
import { named, t } from '../messages';

/** How the entries of Review are said. */
export const describers = {
  'review.found': (entry) => ({
    title: t('entry.review'),
    value: t('entry.pain', { pain: entry.body.pain }),
    rest: [named('skin', entry.body.skin), entry.body.by ? t('reviewing.byTelephone') : '']
      .filter(Boolean)
      .join(', '),
  }),
} satisfies Describers;
