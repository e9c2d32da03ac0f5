import { readStations } from '@estribo/core/exchange';
import type { BodyOf, CaseState } from '@estribo/core/logbook';
import { bodyReadings } from '@estribo/core/measuring';
import {
  contourOfBack,
  contourOfEdge,
  type BarState,
  type ContourSource,
  type Station,
} from '@estribo/core/shaping';
import { useState } from 'react';
import { TextArea, TextField, Label } from 'react-aria-components';
import styled from 'styled-components';
import { useDraft } from '../api/draft';
import { useWork } from '../case/case-context';
import { color } from '../look/tokens';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { formatDistance } from '../parts/format';
import { Pick } from '../parts/pick';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { useSaving } from '../parts/use-saving';
import { placeOnBar } from './bar-words';
import { LengthField, PlaceFields } from './length-field';
import { useBarEdge } from './on-body';
import { readLengthOr } from './read-station';
import { Tracing } from './tracing';

const Pasted = styled(TextArea)`
  width: 100%;
  min-height: 132px;
  padding: 10px;
  border: 2px solid ${color('river')};
  border-radius: 4px;
  background: ${color('sheet')};
  color: ${color('ink')};
  font: inherit;
`;

interface Draft {
  source: ContourSource;
  /** by place along the bar, mm */
  offsets: Record<string, string>;
  text: string;
  traced: Station[];
  liner: string;
  pad: string;
  gap: string;
  gapAtTop: string;
}

/** Places a straight-edge is read at, mm from what holds the bar: every 40, within the bar's reach. */
export const usualStations = (reach: { proximal: number; distal: number }): number[] => {
  const places: number[] = [];
  for (let at = Math.floor(reach.proximal / 40) * 40; at >= -reach.distal; at -= 40) places.push(at);
  return places;
};

/** mm: what is taken where nothing is typed */
const usual = { liner: 6, fingers: 52 };

/**
 * What a bar is bent to: how it was taken, station by station, and what comes between skin and bar. What is estimated says so.
 */
