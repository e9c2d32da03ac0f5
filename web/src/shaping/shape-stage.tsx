import { datumOf } from '@estribo/core/anatomy';
import type { MarkToDraw, PartToDraw } from '@estribo/core/drawing';
import { isAnswered } from '@estribo/core/shaping';
import { Fragment, useState } from 'react';
import { PointingContext, useFigureLayer, useMay, useWork } from '../case/case-context';
import { hingeLevel, type FigurePointing } from '../figure/layer';
import { t } from '../messages';
import { operationWords } from '../messages/fitting';
import { Fold } from '../parts/fold';
import { Rule, Soft, Stack } from '../parts/layout';
import { screenOf } from './kinds/all';
import type { WorkOf } from './kinds/piece';
import { PressureMarks } from './pressure-marks';
import { useZones } from './on-body';
import { ScarEntry } from './scar-entry';
import { ZonesTold } from './zones-told';

const isAsked = ({ operation }: WorkOf): boolean => operation.kind === 'pad';

/** Pads that were all placed, split or left out; edges that are worked by their marks. */
const isFolded = (work: WorkOf, isMarked: boolean): boolean =>
  isAsked(work)
    ? isAnswered(work)
    : isMarked &&
      !work.operation.asked &&
      (work.operation.kind === 'trim' || work.operation.kind === 'flare');

/** What is bent, moulded, trimmed, cut or padded. */
export default function ShapeStage() {
  const { state } = useWork();
  const mayNow = useMay('shape');
  const { pads, scars, bars, marks } = state.shaping;
  // straps are brought to length where they are closed: in Strap
  const work = state.shaping.work.filter(({ operation }) => operation.kind !== 'cut');
  const { zones } = useZones();
  const [pointing, setPointing] = useState<FigurePointing>();
  const mayShape = mayNow('shaping.write');
  const reference = hingeLevel(state.parts);
  const datum = datumOf[state.programme.region];
  const workedOn = work.flatMap(({ parts }) => parts.map(({ id }) => id));
  useFigureLayer({
    // what is padded is seen through what is strapped over it
    parts: state.parts
      .filter(({ id, kind }) => kind !== 'strap' || workedOn.includes(id))
      .map((part): PartToDraw => {
        const pad = pads.find((one) => one.pad.id === part.id);
        return pad
          ? {
              part,
              state: pad.done ? 'done' : 'ahead',
              split: pad.done === 'split' || (!pad.done && pad.advice === 'split-around'),
            }
          : { part, state: 'done' };
      }),
    ...(reference ? { reference: { at: reference, named: false } } : {}),
    marks: [
      ...zones
        .filter((zone) => zone.what !== 'scar')
        .map((zone, i): MarkToDraw => ({
          id: `zone-${i}`,
          kind: 'zone',
          at: { from: datum, offset: Math.max(zone.from, zone.to), face: zone.face },
          to: { from: datum, offset: Math.min(zone.from, zone.to) },
          state: zone.what === 'wound' ? 'bad' : 'ahead',
        })),
      ...scars
        .filter(({ what }) => what === 'scar')
        .map((scar, i): MarkToDraw => ({
          id: `scar-${i}`,
          kind: 'scar',
          at: { from: datum, offset: Math.max(scar.from, scar.to), face: scar.face },
          to: { from: datum, offset: Math.min(scar.from, scar.to) },
          state: 'now',
        })),
      // the bends that are ahead, and those that were made, numbered as in the list
      ...bars.flatMap(({ part, plan, made, byHand }) =>
        (plan
          ? plan.work.map(({ at, next }, i) => ({
              at,
              id: `${part.id} ${at}`,
              label: String(i + 1),
              done: !next,
            }))
          : made.map(({ place: at, entry }, i) => ({ at, id: entry, label: String(i + 1), done: true }))
        ).map(({ at, id, label, done }): MarkToDraw => ({
          id,
          kind: 'bend',
          at: {
            from: byHand ? part.course.at(-1)!.from : (reference?.from ?? datum),
            offset: at,
            face: part.course[0]!.face,
          },
          label,
          state: done ? 'done' : 'ahead',
        })),
      ),
      ...marks.map((mark, i): MarkToDraw => ({
        id: mark.entry,
        kind: 'spot',
        at: mark.at,
        label: String(i + 1),
        state: mark.state === 'clear' ? 'done' : mark.state === 'refit' ? 'now' : 'bad',
      })),
    ],
    ...(pointing ? { pointing } : {}),
  });
  // a shell whose edges are trimmed is marked where it presses
  const isMarked = work.some(
    ({ operation, parts }) => operation.kind === 'trim' && parts.some(({ kind }) => kind === 'shell'),
  );

  return (
    <PointingContext value={setPointing}>
      <Stack $gap={4}>
        <h1>{t(pads.length > 0 ? 'shaping.question' : 'shaping.questionPlain')}</h1>
        <Soft>{t(pads.length > 0 ? 'shaping.how' : 'shaping.howPlain')}</Soft>
      </Stack>
      {mayShape && work.length > 0 && <ScarEntry />}
      <ZonesTold />
      {isMarked && (
        <>
          <Rule />
          <PressureMarks stage="shape" />
        </>
      )}
      {[...work]
        // what is answered stands back behind what is still to be done
        .sort((a, b) => Number(isFolded(a, isMarked)) - Number(isFolded(b, isMarked)))
        .map((one) => {
          const { Piece } = screenOf(one.operation);
          const piece = <Piece work={one} stage="shape" />;
          return (
            <Fragment key={one.operation.id}>
              <Rule />
              {isFolded(one, isMarked) ? (
                <Fold
                  title={t(isAsked(one) ? 'shaping.answered' : 'shaping.withoutMark', {
                    work: operationWords(state.programme, one.operation.id).name,
                    count: one.parts.length,
                  })}
                >
                  {piece}
                </Fold>
              ) : (
                piece
              )}
            </Fragment>
          );
        })}
    </PointingContext>
  );
}
