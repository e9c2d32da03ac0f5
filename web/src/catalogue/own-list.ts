import type { Stance } from '@estribo/core/brace';
import type { BraceModel, FamilyWords, Programme } from '@estribo/core/programmes';
import { sequenceSchema, type Sequence, type SequenceStep } from '@estribo/core/strapping';
import type { Joint } from '@estribo/core/anatomy';

/** Kinds of steps that a list from a leaflet is written with. */
export const writtenKinds = ['act', 'strap', 'look', 'walk', 'sit'] as const;
export type WrittenKind = (typeof writtenKinds)[number];

/** One step as it is typed. */
export interface WrittenStep {
  kind: WrittenKind;
  name: string;
  hold: string;
  caution: string;
  part: string;
  stance: string;
  angle: string;
  minutes: string;
}

/** A list of the maker's own as it is typed in from the leaflet. */
export interface WrittenList {
  id: string;
  name: string;
  purpose: Sequence['purpose'];
  /** the injury it is for; any where it says nothing */
  injury: string;
  people: Sequence['people'];
  handling: '' | 'roll' | 'in-line';
  /** after the walk each strap once more, in the same order */
  again: boolean;
  steps: WrittenStep[];
}

export const emptyStep: WrittenStep = {
  kind: 'strap',
  name: '',
  hold: '',
  caution: '',
  part: '',
  stance: '',
  angle: '',
  minutes: '5',
};

export const emptyList = (id: string): WrittenList => ({
  id,
  name: '',
  purpose: 'first-donning',
  injury: '',
  people: ['patient', 'orthotist'],
  handling: '',
  again: false,
  steps: [emptyStep],
});

export type ListProblem =
  | { at: 'name' | 'people' | 'steps' }
  | { at: 'step'; step: number; what: 'name' | 'part' | 'angle' | 'minutes' };

const number = (text: string): number | undefined =>
  /^-?\d+([.,]\d+)?$/.test(text.trim()) ? Number(text.trim().replace(',', '.')) : undefined;

const stepId = (list: WrittenList, index: number) => `${list.id}-${index + 1}`;

/** What is missing in a list as it is typed. */
export function listProblems(list: WrittenList): ListProblem[] {
  const blank = (text: string) => text.trim() === '';
  return [
    ...(blank(list.name) ? [{ at: 'name' as const }] : []),
    ...(list.people.length === 0 ? [{ at: 'people' as const }] : []),
    ...(list.steps.length === 0 ? [{ at: 'steps' as const }] : []),
    ...list.steps.flatMap((step, i): ListProblem[] => {
      const angle = blank(step.angle) ? 0 : number(step.angle);
      const minutes = number(step.minutes);
      const isRest = step.kind === 'walk' || step.kind === 'sit';
      return [
        ...(blank(step.name) ? [{ at: 'step' as const, step: i, what: 'name' as const }] : []),
        ...(step.kind === 'strap' && step.part === ''
          ? [{ at: 'step' as const, step: i, what: 'part' as const }]
          : []),
        ...(angle === undefined || Math.abs(angle) > 180
          ? [{ at: 'step' as const, step: i, what: 'angle' as const }]
          : []),
        ...(isRest && (minutes === undefined || minutes <= 0 || minutes > 240)
          ? [{ at: 'step' as const, step: i, what: 'minutes' as const }]
          : []),
      ];
    }),
  ];
}

