import { bodyOf, type BodyReadings, type Build, type Region, type Side } from '@estribo/core/anatomy';
import { drawFigure, type DrawnFigure, type Frame } from '@estribo/core/drawing';
import { RotateCw } from 'lucide-react';
import { memo, useMemo, useState } from 'react';
import styled from 'styled-components';
import { color } from '../look/tokens';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { BraceShapes } from './brace-shapes';
import { DraggedHandle } from './dragged-handle';
import { FigurePointer } from './figure-pointer';
import { Drawing, pathOf, type Overlay } from './drawing';
import { useFrame } from './frame-of';
import type { FigureLayer } from './layer';
import { Goniometer } from './measures';
import { useSteady } from '../parts/use-steady';
import { PersonFigure, type PersonKind } from './person-figure';
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
  const { body, drawn } = useDrawn(shown, frame, turned);
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
          <Part
            region={shown.region}
            side={shown.side}
            readings={shown.readings}
            build={build}
            overlays={shown.overlays}
            goniometer={layer.goniometer}
            selected={shown.selected}
            onSelect={shown.onSelect}
            frame={frame}
            drawn={drawn}
          />
        )}
        {layer.pointing && !person && (
          <FigurePointer
            key={layer.pointing.kind}
            pointing={layer.pointing}
            views={drawn.views}
            frame={frame}
          />
        )}
        {layer.handle && !person && (
          <DraggedHandle handle={layer.handle} body={body} views={drawn.views} frame={frame} />
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
  // what answers a touch draws nothing
  const { handle: _moves, pointing: _points, ...still } = layer;
  const { steps, goniometer, parts, marks, reference } = useSteady(still);
  const drawn = useMemo(() => {
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
      parts: parts ?? [],
      marks,
      reference: reference && {
        at: reference.at,
        ...(reference.named ? { text: named('landmarks', reference.at.from) } : {}),
      },
      words: {
        landmark: (landmark) => named('landmarks', landmark),
        view: (id) => named('figure', id),
        held: t('figure.held'),
      },
    });
  }, [body, frame, steps, goniometer, parts, marks, reference, selected, turned]);
  return { body, drawn };
}

/** All that lies still while something is dragged over it: it is drawn anew when what it shows has changed. */
const Part = memo(function Part({
  region,
  side,
  readings,
  build,
  overlays,
  goniometer,
  selected,
  onSelect,
  frame,
  drawn,
}: Pick<Shown, 'region' | 'side' | 'readings' | 'build' | 'overlays'> & {
  goniometer: FigureLayer['goniometer'];
  selected: string | undefined;
  onSelect: ((id: string) => void) | undefined;
  frame: Frame;
  drawn: DrawnFigure;
}) {
  const laid = useMemo(
    () =>
      (Object.entries(overlays) as [Overlay, BodyReadings][]).map(
        ([kind, read]) => [kind, bodyOf(region, side, read, build).views] as const,
      ),
    [overlays, region, side, build],
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
      {drawn.reference && (
        <path className="extension" d={pathOf(drawn.reference)} stroke={color('river')} aria-hidden />
      )}
      <BraceShapes brace={drawn.brace} labels={drawn.labels} selected={selected} onSelect={onSelect} />
      <StepShapes steps={drawn.steps} onSelect={onSelect} />
      {drawn.held.map((arrow, i) => (
        <path key={i} className="held" d={pathOf(arrow)} aria-hidden />
      ))}
      <Labels drawn={drawn} onSelect={onSelect} />
      {goniometer && <Goniometer {...goniometer} x={frame.width - 54} y={58} />}
    </>
  );
});

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
