import { curveFromInclinations, arcAngle, kyphosisIndex, sidesFrom } from '@estribo/core/anatomy';
import {
  bodyReadings,
  calfPrompt,
  girthsFrom,
  isReading,
  protocolOf,
  segmentVolume,
  unitOf,
  type StepState,
} from '@estribo/core/measuring';
import { useOwnRepeatability } from '../api/clinic';
import { useWork } from '../case/case-context';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Row, Soft } from '../parts/layout';
import { Notice } from '../parts/notice';
import { fixed, formatFine, formatReading } from '../parts/format';
import { useSaving } from '../parts/use-saving';

/** What follows from the readings: a calf to refer, volumes, the back's arc. */
export function Derived() {
  const { state, unit } = useWork();
  const { states } = state.measuring;
  const calf = calfPrompt(states, state.side);
  const mark = states.find(({ step }) => step.kind === 'girth')?.step;
  const volumes =
    mark?.kind === 'girth' && state.side !== 'midline'
      ? sidesFrom(state.side).flatMap((side) => {
          const volume = segmentVolume(girthsFrom(states, side, mark.from));
          return volume === undefined ? [] : [`${fixed(volume / 1e6, 2)} l ${named('side', side)}`];
        })
      : [];
  const arc = spineArc(states);
  return (
    <>
      {calf && (
        <Notice tone="stop" live>
          {t('measuring.calf', { side: named('side', calf.side), by: formatReading(calf.by, 'mm', unit) })}
        </Notice>
      )}
      {volumes.length > 0 && (
        <Soft>
          {t('measuring.volume')}: {volumes.join(' · ')}
        </Soft>
      )}
      {arc && (
        <Soft>
          {t('measuring.spine', { angle: Math.round(arc.angle), index: Math.round(arc.index * 10) / 10 })}
        </Soft>
      )}
    </>
  );
}

/** The upper back's arc over its chord, from C7 to where the curve turns. */
function spineArc(states: readonly StepState[]): { angle: number; index: number } | undefined {
  const { inclinations, lengths } = bodyReadings(states, 'midline');
  const length = lengths.find(({ from, to }) => from === 'c7' && to === 'sacrum')?.length;
  const read = [...inclinations].sort((a, b) => a.at - b.at);
  if (length === undefined || read.length < 4) return undefined;
  const points = curveFromInclinations(read, length);
  // the furthest back point between C7 and the lowest one that is further forward again
  const upper = points.slice(0, Math.round(points.length * 0.7));
  const last = upper.at(-1)!;
  const chord = Math.hypot(last.x, last.y);
  const height = Math.max(...upper.map(({ x, y }) => Math.abs(last.x * y - last.y * x) / chord));
  return height < 1 ? undefined : { angle: arcAngle(height, chord), index: kyphosisIndex(height, chord) };
}

/** The clinic's own deviation for the step, offered once it has pairs enough. */
export function OwnPrecision({ at }: { at: StepState }) {
  const { state, unit, write } = useWork();
  const [saving, save] = useSaving();
  const { step } = at;
  const own = useOwnRepeatability(isReading(step) ? protocolOf(step) : undefined);
  if (!isReading(step)) return null;
  const used = state.measuring.precisions.findLast((one) => one.step === step.id);
  if (used) return <Soft>{t('measuring.ownUsed', { pairs: used.pairs })}</Soft>;
  if (!own) return null;
  // a deviation is smaller than what a reading is printed to
  const print = (value: number) => formatFine(value, unitOf(step), unit);
  return (
    <Row>
      <Soft style={{ flex: 1, minWidth: 220 }}>
        {t('measuring.own', {
          own: print(own.withinPerson),
          coefficient: print(own.coefficient),
          assumed: print(step.withinPerson),
          pairs: own.pairs,
        })}
      </Soft>
      <Button
        isDisabled={saving}
        onPress={() =>
          void save(() =>
            write('measure.precision', 'measure', {
              step: step.id,
              withinPerson: own.withinPerson,
              pairs: own.pairs,
            }),
          )
        }
      >
        {t('measuring.useOwn')}
      </Button>
    </Row>
  );
}
