import { bodyOfMade, madeIn, stands, type BodyOf } from '@estribo/core/logbook';
import { sameMade, type Setting, type SettingMade } from '@estribo/core/setting';
import { useMay, useWork } from '../case/case-context';
import type { SettingStage } from './kinds/piece';

/**
 * Records a setting as it was made: with the choice it carries out; otherwise, by somebody whose work it is not, as found.
 * @returns once it would survive a reload
 */
export function useMade(
  setting: Setting,
  stage: SettingStage,
): (made: SettingMade, more?: Pick<BodyOf<'set.made'>, 'moved'>) => Promise<string> {
  const { state, write } = useWork();
  const may = useMay(stage);
  const isOthers = setting.by === 'orthotist' && !may('setting.write');
  const chosen = state.setting.made.find((one) => one.setting.id === setting.id)?.chosen;
  return (made, more = {}) => {
    const carriesOut = chosen && sameMade(made, madeIn(chosen.decided));
    return write('set.made', stage, {
      setting: setting.id,
      ...bodyOfMade(made),
      ...(carriesOut ? { of: chosen.entry } : {}),
      // just as it was chosen, it is an orthotist's work that somebody else carries out
      ...(isOthers && !(carriesOut && stands(chosen)) ? { found: true } : {}),
      ...more,
    });
  };
}
