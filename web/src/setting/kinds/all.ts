import type { Setting, SettingKind } from '@estribo/core/setting';
import { angle } from './angle';
import { correction } from './correction';
import { fill } from './fill';
import { fitted, panel } from './fitted';
import { height } from './height';
import { length } from './length';
import { lift } from './lift';
import { lock } from './lock';
import { mark } from './mark';
import { pieces } from './pieces';
import { stops } from './stops';
import type { SettingScreen } from './piece';

/** Every kind of setting on the screen, each from its own file; a missing one is a fault of types. */
const screens: { [K in SettingKind]: SettingScreen<Extract<Setting, { kind: K }>> } = {
  stops,
  lock,
  correction,
  length,
  mark,
  angle,
  height,
  panel,
  fill,
  pieces,
  lift,
  fitted,
};

export const screenOf = ({ kind }: Setting): SettingScreen => screens[kind] as unknown as SettingScreen;
