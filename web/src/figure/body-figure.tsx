import {
  bodyOf,
  legFormOf,
  type BodyReadings,
  type Build,
  type Region,
  type Side,
} from '@estribo/core/anatomy';
import {
  drawFigure,
  type DrawnFigure,
  type Frame,
  type LabelWish,
  type PlacedLabel,
  type PlacedView,
} from '@estribo/core/drawing';
import { RotateCw } from 'lucide-react';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { color } from '../app/tokens';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { badgeWishes, isStrong, linesOfMarks } from './mark-places';
import { Brace, linesOfBrace } from './brace';
import { Drawing, pathOf, type Overlay } from './drawing';
import { useFrame } from './frame-of';
import type { FigureLayer, FigureMark } from './layer';
import { Mark } from './mark';
import { Goniometer } from './measures';
import { PersonFigure, type PersonKind } from './person-figure';
import { kneecapTop, legOn, type LegOn } from './projection';
import { StepShapes } from './step-shapes';
import { WholePicture, wholeBox } from './whole-picture';

const Place = styled.div`
  position: relative;
  height: 100%;
  min-height: 0;
  & > button {
    position: absolute;
    left: 4px;
    top: 0;
  }
  @media print {
    & > button {
      display: none;
    }
  }
`;

const firstFrame: Frame = { width: 484, height: 618 };
const dial = { width: 104, height: 84 };

interface Shown {
  region: Region;
  side: Side;
  readings: BodyReadings;
  /** the body's proportions */
  build: Build;
  /** outlines laid over it: the other side, the last visit */
  overlays: Partial<Record<Overlay, BodyReadings>>;
  layer: FigureLayer;
  selected?: string | undefined;
  onSelect?: (id: string) => void;
  description: string;
}

const personKinds: readonly string[] = ['stature', 'mass', 'age'];

/**
 * The part of the body that is braced, drawn from its readings, with what the stage lays over it. What can be touched
 * here can be reached in the work beside it by keyboard too.
 */
export function BodyFigure(shown: Shown) {
  const { layer, build, description } = shown;
  const [place, frame] = useFrame(firstFrame);
  const [turned, turn] = useState(false);
  const now = layer.steps?.find(({ state }) => state === 'now');
  const person = now && personKinds.includes(now.step.kind) ? (now.step.kind as PersonKind) : undefined;
  const drawn = useDrawn(shown, frame, turned);
  const away = drawn.turnedAway[0];
  return (
    <Place ref={place}>
      <Drawing
        viewBox={`0 0 ${frame.width} ${frame.height}`}
        role="img"
        aria-label={description}
        preserveAspectRatio="xMidYMid meet"
      >
        {person ? (
          <PersonFigure kind={person} value={now?.value} build={build} frame={frame} />
        ) : (
          <Part shown={shown} frame={frame} drawn={drawn} />
        )}
      </Drawing>
      {away && !person && (
        <Button look="quiet" onPress={() => turn(!turned)} aria-pressed={turned}>
          <RotateCw size={16} aria-hidden style={{ color: color('river') }} />
          {t('figure.turn', { view: named('figure', away) })}
        </Button>
      )}
    </Place>
  );
}

function useDrawn({ region, side, readings, build, layer, selected }: Shown, frame: Frame, turned: boolean) {
  const body = useMemo(() => bodyOf(region, side, readings, build), [region, side, readings, build]);
  const { steps, goniometer, hinge } = layer;
  const leg = useMemo(
    () => (region === 'leg' ? legFormOf(readings, build) : undefined),
    [region, readings, build],
  );
  return useMemo(() => {
    const whole = wholeBox(frame);
    const turnButton = { left: 0, right: 190, top: 0, bottom: 44 };
    return drawFigure({
      body,
      frame,
      steps: steps ?? [],
      selected,
      turned,
      above: goniometer ? dial.height - 18 : body.views.length > 2 ? 26 : 0,
      taken: [
        whole,
        ...(goniometer
          ? [{ left: frame.width - dial.width, right: frame.width, top: 0, bottom: dial.height }]
          : []),
        ...(body.views.length > 2 ? [turnButton] : []),
      ],
      lines: (views) => {
        const on = leg && legOn(leg, views);
        return [
          ...(hinge ? [hingeLine(views, body.level('kneecap-upper-edge') ?? 0, frame)] : []),
          ...(on ? linesOfMarks(on, marksOn(on, layer)) : []),
          ...(on && layer.brace ? linesOfBrace(on, layer) : []),
        ];
      },
      wishes: (views) => {
        const on = leg && legOn(leg, views);
        return [
          ...(hinge?.label ? hingeWish(views, body.level('kneecap-upper-edge'), hinge.label) : []),
          ...(on ? badgeWishes(on, marksOn(on, layer), selected) : []),
        ];
      },
      words: {
        landmark: (landmark) => named('landmarks', landmark),
        view: (id) => named('figure', id),
        held: t('figure.held'),
      },
    });
  }, [body, frame, steps, goniometer, hinge, layer, leg, selected, turned]);
}

