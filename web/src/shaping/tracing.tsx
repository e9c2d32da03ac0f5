import type { BarState, Station } from '@estribo/core/shaping';
import { useState } from 'react';
import { useCanPoint, useFigurePointing } from '../case/case-context';
import type { PointedAt } from '../figure/layer';
import { t } from '../messages';
import { Button } from '../parts/button';
import { Row, Soft } from '../parts/layout';
import { useBarEdge } from './on-body';

/** mm between two stations that a traced line becomes */
const every = 20;

/** A contour drawn on the figure by pointer, along the bar's side; it becomes stations. */
export function Tracing({
  bar,
  traced,
  onTraced,
}: {
  bar: BarState;
  traced: readonly Station[];
  onTraced: (stations: Station[]) => void;
}) {
  const canPoint = useCanPoint();
  const [drawing, setDrawing] = useState(false);
  const edge = useBarEdge(bar);
  useFigurePointing(
    drawing && edge
      ? {
          kind: 'line',
          view: edge.view.id,
          label: t('shaping.traceHere'),
          onLine: (points) => {
            setDrawing(false);
            onTraced(stationsAlong(points, edge.held, edge.outwards));
          },
        }
      : undefined,
  );
  if (!canPoint) return <Soft>{t('shaping.pointInShape')}</Soft>;
  return (
    <Row>
      <Button look={drawing ? 'main' : 'second'} aria-pressed={drawing} onPress={() => setDrawing(!drawing)}>
        {t(drawing ? 'shaping.traceNow' : traced.length > 0 ? 'shaping.traceAgain' : 'shaping.trace')}
      </Button>
      {traced.length > 0 && <Soft>{t('shaping.stationsRead', { count: traced.length })}</Soft>}
    </Row>
  );
}

/** A line as stations: the mean of what was drawn around each place. */
function stationsAlong(points: readonly PointedAt[], held: number, outwards: 1 | -1): Station[] {
  const stations = new Map<number, number[]>();
  for (const { x, level } of points) {
    const at = Math.round((level - held) / every) * every;
    stations.set(at, [...(stations.get(at) ?? []), outwards * x]);
  }
  return [...stations]
    .map(([at, outs]) => ({ at, out: outs.reduce((sum, out) => sum + out, 0) / outs.length }))
    .sort((a, b) => a.at - b.at);
}
