import { object } from 'yup';
import { finite, notReversed } from '../../brace';
import { phaseInForce } from '../../order';
import { liftFor } from '../heel';
import {
  common,
  limits,
  numbersAt,
  outside,
  settingKind,
  type JudgedSetting,
  type SettingMade,
} from '../kind';

/** What is read and what is put on: both soles, what the braced leg is shorter by, the lift. */
export const liftPlaces = ['brace-sole', 'other-sole', 'shorter-by', 'lift'] as const;

/** mm: a sole's height is read no better by hand. An estimate. */
const asReadByHand = 3;

/** The lift that was read to be needed, of what was read with it; undefined before that. */
export function liftNeeded(made: SettingMade | undefined): number | undefined {
  const [brace, other, shorter] = liftPlaces.map((place) => made?.values?.[place] ?? NaN);
  const needed = liftFor(brace!, other!, shorter!);
  return Number.isFinite(needed) ? Math.max(0, needed) : undefined;
}

/**
 * A lift under the other shoe against a high sole: worked out of both soles and what the legs differ by already, and tried.
 * While the leg bears no weight it levels nothing.
 */
export const lift = settingKind(
  object({
    ...common,
    ...limits,
    /** mm of the model's own sole, where it states it */ sole: finite().positive(),
  }).test(...notReversed),
  {
    places: () => liftPlaces,
    whole: false,
    inOrOut: [],
    wanted: (_, { order, day }) => {
      const weight = order && phaseInForce(order, day)?.phase.weight;
      return weight === 'none' ? { from: 0, to: 0 } : undefined;
    },
    judge: (setting, made, wanted): JudgedSetting => {
      const values = numbersAt(liftPlaces, made);
      if (!values) return { state: 'open' };
      const put = values[3]!;
      const off = outside(put, setting.least, setting.most);
      if (off > 0) return { state: 'wrong', why: 'outside', by: off };
      const needed = wanted && wanted !== 'open' ? wanted.from : liftNeeded(made)!;
      const apart = Math.abs(put - needed);
      return apart > asReadByHand ? { state: 'wrong', why: 'not-as-wanted', by: apart } : { state: 'right' };
    },
    madeFrom: ['order'],
    // what is wanted is the lift alone, not what was read beside it
    choose: () => undefined,
  },
);
