import { limitedMotion } from '@estribo/core/programmes';
import type { FitCheck, Judged } from '@estribo/core/checking';
import { partNamed } from '@estribo/core/brace';
import type { MarkToDraw, PartToDraw } from '@estribo/core/drawing';
import { boundsOf, decideSignature, stillNeeded, type CaseState } from '@estribo/core/logbook';
import type { LengthUnit } from '@estribo/core/quantity';
import type { Stage } from '@estribo/core/programmes';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useDraft } from '../api/draft';
import { useFigureLayer, useMay, useWork } from '../case/case-context';
import { color, narrow, size } from '../look/tokens';
import { asWorn, hingeLevel } from '../figure/layer';
import { named, t } from '../messages';
import { checkWords } from '../messages/fitting';
import { boundsProblem } from '../parts/bounds';
import { Button } from '../parts/button';
import { Field } from '../parts/field';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { printWindow } from '../parts/print';
import { ReadingField, readQuantity } from '../parts/reading-field';
import { useSaving } from '../parts/use-saving';
import { windowOn } from '@estribo/core/order';
import { checkQuantity, printAmount, printFound, saidFound, saidMinus, signOf } from './found';
import { LimbsFeltNote } from '../screening/limbs-felt';

const Line = styled.li<{ $state: Judged['state']; $now: boolean }>`
  display: grid;
  grid-template-columns: 28px minmax(180px, 1fr) minmax(0, auto);
  gap: 6px 12px;
  align-items: center;
  padding: 8px 12px;
  border: 1px solid ${({ $now }) => color($now ? 'river' : 'line')};
  border-left: 4px solid
    ${({ $state }) => color($state === 'fail' ? 'madder' : $state === 'pass' ? 'moss' : 'line')};
  border-radius: 4px;
  background: ${color('sheet')};
  ${narrow} {
    grid-template-columns: 28px minmax(0, 1fr);
    & > :nth-child(3) {
      grid-column: 1 / -1;
    }
  }
`;

const Failed = styled.div`
  grid-column: 2 / -1;
  display: grid;
  gap: 6px;
`;

const Badge = styled.span`
  width: 26px;
  height: 26px;
  border-radius: 50%;
  border: 2px solid ${color('edge')};
  display: grid;
  place-items: center;
  font-weight: 700;
  font-size: ${size.small};
`;