/** The level from which a hinge's place is counted, across both views. */
const hingeLine = (
  views: readonly PlacedView[],
  level: number,
  frame: Frame,
): (readonly [number, number])[] => {
  const [x, y] = views[0]!.project([0, level]);
  return [
    [x - 86, y],
    [frame.width - 8, y],
  ];
};

/** Its name, beside the outer view. */
function hingeWish(views: readonly PlacedView[], level: number | undefined, text: string): LabelWish[] {
  const outer = views.find(({ view }) => view.id === 'outer');
  if (!outer || level === undefined) return [];
  const right = outer.view.edges(level)?.[1] ?? 0;
  return [
    {
      id: 'hinge',
      text,
      at: outer.project([right, level]),
      weight: 400,
      towards: [30, -30, 0, 150],
      away: 8,
      spare: true,
    },
  ];
}

function Part({ shown, frame, drawn }: { shown: Shown; frame: Frame; drawn: DrawnFigure }) {
  const { region, side, readings, build, overlays, layer, selected, onSelect } = shown;
  const laid = useMemo(
    () =>
      (Object.entries(overlays) as [Overlay, BodyReadings][]).map(
        ([kind, read]) => [kind, bodyOf(region, side, read, build).views] as const,
      ),
    [overlays, region, side, build],
  );
  const leg = useMemo(
    () => (region === 'leg' ? legOn(legFormOf(readings, build), drawn.views) : undefined),
    [region, readings, build, drawn.views],
  );
  return (
    <>
      <WholePicture region={region} side={side} readings={readings} build={build} frame={frame} />
      {drawn.views.map(({ view, project }) => {
        const line = (points: readonly (readonly [number, number])[], closed = false) =>
          pathOf(points.map(project), closed);
        return (
          <g key={view.id} aria-hidden>
            <path className="skin" d={line(view.skin, true)} />
            {(['inner', 'hidden', 'cut', 'outline'] as const).map((weight) => (
              <path
                key={weight}
                className={weight}
                d={{ inner: view.lines, hidden: view.hidden, cut: view.cuts, outline: view.contours }[weight]
                  .map((one) => line(one))
                  .join('')}
              />
            ))}
            {laid.map(([kind, views]) => {
              const over = views.find(({ id }) => id === view.id);
              return (
                over && (
                  <path key={kind} className={kind} d={over.contours.map((one) => line(one)).join('')} />
                )
              );
            })}
          </g>
        );
      })}
      {drawn.captions.map(({ id, text, x, y }) => (
        <text key={id} x={x} y={y} aria-hidden>
          {text}
        </text>
      ))}
      {leg && layer.brace && <Brace leg={leg} layer={layer} />}
      {layer.hinge && leg && (
        <path
          className="extension"
          d={pathOf(hingeLine(drawn.views, kneecapTop(leg.form), frame))}
          stroke={color('river')}
          aria-hidden
        />
      )}
      <StepShapes steps={drawn.steps} onSelect={onSelect} />
      {leg && <Marks leg={leg} labels={drawn.labels} layer={layer} selected={selected} onSelect={onSelect} />}
      {drawn.held.map((arrow, i) => (
        <path key={i} className="held" d={pathOf(arrow)} aria-hidden />
      ))}
      <Labels drawn={drawn} onSelect={onSelect} />
      {layer.goniometer && <Goniometer {...layer.goniometer} x={frame.width - 54} y={58} />}
    </>
  );
}

function Marks({
  leg,
  labels,
  layer,
  selected,
  onSelect,
}: {
  leg: LegOn;
  labels: readonly PlacedLabel[];
  layer: FigureLayer;
  selected?: string | undefined;
  onSelect?: ((id: string) => void) | undefined;
}) {
  return marksOn(leg, layer).map((mark) => (
    <Mark
      key={mark.id}
      leg={leg}
      mark={mark}
      badge={labels.find(({ id }) => id === `badge-${mark.id}`)}
      strong={isStrong(mark, selected)}
      onSelect={onSelect ? () => onSelect(mark.id) : undefined}
    />
  ));
}

/** Marks with the places of the body at their levels; the rest are distances that were measured. */
const marksOn = ({ form }: LegOn, { marks }: FigureLayer): FigureMark[] =>
  marks.map((mark) => (mark.kind === 'spot' ? { ...mark, level: form.scaled(mark.level) } : mark));

/** Every text of the drawing where it lies over nothing, with a thin line to what it names where it stands off. */
function Labels({ drawn, onSelect }: { drawn: DrawnFigure; onSelect?: ((id: string) => void) | undefined }) {
  return (
    <g aria-hidden>
      {drawn.labels.map(({ id, text, x, y, weight, leader, badge }) => {
        if (badge) return null;
        const step = drawn.steps.find((one) => one.wishes.some((wish) => wish.id === id));
        // saddle is a colour of things: on a dark ground letters in it would not be read
        const fill = color(step?.strong ? 'river' : 'soft');
        return (
          <g key={id} {...(step && onSelect ? { 'data-touch': true, onClick: () => onSelect(step.id) } : {})}>
            {leader && <path className="extension" d={pathOf(leader)} stroke={fill} />}
            <text x={x} y={y} style={{ fill, fontWeight: weight }}>
              {text}
            </text>
          </g>
        );
      })}
    </g>
  );
}
