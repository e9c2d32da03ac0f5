import type { Part } from '@estribo/core/brace';
import { partNamed } from '@estribo/core/brace';
import type { RunnerStep } from '@estribo/core/strapping';
import { useState } from 'react';
import { useHotkeys } from '../browser/hotkeys';
import { useMay, useWork } from '../case/case-context';
import { named, t } from '../messages';
import { stepWords } from '../messages/fitting';
import { Button } from '../parts/button';
import { Dialog } from '../parts/dialog';
import { formatPosture } from '../parts/format-posture';
import { Row, Soft, Stack } from '../parts/layout';
import { Steps } from '../parts/steps';
import { useSaving } from '../parts/use-saving';
import { screenOf } from './kinds/all';
import type { DoneMore } from './kinds/piece';
import { canSpeak, useSpokenSteps } from './spoken-steps';
import { StepCard } from './step-card';

const keyOf = ({ id, pass }: RunnerStep) => `${id}-${pass}`;

/** What stands printed on the part that a step closes. */
export const markOf = (step: RunnerStep, parts: readonly Part[]): string | undefined =>
  'part' in step && step.part !== undefined ? partNamed(parts, step.part)?.mark : undefined;

/** The list that is in use, one step at a time: the one to do now, or one that is meant to be done before its turn. */
export function Runner({
  step,
  ahead,
  setAhead,
}: {
  step: RunnerStep;
  ahead: boolean;
  setAhead: (key?: string) => void;
}) {
  const { state, write } = useWork();
  const { steps, list } = state.strapping;
  const { programme } = state;
  const mayStrap = useMay('strap')('strapping.write');
  const [saving, save] = useSaving();
  const [asked, ask] = useState<RunnerStep>();
  const { name, hold, caution } = stepWords(programme, step.id);
  const speech = useSpokenSteps(
    [name, formatPosture(step.posture), hold, caution].filter(Boolean).join('. '),
  );
  const take = (more: DoneMore = {}) =>
    void save(() =>
      write('strap.done', 'strap', {
        step: step.id,
        pass: step.pass,
        ...more,
        ...(ahead ? { outOfOrder: true } : {}),
      }).then(() => setAhead(undefined)),
    );
  const { byItself, Whole } = screenOf(step);
  // a foot pedal turns pages: while hands are busy it goes on to the next step
  useHotkeys({
    PageDown: () => {
      if (mayStrap && !saving && !byItself && !Whole && !step.over) take();
    },
  });
  const marked = steps.some((one) => markOf(one, state.parts) !== undefined);
  const before = steps.find((one) => one.state === 'now');
  const Shown = Whole ?? StepCard;
  return (
    <>
      <Steps
        label={t('strapping.sequence')}
        steps={steps.map((one, i) => ({
          id: keyOf(one),
          mark:
            markOf(one, state.parts) ??
            (one.kind === 'settle' ? named('settle', one.how) : marked ? '·' : String(i + 1)),
          name: [
            `${i + 1}. ${stepWords(programme, one.id).name}`,
            one.pass > 1 && `(${t('strapping.secondPass')})`,
            one.outOfOrder && `(${t('strapping.outOfOrder')})`,
          ]
            .filter(Boolean)
            .join(' '),
          state: keyOf(one) === keyOf(step) ? 'now' : one.state === 'now' ? 'ahead' : one.state,
          ...(mayStrap && one.state === 'ahead' ? { onPress: () => ask(one) } : {}),
        }))}
      />
      {ahead && before && (
        <Row>
          <Button look="quiet" onPress={() => setAhead(undefined)}>
            {t('strapping.backTo', { step: stepWords(programme, before.id).name })}
          </Button>
        </Row>
      )}
      <Shown key={keyOf(step)} step={step} saving={saving} mayStrap={mayStrap} onDone={take} />
      <Row $gap={14}>
        {canSpeak() && (
          <Button look="quiet" aria-pressed={speech.on} onPress={speech.turn}>
            {t(speech.on ? 'strapping.speakOff' : 'strapping.speakOn')}
          </Button>
        )}
        {list?.handling && mayStrap && (
          <Button
            look="stop"
            isDisabled={saving}
            onPress={() => void save(() => write('strap.lost', 'strap', { step: step.id }))}
          >
            {t('strapping.lostNow')}
          </Button>
        )}
      </Row>
      {asked && before && (
        <Dialog title={t('strapping.outOfOrderTitle')} onClose={() => ask(undefined)}>
          <Stack $gap={12}>
            <p>
              {t('strapping.outOfOrderAsk', {
                step: stepWords(programme, asked.id).name,
                before: stepWords(programme, before.id).name,
              })}
            </p>
            <Soft>{t('strapping.outOfOrderHow')}</Soft>
            <Row>
              <Button
                look="main"
                autoFocus
                onPress={() => {
                  setAhead(keyOf(asked));
                  ask(undefined);
                }}
              >
                {t('strapping.outOfOrderYes', { step: stepWords(programme, asked.id).name })}
              </Button>
              <Button onPress={() => ask(undefined)}>{t('common.cancel')}</Button>
            </Row>
          </Stack>
        </Dialog>
      )}
    </>
  );
}
