import { listed, type Describers } from '../case/describers';
import { named, t } from '../messages';
import { formatDay, formatMinutes } from '../parts/format';

/** How the entries of Wear are said. */
export const describers = {
  'wear.planned': (entry) => ({
    title: t('entry.wear'),
    value:
      entry.body.kind === 'growing'
        ? `${entry.body.firstDay} → ${entry.body.ceiling} min`
        : t('wearing.asOrdered'),
  }),
  'wear.taught': (entry) => ({
    title: t('entry.taught'),
    rest: listed(named('who', entry.body.who), entry.body.how && t(`wearing.how.${entry.body.how}`)),
  }),
  'wear.told': (entry) => ({
    title: t('entry.told'),
    value: formatDay(entry.body.day),
    rest: listed(
      formatMinutes(entry.body.minutes),
      t(`wearing.skin.${entry.body.skin}`),
      t(`wearing.pain.${entry.body.pain}`),
      entry.body.note,
    ),
  }),
  'wear.read': (entry) => ({
    title: t('entry.wornRead', { count: entry.body.days.length }),
    value: t(`wearing.readFrom.${entry.body.from}`),
  }),
  'letter.sent': (entry) => ({
    title: t('entry.letter'),
    value: entry.body.to,
    rest: t(`letter.how.${entry.body.how}`),
  }),
} satisfies Describers;
