import { boundsOf } from '@estribo/core/logbook';
import { measuredOf, waysOf } from '@estribo/core/shaping';
import { useState } from 'react';
import { useDraft } from '../../api/draft';
import { useMay, useWork } from '../../case/case-context';
import { named, t } from '../../messages';
import { operationWords, partName } from '../../messages/fitting';
import { boundsProblem } from '../../parts/bounds';
import { Button } from '../../parts/button';
import { Choice } from '../../parts/choice';
import { Row, Soft, Stack } from '../../parts/layout';
import { Notice } from '../../parts/notice';
import { formatDistance } from '../../parts/format';
import { ReadingField, readQuantity } from '../../parts/reading-field';
import { useReason } from '../../parts/use-reason';
import { useSaving } from '../../parts/use-saving';
import { formatWork } from '../format-work';
import type { WorkOf, WorkStage } from './piece';

/** Work that is said to be done: on which part, how much where it is measured, in which way. What it requires first is said. */
export function PlainWork({
  work: { operation, parts, mayBegin, done },
  stage,
}: {
  work: WorkOf;
  stage: WorkStage;
}) {
  const { state, unit, write } = useWork();
  const mayShape = useMay(stage)('shaping.write');
  const words = operationWords(state.programme, operation.id);
  const [draft, setDraft] = useDraft(`${state.case}-work-${operation.id}`, {
    part: parts[0]!.id,
    amount: '',
  });
  const [problem, setProblem] = useState<string>();
  const [saving, save] = useSaving();
  const { field, giving } = useReason(
    `${state.case}-work-in-spite-${operation.id}`,
    t('shaping.inSpite'),
    400,
    false,
  );
  const part = parts.find(({ id }) => id === draft.part) ?? parts[0]!;
  const measured = measuredOf(operation);
  const ways = waysOf(operation, part);
  const take = (way?: string) => {
    const amount = measured && readQuantity(draft.amount, measured.unit === 'mm' ? 'length' : 'count', unit);
    if (amount && 'problem' in amount) return setProblem(amount.problem);
    if (amount && amount.value <= 0) return setProblem(t('common.typeNumber'));
    const outside =
      amount &&
      boundsProblem(t('shaping.howMuch'), amount.value, boundsOf('work.done', 'amount'), (bound) =>
        measured?.unit === 'mm' ? formatDistance(bound, unit) : String(bound),
      );
    if (outside) return setProblem(outside);
    const note = (inSpite?: string) =>
      void save(() =>
        write('work.done', stage, {
          operation: operation.id,
          part: part.id,
          ...(amount ? { amount: amount.value } : {}),
          ...(way === undefined ? {} : { way }),
          ...(inSpite === undefined ? {} : { inSpite }),
        }).then(() => setDraft({ ...draft, amount: '' })),
      );
    // what has to be so first is not: it is asked why
    if (mayBegin === false || (mayBegin === undefined && operation.requires)) giving(note);
    else note();
  };
  return (
    <Stack $gap={8}>
      <h2>{words.name}</h2>
      <Soft>
        {[
          words.how,
          operation.off ? t('shaping.off') : '',
          operation.kind === 'bend' && operation.from !== undefined && done.length === 0
            ? t('shaping.comesAt', { angle: operation.from })
            : '',
        ]
          .filter(Boolean)
          .join(' ')}
      </Soft>
      {done.length > 0 && (
        <ol>
          {done.map((one, i) => (
            <li key={one.entry}>
              <b>{i + 1}.</b> {formatWork(state, one, unit)}
            </li>
          ))}
        </ol>
      )}
      {words.caution && <Notice tone="caution">{words.caution}</Notice>}
      {operation.requires && mayBegin !== true && (
        <Notice tone="caution">
          <Stack $gap={6}>
            <span>{words.first ? t('shaping.first', { first: words.first }) : t('shaping.notYet')}</span>
            {mayShape && field}
          </Stack>
        </Notice>
      )}
      {mayShape && (
        <Row $align="flex-end">
          {parts.length > 1 && (
            <Choice
              label={t('shaping.part')}
              options={parts.map(({ id }) => ({ value: id, label: partName(state.programme, id) }))}
              value={part.id}
              onChange={(id) => setDraft({ ...draft, part: id })}
            />
          )}
          {measured && (
            <ReadingField
              small
              label={t('shaping.howMuch')}
              kind={measured.unit === 'mm' ? 'length' : 'count'}
              unit={unit}
              sign={measured.unit === 'mm' ? unit : t(`shaping.unit.${measured.unit}`)}
              value={draft.amount}
              onChange={(amount) => {
                setDraft({ ...draft, amount });
                setProblem(undefined);
              }}
              problem={problem}
            />
          )}
          {ways.length === 0 ? (
            <Button
              isDisabled={saving}
              aria-label={`${words.name}: ${t('shaping.done')}`}
              onPress={() => take()}
            >
              {t('shaping.done')}
            </Button>
          ) : (
            ways.map((way) => (
              <Button
                key={way}
                isDisabled={saving}
                aria-label={`${words.name}: ${words.ways?.[way] ?? named('workWay', way)}`}
                onPress={() => take(way)}
              >
                {words.ways?.[way] ?? named('workWay', way)}
              </Button>
            ))
          )}
        </Row>
      )}
    </Stack>
  );
}
