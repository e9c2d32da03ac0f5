import type { Sequence, SequenceStep } from '../strapping';

/*
 * Rolling and holding in line somebody who may not move alone: by the facility's own handling policy, which goes before
 * all of this. Common practice, no source.
 */

const inLine = { stance: 'in-line' } as const;

/** The trunk rolled as one: far knee up, arm across, a sheet as a sling; one leads and holds head and shoulders. */
export const rollOver = (id: string): SequenceStep[] => [
  { kind: 'act', id: `${id}-knee-up-arm-across`, on: 'patient', posture: inLine, who: 'helper' },
  { kind: 'act', id: `${id}-roll`, on: 'patient', posture: inLine, who: 'helper' },
];
export const rollBack = (id: string): SequenceStep => ({
  kind: 'act',
  id: `${id}-back`,
  on: 'patient',
  posture: inLine,
  who: 'helper',
});

/**
 * A list in which the patient is rolled: one at the head leads and does nothing else, two roll, the orthotist slides; and what the
 * order has to say first.
 */
export const byLogRoll = {
  people: ['patient', 'orthotist', 'helper'],
  leads: 'helper',
  helpers: 3,
  handling: 'roll',
  needs: ['posture', 'roll'],
} satisfies Partial<Sequence>;

/** A list in which the neck is kept in line by the hands of one who does nothing else. */
export const neckInLine = {
  people: ['patient', 'orthotist', 'helper'],
  leads: 'helper',
  helpers: 1,
  handling: 'in-line',
} satisfies Partial<Sequence>;

/** A neck brace is opened for the skin in line, by the same staff as puts it on. */
export const openedInLine = (front: string, straps: readonly string[], helpers: number): Sequence => ({
  id: 'opened-in-line',
  purpose: 'off',
  // one that does not protect comes off as its model says
  when: { kind: 'ordered', what: 'protective', is: 'yes' },
  ...neckInLine,
  helpers,
  steps: [
    { kind: 'act', id: 'head-held-in-line', on: 'helper', posture: inLine, who: 'helper' },
    {
      kind: 'act',
      id: 'open-the-straps',
      on: 'brace',
      over: { parts: [...straps], how: 'in-turn' },
      posture: inLine,
    },
    { kind: 'act', id: 'front-lifted-off', on: 'brace', part: front, posture: inLine },
    { kind: 'look', id: 'look-at-the-skin', posture: inLine },
    { kind: 'act', id: 'closed-as-before', on: 'brace', part: front, posture: inLine },
  ],
});

/** Up from lying by the roll: arm across, knee up, legs over the edge, nobody pulls at the arms. */
export const upByRolling: SequenceStep = {
  kind: 'act',
  id: 'up-by-rolling',
  on: 'patient',
  posture: { stance: 'seated' },
  who: 'helper',
};
