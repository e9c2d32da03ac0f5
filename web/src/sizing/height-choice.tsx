import type { CaseState } from '@estribo/core/logbook';
import type { HeightChoice, HeightMatch } from '@estribo/core/sizing';
import { named, t } from '../messages';
import { Choice } from '../parts/choice';
import { Field } from '../parts/field';
import { Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { percent } from '../parts/format';

export interface ChosenHeight {
  height: HeightChoice['height'] | undefined;
  reason: string;
}

/** What the height is before anybody has touched it: as it was decided, or as ordered. */
export function heightNow({ height, chosen }: CaseState['sizing']): ChosenHeight {
  const decided = chosen?.staleBecause.length === 0 ? chosen.decided : undefined;
  if (decided?.height) return { height: decided.height, reason: decided.heightReason ?? '' };
  return height?.ordered === undefined
    ? { height: undefined, reason: '' }
    : { height: height.ordered, reason: t('sizing.heightByOrder') };
}

/** What the order says of the height, and what the length that was read says to it. */
function saidOfHeight({ ordered, read, missing }: HeightMatch): { text: string; differs: boolean } {
  const first = ordered
    ? t('sizing.heightOrdered', { height: named('heights', ordered) })
    : t('sizing.heightUnsaid');
  const checked = () => {
    if (!read)
      return missing.length > 0
        ? t('sizing.heightMissing', { reading: missing.map((id) => named('steps', id)).join(', ') })
        : '';
    const reading = named('steps', read.reading);
    if (!read.height) return t('sizing.heightOff', { reading });
    const said = { reading, height: named('heights', read.height), percent: percent(read.probability) };
    return ordered === undefined
      ? t('sizing.heightReads', said)
      : t(ordered === read.height ? 'sizing.heightAgrees' : 'sizing.heightDisagrees', said);
  };
  return {
    text: `${first} ${checked()}`.trim(),
    differs: ordered === undefined || (read !== undefined && read.height !== ordered),
  };
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
  const { text, differs } = saidOfHeight(height);
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
      {differs ? <Notice tone="caution">{text}</Notice> : <Soft>{text}</Soft>}
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
