import {
  instrumentOf,
  questionReading,
  unitOf,
  type Question,
  type ReadingStep,
} from '@estribo/core/measuring';
import { sideOfReading } from '@estribo/core/reviewing';
import { useState } from 'react';
import { useDraft } from '../api/draft';
import { useWork } from '../case/case-context';
import { useTyped } from '../case/typed-here';
import { AskedReading } from '../measuring/asked-reading';
import { named, t } from '../messages';
import { readingProblem } from '../parts/bounds';
import { Button } from '../parts/button';
import { Row, Stack } from '../parts/layout';
import { unitSign } from '../parts/format';
import { quantityOf, ReadingField, readQuantity } from '../parts/reading-field';
import { useSaving } from '../parts/use-saving';

/** A reading that reviews follow, taken once and questioned by what it was before. */
export function FollowedEntry({ step }: { step: ReadingStep }) {
  const { state, unit, stature, today, write } = useWork();
  const kept = unitOf(step);
  const [typed, type] = useDraft(`${state.case}-review-${step.id}`);
  useTyped(named('steps', step.id), typed.trim() !== '');
  const [problem, setProblem] = useState<string>();
  const [asked, ask] = useState<{ question: Question; value: number }>();
  const [saving, save] = useSaving();
  const enter = (value: number, questioned?: Question['against']) =>
    void save(async () => {
      await write('measure.read', 'review', {
        step: step.id,
        side: sideOfReading(step, state.side),
        value,
        instrument: instrumentOf(step),
        ...(questioned ? { questioned } : {}),
      });
      type('');
    });
  const take = () => {
    const read = readQuantity(typed, quantityOf[kept], unit);
    if ('problem' in read) return setProblem(read.problem);
    const outside = readingProblem(named('steps', step.id), read.value, step, unit);
    if (outside) return setProblem(outside);
    const { first, visits } = state.reviewing;
    const before = [first, ...visits].findLast(
      ({ day, girths }) => day < today && girths[step.id] !== undefined,
    );
    // against what was read before; the other side is not measured at a review
    const question = questionReading({ step, side: sideOfReading(step, state.side) }, read.value, {
      states: [],
      stature,
      braced: state.side,
      lastVisit: before?.girths ?? {},
    });
    if (question && !asked) ask({ question, value: read.value });
    else enter(read.value, question?.against);
  };
  return (
    <Stack $gap={8}>
      <Row $gap={8} $align="flex-end">
        <ReadingField
          small
          label={named('steps', step.id)}
          kind={quantityOf[kept]}
          unit={unit}
          sign={unitSign(kept, unit)}
          value={typed}
          onChange={(text) => {
            type(text);
            setProblem(undefined);
            ask(undefined);
          }}
          onEnter={take}
          problem={problem}
        />
        <Button
          onPress={take}
          isDisabled={saving}
          aria-label={`${named('steps', step.id)}: ${t('measuring.take')}`}
        >
          {t('measuring.take')}
        </Button>
      </Row>
      {asked && (
        <AskedReading
          step={step}
          value={asked.value}
          question={asked.question}
          onTake={enter}
          onChange={() => {
            ask(undefined);
            type('');
          }}
        />
      )}
    </Stack>
  );
}
