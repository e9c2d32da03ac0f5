import { type CaseState } from '@estribo/core/logbook';
import { isMeasured, unitOf, formatNeutralZero } from '@estribo/core/measuring';
import { listed, sideOf, type Describers } from '../case/describers';
import { named, t } from '../messages';
import { formatReading } from '../parts/format';

/** How the entries of Measure are said. */
export const describers = {
  'measure.read': (entry, { state, unit }) => {
    const step = state.measuring.steps.find(({ id }) => id === entry.body.step);
    const shown = formatReading(entry.body.value, isMeasured(step) ? unitOf(step) : 'mm', unit);
    const hidden = entry.stage === 'measure' && isHidden(entry.id, state);
    return {
      title: named('steps', entry.body.step),
      value: hidden ? t('measuring.outOfSight') : shown,
      rest: listed(
        sideOf(entry.body.side),
        entry.body.device,
        entry.body.questioned && t('entry.questioned'),
      ),
    };
  },
  'measure.marked': (entry) => ({
    title: named('steps', entry.body.step),
    rest: listed(sideOf(entry.body.side), entry.body.stance && named('steps', entry.body.stance)),
  }),
  'measure.skipped': (entry) => ({
    title: named('steps', entry.body.step),
    value: entry.body.substitute ? named('substituted', entry.body.substitute) : t('entry.skipped'),
    rest: listed(sideOf(entry.body.side), entry.body.reason),
  }),
  'measure.precision': (entry) => ({
    title: t('entry.precision'),
    value: named('steps', entry.body.step),
    rest: t('entry.precisionPairs', { pairs: entry.body.pairs }),
  }),
  'motion.tested': (entry) => ({
    title: entry.body.step ? named('steps', entry.body.step) : t('entry.motion'),
    value: formatNeutralZero(entry.body),
    rest: listed(named('mode', entry.body.mode), sideOf(entry.body.side)),
  }),
} satisfies Describers;

/** A first reading stays out of sight until the second is in. */
function isHidden(entry: string, state: CaseState): boolean {
  return state.measuring.states.some(
    ({ readings, assessed }) =>
      assessed?.needs === 'second' && readings.some((reading) => reading.entry === entry),
  );
}