/** A typed list as the model holds it: its steps, and what they say. */
export function sequenceOf(
  list: WrittenList,
  joint: Joint | undefined,
): { sequence: Sequence; words: Required<Pick<FamilyWords, 'lists' | 'steps'>> } {
  const steps = list.steps.map((step, i): SequenceStep => {
    const angle = step.angle.trim() === '' ? undefined : number(step.angle);
    const posture = {
      ...(step.stance ? { stance: step.stance as Stance } : {}),
      ...(angle !== undefined && joint ? { joints: { [joint]: angle } } : {}),
    };
    const common = {
      id: stepId(list, i),
      ...(Object.keys(posture).length > 0 ? { posture } : {}),
    };
    switch (step.kind) {
      case 'act':
        return { ...common, kind: 'act', on: 'brace' };
      case 'strap':
        return { ...common, kind: 'strap', part: step.part };
      case 'look':
        return { ...common, kind: 'look' };
      default:
        return { ...common, kind: 'settle', how: step.kind, minutes: number(step.minutes)! };
    }
  });
  const rest = steps.find(({ kind }) => kind === 'settle');
  const sequence: Sequence = {
    id: list.id,
    purpose: list.purpose,
    people: list.people,
    ...(list.injury ? { when: { kind: 'injury', is: list.injury } } : {}),
    ...(list.handling ? { handling: list.handling, leads: 'orthotist' as const } : {}),
    steps,
    ...(list.again && rest ? { passes: [{ after: rest.id }] } : {}),
  } as Sequence;
  return {
    sequence,
    words: {
      lists: { [list.id]: list.name.trim() },
      steps: Object.fromEntries(
        list.steps.map(({ name, hold, caution }, i) => [
          stepId(list, i),
          {
            name: name.trim(),
            hold: hold.trim(),
            ...(caution.trim() ? { caution: caution.trim() } : {}),
          },
        ]),
      ),
    },
  };
}

/** A list that the model holds, as it is typed again. */
export function writtenOf(sequence: Sequence, words: BraceModel['words']): WrittenList {
  return {
    id: sequence.id,
    name: words?.lists?.[sequence.id] ?? '',
    purpose: sequence.purpose,
    injury: sequence.when?.kind === 'injury' ? sequence.when.is : '',
    people: sequence.people,
    handling: sequence.handling ?? '',
    again: (sequence.passes?.length ?? 0) > 0,
    steps: sequence.steps.map((step): WrittenStep => {
      const { name = '', hold = '', caution = '' } = words?.steps?.[step.id] ?? {};
      const angle = Object.values(step.posture?.joints ?? {})[0];
      return {
        kind:
          step.kind === 'settle'
            ? step.how === 'sit'
              ? 'sit'
              : 'walk'
            : step.kind === 'strap' || step.kind === 'look'
              ? step.kind
              : 'act',
        name,
        hold,
        caution,
        part: step.kind === 'strap' ? (step.part ?? '') : '',
        stance: step.posture?.stance ?? '',
        angle: typeof angle === 'number' ? String(angle) : '',
        minutes: step.kind === 'settle' ? String(step.minutes) : '5',
      };
    }),
  };
}

/** A model with a list in it, or in place of the one of the same id; undefined where the list is none. */
export function withList(
  model: BraceModel,
  programme: Pick<Programme, 'joint'>,
  list: WrittenList,
): BraceModel | undefined {
  const { sequence, words } = sequenceOf(list, programme.joint);
  if (!sequenceSchema.isValidSync(sequence, { strict: true })) return undefined;
  const others = withoutList(model, list.id);
  return {
    ...others,
    sequences: [...(others.sequences ?? []), sequence],
    words: {
      lists: { ...others.words?.lists, ...words.lists },
      steps: { ...others.words?.steps, ...words.steps },
    },
  };
}

/** A model without one of its own lists, and without what that said. */
export function withoutList({ sequences = [], words = {}, ...model }: BraceModel, id: string): BraceModel {
  const left = sequences.filter((one) => one.id !== id);
  if (left.length === 0) return model;
  const steps = left.flatMap((one) => one.steps.map((step) => step.id));
  const only = <T>(all: Record<string, T> = {}, ids: readonly string[]) =>
    Object.fromEntries(Object.entries(all).filter(([key]) => ids.includes(key)));
  return {
    ...model,
    sequences: left,
    words: {
      lists: only(
        words.lists,
        left.map((one) => one.id),
      ),
      steps: only(words.steps, steps),
    },
  };
}
