import type { CheckKind, FitCheck } from '@estribo/core/checking';
import { alike } from './alike';
import { angleAtStop } from './angle-at-stop';
import { compared } from './compared';
import { distance } from './distance';
import { fingers } from './fingers';
import { mark } from './mark';
import { proximalTo } from './proximal-to';
import { quantity } from './quantity';
import { seen } from './seen';
import type { CheckScreen } from './piece';

/** Every kind of check on the screen, each from its own file; a missing one is a fault of types. */
const screens: { [K in CheckKind]: CheckScreen<Extract<FitCheck, { kind: K }>> } = {
  distance,
  'angle-at-stop': angleAtStop,
  'proximal-to': proximalTo,
  alike,
  fingers,
  quantity,
  compared,
  mark,
  seen,
};

export const screenOf = ({ kind }: FitCheck): CheckScreen => screens[kind] as unknown as CheckScreen;
