import { buildOf, landmarkLevel, templateStature } from '@estribo/core/anatomy';
import type { FitCheck, Judged } from '@estribo/core/checking';
import { boundsOf, decideSignature, stillNeeded } from '@estribo/core/logbook';
import type { LengthUnit } from '@estribo/core/quantity';
import { useState } from 'react';
import styled from 'styled-components';
import { useDraft } from '../api/draft';
import { useFigureLayer, useMay, useWork } from '../case/case-context';
import { color, narrow, size } from '../app/tokens';
import type { FigureMark } from '../figure/layer';
import { named, t } from '../messages';
import { en } from '../messages/en';
import { boundsProblem } from '../parts/bounds';
import { Button } from '../parts/button';
import { Field } from '../parts/field';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { printWindow } from '../parts/print';
import { ReadingField, readQuantity } from '../parts/reading-field';
import { useSaving } from '../parts/use-saving';
import { windowOn } from '@estribo/core/order';
import { checkQuantity, printAmount, printFound, saidFound, saidMinus } from './found';
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
  & > p:last-child {
    grid-column: 2 / -1;
  }
  ${narrow} {
    grid-template-columns: 28px minmax(0, 1fr);
    & > :nth-child(3) {
      grid-column: 1 / -1;
    }
  }
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

/** Where a check is looked at, on the leg. */
const spots: Record<string, Pick<FigureMark, 'level' | 'face'>> = {
  'hinge-height': { level: 25, face: 'lateral' },
  'hinge-behind-midline': { level: 25, face: 'back' },
  'not-twisted': { level: 150, face: 'front' },
  'strap-above-calf': { level: -112, face: 'back' },
  'knee-at-extension-stop': { level: 25, face: 'medial' },
  'knee-at-flexion-stop': { level: -10, face: 'back' },
  'fibular-neck-clear': {
    level: landmarkLevel('leg', 'fibular-neck', buildOf(templateStature))!,
    face: 'lateral',
  },
  'toes-warm-moving-felt': { level: -470, face: 'front' },
};

