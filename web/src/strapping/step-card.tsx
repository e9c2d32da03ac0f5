import { partNamed } from '@estribo/core/brace';
import { useState } from 'react';
import { RoleReads } from '../case/role-reads';
import { useWork } from '../case/case-context';
import { color } from '../look/tokens';
import { named, t } from '../messages';
import { partName, stepWords } from '../messages/fitting';
import { Button } from '../parts/button';
import { Big, Row, Soft } from '../parts/layout';
import { Notice } from '../parts/notice';
import { formatPosture } from '../parts/format-posture';
import { Card, Far, Large, Lead } from './card';
import { screenOf } from './kinds/all';
import type { StepProps } from './kinds/piece';
import { strapNumbers } from './strap-numbers';
import { StrapPull } from './strap-pull';

/**
 * A step to be read from two metres: what, in which posture; under it who, how tight, what to hold, what to look at. What goes
 * over a pair in turn is said one after the other, and compared at the end.
 */
export function StepCard({ step, saving, mayStrap, onDone }: StepProps) {
  const { state } = useWork();
  const { programme, parts, strapping } = state;
  const numbers = strapNumbers(parts, strapping.steps);
  const { name, hold, caution, look, wrong } = stepWords(programme, step.id);
  const { heading, doneLabel, Extra, byItself } = screenOf(step);
  const inTurn = step.over?.how === 'in-turn' ? step.over.parts : [];
  const [turn, setTurn] = useState(0);
  const posture = formatPosture(step.posture);
  const part = 'part' in step ? step.part : undefined;
  const inHand = inTurn[turn] ?? part;
  // by its printed mark, or by the number that the figure gives it
  const mark = inHand && (partNamed(parts, inHand)?.mark ?? numbers[inHand]);
  const isPair = step.over !== undefined && step.over.parts.length === 2;
  const done = () => (turn + 1 < inTurn.length ? setTurn(turn + 1) : onDone(isPair ? { alike: true } : {}));
  const label =
    inTurn.length > 0
      ? turn + 1 < inTurn.length
        ? t('strapping.closedPart', { part: partName(programme, inTurn[turn]!) })
        : t(isPair ? 'strapping.lastAlike' : 'strapping.closedPart', {
            part: partName(programme, inTurn[turn]!),
          })
      : (doneLabel?.(step, part === undefined ? undefined : partNamed(parts, part)?.mark, name) ??
        t('strapping.doneStep'));
  return (
    <>
      <Card aria-live="polite">
        <Big style={{ minWidth: 64, textAlign: 'center', color: color('saddle') }}>{mark ?? '○'}</Big>
        <div>
          <Far>{name}</Far>
          {step.pass > 1 && <Soft>{t('strapping.secondPassHow')}</Soft>}
        </div>
        {posture && (
          <>
            <Soft>{t('strapping.posture')}</Soft>
            <Far>{posture}</Far>
          </>
        )}
        {inTurn.length > 0 && (
          <>
            <Soft>{t('strapping.over.in-turn')}</Soft>
            <Large>
              {t('strapping.turnOf', {
                part: partName(programme, inTurn[turn]!),
                n: turn + 1,
                count: inTurn.length,
              })}
            </Large>
          </>
        )}
        {step.who && (
          <>
            <Soft>{t('strapping.who')}</Soft>
            <Lead>{named('people', step.who)}</Lead>
          </>
        )}
        {step.kind === 'strap' && step.pull && (
          <>
            <Soft>{t('strapping.pull')}</Soft>
            <Lead>{named('pulls', step.pull)}</Lead>
          </>
        )}
        {hold && (
          <>
            <Soft>{t(heading ?? 'strapping.hold')}</Soft>
            <Lead>{hold}</Lead>
          </>
        )}
        {step.holds && (
          <>
            <Soft>{t('strapping.held')}</Soft>
            <Lead>
              {t('strapping.heldBy', {
                parts: step.holds.parts.map((one) => partName(programme, one)).join(', '),
                who: named('people', step.holds.by),
              })}
            </Lead>
          </>
        )}
        {step.over?.how === 'together' && (
          <>
            <Soft>{t('strapping.over.together')}</Soft>
            <Lead>{step.over.parts.map((one) => partName(programme, one)).join(', ')}</Lead>
          </>
        )}
        {step.breath && (
          <>
            <Soft>{t('strapping.breathing')}</Soft>
            <Large>{t(`strapping.breath.${step.breath}`)}</Large>
          </>
        )}
        {look && (
          <>
            <Soft>{t(step.over?.how === 'in-turn' ? 'strapping.lookAfterEach' : 'strapping.lookAfter')}</Soft>
            <Lead>{look}</Lead>
          </>
        )}
      </Card>
      {wrong && <Soft>{t('strapping.wrong', { wrong })}</Soft>}
      {caution && <Notice tone="caution">{caution}</Notice>}
      {Extra && <Extra step={step} />}
      {step.kind === 'strap' && mayStrap && (inTurn[turn] ?? part) && (
        <StrapPull part={(inTurn[turn] ?? part)!} />
      )}
      {mayStrap ? (
        byItself ? null : (
          <Row>
            <Button key={turn} look="main" onPress={done} isDisabled={saving} autoFocus keycap="⏎">
              {label}
            </Button>
          </Row>
        )
      ) : (
        <RoleReads permission="strapping.write" />
      )}
    </>
  );
}
