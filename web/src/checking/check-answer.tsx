import { mayNotReach, type FitCheck } from '@estribo/core/checking';
import { boundsOf } from '@estribo/core/logbook';
import { useState } from 'react';
import { useDraft } from '../api/draft';
import { useWork } from '../case/case-context';
import { useTyped } from '../case/typed-here';
import { t } from '../messages';
import { boundsProblem } from '../parts/bounds';
import { Button } from '../parts/button';
import { Row } from '../parts/layout';
import { ReadingField, readQuantity } from '../parts/reading-field';
import { useSaving } from '../parts/use-saving';
import {
  checkName,
  checkQuantity,
  keyOf,
  pairNames,
  formatAmount,
  formatFound,
  saidAnswer,
  saidMinus,
  signOf,
} from './found';
import { screenOf } from './kinds/all';

/** What was found at a check: yes or no, a number, two of a pair, or that the joint does not come so far. */
export function CheckAnswer({
  check,
  value,
  reference,
  seen,
  notReached,
  primary,
}: {
  check: FitCheck;
  value: number | undefined;
  reference: number | undefined;
  seen: boolean | undefined;
  notReached: boolean;
  primary: boolean;
}) {
  const { state, unit, write } = useWork();
  const kind = checkQuantity(check);
  const name = checkName(state, check);
  const at = { check: check.id, ...(check.moment ? { moment: check.moment.is } : {}) };
  const names = pairNames(state, check);
  const pair = screenOf(check).pair === true;
  const asFound = (number: number | undefined) =>
    number === undefined ? '' : formatFound(check, number, unit);
  const found = { typed: asFound(value), other: asFound(reference) };
  // only what was typed is kept: what was found is printed in the unit of the moment
  const [draft, setDraft] = useDraft<Partial<typeof found>>(`${state.case}-check-${keyOf(check)}`, {});
  const { typed, other } = { ...found, ...draft };
  useTyped(name, typed !== found.typed || other !== found.other);
  const [problem, setProblem] = useState<{ value?: string; reference?: string }>({});
  const [, save] = useSaving();
  if (screenOf(check).quantity === undefined)
    return (
      <Row $gap={8}>
        {[true, false].map((answer) => (
          <Button
            // the one to answer now takes the focus
            key={`${answer} ${primary}`}
            autoFocus={answer && primary}
            look={seen === answer ? (answer ? 'main' : 'stop') : 'second'}
            aria-pressed={seen === answer}
            aria-label={`${name}: ${saidAnswer(state, check.id, answer)}`}
            onPress={() =>
              seen !== answer && void save(() => write('check.recorded', 'check', { ...at, seen: answer }))
            }
          >
            {saidAnswer(state, check.id, answer)}
          </Button>
        ))}
      </Row>
    );
  const sign = signOf(check, unit);
  const read = (text: string) => {
    const number = readQuantity(text, kind, unit);
    if ('problem' in number) return number;
    const problem = boundsProblem(name, number.value, boundsOf('check.recorded', 'value'), (bound) =>
      formatAmount(check, bound, unit),
    );
    return problem ? { problem } : number;
  };
  const take = () => {
    const [first, second] = [read(typed), pair ? read(other) : undefined];
    if ('problem' in first) return setProblem({ value: first.problem });
    if (second && 'problem' in second) return setProblem({ reference: second.problem });
    // what stands there as it was found is not recorded again, though its inches are rounded
    if (value !== undefined && typed === found.typed && other === found.other) return;
    if (first.value === value && second?.value === reference) return setDraft({});
    void save(() =>
      write('check.recorded', 'check', {
        ...at,
        value: first.value,
        ...(second ? { reference: second.value } : {}),
      }).then(() => setDraft({})),
    );
  };
  return (
    <Row $gap={8} $align="flex-end">
      <ReadingField
        small
        primary={primary}
        hideLabel
        label={`${name}: ${pair ? names.value : t('checking.found')}`}
        kind={kind}
        minusSaid={(amount) => saidMinus(state.programme, check, amount)}
        unit={unit}
        sign={pair ? names.value : sign}
        value={typed}
        onChange={(text) => {
          setDraft({ ...draft, typed: text });
          setProblem({});
        }}
        {...(pair ? {} : { onEnter: take })}
        problem={problem.value}
      />
      {pair && (
        <ReadingField
          small
          hideLabel
          label={`${name}: ${names.reference}`}
          kind={kind}
          unit={unit}
          sign={names.reference}
          value={other}
          onChange={(text) => setDraft({ ...draft, other: text })}
          onEnter={take}
          problem={problem.reference}
        />
      )}
      <Button onPress={take} aria-label={`${name}: ${t('measuring.take')}`}>
        {t('measuring.take')}
      </Button>
      {mayNotReach(check) && (
        <Button
          look="quiet"
          aria-pressed={notReached}
          aria-label={`${name}: ${t('checking.notReached')}`}
          onPress={() =>
            !notReached &&
            void save(() =>
              write('check.recorded', 'check', { ...at, notReached: true }).then(() => setDraft({})),
            )
          }
        >
          {t('checking.notReached')}
        </Button>
      )}
    </Row>
  );
}
