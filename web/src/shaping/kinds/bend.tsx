import { boundsOf } from '@estribo/core/logbook';
import { bendLedger, judgeBend, type Bend } from '@estribo/core/shaping';
import { useState } from 'react';
import { useDraft } from '../../api/draft';
import { useMay, useWork } from '../../case/case-context';
import { named, t } from '../../messages';
import { boundsProblem } from '../../parts/bounds';
import { Button } from '../../parts/button';
import { Choice } from '../../parts/choice';
import { Row, Soft, Stack } from '../../parts/layout';
import { Notice } from '../../parts/notice';
import { formatReading } from '../../parts/format';
import { ReadingField, readQuantity } from '../../parts/reading-field';
import { useReason } from '../../parts/use-reason';
import { useSaving } from '../../parts/use-saving';
import { readPlace } from '../read-place';
import type { OperationScreen, WorkOf, WorkStage } from './piece';

type NewBend = Pick<Bend, 'upright' | 'direction'> & { place: string; amount: string };

const noBend: NewBend = { upright: 'medial', direction: 'away-from-limb', place: '', amount: '' };

/** Bars bent cold: where, which way, how far, and what the frame still bears. */
function Bends({ work: { operation }, stage }: { work: WorkOf; stage: WorkStage }) {
  const { state, unit, write } = useWork();
  const mayNow = useMay(stage);
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
    place: readPlace(t('shaping.place'), place, unit, boundsOf('work.done', 'at')),
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
      boundsOf('work.done', 'amount'),
      (bound) => `${bound}°`,
    );
    if (tooMuch) return setProblem({ amount: tooMuch });
    const note = (inSpite?: string) =>
      void save(async () => {
        await write('work.done', stage, {
          operation: operation.id,
          part: `upright-${bend.upright}`,
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
      <h2>{t('shaping.bends')}</h2>
      {bends.length > 0 && (
        <ol>
          {bends.map((one, i) => (
            <li key={one.entry}>
              <b>{i + 1}.</b>{' '}
              {t('shaping.bendLine', {
                upright: named('upright', one.upright),
                place: formatReading(Math.abs(one.place), 'mm', unit),
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

export const bend: OperationScreen = { Piece: Bends };
