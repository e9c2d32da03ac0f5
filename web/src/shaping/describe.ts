import { listed, type Describers } from '../case/describers';
import { named, t } from '../messages';
import { operationWords, partName } from '../messages/fitting';
import { formatDistance, formatFine, formatReading } from '../parts/format';
import { barName } from './bar-words';
import { formatWork } from './format-work';

/** How the entries of Shape are said. */
export const describers = {
  'shape.scar': (entry, { unit }) => ({
    title: t('entry.scar'),
    value: named('zone', entry.body.what),
    rest: `${named('face', entry.body.face)}, ${formatDistance(entry.body.from, unit)} – ${formatDistance(entry.body.to, unit)}`,
  }),
  'shape.contour': (entry, { state }) => ({
    title: t('entry.contour'),
    value: barName(state, entry.body.part),
    rest: listed(
      t('entry.stationsOf', { count: entry.body.points.length }),
      named('contourSource', entry.body.source),
    ),
  }),
  'shape.bar-read': (entry, { state, unit }) => ({
    title: t('entry.barRead'),
    value: barName(state, entry.body.part),
    rest: entry.body.points
      .map(({ at, out }) => `${formatDistance(at, unit)}: ${formatFine(out, 'mm', unit)}`)
      .join(', '),
  }),
  'shape.planned': (entry, { state, unit }) => ({
    title: t('entry.bendsPlanned'),
    value: barName(state, entry.body.part),
    rest: listed(
      t('entry.bendsOf', { count: entry.body.bends.length }),
      entry.body.purpose === 'contour' &&
        t('shaping.gapLeft', { gap: formatFine(entry.body.gap, 'mm', unit) }),
    ),
  }),
  'shape.heat': (entry) => ({
    title: t('entry.heat'),
    value: t(`entry.heatEvent.${entry.body.what}`),
    rest: listed(
      named('heatRun', entry.body.run),
      entry.body.stage && named('heatStage', entry.body.stage),
      entry.body.celsius !== undefined && `${entry.body.celsius} °C`,
      entry.body.because,
    ),
  }),
  'shape.marked': (entry, { state, unit }) => ({
    title: t('entry.marked'),
    value: t(`shaping.markSaid.${entry.body.way}`, {
      amount: formatReading(entry.body.amount, 'mm', unit),
    }),
    rest: listed(partName(state.programme, entry.body.part), named('face', entry.body.face), entry.body.note),
  }),
  'shape.looked': (entry) => ({
    title: t('entry.markLooked'),
    value: t(entry.body.clear ? 'entry.markClear' : 'entry.markPresses'),
  }),
  'work.done': (entry, { state, unit }) => ({
    title: operationWords(state.programme, entry.body.operation).name,
    value: formatWork(state, entry.body, unit),
    rest: listed(entry.body.inSpite, entry.body.because),
  }),
} satisfies Describers;
