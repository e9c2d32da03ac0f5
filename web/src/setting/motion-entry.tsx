import { limitedMotion } from '@estribo/core/programmes';
import type { MotionWindow } from '@estribo/core/order';
import { exampleMotion, motionInWindow } from '@estribo/core/reviewing';
import { looksReversed, parseNeutralZero, printNeutralZero } from '@estribo/core/measuring';
import type { MotionStep } from '@estribo/core/measuring';
import { useState } from 'react';
import { useWork } from '../case/case-context';
import { saidEnds } from '../measuring/step-words';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Row, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { isFree, printWindow } from '../parts/print';
import { useDraft } from '../api/draft';
import { ReadingField } from '../parts/reading-field';
import { useSaving } from '../parts/use-saving';

/** Motion by the neutral-zero method, tested inside the ordered window only. */
export function MotionEntry({
  window,
  stage,
  step,
  primary,
  onTaken,
}: {
  window: MotionWindow;
  stage: 'set' | 'review';
  /** another motion than the one the order limits */
  step?: MotionStep;
  primary: boolean;
  onTaken?: () => void;
}) {
  const { state, unit, write } = useWork();
  const [typed, type] = useDraft(`${state.case}-motion-${stage}-${step?.id ?? ''}`);
  const [mode, setMode] = useState<'active' | 'passive'>(step?.modes[0] ?? 'passive');
  const [problem, setProblem] = useState<string>();
  const [beyond, setBeyond] = useState(false);
  const [reversed, setReversed] = useState(false);
  const [saving, save] = useSaving();

  const take = (knowingly: boolean) => {
    const reached = parseNeutralZero(typed);
    if (!reached) return setProblem(t('setting.neutralZeroHow'));
    if ((step?.plane ?? 'sagittal') === 'sagittal' && looksReversed(reached) && !reversed)
      return setReversed(true);
    const tested = motionInWindow(reached, window);
    if (tested.beyond && !knowingly) return setBeyond(true);
    void save(async () => {
      await write('motion.tested', stage, {
        ...(step ? { step: step.id } : {}),
        side: state.side,
        mode,
        ...reached,
        limitReached: tested.test.limitReached,
      });
      type('');
      setBeyond(false);
      setReversed(false);
      onTaken?.();
    });
  };

  return (
    <Stack $gap={10}>
      <Row $align="flex-end">
        <ReadingField
          small
          primary={primary}
          label={
            step
              ? t('measuring.motionLabel', { what: named('steps', step.id), mode: named('mode', mode) })
              : t('setting.motionLabel', { joint: named('joints', state.programme.joint ?? 'any') })
          }
          kind="text"
          unit={unit}
          sign=""
          value={typed}
          onChange={(text) => {
            type(text);
            setProblem(undefined);
            setBeyond(false);
            setReversed(false);
          }}
          onEnter={() => take(false)}
          problem={problem}
        />
        <Choice
          label={t('measuring.mode')}
          options={(['passive', 'active'] as const).map((value) => ({ value, label: named('mode', value) }))}
          value={mode}
          onChange={setMode}
        />
        <Button onPress={() => take(false)} isDisabled={saving}>
          {t('measuring.take')}
        </Button>
        <p style={{ flex: 1, minWidth: 200 }}>
          {step
            ? saidEnds(step).join(', ')
            : t(isFree(window) ? 'setting.motionHowFree' : 'setting.motionHow', {
                window: printWindow(window, step ?? limitedMotion(state.programme)),
                example: printNeutralZero(exampleMotion(window)),
                joint: named('joints', state.programme.joint ?? 'any').toLowerCase(),
                mode: named('mode', mode),
              })}
        </p>
      </Row>
      {reversed && !beyond && (
        <Notice tone="caution" live>
          {t('setting.motionReversed')}
        </Notice>
      )}
      {beyond && (
        <Notice tone="stop" live>
          <Stack $gap={8}>
            {t('setting.motionBeyond', {
              window: printWindow(window, step ?? limitedMotion(state.programme)),
            })}
            <Row>
              <Button look="stop" onPress={() => take(true)}>
                {t('setting.motionHappened')}
              </Button>
            </Row>
          </Stack>
        </Notice>
      )}
    </Stack>
  );
}
