import type { BodyOf } from '@estribo/core/logbook';
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
    const values = Object.entries(made.values ?? {}).map(([place, value]) => ({ place, value }));
    const carriesOut =
      chosen &&
      sameMade(made, {
        ...(chosen.decided.values
          ? { values: Object.fromEntries(chosen.decided.values.map(({ place, value }) => [place, value])) }
          : {}),
        ...(chosen.decided.fitted === undefined ? {} : { fitted: chosen.decided.fitted }),
      });
    return write('set.made', stage, {
      setting: setting.id,
      ...(made.values ? { values } : {}),
      ...(made.fitted === undefined ? {} : { fitted: made.fitted }),
      ...(carriesOut ? { of: chosen.entry } : {}),
      // just as it was chosen, it is an orthotist's work that somebody else carries out
      ...(isOthers && !(carriesOut && !chosen.wouldDiffer && chosen.staleBecause.length === 0)
        ? { found: true }
        : {}),
      ...more,
    });
  };
}
