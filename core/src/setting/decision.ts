import { faultAt } from '../faults';
import type { ClinicDay } from '../calendar';
import { provenance, type BodyIn, type ComputedDecision, type DecidedUnder } from '../record';
import type { Degrees } from '../quantity';
import type { SizingState } from '../sizing';
import type { settingChosen } from './entries';
import { foreignValues } from './faults';
import { bodyOfMade, choiceOn, type SettingGrounds } from './fold';
import type { SettingChoice } from './kind';
import { madeIn, judgeSetting, madeFromOf, type Setting } from './settings';

type SettingChosen = BodyIn<typeof settingChosen>;
/** What of a case a setting is chosen from. */
type Settable = DecidedUnder &
  SettingGrounds & { programme: { settings: readonly Setting[] }; sizing: Pick<SizingState, 'inputs'> };

const settingOf = ({ programme }: Settable, setting: string): Setting | undefined =>
  programme.settings.find(({ id }) => id === setting);

/** What is chosen for one of the case's settings on a day; undefined where nothing says what it should be. */
export function choiceFor(
  state: Settable,
  setting: string,
  day: ClinicDay,
  buffer?: Degrees,
): SettingChoice | undefined {
  const one = settingOf(state, setting);
  return one && choiceOn(one, state, day, buffer);
}

/**
 * A setting for a day as a decision: every place of it at once.
 * @param acknowledged what the hardware cannot give of the order was seen
 * @param buffer degrees within the order, for what the soft tissue gives; toward stricter alone
 * @returns undefined when nothing can be chosen
 */
export function decideSetting(
  state: Settable,
  setting: string,
  day: ClinicDay,
  acknowledged: boolean,
  buffer?: Degrees,
): SettingChosen | undefined {
  const one = settingOf(state, setting);
  const choice = choiceFor(state, setting, day, buffer);
  if (!one || !choice?.ok) return undefined;
  const { made, phase, ordered, lost } = choice;
  const from = {
    order: state.order ? [state.order.entry, ...state.order.changes.map(({ entry }) => entry)] : [],
    motion: state.motion ? [state.motion.entry] : [],
    readings: state.sizing.inputs,
  };
  return {
    setting,
    ...bodyOfMade(made),
    ...(phase === undefined ? {} : { phase }),
    ...(ordered ? { ordered } : {}),
    lost,
    acknowledged,
    ...(buffer === undefined ? {} : { buffer }),
    ...provenance(
      state,
      madeFromOf(one).flatMap((what) => from[what]),
    ),
  };
}

/** A choice that was sent, computed again. */
export const settingDecision: ComputedDecision<Settable, SettingChosen> = {
  // that it is a setting of this brace, at places of it, is asked before
  impossible: (state, { setting: id, values = [], fitted, lost, acknowledged }) => {
    const setting = settingOf(state, id);
    if (!setting) return faultAt('body.setting', 'no-setting');
    const made = madeIn({ values: values.length > 0 ? values : undefined, fitted });
    const judged = judgeSetting(setting, made, undefined);
    return [
      ...foreignValues(setting, state.model, values),
      ...(judged.state === 'wrong' ? faultAt('body.values', 'not-chosen', { why: judged.why }) : []),
      ...((lost.extension > 0 || lost.flexion > 0) && !acknowledged
        ? faultAt('body.acknowledged', 'loss-not-acknowledged')
        : []),
    ];
  },
  again: (state, { setting, acknowledged, buffer }, day) =>
    decideSetting(state, setting, day, acknowledged, buffer),
  notYet: ({ order }) => (order ? faultAt('kind', 'nothing-to-choose') : faultAt('kind', 'order-first')),
};
