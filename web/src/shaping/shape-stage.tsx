import { datumOf } from '@estribo/core/anatomy';
import type { MarkToDraw, PartToDraw } from '@estribo/core/drawing';
import { Fragment } from 'react';
import { useFigureLayer, useMay, useWork } from '../case/case-context';
import { hingeLevel } from '../figure/layer';
import { t } from '../messages';
import { Rule, Soft, Stack } from '../parts/layout';
import { screenOf } from './kinds/all';
import { ScarEntry } from './scar-entry';

/** What is bent, moulded, trimmed, cut or padded. */
export default function ShapeStage() {
  const { state } = useWork();
  const mayNow = useMay('shape');
  const { pads, scars, bends, work } = state.shaping;
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
      ...scars.map((scar, i): MarkToDraw => ({
        id: `scar-${i}`,
        kind: 'scar',
        at: { from: datum, offset: Math.max(scar.from, scar.to), face: scar.face },
        to: { from: datum, offset: Math.min(scar.from, scar.to) },
        state: 'now',
      })),
      ...bends.map((bend, i): MarkToDraw => ({
        id: bend.entry,
        kind: 'bend',
        at: { from: reference?.from ?? datum, offset: bend.place, face: bend.upright },
        label: String(i + 1),
        state: 'done',
      })),
    ],
  });

  return (
    <>
      <Stack $gap={4}>
        <h1>{t(pads.length > 0 ? 'shaping.question' : 'shaping.questionPlain')}</h1>
        <Soft>{t(pads.length > 0 ? 'shaping.how' : 'shaping.howPlain')}</Soft>
      </Stack>
      {mayShape && pads.length > 0 && <ScarEntry />}
      {work.map((one) => {
        const { Piece } = screenOf(one.operation);
        return (
          <Fragment key={one.operation.id}>
            <Rule />
            <Piece work={one} stage="shape" />
          </Fragment>
        );
      })}
    </>
  );
}
