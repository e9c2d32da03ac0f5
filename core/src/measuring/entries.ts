import type { EntryFault } from '../faults';
import { motionRange } from './neutral-zero';
import { stances } from '../brace';
import { pairsNeeded } from './own-repeatability';
import { instruments, substituteWays, type MeasuringStep } from './protocol';
import type { Joint, Side } from '../anatomy';
import { body, day, finite, name, oneOf, side, text, whole, yes, kind } from '../record';
import { foreignMotion, foreignPrecision, foreignReading, foreignStepOfMeasuring } from './faults';

/** What is measured for a brace, and on which side it is worn. */
interface Measured {
  steps: readonly MeasuringStep[];
  side: Side;
  /** whose motion the order limits */
  joint: Joint | undefined;
}

export const measureRead = kind('measure.read', {
  nature: 'fact',
  stages: ['measure', 'review'],
  permission: 'measuring.write',
  foreign: ({ steps, side: braced }: Measured, body): EntryFault[] => foreignReading(steps, braced, body),
  body: body({
    step: name().required(),
    side: side().required(),
    /** in the step's unit: mm, degrees, kg or years */
    value: finite().min(-180).max(3000).required(),
    instrument: oneOf(...instruments).required(),
    /** the instrument that gave the value, when it was calibrated, and the offset taken off the value */
    device: name(),
    calibrated: day(),
    offset: finite().min(-100).max(100),
    /** it was asked about, and taken all the same */
    questioned: oneOf('usual', 'stature', 'other-side', 'last-visit', 'neighbours'),
  }),
});

export const measureMarked = kind('measure.marked', {
  nature: 'fact',
  stages: ['measure'],
  permission: 'measuring.write',
  foreign: ({ steps, side: braced }: Measured, body): EntryFault[] =>
    foreignStepOfMeasuring(steps, braced, body),
  body: body({
    step: name().required(),
    side: side().required(),
    /** how the patient stood, sat or lay, where it was not the named way or none is named */
    stance: oneOf(...stances),
  }),
});

export const measureSkipped = kind('measure.skipped', {
  nature: 'fact',
  stages: ['measure'],
  permission: 'measuring.write',
  foreign: ({ steps, side: braced }: Measured, body): EntryFault[] =>
    foreignStepOfMeasuring(steps, braced, body),
  body: body({
    step: name().required(),
    side: side().required(),
    reason: text(200).min(3).required(),
    /** taken another way instead, with its larger uncertainty */
    substitute: oneOf(...substituteWays),
  }),
});

/** This clinic's own deviation in place of the protocol's, from its own pairs of readings. */
export const measurePrecision = kind('measure.precision', {
  nature: 'decision',
  stages: ['measure'],
  permission: 'measuring.write',
  foreign: ({ steps }: Measured, body): EntryFault[] => foreignPrecision(steps, body),
  body: body({
    step: name().required(),
    withinPerson: finite().positive().max(1000).required(),
    pairs: whole().min(pairsNeeded).required(),
  }),
});

export const motionTested = kind('motion.tested', {
  nature: 'fact',
  stages: ['set', 'review', 'measure'],
  permission: 'measuring.write',
  foreign: ({ steps, side: braced, joint }: Measured, body): EntryFault[] =>
    foreignMotion(steps, braced, joint !== undefined, body),
  body: body({
    /** the measuring step; absent for the motion the order limits */
    step: name(),
    side: side().required(),
    mode: oneOf('active', 'passive').required(),
    /** neutral zero: beyond zero positive, short of it negative */
    extension: whole().min(motionRange.extension[0]).max(motionRange.extension[1]).required(),
    flexion: whole().min(motionRange.flexion[0]).max(motionRange.flexion[1]).required(),
    limitReached: body({ extension: yes().required(), flexion: yes().required() }),
  }),
});
