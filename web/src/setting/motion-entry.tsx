import { limitedMotion } from '@estribo/core/programmes';
import type { Side } from '@estribo/core/anatomy';
import { isFixed, isFree, type MotionWindow } from '@estribo/core/order';
import { exampleMotion, motionInWindow } from '@estribo/core/reviewing';
import { isNotMoved, looksReversed, parseNeutralZero, formatNeutralZero } from '@estribo/core/measuring';
import type { MotionStep } from '@estribo/core/measuring';
import { useState } from 'react';
import { useWork } from '../case/case-context';
import { useTyped } from '../case/typed-here';
import { saidEnds } from '../measuring/step-words';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Row, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { formatWindow } from '../parts/format';
import { useDraft } from '../api/draft';
import { ReadingField } from '../parts/reading-field';
import { useSaving } from '../parts/use-saving';

/** Motion by the neutral-zero method, tested inside the ordered window only. */
export function MotionEntry({
  window,
  stage,
  step,
  side,
  only,
  primary,
  onTaken,
}: {
  window: MotionWindow;
  stage: 'set' | 'review';
  /** another motion than the one the order limits */
  step?: MotionStep | undefined;
  /** the other side, as a comparison; the braced one where it says nothing */
  side?: Side;
  /** in this mode alone */
  only?: 'active' | 'passive' | undefined;
  primary: boolean;
  onTaken?: () => void;
}) {
  const { state, unit, write } = useWork();
  const at = side ?? state.side;
  const [typed, type] = useDraft(
    [state.case, 'motion', stage, step?.id ?? '', ...(only ? [only] : []), ...(side ? [side] : [])].join('-'),
  );
  const [chosen, setMode] = useState<'active' | 'passive'>(step?.modes[0] ?? 'passive');
  const mode = only ?? chosen;
  const [problem, setProblem] = useState<string>();
  const [beyond, setBeyond] = useState(false);
  const [reversed, setReversed] = useState(false);
  const [saving, save] = useSaving();

  const label = [
    step || only
      ? t('measuring.motionLabel', {
          what: step ? named('steps', step.id) : named('joints', state.programme.joint ?? 'any'),
          mode: named('mode', mode),
        })
      : t('setting.motionLabel', { joint: named('joints', state.programme.joint ?? 'any') }),
    ...(at === state.side ? [] : [named('side', at)]),
  ].join(', ');
  useTyped(label, typed.trim() !== '');

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
        side: at,
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

  const tested =
    step ??
    state.measuring.steps.find(
      (one): one is MotionStep => one.kind === 'motion' && one.joint === state.programme.joint,
    );
  return (
    <Stack $gap={10}>
      {at === state.side && mode === 'passive' && isNotMoved(tested, state.order?.order.injuries ?? []) && (
        <Notice tone="stop">{t('measuring.notMoved')}</Notice>
      )}
      <Row $align="flex-end">
        <ReadingField
          small
          primary={primary}
          label={label}
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
        {only === undefined && (
          <Choice
            label={t('measuring.mode')}
            options={(['passive', 'active'] as const).map((value) => ({
              value,
              label: named('mode', value),
            }))}
            value={mode}
            onChange={setMode}
          />
        )}
        <Button onPress={() => take(false)} isDisabled={saving}>
          {t('measuring.take')}
        </Button>
        <p style={{ flex: 1, minWidth: 200 }}>
          {step
            ? saidEnds(step).join(', ')
            : t(
                `setting.${isFree(window) ? 'motionHowFree' : isFixed(window) ? 'motionHowFixed' : 'motionHow'}`,
                {
                  window: formatWindow(window, step ?? limitedMotion(state.programme)),
                  example: formatNeutralZero(exampleMotion(window)),
                  joint: named('jointInside', state.programme.joint ?? 'any'),
                  mode: named('mode', mode),
                },
              )}
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
              window: formatWindow(window, step ?? limitedMotion(state.programme)),
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
