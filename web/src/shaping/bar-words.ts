import type { CaseState } from '@estribo/core/logbook';
import type { LengthUnit } from '@estribo/core/quantity';
import type { BarState, MadeBend } from '@estribo/core/shaping';
import { named, t } from '../messages';
import { partName } from '../messages/fitting';
import { fixed, formatReading } from '../parts/format';

/** A bar by name, as its family calls it. */
export const barName = ({ programme }: CaseState, part: string): string => partName(programme, part);

/** A place on a bar in words: so much above or below what holds it. */
export const placeOnBar = (bar: Pick<BarState, 'byHand'>, at: number, unit: LengthUnit): string =>
  t(bar.byHand ? 'shaping.aboveMark' : at >= 0 ? 'shaping.aboveHinge' : 'shaping.belowHingeBy', {
    length: formatReading(Math.abs(at), 'mm', unit),
  });

/** Which way a bend goes, in words. */
export const wayOfTurn = (turn: number): 'away-from-limb' | 'towards-limb' =>
  turn >= 0 ? 'away-from-limb' : 'towards-limb';

/** The same in words: a bar along the back goes towards the body or away from it. */
export const wayWords = ({ byHand }: Pick<BarState, 'byHand'>, turn: number): string =>
  byHand
    ? t(turn >= 0 ? 'shaping.awayFromBody' : 'shaping.towardsBody')
    : named('direction', wayOfTurn(turn));

/** Degrees to a half: finer is not bent. */
export const halfDegrees = (value: number): string => {
  const rounded = Math.round(value * 2) / 2;
  return `${Number.isInteger(rounded) ? rounded : fixed(rounded, 1)}°`;
};

/** A bend that was made, in words. */
export const saidBend = (bar: BarState, { place, turn, hand, seen }: MadeBend, unit: LengthUnit): string =>
  [
    placeOnBar(bar, place, unit),
    t(seen ? 'shaping.keptSeen' : 'shaping.keptMeant', {
      amount: halfDegrees(Math.abs(turn)),
      direction: wayWords(bar, turn),
    }),
    ...(hand === undefined ? [] : [t('shaping.handWent', { hand: halfDegrees(Math.abs(hand)) })]),
  ].join(', ');

/** The letter under which a bend's place stands on the template. */
export const markOf = (index: number): string => String.fromCharCode(65 + (index % 26));
