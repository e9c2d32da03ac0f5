import type { Face } from '../anatomy';
import type { Level, Part } from '../brace';
import type { Setting } from '../setting';
import type { SequenceStep } from '../strapping';
import { shin, thigh } from './knee-levels';

/*
 * What unloaders share. Places are the drawing's own, an estimate: a model states its own in their place.
 */

const hinge = { from: 'kneecap-upper-edge', aside: -6 } as const;

/** One upright on the outer side with its hinge, a cuff above and below it, a pad at the condyle. */
export const singleUpright: Part[] = [
  ...(
    [
      ['cuff-thigh', thigh(0.3), thigh(0.44)],
      ['cuff-shin', shin(0.34), shin(0.5)],
    ] as const
  ).map(([id, from, to]): Part => ({ kind: 'cuff', id, from, to, faces: ['front', 'lateral'] })),
  {
    kind: 'bar',
    id: 'upright-lateral',
    course: [
      { ...thigh(0.44), face: 'lateral' },
      { ...hinge, face: 'lateral' },
      { ...shin(0.5), face: 'lateral' },
    ],
  },
  { kind: 'hinge', id: 'hinge-lateral', at: { ...hinge, face: 'lateral' } },
  {
    kind: 'pad',
    id: 'condyle-pad',
    from: { from: 'mid-kneecap', offset: -22 },
    to: { from: 'mid-kneecap', offset: 30 },
    face: 'lateral',
    width: 44,
    optional: true,
  },
];

/** A strap round the leg at a level, over one face. */
export const legStrap = (id: string, mark: string, level: Level, face: 'front' | 'back'): Part => ({
  kind: 'strap',
  id,
  mark,
  width: 26,
  course: (['medial', face, 'lateral'] as const satisfies readonly Face[]).map((side) => ({
    ...level,
    face: side,
  })),
});

/** The knee at a right angle, seated: how a correction is turned in the schools that say so. */
export const seatedAtNinety = { stance: 'seated', joints: { knee: 90 } } as const;

/** What is turned, at which angle, by how much at first and after that. */
export const correction = (
  id: string,
  of: Pick<
    Extract<Setting, { kind: 'correction' }>,
    'axes' | 'unit' | 'origin' | 'least' | 'most' | 'parts'
  > &
    Partial<Extract<Setting, { kind: 'correction' }>>,
): Setting => ({
  kind: 'correction',
  id,
  made: 'after-settling',
  by: 'orthotist',
  felt: true,
  at: { from: 'mid-kneecap', face: 'lateral' },
  ...of,
});

/** A part that came with it and may be left out. */
export const leftOutOrIn = (id: string, part: string): Setting => ({
  kind: 'fitted',
  id,
  made: 'before-donning',
  part,
});

/** The walk after which a brace has settled. How long is the clinic's own; five minutes are an estimate where practice names none. */
export const settlingWalk: SequenceStep = { kind: 'settle', id: 'settling-walk', how: 'walk', minutes: 5 };
