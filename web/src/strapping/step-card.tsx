import { partNamed, type Part } from '@estribo/core/brace';
import type { RunnerStep } from '@estribo/core/strapping';
import { RoleReads } from '../case/role-reads';
import { useWork } from '../case/case-context';
import { color } from '../look/tokens';
import { named, t } from '../messages';
import { partName, stepWords } from '../messages/fitting';
import { Button } from '../parts/button';
import { Big, Row, Soft } from '../parts/layout';
import { Notice } from '../parts/notice';
import { formatPosture } from '../parts/format-posture';
import { Card, Large, Lead } from './card';
import { screenOf } from './kinds/all';
import type { StepProps } from './kinds/piece';

/** What stands printed on the part that a step closes. */
export const markOf = (step: RunnerStep, parts: readonly Part[]): string | undefined =>
  'part' in step && step.part !== undefined ? partNamed(parts, step.part)?.mark : undefined;

/** A step to be read at arm's length: what, in which posture, who, how tight, what to hold, what to look at. */
export function StepCard({ step, saving, mayStrap, onDone }: StepProps) {
  const { state } = useWork();
  const { name, hold, caution, look, wrong } = stepWords(state.programme, step.id);
  const { heading, doneLabel, Extra, byItself } = screenOf(step);
  const mark = markOf(step, state.parts);
  return (
    <>
      <Card aria-live="polite">
        <Big style={{ minWidth: 64, textAlign: 'center', color: color('saddle') }}>{mark ?? '○'}</Big>
        <div>
          <Large>{name}</Large>
          {step.pass > 1 && <Soft>{t('strapping.secondPassHow')}</Soft>}
        </div>
        <Soft>{t('strapping.posture')}</Soft>
        <Large>{formatPosture(step.posture) || t('strapping.anyPosture')}</Large>
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
                parts: step.holds.parts.map((part) => partName(state.programme, part)).join(', '),
                who: named('people', step.holds.by),
              })}
            </Lead>
          </>
        )}
        {step.over && (
          <>
            <Soft>{t(`strapping.over.${step.over.how}`)}</Soft>
            <Lead>{step.over.parts.map((part) => partName(state.programme, part)).join(', ')}</Lead>
          </>
        )}
        {step.breath && (
          <>
            <Soft>{t('strapping.breathing')}</Soft>
            <Lead>{t(`strapping.breath.${step.breath}`)}</Lead>
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
      {mayStrap ? (
        byItself ? null : (
          <Row>
            <Button look="main" onPress={() => onDone()} isDisabled={saving} autoFocus keycap="⏎">
              {doneLabel?.(step, mark, name) ?? t('strapping.doneStep')}
            </Button>
          </Row>
        )
      ) : (
        <RoleReads permission="strapping.write" />
      )}
    </>
  );
}
