import { boundsOf } from '@estribo/core/logbook';
import { isBent, judgeBend, type Bend } from '@estribo/core/shaping';
import { useState } from 'react';
import { useDraft } from '../../api/draft';
import { useMay, useWork } from '../../case/case-context';
import { named, t } from '../../messages';
import { boundsProblem } from '../../parts/bounds';
import { Button } from '../../parts/button';
import { Choice } from '../../parts/choice';
import { Fold } from '../../parts/fold';
import { Row, Soft, Stack } from '../../parts/layout';
import { Notice } from '../../parts/notice';
import { ReadingField, readQuantity } from '../../parts/reading-field';
import { useReason } from '../../parts/use-reason';
import { useSaving } from '../../parts/use-saving';
import { barName, saidBend } from '../bar-words';
import { BarWork } from '../bar-work';
import { readPlace } from '../read-place';
import type { OperationScreen, WorkOf, WorkStage } from './piece';
import { PlainWork } from './plain';

type NewBend = Pick<Bend, 'part' | 'direction'> & { place: string; amount: string };

/** Bars bent cold: each planned to its contour, or bends noted as they were made. */
function Bends({ work, stage }: { work: WorkOf; stage: WorkStage }) {
  const { state } = useWork();
  const { frame } = state.model;
  const bars = state.shaping.bars.filter(({ operation }) => operation === work.operation.id);
  const [chosen, choose] = useDraft(`${state.case}-bar`);
  // what is half done is shown first
  const bar =
    bars.find(({ part }) => part.id === chosen) ??
    bars.find((one) => one.plan !== undefined && !isBent(one)) ??
    bars.find(({ contour }) => contour !== undefined) ??
    bars.find(({ part }) => !frame?.bar?.unbent?.includes(part.id)) ??
    bars[0];
  if (!frame?.bendable || !bar) return <Notice tone="stop">{named('bendProblem', 'not-bendable')}</Notice>;
  const sets = work.operation.kind === 'bend' && work.operation.sets === 'coronal';
  return (
    <Stack $gap={14}>
      {bars.length > 1 && (
        <Choice
          label={t('shaping.upright')}
          options={bars.map(({ part }) => ({ value: part.id, label: barName(state, part.id) }))}
          value={bar.part.id}
          onChange={choose}
        />
      )}
      {frame.bar ? (
        <>
          <BarWork key={bar.part.id} bar={bar} frame={frame} stage={stage} sets={sets} />
          <Fold title={t('shaping.noteOther')}>
            <NotedBends work={work} stage={stage} part={bar.part.id} />
          </Fold>
        </>
      ) : (
        <>
          <h2>{t('shaping.bends')}</h2>
          <Soft>{named('noPlan', 'no-bar')}</Soft>
          <NotedBends work={work} stage={stage} part={bar.part.id} />
        </>
      )}
    </Stack>
  );
}

/** Bends as they were made: where, which way, how far, and what the frame still bears. */
function NotedBends({ work: { operation }, stage, part }: { work: WorkOf; stage: WorkStage; part: string }) {
  const { state, unit, write } = useWork();
  const mayNow = useMay(stage);
  const frame = state.model.frame!;
  const bar = state.shaping.bars.find((one) => one.part.id === part)!;
  const noBend: NewBend = { part, direction: 'away-from-limb', place: '', amount: '' };
  const [typed, type] = useDraft<NewBend>(`${state.case}-bend-${part}`, noBend);
  const { direction, place, amount } = typed;
  const [problem, setProblem] = useState<{ place?: string; amount?: string }>({});
  const [saving, save] = useSaving();
  const { field, giving } = useReason(`${state.case}-bend-in-spite`, t('shaping.inSpite'), 400, false);
  const read = {
    place: readPlace(t('shaping.place'), place, unit, boundsOf('work.done', 'at')),
    amount: readQuantity(amount, 'degrees', unit),
  };
  const bend: Bend | undefined =
    'value' in read.place && 'value' in read.amount && read.amount.value > 0
      ? { part, direction, place: read.place.value, amount: read.amount.value }
      : undefined;
  const warnings = bend ? judgeBend(bend, bar.made, frame) : [];
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
      boundsOf('work.done', 'amount'),
      (bound) => `${bound}°`,
    );
    if (tooMuch) return setProblem({ amount: tooMuch });
    const note = (inSpite?: string) =>
      void save(async () => {
        await write('work.done', stage, {
          operation: operation.id,
          part,
          at: bend.place,
          direction: bend.direction,
          amount: bend.amount,
          ...(inSpite === undefined ? {} : { inSpite }),
        });
        type({ ...typed, place: '', amount: '' });
      });
    // a bend outside what the maker allows has happened and is taken; it is asked why
    if (warnings.length > 0) giving(note);
    else note();
  };

  return (
    <Stack $gap={12}>
      {bar.made.length > 0 && (
        <ol>
          {bar.made.map((one, i) => (
            <li key={one.entry}>
              <b>{i + 1}.</b> {saidBend(bar, one, unit)}
            </li>
          ))}
        </ol>
      )}
      <Soft>
        {t('shaping.ledger', {
          bar: barName(state, part),
          spent: Math.round(bar.spent * 10) / 10,
          left: Math.round(bar.left * 10) / 10,
          total: frame.total,
        })}
      </Soft>
      {mayNow('shaping.write') && (
        <>
          <Choice
            label={t('shaping.direction')}
            options={(['away-from-limb', 'towards-limb'] as const).map((value) => ({
              value,
              label: named('direction', value),
            }))}
            value={direction}
            onChange={(chosen) => type({ ...typed, direction: chosen })}
          />
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

export const bend: OperationScreen = {
  // over an edge it is bent as it comes: nothing of it is planned
  Piece: ({ work, stage }) =>
    work.operation.kind === 'bend' && work.operation.how === 'over-edge' ? (
      <PlainWork work={work} stage={stage} />
    ) : (
      <Bends work={work} stage={stage} />
    ),
};
