import { percent } from '../parts/format';
import type { CaseState } from '@estribo/core/logbook';
import { helpfulReading, type SizeMatch } from '@estribo/core/sizing';
import type { LengthUnit } from '@estribo/core/quantity';
import { useMemo } from 'react';
import styled from 'styled-components';
import { named, t } from '../messages';
import { Big } from '../parts/layout';
import { formatAxis } from './print-axis';

type Matched = Exclude<SizeMatch, { outcome: 'incomplete' }>;

/** The margin and the reading it is of; nothing for a brace of one size. */
export const marginOf = ({
  decides,
  margin,
}: Pick<Matched, 'decides' | 'margin'>): { decides: string; margin: number } | undefined =>
  decides === undefined || margin === undefined ? undefined : { decides, margin };

const Line = styled.div`
  display: grid;
  grid-template-columns: minmax(52px, max-content) minmax(0, 1fr);
  gap: 20px;
  align-items: start;
`;

/** The size in one breath: how sure, how far from the next one, why, what would help. */
export function SizeAnswer({ state, unit }: { state: CaseState; unit: LengthUnit }) {
  const { match, readings, chart } = state.sizing;
  const help = useMemo(() => helpfulReading(chart, readings), [chart, readings]);
  if (match.outcome === 'incomplete')
    return (
      <p>
        {t('sizing.missing', {
          readings: match.missing.map((reading) => named('steps', reading)).join(', '),
        })}
      </p>
    );
  const next = marginOf(match);
  // axes that point to different sizes are told one by one
  const each =
    new Set(match.pointed.map(({ size }) => size)).size > 1
      ? match.pointed.map(({ reading, size }) =>
          t('sizing.pointsEach', { axis: named('axes', reading), size: size ?? t('sizing.offAxis') }),
        )
      : [];
  return (
    <Line aria-live="polite">
      <Big>{match.outcome === 'made-to-measure' ? '–' : match.size}</Big>
      <p>
        {match.outcome === 'made-to-measure' ? (
          <b>{t('sizing.noStockSize')} </b>
        ) : (
          next &&
          match.rule !== 'side-extension' && (
            <b>
              {match.overruled
                ? t('sizing.overruled', {
                    likeliest: match.overruled.size,
                    percent: percent(match.overruled.probability),
                    size: match.size ?? '',
                    own: percent(match.probability),
                  })
                : t('sizing.sure', { percent: percent(match.probability) })}{' '}
            </b>
          )
        )}
        {match.gaps.map(({ reading, below, above, from, to }) =>
          t('sizing.inGap', {
            axis: named('axes', reading),
            below,
            above,
            from: formatAxis(state, reading, from, unit),
            to: formatAxis(state, reading, to, unit),
          }),
        )}{' '}
        {next && match.rule !== 'side-extension' && saidOfMargin(state, match, next, unit)}{' '}
        {t(`rules.${match.rule}`, { against: match.against ?? '', size: match.size ?? '' })} {each.join(' ')}{' '}
        {help &&
          next &&
          next.margin >= 0 &&
          t('sizing.help', { reading: named('steps', help.reading), gain: Math.round(help.gain * 100) })}
      </p>
    </Line>
  );
}

/** How far the deciding reading is from the next size, or off the chart and beyond which size. */
export function saidOfMargin(
  state: CaseState,
  { neighbour }: Pick<Matched, 'neighbour'>,
  { decides, margin }: { decides: string; margin: number },
  unit: LengthUnit,
): string {
  const length = formatAxis(state, decides, Math.abs(margin), unit);
  const place = named('axisPlaces', decides);
  if (margin < 0)
    return neighbour
      ? t('sizing.offChartBeyond', { length, place, size: neighbour })
      : t('sizing.offChart', { length, place });
  return neighbour
    ? t('sizing.margin', { length, place, against: neighbour })
    : t('sizing.marginEnd', { length, place });
}
