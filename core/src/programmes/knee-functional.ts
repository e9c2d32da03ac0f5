import { rigidFrame } from './knee-ligament-frame';
import { kneeStops } from './knee-stops';
import type { Programme } from './programme';
import { sixStrapChecks, sixStraps, sixStrapsAgain, sixStrapsOff, sixStrapsOn } from './six-straps';
import { endsMidLimb } from './checks';
import { strapsBack } from './off';
import {
  calfSign,
  kneePosture,
  legFindings,
  mark,
  modelsKneeGirths,
  modelsOwn,
  motion,
  width,
} from './steps';

/**
 * Functional ligament brace: six straps, screwed stops. Donned with the knee about 30 degrees, foot flat; the
 * school gives no hinge midline. Practice names no sizing reading and no posture for it: they are the model's
 * own, the knee's angle is noted. Common practice, no source.
 */
export const kneeFunctional: Programme = {
  id: 'knee-functional',
  version: 7,
  region: 'leg',
  joint: 'knee',
  donning: 30,
  ordered: ['motion', 'weight'],
  injuries: ['front-cruciate', 'rear-cruciate', 'inner-ligament', 'outer-ligament'],
  findings: legFindings,
  measuring: [
    kneePosture(),
    mark('mid-kneecap'),
    ...modelsKneeGirths,
    modelsOwn(width('knee-width', 'mid-kneecap', 'mediolateral', [50, 190], { ofStature: 0.064 })),
    modelsOwn(
      width('knee-depth', 'mid-kneecap', 'anteroposterior', [50, 200], {
        ofStature: 0.068,
        onlyAsAxis: true,
      }),
    ),
    motion('knee-motion', 'knee', 'sagittal', ['active', 'passive']),
    calfSign,
  ],
  axes: ['girth-above', 'girth-below', 'knee-width', 'knee-depth'],
  settings: [kneeStops('kneecap-upper-edge', { checked: false })],
  parts: [...rigidFrame.parts, ...sixStraps],
  // a model brings its own pads and bars, or none
  operations: [
    { kind: 'pad', id: 'place-pads', asked: true },
    { kind: 'bend', id: 'bend-uprights', parts: ['upright-medial', 'upright-lateral'], off: true },
    {
      kind: 'cut',
      unit: 'mm',
      id: 'shorten-straps',
      parts: sixStraps.map(({ id }) => id),
      // folded to length and closed once, the second time after the warm-up
      requires: { kind: 'done', step: 'warm-up' },
    },
  ],
  wear: [{ id: 'worn-for-sport', rule: 'active' }],
  care: ['pads-by-hand', 'hinges-dry-spray', 'straps-to-numbers'],
  sequences: [
    {
      id: 'general',
      purpose: 'first-donning',
      // a rear-cruciate injury has a list of its own from the maker: this one is never taken for it
      when: { kind: 'not', of: { kind: 'injury', is: 'rear-cruciate' } },
      people: ['patient', 'orthotist'],
      steps: sixStrapsOn,
      passes: [sixStrapsAgain],
    },
    sixStrapsOff,
    strapsBack,
  ],
  checks: [
    ...sixStrapChecks,
    endsMidLimb(
      sixStraps.map(({ id }) => id),
      'shorten-straps',
    ),
  ],
};
