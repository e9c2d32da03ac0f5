import type { Sequence, SequenceStep } from '../strapping';

/*
 * How knee braces come off. Common practice, no source.
 */

const lookAtTheSkin: SequenceStep = { kind: 'look', id: 'look-at-the-skin' };

/** All straps opened, each hook folded back on its own strap, the brace drawn off, the skin looked at. */
export const strapsOff: Sequence = {
  id: 'taking-off',
  purpose: 'off',
  people: ['patient'],
  steps: [
    { kind: 'act', id: 'open-straps-fold-hooks', on: 'brace' },
    { kind: 'act', id: 'draw-off', on: 'brace' },
    lookAtTheSkin,
  ],
};

/** From the first to the last by their numbers. */
export const strapsOffInOrder = (straps: readonly string[]): Sequence => ({
  ...strapsOff,
  steps: [
    { kind: 'act', id: 'open-in-order', on: 'brace', over: { parts: [...straps], how: 'in-turn' } },
    ...strapsOff.steps.slice(1),
  ],
});

/** By the buckles only: the straps stay as they are set. */
export const bucklesOff: Sequence = {
  ...strapsOff,
  steps: [{ kind: 'act', id: 'open-buckles-only', on: 'brace' }, ...strapsOff.steps.slice(1)],
};

/** Straps stay as they were set: from the first fitting on it is closed by its buckles. */
export const bucklesOn: Sequence = {
  id: 'by-the-buckles',
  purpose: 'again',
  people: ['patient'],
  steps: [
    { kind: 'act', id: 'hinge-level', on: 'brace', part: 'hinge-lateral' },
    {
      kind: 'strap',
      id: 'close-buckles',
      over: { parts: ['strap-1', 'strap-2', 'strap-3', 'strap-4'], how: 'in-turn' },
      holds: { parts: ['hinge-lateral'], by: 'patient' },
    },
    { kind: 'look', id: 'not-turned-look' },
  ],
};

/** Numbered straps that were taken out for washing go back to their places. */
export const strapsBack: Sequence = {
  id: 'straps-back',
  purpose: 'reassemble',
  people: ['patient'],
  steps: [{ kind: 'act', id: 'straps-to-their-numbers', on: 'brace' }],
};
