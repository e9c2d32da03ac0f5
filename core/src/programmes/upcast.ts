import type { ProgrammeCheck } from '../checking';
import type { Joint } from '../anatomy';
import type { Sequence, SequenceStep } from '../strapping';
import { kneePad, kneeStrap, partOfStrap, rigidFrame } from './knee-ligament-frame';
import type { BraceModel } from './model';
import type { Programme } from './programme';

/*
 * Programmes and models that cases were opened with before a family's parts, lists and checks were data of this form. They
 * stay as they are under their hash; read, they have today's form. Only one family had straps then, a frame on the knee.
 */

interface OldStep {
  id: string;
  kind: 'prepare' | 'don' | 'strap' | 'press' | 'settle';
  strap?: number;
  knee?: number;
  minutes?: number;
}

interface OldProgramme extends Omit<Programme, 'parts' | 'settings' | 'sequences' | 'checks'> {
  sequence: OldStep[];
  checks: { kind: string; id: string }[];
}

interface OldModel extends Omit<BraceModel, 'parts'> {
  pads: {
    id: string;
    from: number;
    to: number;
    face: 'front' | 'back' | 'medial' | 'lateral';
    splits: boolean;
  }[];
  straps: { strap: number; level: number; face: 'front' | 'back' }[];
}

const isOldProgramme = (body: Programme | OldProgramme): body is OldProgramme => !('sequences' in body);
const isOldModel = (body: BraceModel | OldModel): body is OldModel => !('parts' in body);

function stepNow({ id, kind, strap, knee, minutes }: OldStep, joint: Joint | undefined): SequenceStep {
  const posture = knee === undefined || joint === undefined ? {} : { posture: { joints: { [joint]: knee } } };
  switch (kind) {
    case 'strap':
      return { kind: 'strap', id, part: partOfStrap(strap!), ...posture };
    case 'settle':
      return { kind: 'settle', id, how: 'walk', minutes: minutes!, ...posture };
    default:
      return { kind: 'act', id, on: 'brace', ...posture };
  }
}

/** A programme as it was registered, in today's form. */
export function currentProgramme(body: Programme | OldProgramme): Programme {
  if (!isOldProgramme(body)) return body;
  const { sequence, checks, ...rest } = body;
  const settle = sequence.find(({ kind }) => kind === 'settle');
  const list: Sequence = {
    id: 'putting-on',
    purpose: 'first-donning',
    people: ['orthotist'],
    steps: sequence.map((step) => stepNow(step, rest.joint)),
    ...(settle ? { passes: [{ after: settle.id }] } : {}),
  };
  return {
    ...rest,
    settings: [],
    parts: sequence.length === 0 ? [] : rigidFrame.parts,
    sequences: sequence.length === 0 ? [] : [list],
    // where a check lies on the limb was the screen's own knowledge then
    checks: checks.map(
      (check) => ({ ...rigidFrame.checks.find(({ id }) => id === check.id), ...check }) as ProgrammeCheck,
    ),
  };
}

/** A model as it was registered, in today's form. */
export function currentModel(body: BraceModel | OldModel): BraceModel {
  if (!isOldModel(body)) return body;
  const { pads, straps, ...rest } = body;
  return {
    ...rest,
    parts: [
      ...pads.map(({ id, from, to, face, splits }) => kneePad(id, from, to, face, splits)),
      ...straps.map(({ strap, level, face }) => kneeStrap(strap, level, face)),
    ],
  };
}
