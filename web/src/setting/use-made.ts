import { stands } from '@estribo/core/record';
import type { BodyOf } from '@estribo/core/logbook';
import { sameMade, type Setting, type SettingMade, bodyOfMade, madeIn } from '@estribo/core/setting';
import { createContext, useContext } from 'react';
import { useMay, useWork } from '../case/case-context';
import type { SettingStage } from './kinds/piece';

/** Around the piece of a setting: what is recorded with it is what the patient changed alone, and tells now. */
export const ToldByPatient = createContext(false);

/**
 * Records a setting as it was made: with the choice it carries out; otherwise, by somebody whose work it is not, as found.
 * @returns once it would survive a reload
 */
export function useMade(
  setting: Setting,
  stage: SettingStage,
): (made: SettingMade, more?: Pick<BodyOf<'set.made'>, 'moved' | 'given' | 'because'>) => Promise<string> {
  const { state, write } = useWork();
  const may = useMay(stage);
  const told = useContext(ToldByPatient);
  const isOthers = setting.by === 'orthotist' && !may('setting.write');
  const chosen = state.setting.made.find((one) => one.setting.id === setting.id)?.chosen;
  return (made, more = {}) => {
    // what the patient changed carries out no choice
    const carriesOut = !told && chosen && sameMade(made, madeIn(chosen.decided));
    return write('set.made', stage, {
      setting: setting.id,
      ...bodyOfMade(made),
      ...(carriesOut ? { of: chosen.entry } : {}),
      // just as it was chosen, it is an orthotist's work that somebody else carries out
      ...(told ? { reported: true } : isOthers && !(carriesOut && stands(chosen)) ? { found: true } : {}),
      ...more,
    });
  };
}