export function ContourEntry({
  bar,
  reach,
  onTaken,
}: {
  bar: BarState;
  reach: { proximal: number; distal: number };
  onTaken?: () => void;
}) {
  const { state, unit, write } = useWork();
  const edge = useBarEdge(bar);
  const sources: ContourSource[] = bar.byHand
    ? ['inclinometer', 'stations', 'tracing']
    : ['straight-edge', 'stations', 'tracing', 'girths'];
  const [draft, setDraft] = useDraft<Draft>(`${state.case}-contour-${bar.part.id}`, {
    source: sources[0]!,
    offsets: {},
    text: '',
    traced: [],
    liner: '',
    pad: '',
    gap: '',
    gapAtTop: '',
  });
  const [problem, setProblem] = useState<Record<string, string>>({});
  const [saving, save] = useSaving();
  const change = (some: Partial<Draft>) => {
    setDraft({ ...draft, ...some });
    setProblem({});
  };
  const places = usualStations(reach);
  const computed =
    draft.source === 'inclinometer'
      ? backContour(state)
      : draft.source === 'girths'
        ? edgeContour(edge, places)
        : undefined;

  const stationsOf = (): Station[] | undefined => {
    if (computed) return computed;
    if (draft.source === 'tracing') return draft.traced;
    if (draft.source === 'stations') {
      const read = readStations(draft.text, unit);
      if (read.ok) return read.stations;
      setProblem({
        text: t('shaping.stationProblem', { line: read.line, why: t(`shaping.stationWhy.${read.problem}`) }),
      });
      return undefined;
    }
    const wrong: Record<string, string> = {};
    const stations = places.flatMap((at): Station[] => {
      const read = readLengthOr(draft.offsets[at] ?? '', unit, { least: -200, most: 200, absent: undefined });
      if ('problem' in read) wrong[at] = read.problem;
      // further from the straight-edge is further in
      return 'value' in read && read.value !== undefined ? [{ at, out: -read.value }] : [];
    });
    if (Object.keys(wrong).length === 0) return stations;
    setProblem(wrong);
    return undefined;
  };
  const take = () => {
    const points = stationsOf();
    if (!points) return;
    const bounds = { least: 0, most: 60 };
    const liner = readLengthOr(draft.liner, unit, { ...bounds, absent: usual.liner });
    const gap = readLengthOr(draft.gap, unit, { ...bounds, absent: 0 });
    const between = 'value' in liner && 'value' in gap ? liner.value! + gap.value! : 0;
    const read = {
      liner,
      gap,
      // by hand it is laid on its mark as it lies everywhere
      pad: bar.byHand ? { value: between } : readLengthOr(draft.pad, unit, { ...bounds, absent: between }),
      gapAtTop: bar.byHand
        ? readLengthOr(draft.gapAtTop, unit, { least: 0, most: 120, absent: usual.fingers })
        : { value: undefined },
    };
    const wrong = Object.fromEntries(
      Object.entries(read).flatMap(([name, one]) => ('problem' in one ? [[name, one.problem]] : [])),
    );
    if (points.length < 3) wrong.points = t('shaping.fewStations');
    else if (!points.some(({ at }) => at > 0) || (!bar.byHand && !points.some(({ at }) => at < 0)))
      wrong.points = t('shaping.bothSides');
    if (Object.keys(wrong).length > 0) return setProblem(wrong);
    const value = (one: { value: number | undefined } | { problem: string }) =>
      'value' in one ? one.value : undefined;
    const body: BodyOf<'shape.contour'> = {
      part: bar.part.id,
      source: draft.source,
      points: points.map(({ at, out }) => ({ at: Math.round(at * 10) / 10, out: Math.round(out * 10) / 10 })),
      liner: value(read.liner)!,
      pad: value(read.pad)!,
      gap: value(read.gap)!,
      ...(value(read.gapAtTop) ? { gapAtTop: value(read.gapAtTop)! } : {}),
    };
    void save(() => write('shape.contour', 'shape', body).then(() => onTaken?.()));
  };
  return (
    <Stack $gap={12}>
      <Pick
        label={t('shaping.contourFrom')}
        options={sources.map((value) => ({ value, label: named('contourSource', value) }))}
        value={draft.source}
        onChange={(source) => change({ source: source as ContourSource })}
      />
      <Soft>{named('contourHow', draft.source)}</Soft>
      {draft.source === 'straight-edge' && (
        <PlaceFields>
          {places.map((at) => (
            <LengthField
              key={at}
              label={at === 0 ? t('shaping.atTheHinge') : placeOnBar(bar, at, unit)}
              unit={unit}
              signed
              value={draft.offsets[at] ?? ''}
              onChange={(text) => change({ offsets: { ...draft.offsets, [at]: text } })}
              onEnter={take}
              problem={problem[at]}
            />
          ))}
        </PlaceFields>
      )}
      {draft.source === 'stations' && (
        <TextField value={draft.text} onChange={(text) => change({ text })}>
          <Label>{t('shaping.stationsText')}</Label>
          <Pasted spellCheck={false} placeholder={'160  -12.5\n120  -9\n…'} />
          {problem.text && <Notice tone="stop">{problem.text}</Notice>}
        </TextField>
      )}
      {draft.source === 'tracing' && (
        <Tracing bar={bar} traced={draft.traced} onTraced={(traced) => change({ traced })} />
      )}
      {computed &&
        (computed.length < 3 ? (
          <Notice tone="caution">{named('contourMissing', draft.source)}</Notice>
        ) : (
          <Soft>{t('shaping.stationsRead', { count: computed.length })}</Soft>
        ))}
      {draft.source === 'girths' && <Notice tone="caution">{t('shaping.girthsEstimate')}</Notice>}
      <Row $align="flex-end">
        {(
          [
            ['liner', usual.liner],
            ...(bar.byHand ? [] : [['pad', undefined] as const]),
            ['gap', 0],
            ...(bar.byHand ? [['gapAtTop', usual.fingers] as const] : []),
          ] as const
        ).map(([name, without]) => (
          <LengthField
            key={name}
            label={
              without === undefined
                ? t(`shaping.between_${name}`)
                : `${t(`shaping.between_${name}`)} (${formatDistance(without, unit)})`
            }
            unit={unit}
            signed
            value={draft[name]}
            onChange={(text) => change({ [name]: text })}
            onEnter={take}
            problem={problem[name]}
          />
        ))}
      </Row>
      {problem.points && (
        <Notice tone="stop" live>
          {problem.points}
        </Notice>
      )}
      <Row>
        <Button
          look="main"
          onPress={take}
          isDisabled={saving || (computed !== undefined && computed.length < 3)}
        >
          {t('shaping.takeContour')}
        </Button>
      </Row>
    </Stack>
  );
}

/** The back's contour from the inclinometer's stations of Measure; too few give none. */
function backContour({ measuring, side }: CaseState): Station[] {
  const { inclinations, lengths } = bodyReadings(measuring.states, side);
  const length = lengths.find(({ from, to }) => from === 'c7' && to === 'sacrum')?.length;
  return inclinations.length < 3 || length === undefined
    ? []
    : contourOfBack(
        [...inclinations].sort((a, b) => a.at - b.at),
        length,
      );
}

/** The drawn body's edge on the bar's side: girths and widths as they were read, both sides in one. */
const edgeContour = (edge: ReturnType<typeof useBarEdge>, places: readonly number[]): Station[] =>
  edge?.isRead
    ? contourOfEdge((at) => {
        const edges = edge.view.edges(edge.held + at, edge.from);
        return edges && edge.outwards * edges[edge.outwards === 1 ? 1 : 0];
      }, places)
    : [];
