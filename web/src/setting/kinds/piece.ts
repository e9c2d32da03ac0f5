import type { LengthUnit } from '@estribo/core/quantity';
import type { Setting, SettingMade, MadeSetting } from '@estribo/core/setting';
import type { ComponentType } from 'react';
import type { settingWords } from '../../messages/fitting';

/** Where a setting is made: before it goes on, while it goes on, at a review. */
export type SettingStage = 'set' | 'strap' | 'review';

export interface PieceProps<S> {
  setting: S;
  made: MadeSetting['made'];
  words: ReturnType<typeof settingWords>;
  stage: SettingStage;
  /** numbers by place, mm or as they are counted, that stand there before anything was made */
  start?: Readonly<Record<string, number>>;
}

/** What the screen does with a kind of setting: how its number is said, and the piece it is made with. */
export interface SettingScreen<S = Setting> {
  print: (setting: S, value: number, unit: LengthUnit) => string;
  /** how all of it is said, where that is more than its numbers one after the other */
  formatMade?: (setting: S, made: SettingMade) => string;
  /** how in and out are said of it */
  inOrOut?: { in: 'setting.isIn'; out: 'setting.leftOut' | 'setting.lockOpen' };
  /** what else is said of how it is made */
  note?: (setting: S) => string;
  Piece: ComponentType<PieceProps<S>>;
  /** its piece wants the whole width */
  wide?: true;
  /** in Set it has the whole work to itself, with the joint and the order beside it; elsewhere its piece */
  Whole?: ComponentType<{ setting: S }>;
}

/** A number with the word that it is counted in: "4 wedges"; a mark is no count, its word leads: "mark 9". */
export const withUnit = ({ kind }: Setting, word: string | undefined, shown: string): string =>
  (kind === 'mark' ? [word, shown] : [shown, word]).filter(Boolean).join(' ');
