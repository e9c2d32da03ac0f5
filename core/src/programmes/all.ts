import { kneeLigamentFrame } from './knee-ligament-frame';
import type { Programme } from './programme';

/** Every family that ships, in its newest version. A new family is one file and one line here. */
export const programmes: readonly Programme[] = [kneeLigamentFrame];
