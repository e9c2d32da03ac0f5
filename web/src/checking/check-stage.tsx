import { limitedMotion } from '@estribo/core/programmes';
import { isLater, type FitCheck, type Judged } from '@estribo/core/checking';
import { partNamed } from '@estribo/core/brace';
import type { MarkToDraw, PartToDraw } from '@estribo/core/drawing';
import { stillNeeded, type CaseState } from '@estribo/core/logbook';
import type { LengthUnit } from '@estribo/core/quantity';
import styled from 'styled-components';
import { useFigureLayer, useMay, useSelection, useWork } from '../case/case-context';
import { Label } from '../case/label';
import { color, narrow, size } from '../look/tokens';
import { asWorn, hingeLevel } from '../figure/layer';
import { named, t } from '../messages';
import { checkWords } from '../messages/fitting';
import { Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { formatWindow } from '../parts/format';
import { windowOn } from '@estribo/core/order';
import { CheckAnswer } from './check-answer';
import { Cures } from './cures';
import { checkName, keyOf, pairNames, formatAmount, saidAnswer, saidFound } from './found';
import { screenOf } from './kinds/all';
import { OwnFingers } from '../instruments/own-fingers';
import { LimbsFeltNote } from '../screening/limbs-felt';
import { LookAgain } from './look-again';
import { Signature } from './signature';

const Line = styled.li<{ $state: Judged['state']; $now: boolean; $before: boolean }>`
  display: grid;
  grid-template-columns: 28px minmax(180px, 1fr) minmax(0, auto);
  gap: 6px 12px;
  align-items: center;
  padding: 8px 12px;
  border: 1px solid ${({ $now }) => color($now ? 'river' : 'line')};
  border-left: 4px solid
    ${({ $state, $before }) =>
      color($state === 'fail' ? 'madder' : $state === 'pass' ? 'moss' : $before ? 'ochre' : 'line')};
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

/** Findings that make a signature one of before. */
const outdated = ['signed-for-earlier-order', 'signed-before-change', 'signed-otherwise'];

export default function CheckStage() {
  const { state, findings, today, unit } = useWork();
  const { select, selected } = useSelection();
  const mayNow = useMay('check');
  const { checks, result, signed } = state.checking;
  const mayCheck = mayNow('checking.write');
  const first = checks.findIndex(({ check, judged }) => judged.state === 'open' && !isLater(check));
  // asked once, at the first check that is counted in fingers
  const byFingers = checks.flatMap(({ check }) => (screenOf(check).byFingers ? [keyOf(check)] : []))[0];
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
  // a signature of before an order, a change or other answers is shown as such, and asked for again
  const isSigned = signed !== undefined && !findings.some(({ kind }) => outdated.includes(kind));
  const order = state.order?.order;
  const limited = limitedMotion(state.programme);
  const window = order && windowOn(order, today, limited)?.window;

  return (
    <>
      <Stack $gap={4}>
        <h1>{t('checking.question')}</h1>
        <Soft>{t(state.strapping.list?.passes ? 'checking.how' : 'checking.howOnce')}</Soft>
      </Stack>
      <LookAgain />
      {state.programme.limbs && stillNeeded(state, 'check').length === 0 && <LimbsFeltNote moment="after" />}
      {checks.length === 0 && <Notice tone="caution">{t('limbs.otherChecks')}</Notice>}
      <Stack $gap={8} as="ul">
        {checks.map(({ check, judged, value, reference, seen, entry, before }, i) => (
          <Line
            key={keyOf(check)}
            $state={judged.state}
            $before={before !== undefined}
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
              <b>{checkName(state, check)}</b>
              <Soft style={{ fontSize: size.small }}>
                {hint(state, check, window ? formatWindow(window, limited) : '', unit)}
              </Soft>
            </div>
            {judged.state === 'not-needed' ? (
              <Soft>{t('checking.notNeeded')}</Soft>
            ) : judged.state === 'not-reached' && !mayCheck ? (
              <Soft>{t('checking.notReached')}</Soft>
            ) : mayCheck ? (
              <CheckAnswer
                key={screenOf(check).quantity ? (entry ?? 'open') : 'seen'}
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
                {reference === undefined ? '' : ` / ${formatAmount(check, reference, unit)}`}
              </b>
            )}
            {mayCheck && screenOf(check).byFingers && byFingers === keyOf(check) && (
              <Failed>
                <OwnFingers />
              </Failed>
            )}
            {judged.state === 'pass' && judged.narrower !== undefined && (
              <Failed>
                <p>{t('checking.narrower', { by: formatAmount(check, judged.narrower, unit) })}</p>
              </Failed>
            )}
            {judged.state === 'not-reached' && <Failed>{t('checking.notReachedDo')}</Failed>}
            {before && (
              <Failed>
                <p role="status">
                  {before.value === undefined
                    ? t('checking.beforeChange')
                    : t('checking.beforeChangeAt', { value: formatAmount(check, before.value, unit) })}
                </p>
              </Failed>
            )}
            {judged.state === 'open' && judged.why && (
              <Failed>
                <p role="status">
                  {judged.why === 'too-early'
                    ? t('checking.tooEarly', { count: check.moment?.notBefore ?? 0 })
                    : t('checking.tooLate', { count: check.moment?.notAfter ?? 0 })}
                </p>
              </Failed>
            )}
            {judged.state === 'fail' && (
              <Failed>
                <p role="alert" style={{ color: color('madder'), fontWeight: 700 }}>
                  {t(`checkFail.${judged.reason}`, {
                    joint: named('jointInside', state.programme.joint ?? 'any'),
                  })}
                  {judged.by ? t('checking.by', { by: formatAmount(check, judged.by, unit) }) : ''}.{' '}
                  {checkWords(state.programme, check.id).fix}
                </p>
                <Cures check={check} />
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
      {mayCheck && checks.length > 0 && !isSigned && result !== 'open' && <Signature />}
      <Label />
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

const hint = (state: CaseState, check: FitCheck, window: string, unit: LengthUnit): string =>
  screenOf(check).hint(check, {
    words: checkWords(state.programme, check.id),
    window,
    programme: state.programme,
    unit,
    print: (value) => formatAmount(check, value, unit),
    said: (value) => saidFound(state.programme, check, value, unit),
    names: pairNames(state, check),
  });