export default function CheckStage() {
  const { state, user, today, unit, select, selected, write } = useWork();
  const mayNow = useMay('check');
  const { checks, result, signed } = state.checking;
  const [note, setNote] = useDraft(`${state.case}-check-note`);
  const [saving, save] = useSaving();
  const mayCheck = mayNow('checking.write');
  const first = checks.findIndex(({ judged }) => judged.state === 'open');
  const height = checks.find(({ check }) => check.id === 'hinge-height')?.value;
  const behind = checks.find(({ check }) => check.id === 'hinge-behind-midline')?.value;
  useFigureLayer({
    brace: true,
    hinge: { above: height ?? 0, behind: behind ?? 6, label: t('figure.kneecapTop') },
    marks: checks.flatMap(({ check, judged }, i): FigureMark[] => {
      const spot = spots[check.id];
      return spot
        ? [
            {
              id: check.id,
              kind: 'spot',
              ...spot,
              label: String(i + 1),
              state:
                judged.state === 'fail'
                  ? 'bad'
                  : judged.state === 'pass'
                    ? 'done'
                    : i === first
                      ? 'now'
                      : 'ahead',
            },
          ]
        : [];
    }),
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
  const window = order && windowOn(order, today)?.window;

  return (
    <>
      <Stack $gap={4}>
        <h1>{t('checking.question')}</h1>
        <Soft>{t('checking.how')}</Soft>
      </Stack>
      {newChecks && <Notice tone="caution">{t('checking.signAgain')}</Notice>}
      {state.programme.limbs && stillNeeded(state, 'check').length === 0 && <LimbsFeltNote moment="after" />}
      {checks.length === 0 && <Notice tone="caution">{t('limbs.otherChecks')}</Notice>}
      <Stack $gap={8} as="ul">
        {checks.map(({ check, judged, value, reference, seen, entry }, i) => (
          <Line
            key={check.id}
            $state={judged.state}
            $now={selected === check.id || i === first}
            onFocus={() => select(check.id)}
          >
            <Badge aria-hidden>
              {judged.state === 'pass'
                ? '✓'
                : judged.state === 'fail'
                  ? '✕'
                  : judged.state === 'not-needed'
                    ? '–'
                    : i + 1}
            </Badge>
            <div>
              <b>{named('checks', check.id)}</b>
              <Soft style={{ fontSize: size.small }}>
                {hint(check, window ? printWindow(window) : '', unit)}
              </Soft>
            </div>
            {judged.state === 'not-needed' ? (
              <Soft>{t('checking.notNeeded')}</Soft>
            ) : mayCheck ? (
              <Answer
                key={check.kind === 'seen' ? 'seen' : (entry ?? 'open')}
                check={check}
                value={value}
                reference={reference}
                seen={seen}
                primary={i === first}
              />
            ) : (
              <b>
                {value === undefined
                  ? seen === undefined
                    ? ''
                    : saidAnswer(check.id, seen)
                  : saidFound(check, value, unit)}
                {reference === undefined ? '' : ` / ${printAmount(check, reference, unit)}`}
              </b>
            )}
            {judged.state === 'fail' && (
              <p role="alert" style={{ color: color('madder'), fontWeight: 700 }}>
                {named('checkFail', judged.reason)}
                {judged.by ? t('checking.by', { by: printAmount(check, judged.by, unit) }) : ''}.{' '}
                {named('checkDo', check.id)}
              </p>
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

function hint(check: FitCheck, window: string, unit: LengthUnit): string {
  switch (check.kind) {
    case 'distance':
      return t('checking.allowed', {
        from: saidFound(check, check.from, unit),
        to: saidFound(check, check.to, unit),
      });
    case 'angle-at-stop':
      return t('checking.allowedWindow', { window });
    case 'proximal-to':
      return t('checking.belowMark', { unit });
    case 'seen':
      return named('checkHow', check.id);
  }
}

/** What is seen, in the trade's word where it has one: square or twisted; else yes or no. */
const saidAnswer = (check: string, yes: boolean): string =>
  ((yes ? en.checkYes : en.checkNo) as Record<string, string>)[check] ?? t(yes ? 'common.yes' : 'common.no');

function Answer({
  check,
  value,
  reference,
  seen,
  primary,
}: {
  check: FitCheck;
  value: number | undefined;
  reference: number | undefined;
  seen: boolean | undefined;
  primary: boolean;
}) {
  const { state, unit, write } = useWork();
  const kind = checkQuantity(check);
  const asFound = (number: number | undefined) =>
    number === undefined ? '' : printFound(check, number, unit);
  const found = { typed: asFound(value), other: asFound(reference) };
  // only what was typed is kept: what was found is printed in the unit of the moment
  const [draft, setDraft] = useDraft<Partial<typeof found>>(`${state.case}-check-${check.id}`, {});
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
            aria-label={`${named('checks', check.id)}: ${saidAnswer(check.id, answer)}`}
            onPress={() =>
              seen !== answer &&
              void save(() => write('check.recorded', 'check', { check: check.id, seen: answer }))
            }
          >
            {saidAnswer(check.id, answer)}
          </Button>
        ))}
      </Row>
    );
  const sign = kind === 'distance' ? unit : '°';
  const read = (text: string) => {
    const number = readQuantity(text, kind, unit);
    if ('problem' in number) return number;
    const problem = boundsProblem(
      named('checks', check.id),
      number.value,
      boundsOf('check.recorded', 'value'),
      (bound) => printAmount(check, bound, unit),
    );
    return problem ? { problem } : number;
  };
  const take = () => {
    const [first, second] = [read(typed), check.kind === 'proximal-to' ? read(other) : undefined];
    if ('problem' in first) return setProblem({ value: first.problem });
    if (second && 'problem' in second) return setProblem({ reference: second.problem });
    // what stands there as it was found is not recorded again, though its inches are rounded
    if (value !== undefined && typed === found.typed && other === found.other) return;
    void save(() =>
      write('check.recorded', 'check', {
        check: check.id,
        value: first.value,
        ...(second ? { reference: second.value } : {}),
      }),
    );
  };
  return (
    <Row $gap={8} $align="flex-end">
      <ReadingField
        small
        primary={primary}
        hideLabel
        label={`${named('checks', check.id)}: ${check.kind === 'proximal-to' ? t('checking.strapAt') : t('checking.found')}`}
        kind={kind}
        minusSaid={(amount) => saidMinus(check, amount)}
        unit={unit}
        sign={check.kind === 'proximal-to' ? t('checking.strapAt') : sign}
        value={typed}
        onChange={(text) => {
          setDraft({ ...draft, typed: text });
          setProblem({});
        }}
        {...(check.kind === 'proximal-to' ? {} : { onEnter: take })}
        problem={problem.value}
      />
      {check.kind === 'proximal-to' && (
        <ReadingField
          small
          hideLabel
          label={`${named('checks', check.id)}: ${t('checking.calfAt')}`}
          kind={kind}
          unit={unit}
          sign={t('checking.calfAt')}
          value={other}
          onChange={(text) => setDraft({ ...draft, other: text })}
          onEnter={take}
          problem={problem.reference}
        />
      )}
      <Button onPress={take} aria-label={`${named('checks', check.id)}: ${t('measuring.take')}`}>
        {t('measuring.take')}
      </Button>
    </Row>
  );
}
