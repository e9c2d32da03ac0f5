import type { RunnerStep, StepKind } from '@estribo/core/strapping';
import type { ComponentType } from 'react';

/** What is recorded of a step beside that it was done. */
export interface DoneMore {
  minutes?: number;
  dropped?: number;
  /** both of a pair were compared, and are alike */
  alike?: true;
}

export interface StepProps<S = RunnerStep> {
  step: S;
  saving: boolean;
  mayStrap: boolean;
  onDone: (more?: DoneMore) => void;
}

/** What the screen does with a kind of step. */
export interface StepScreen<S = RunnerStep> {
  /** how what is held, pressed or looked at is headed */
  heading?: 'strapping.look';
  /** what its button says, where that is more than that it is done */
  doneLabel?: (step: S, mark: string | undefined, name: string) => string;
  /** the piece that is worked with under its card */
  Extra?: ComponentType<{ step: S }>;
  /** what it asks for makes it done: it has no button */
  byItself?: true;
  /** it has a card of its own */
  Whole?: ComponentType<StepProps<S>>;
}

export type StepOf<K extends StepKind> = Extract<RunnerStep, { kind: K }>;
