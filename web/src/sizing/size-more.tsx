import type { CaseState } from '@estribo/core/logbook';
import { girthsFrom, stepAt } from '@estribo/core/measuring';
import { beltEnds, beltTilt, extensionEachSide } from '@estribo/core/sizing';
import type { LengthUnit } from '@estribo/core/quantity';
import { named, t } from '../messages';
import { Small, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { formatReading } from '../parts/format';

/** What comes with the size: which side's version, extensions, the marks a belt closes at, its tilt. */
export function SizeMore({ state, unit }: { state: CaseState; unit: LengthUnit }) {
  const { chart, match, readings } = state.sizing;
  const [lead] = chart.axes;
  const reading = lead && readings[lead.reading];
  if (match.outcome === 'incomplete' || !reading) return null;
  const length = (mm: number) => formatReading(mm, 'mm', unit);
  const ends = chart.belt && beltEnds(reading.mean, chart.belt);
  const tilt = tiltOf(state);
  return (
    <Stack $gap={6}>
      {state.side !== 'midline' && (
        <p>
          {state.model.sided
            ? t('sizing.sidedVersion', { side: named('side', state.side) })
            : t('sizing.universal')}
        </p>
      )}
      {chart.supply === 'both' && <p>{t('sizing.alsoMade')}</p>}
      {match.rule === 'side-extension' && (
        <p>
          <b>{t('sizing.sideExtension', { length: length(extensionEachSide(chart, reading.mean)) })}</b>
        </p>
      )}
      {ends && (
        <div>
          <b>{t('sizing.belt', { mark: ends.mark })}</b>{' '}
          <Small>
            {t('sizing.beltSide', {
              side: length(ends.side),
              mark: ends.mark,
              off: length(Math.abs(ends.off)),
              way: t(ends.off >= 0 ? 'sizing.beltOver' : 'sizing.beltShort'),
            })}
          </Small>
          {ends.beyond && <Notice tone="caution">{t('sizing.beltBeyond')}</Notice>}
        </div>
      )}
      {tilt && (
        <p>
          {t('sizing.beltTilt', {
            angle: Math.abs(Math.round(tilt.angle)),
            way: t(tilt.angle >= 0 ? 'sizing.tiltOut' : 'sizing.tiltIn'),
            above: length(tilt.above),
            below: length(tilt.below),
          })}
        </p>
      )}
    </Stack>
  );
}

/** The belt's tilt from the girths above and below the one it is sized by. */
function tiltOf(state: CaseState): { angle: number; above: number; below: number } | undefined {
  const { measuring, sizing, side } = state;
  const [first] = sizing.chart.axes;
  if (!sizing.chart.belt || !first) return undefined;
  const lead = stepAt(measuring.states, first.reading, side)?.step;
  if (lead?.kind !== 'girth') return undefined;
  const others = girthsFrom(measuring.states, side, lead.from);
  const above = others.filter(({ level }) => level > lead.distance).sort((a, b) => b.level - a.level)[0];
  const below = others.filter(({ level }) => level < lead.distance).sort((a, b) => a.level - b.level)[0];
  if (!above || !below) return undefined;
  return {
    angle: beltTilt(above.girth, below.girth, above.level - below.level),
    above: above.girth,
    below: below.girth,
  };
}
