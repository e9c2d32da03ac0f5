import { datumOf } from '@estribo/core/anatomy';
import type { MarkToDraw, PartToDraw } from '@estribo/core/drawing';
import { boundsOf, type Bounds } from '@estribo/core/logbook';
import type { LengthUnit } from '@estribo/core/quantity';
import { bendLedger, judgeBend, type Bend } from '@estribo/core/shaping';
import { useState } from 'react';
import styled from 'styled-components';
import { useDraft } from '../api/draft';
import { useFigureLayer, useMay, useWork } from '../case/case-context';
import { color } from '../look/tokens';
import { hingeLevel } from '../figure/layer';
import { named, t } from '../messages';
import { boundsProblem } from '../parts/bounds';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Row, Rule, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { printDistance, printReading } from '../parts/print';
import { ReadingField, readQuantity } from '../parts/reading-field';
import { useReason } from '../parts/use-reason';
import { useSaving } from '../parts/use-saving';

const PadLine = styled.li<{ $now: boolean }>`
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
  padding: 6px 10px;
  border: 1px solid ${({ $now }) => color($now ? 'river' : 'line')};
  border-radius: 4px;
  background: ${color('sheet')};
  & > div:first-child {
    flex: 1;
    min-width: 180px;
  }
`;

export default function ShapeStage() {
  const { state, selected, select, write } = useWork();
  const mayNow = useMay('shape');
  const { pads, scars, bends } = state.shaping;
  const [saving, save] = useSaving();
  const mayShape = mayNow('shaping.write');
  const reference = hingeLevel(state.parts);
  const datum = datumOf[state.programme.region];
  useFigureLayer({
    // what is padded is seen through what is strapped over it
    parts: state.parts
      .filter(({ kind }) => kind !== 'strap')
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
  const left = pads.filter(({ done }) => !done);

  return (
    <>
      <Stack $gap={4}>
        <h1>{t('shaping.question')}</h1>
        <Soft>{t('shaping.how')}</Soft>
      </Stack>
      {mayShape && <ScarEntry />}
      <Stack $gap={6} as="ul">
        {pads.map(({ pad, advice, done }) => (
          <PadLine key={pad.id} $now={selected === pad.id} onMouseEnter={() => select(pad.id)}>
            <div>
              <b>{named('pads', pad.id)}</b>
              <Soft>{done ? named('padDone', done) : named('padAdvice', advice)}</Soft>
            </div>
            {mayShape && (
              <Row $gap={8}>
                {(pad.splits
                  ? (['placed', 'split', 'left-out'] as const)
                  : (['placed', 'left-out'] as const)
                ).map((how) => {
                  const advised =
                    !done &&
                    { place: 'placed', 'split-around': 'split', 'keep-off': 'left-out' }[advice] === how;
                  return (
                    <Button
                      key={how}
                      look={advised ? 'main' : 'second'}
                      isDisabled={saving || done === how}
                      aria-label={`${named('pads', pad.id)}: ${named('padDone', how)}`}
                      onPress={() => void save(() => write('shape.pad', 'shape', { pad: pad.id, done: how }))}
                    >
                      {named('padDone', how)}
                    </Button>
                  );
                })}
              </Row>
            )}
          </PadLine>
        ))}
      </Stack>
      {mayShape && left.length > 1 && left.every(({ advice }) => advice !== 'keep-off') && (
        <Row>
          <Button
            look="main"
            isDisabled={saving}
            onPress={() =>
              void save(async () => {
                for (const { pad, advice } of left)
                  await write('shape.pad', 'shape', {
                    pad: pad.id,
                    done: advice === 'split-around' ? 'split' : 'placed',
                  });
              })
            }
          >
            {t('shaping.allAsAdvised')}
          </Button>
        </Row>
      )}
      <Rule />
      <Bends />
    </>
  );
}

interface NewScar {
  asking: boolean;
  face: 'front' | 'back' | 'medial' | 'lateral';
  ends: { from: string; to: string };
}

const noScar: NewScar = { asking: false, face: 'front', ends: { from: '', to: '' } };

function ScarEntry() {
  const { state, unit, write } = useWork();
  const [scar, setScar] = useDraft<NewScar>(`${state.case}-scar`, noScar);
  const { asking, face, ends } = scar;
  const [problem, setProblem] = useState<{ from?: string; to?: string }>({});
  const [saving, save] = useSaving();
  if (!asking)
    return (
      <Row>
        <Button onPress={() => setScar({ ...scar, asking: true })}>{t('shaping.addScar')}</Button>
        <Soft>{t('shaping.scarHow')}</Soft>
      </Row>
    );
  const take = () => {
    const read = {
      from: readPlace(t('shaping.scarFrom'), ends.from, unit, boundsOf('shape.scar', 'from')),
      to: readPlace(t('shaping.scarTo'), ends.to, unit, boundsOf('shape.scar', 'to')),
    };
    const wrong = {
      ...('problem' in read.from ? { from: read.from.problem } : {}),
      ...('problem' in read.to ? { to: read.to.problem } : {}),
    };
    if ('problem' in read.from || 'problem' in read.to) return setProblem(wrong);
    const [from, to] = [read.from.value, read.to.value];
    void save(() => write('shape.scar', 'shape', { face, from, to }).then(() => setScar(noScar)));
  };
  return (
    <Stack $gap={10}>
      <Row $align="flex-end">
        <Choice
          label={t('shaping.scarFace')}
          options={(['front', 'medial', 'lateral', 'back'] as const).map((value) => ({
            value,
            label: named('face', value),
          }))}
          value={face}
          onChange={(chosen) => setScar({ ...scar, face: chosen })}
        />
        {(['from', 'to'] as const).map((end) => (
          <ReadingField
            key={end}
            small
            label={t(`shaping.scar${end === 'from' ? 'From' : 'To'}`)}
            kind="distance"
            minusSaid={(length) => t('shaping.belowMark', { length })}
            unit={unit}
            sign={unit}
            value={ends[end]}
            onChange={(text) => setScar({ ...scar, ends: { ...ends, [end]: text } })}
            onEnter={take}
            problem={problem[end]}
          />
        ))}
      </Row>
      <Row>
        <Button look="main" onPress={take} isDisabled={saving}>
          {t('shaping.takeScar')}
        </Button>
        <Button look="quiet" onPress={() => setScar(noScar)}>
          {t('common.cancel')}
        </Button>
      </Row>
    </Stack>
  );
}

/** A place on the limb: up is positive, down is a minus. */
function readPlace(
  what: string,
  text: string,
  unit: LengthUnit,
  bounds: Bounds,
): { value: number } | { problem: string } {
  const read = readQuantity(text, 'distance', unit);
  if ('problem' in read) return read;
  const problem = boundsProblem(what, read.value, bounds, (bound) => printDistance(bound, unit));
  return problem ? { problem } : read;
}

type NewBend = Pick<Bend, 'upright' | 'direction'> & { place: string; amount: string };

const noBend: NewBend = { upright: 'medial', direction: 'away-from-limb', place: '', amount: '' };

function Bends() {
  const { state, unit, write } = useWork();
  const mayNow = useMay('shape');
  const { frame } = state.model;
  const { bends } = state.shaping;
  const [typed, type] = useDraft<NewBend>(`${state.case}-bend`, noBend);
  const { upright, direction, place, amount } = typed;
  const [problem, setProblem] = useState<{ place?: string; amount?: string }>({});
  const [saving, save] = useSaving();
  const { field, giving } = useReason(`${state.case}-bend-in-spite`, t('shaping.inSpite'), 400, false);
  if (!frame?.bendable) return <Notice tone="stop">{named('bendProblem', 'not-bendable')}</Notice>;

  const ledger = bendLedger(bends, frame);
  const read = {
    place: readPlace(t('shaping.place'), place, unit, boundsOf('shape.bent', 'place')),
    amount: readQuantity(amount, 'degrees', unit),
  };
  const bend: Bend | undefined =
    'value' in read.place && 'value' in read.amount && read.amount.value > 0
      ? { upright, direction, place: read.place.value, amount: read.amount.value }
      : undefined;
  const warnings = bend ? judgeBend(bend, bends, frame) : [];
  const take = () => {
    if (!bend)
      return setProblem({
        ...('problem' in read.place ? { place: read.place.problem } : {}),
        ...('problem' in read.amount
          ? { amount: read.amount.problem }
          : 'value' in read.amount && read.amount.value <= 0
            ? { amount: t('common.typeNumber') }
            : {}),
      });
    const tooMuch = boundsProblem(
      t('shaping.amount'),
      bend.amount,
      boundsOf('shape.bent', 'amount'),
      (bound) => `${bound}°`,
    );
    if (tooMuch) return setProblem({ amount: tooMuch });
    const note = (inSpite?: string) =>
      void save(async () => {
        await write('shape.bent', 'shape', { ...bend, ...(inSpite === undefined ? {} : { inSpite }) });
        type({ ...typed, place: '', amount: '' });
      });
    // a bend outside what the maker allows has happened and is taken; it is asked why
    if (warnings.length > 0) giving(note);
    else note();
  };

  return (
    <Stack $gap={12}>
      <h2>{t('shaping.bends')}</h2>
      {bends.length > 0 && (
        <ol>
          {bends.map((one, i) => (
            <li key={one.entry}>
              <b>{i + 1}.</b>{' '}
              {t('shaping.bendLine', {
                upright: named('upright', one.upright),
                place: printReading(Math.abs(one.place), 'mm', unit),
                where: t(one.place > 0 ? 'shaping.above' : 'shaping.below'),
                amount: one.amount,
                direction: named('direction', one.direction),
              })}
            </li>
          ))}
        </ol>
      )}
      <Soft>
        {t('shaping.ledger', {
          medial: ledger.medial.spent,
          medialLeft: ledger.medial.left,
          lateral: ledger.lateral.spent,
          lateralLeft: ledger.lateral.left,
          total: frame.total,
        })}
      </Soft>
      {mayNow('shaping.write') && (
        <>
          <Row $align="flex-end">
            <Choice
              label={t('shaping.upright')}
              options={(['medial', 'lateral'] as const).map((value) => ({
                value,
                label: named('upright', value),
              }))}
              value={upright}
              onChange={(chosen) => type({ ...typed, upright: chosen })}
            />
            <Choice
              label={t('shaping.direction')}
              options={(['away-from-limb', 'towards-limb'] as const).map((value) => ({
                value,
                label: named('direction', value),
              }))}
              value={direction}
              onChange={(chosen) => type({ ...typed, direction: chosen })}
            />
          </Row>
          <Row $align="flex-end">
            <ReadingField
              small
              label={t('shaping.place')}
              kind="distance"
              minusSaid={(length) => t('shaping.belowHinge', { length })}
              unit={unit}
              sign={unit}
              value={place}
              onChange={(text) => type({ ...typed, place: text })}
              problem={problem.place}
            />
            <ReadingField
              small
              label={t('shaping.amount')}
              kind="degrees"
              unit={unit}
              sign="°"
              value={amount}
              onChange={(text) => type({ ...typed, amount: text })}
              onEnter={take}
              problem={problem.amount}
            />
            <Button onPress={take} isDisabled={saving}>
              {t('shaping.noteBend')}
            </Button>
          </Row>
          {warnings.length > 0 && (
            <Notice tone="stop" live>
              <Stack $gap={8}>
                <span>
                  {warnings.map((warning) => named('bendProblem', warning)).join(' ')}{' '}
                  {t('shaping.factTaken')}
                </span>
                {field}
              </Stack>
            </Notice>
          )}
          <Soft>{t('shaping.caution', { increment: frame.increment })}</Soft>
        </>
      )}
    </Stack>
  );
}
