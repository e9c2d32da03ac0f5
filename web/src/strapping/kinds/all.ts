import type { RunnerStep, StepKind } from '@estribo/core/strapping';
import { act } from './act';
import { check } from './check';
import { list } from './list';
import { look } from './look';
import type { StepOf, StepScreen } from './piece';
import { repeat } from './repeat';
import { set } from './set';
import { settle } from './settle';
import { strap } from './strap';
import { work } from './work';

/** Every kind of step on the screen, each from its own file; a missing one is a fault of types. */
const screens: { [K in StepKind]: StepScreen<StepOf<K>> } = {
  act,
  strap,
  set,
  look,
  settle,
  check,
  work,
  list,
  repeat,
};

export const screenOf = ({ kind }: Pick<RunnerStep, 'kind'>): StepScreen =>
  screens[kind] as unknown as StepScreen;