export default function CheckStage() {
  const { state, user, today, unit, select, selected, write } = useWork();
  const mayNow = useMay('check');
  const { checks, result, signed } = state.checking;
  const [note, setNote] = useDraft(`${state.case}-check-note`);
  const [saving, save] = useSaving();
  const mayCheck = mayNow('checking.write');
  const first = checks.findIndex(({ judged }) => judged.state === 'open');
  const moved = movedBy(state);
  const reference = hingeLevel(state.parts);
  useFigureLayer({
    parts: asWorn(state.parts).map((one) => ({ ...one, moved: moved[one.part.id] ?? {} })),
    ...(reference ? { reference: { at: reference, named: true } } : {}),
    marks: checks.flatMap(({ check, judged }, i): MarkToDraw[] =>
      // a check that is answered at several moments is one place with all its numbers
      check.at && checks.findIndex(({ check: { id } }) => id === check.id) === i
        ? [
            {
              id: check.id,
              kind: 'spot',
              at: check.at,
              label: checks.flatMap(({ check: { id } }, n) => (id === check.id ? n + 1 : [])).join('·'),
              state: stateOnFigure(judged, i === first),
            },
          ]
        : [],
    ),
  });
  const sign = () => {
    const body = decideSignature(state);
    if (body)
      void save(() =>
        write('check.signed', 'check', { ...body, ...(note.trim() ? { note: note.trim() } : {}) }).then(() =>
          setNote(''),
        ),
      );
  };
  const isSigned = signed !== undefined && signed.staleBecause.length === 0 && !signed.wouldDiffer;
  const newChecks = signed !== undefined && !isSigned;
  const order = state.order?.order;
  const limited = limitedMotion(state.programme);
  const window = order && windowOn(order, today, limited)?.window;

  return (
    <>
      <Stack $gap={4}>
        <h1>{t('checking.question')}</h1>
        <Soft>{t(state.strapping.list?.passes ? 'checking.how' : 'checking.howOnce')}</Soft>
      </Stack>
      {newChecks && <Notice tone="caution">{t('checking.signAgain')}</Notice>}
      {state.programme.limbs && stillNeeded(state, 'check').length === 0 && <LimbsFeltNote moment="after" />}
      {checks.length === 0 && <Notice tone="caution">{t('limbs.otherChecks')}</Notice>}
      <Stack $gap={8} as="ul">
        {checks.map(({ check, judged, value, reference, seen, entry }, i) => (
          <Line
            key={keyOf(check)}
            $state={judged.state}
            $now={selected === check.id || i === first}
            onFocus={() => select(check.id)}
          >
            <Badge aria-hidden>
              {judged.state === 'pass'
                ? '✓'
                : judged.state === 'fail'
                  ? '✕'
                  : judged.state === 'not-needed' || judged.state === 'not-reached'
                    ? '–'
                    : i + 1}
            </Badge>
            <div>
              <b>{nameOf(state, check)}</b>
              <Soft style={{ fontSize: size.small }}>
                {hint(state, check, window ? printWindow(window, limited) : '', unit)}
              </Soft>
            </div>
            {judged.state === 'not-needed' ? (
              <Soft>{t('checking.notNeeded')}</Soft>
            ) : judged.state === 'not-reached' && !mayCheck ? (
              <Soft>{t('checking.notReached')}</Soft>
            ) : mayCheck ? (
              <Answer
                key={check.kind === 'seen' ? 'seen' : (entry ?? 'open')}
                check={check}
                value={value}
                reference={reference}
                seen={seen}
                notReached={judged.state === 'not-reached'}
                primary={i === first}
              />
            ) : (
              <b>
                {value === undefined
                  ? seen === undefined
                    ? ''
                    : saidAnswer(state, check.id, seen)
                  : saidFound(state.programme, check, value, unit)}
                {reference === undefined ? '' : ` / ${printAmount(check, reference, unit)}`}
              </b>
            )}
            {judged.state === 'not-reached' && <Failed>{t('checking.notReachedDo')}</Failed>}
            {judged.state === 'open' && judged.why === 'too-early' && (
              <Failed>
                <p role="status">{t('checking.tooEarly', { count: check.moment?.notBefore ?? 0 })}</p>
              </Failed>
            )}
            {judged.state === 'fail' && (
              <Failed>
                <p role="alert" style={{ color: color('madder'), fontWeight: 700 }}>
                  {t(`checkFail.${judged.reason}`, {
                    joint: named('joints', state.programme.joint ?? 'any').toLowerCase(),
                  })}
                  {judged.by ? t('checking.by', { by: printAmount(check, judged.by, unit) }) : ''}.{' '}
                  {checkWords(state.programme, check.id).fix}
                </p>
                <Row $gap={14}>
                  {curesOf(state, check).map((stage) => (
                    <Link key={stage} to={`/cases/${state.case}/${stage}`}>
                      {t('checking.open', { stage: named('stages', stage) })}
                    </Link>
                  ))}
                </Row>
              </Failed>
            )}
          </Line>
        ))}
      </Stack>
      {isSigned && (
        <Notice tone={signed.decided.result === 'pass' ? 'good' : 'stop'}>
          {t(signed.decided.result === 'pass' ? 'checking.signedPass' : 'checking.signedFail')}
        </Notice>
      )}
      {mayCheck && checks.length > 0 && !isSigned && result !== 'open' && (
        <>
          <Notice tone={result === 'pass' ? 'good' : 'stop'}>
            {t(result === 'pass' ? 'checking.pass' : 'checking.fail')}
          </Notice>
          <Field label={t('checking.note')} value={note} onChange={setNote} maxLength={400} />
          <Row>
            <Button look="main" onPress={sign} isDisabled={saving}>
              {t('checking.sign', { name: user.name, result: named('result', result) })}
            </Button>
          </Row>
        </>
      )}
    </>
  );
}

/** How a check stands, as it is drawn. */
const stateOnFigure = ({ state }: Judged, isNow: boolean): MarkToDraw['state'] =>
  state === 'fail' ? 'bad' : state === 'pass' ? 'done' : isNow ? 'now' : 'ahead';

/** How far what was found moves the parts it is about from where they should be. */
function movedBy({ checking: { checks }, parts }: CaseState): Record<string, PartToDraw['moved']> {
  const moved: Record<string, PartToDraw['moved']> = {};
  for (const { check, value } of checks)
    if (check.kind === 'distance' && check.moves && value !== undefined)
      for (const id of check.parts ?? []) {
        const part = partNamed(parts, id);
        // what was found behind is counted from the face's middle, not from the part's own place
        const aside = -value - (part && 'at' in part ? (part.at.aside ?? 0) : 0);
        moved[id] = { ...moved[id], ...(check.moves === 'along' ? { along: value } : { aside }) };
      }
  return moved;
}

