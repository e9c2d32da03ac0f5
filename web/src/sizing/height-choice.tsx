import type { CaseState } from '@estribo/core/logbook';
import type { HeightChoice } from '@estribo/core/sizing';
import { named, t } from '../messages';
import { Choice } from '../parts/choice';
import { Field } from '../parts/field';
import { Soft, Stack } from '../parts/layout';
import { percent } from './size-answer';

export interface ChosenHeight {
  height: HeightChoice['height'] | undefined;
  reason: string;
}

/** What the height is before anybody has touched it: as it was decided, or as the reading says. */
export function heightNow({ height, chosen }: CaseState['sizing']): ChosenHeight {
  const decided = chosen?.staleBecause.length === 0 ? chosen.decided : undefined;
  if (decided?.height) return { height: decided.height, reason: decided.heightReason ?? '' };
  return height?.by === 'reading' && height.height !== undefined
    ? {
        height: height.height,
        reason: t('sizing.heightFromReading', { reading: named('steps', height.reading) }),
      }
    : { height: undefined, reason: '' };
}

/** The height of a size that comes in more than one: apart from the size, with a reason of its own. */
export function HeightWork({
  state,
  chosen,
  onChange,
  problem,
}: {
  state: CaseState;
  chosen: ChosenHeight;
  onChange: (chosen: ChosenHeight) => void;
  problem: string | undefined;
}) {
  const { chart, height } = state.sizing;
  if (!height) return null;
  const said =
    height.by === 'order'
      ? t('sizing.heightByOrder')
      : height.height !== undefined
        ? t('sizing.heightRead', {
            height: named('heights', height.height),
            reading: named('steps', height.reading),
            percent: percent(height.probability),
          })
        : t(height.missing ? 'sizing.heightMissing' : 'sizing.heightOff', {
            reading: named('steps', height.reading),
          });
  return (
    <Stack $gap={8}>
      <Choice
        label={t('sizing.height')}
        options={[...new Set((chart.heights ?? []).map((one) => one.height))].map((value) => ({
          value,
          label: named('heights', value),
        }))}
        value={chosen.height}
        onChange={(value) =>
          onChange({
            height: value,
            reason:
              value === heightNow(state.sizing).height
                ? heightNow(state.sizing).reason
                : chosen.reason === heightNow(state.sizing).reason
                  ? ''
                  : chosen.reason,
          })
        }
      />
      <Soft>{said}</Soft>
      <Field
        label={t('sizing.heightReason')}
        value={chosen.reason}
        onChange={(reason) => onChange({ ...chosen, reason })}
        problem={problem}
        maxLength={400}
      />
    </Stack>
  );
}
