import { listed, type Describers } from '../case/describers';
import { named, t } from '../messages';
import { formatDay } from '../parts/format';

/** How the entries of a case as a whole are said. */
export const describers = {
  'case.opened': (entry, { state }) => ({
    title: t('entry.opened'),
    value: named('side', entry.body.side),
    rest: state.model.name,
  }),
  'case.moved': (entry) => ({
    title: t('entry.moved'),
    value: t('versions.holds', {
      family: entry.body.programme.version,
      model: entry.body.model.version,
    }),
    rest: entry.body.reason,
  }),
  'visit.planned': (entry) => ({
    title: t('entry.visit'),
    value: listed(formatDay(entry.body.day), entry.body.time),
    rest: listed(named('purpose', entry.body.purpose), entry.body.note, entry.body.deskNote),
  }),
  'case.closed': (entry) => ({
    title: t('entry.closed'),
    value: named('closing', entry.body.because),
    rest: entry.body.note ?? '',
  }),
  'case.reopened': (entry) => ({ title: t('entry.reopened'), rest: entry.body.note ?? '' }),
  'case.handed-over': (entry, { nameOf }) => ({
    title: t('entry.handed'),
    value: nameOf(entry.body.to),
    rest: entry.body.note ?? '',
  }),
  'case.noted': (entry) => ({ title: t('entry.noted'), rest: entry.body.text }),
  'label.read': (entry) => ({
    title: t('entry.labelRead'),
    value: listed(
      entry.body.serial && t('keeping.serialIs', { serial: entry.body.serial }),
      entry.body.lot && t('keeping.lotIs', { lot: entry.body.lot }),
    ),
  }),
  'record.withdrawn': (entry) => ({ title: t('entry.withdrawn'), rest: entry.reason ?? '' }),
  'call.made': (entry) => ({ title: t('entry.called'), value: entry.body.whom, rest: entry.body.said }),
} satisfies Describers;