function hint(state: CaseState, check: FitCheck, window: string, unit: LengthUnit): string {
  const { programme } = state;
  const { how } = checkWords(programme, check.id);
  switch (check.kind) {
    case 'distance':
      return t('checking.allowed', {
        from: saidFound(programme, check, check.from, unit),
        to: saidFound(programme, check, check.to, unit),
      });
    case 'angle-at-stop':
      return t('checking.allowedWindow', { window });
    case 'proximal-to':
      return `${how} (${unit})`;
    case 'alike':
      return [
        how,
        t('checking.alike', { ...pairNames(state, check), within: printAmount(check, check.within, unit) }),
      ]
        .filter(Boolean)
        .join(': ');
    case 'fingers':
      return [how, t('checking.fingers', { least: check.least, most: check.most })]
        .filter(Boolean)
        .join('. ');
    case 'quantity':
      return [
        how,
        check.least === undefined
          ? t('checking.atMost', { most: printAmount(check, check.most!, unit) })
          : check.most === undefined
            ? t('checking.atLeast', { least: printAmount(check, check.least, unit) })
            : t('checking.between', {
                from: printAmount(check, check.least, unit),
                to: printAmount(check, check.most, unit),
              }),
      ]
        .filter(Boolean)
        .join('. ');
    case 'compared':
    case 'mark':
    case 'seen':
      return how ?? '';
  }
}

/** A check that is answered at several moments is several lines. */
const keyOf = ({ id, moment }: FitCheck): string => (moment ? `${id} ${moment.is}` : id);

/** A check's name, with its moment where it has several. */
function nameOf({ programme }: CaseState, { id, moment }: FitCheck): string {
  const { name } = checkWords(programme, id);
  return moment ? t('checking.at', { check: name, moment: named('checkMoment', moment.is) }) : name;
}

/** The stages that mend what a check found, in order, as far as there is something to do in them. */
const curesOf = ({ stages }: CaseState, { cures = [] }: FitCheck): Stage[] =>
  [...new Set(cures.map(({ stage }) => stage as Stage))].filter(
    (stage) => !['not-covered', 'not-needed'].includes(stages[stage].status),
  );

/** A check that has two numbers, and what each of them is of. */
const isPair = ({ kind }: FitCheck) => kind === 'proximal-to' || kind === 'alike';
const pairNames = ({ programme }: CaseState, { id }: FitCheck) => {
  const { value, reference } = checkWords(programme, id);
  return { value: value ?? t('checking.left'), reference: reference ?? t('checking.right') };
};

/** What is seen, in the trade's word where it has one: square or twisted; else yes or no. */
const saidAnswer = ({ programme }: CaseState, check: string, yes: boolean): string => {
  const words = checkWords(programme, check);
  return (yes ? words.yes : words.no) ?? t(yes ? 'common.yes' : 'common.no');
};

function Answer({
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
  const name = nameOf(state, check);
  const at = { check: check.id, ...(check.moment ? { moment: check.moment.is } : {}) };
  const names = pairNames(state, check);
  const asFound = (number: number | undefined) =>
    number === undefined ? '' : printFound(check, number, unit);
  const found = { typed: asFound(value), other: asFound(reference) };
  // only what was typed is kept: what was found is printed in the unit of the moment
  const [draft, setDraft] = useDraft<Partial<typeof found>>(`${state.case}-check-${keyOf(check)}`, {});
  const { typed, other } = { ...found, ...draft };
  const [problem, setProblem] = useState<{ value?: string; reference?: string }>({});
  const [, save] = useSaving();
  if (check.kind === 'seen')
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
      printAmount(check, bound, unit),
    );
    return problem ? { problem } : number;
  };
  const take = () => {
    const [first, second] = [read(typed), isPair(check) ? read(other) : undefined];
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
        label={`${name}: ${isPair(check) ? names.value : t('checking.found')}`}
        kind={kind}
        minusSaid={(amount) => saidMinus(state.programme, check, amount)}
        unit={unit}
        sign={isPair(check) ? names.value : sign}
        value={typed}
        onChange={(text) => {
          setDraft({ ...draft, typed: text });
          setProblem({});
        }}
        {...(isPair(check) ? {} : { onEnter: take })}
        problem={problem.value}
      />
      {isPair(check) && (
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
      {check.kind === 'angle-at-stop' && (
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
