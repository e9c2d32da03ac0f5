import type { Landmark } from '../anatomy';
import type { Condition } from '../brace';
import type { Setting } from '../setting';

/** Stops that are fitted when the order limits the motion, and not else. */
export const onlyIfOrdered: Condition = { kind: 'ordered', what: 'motion', is: 'limited' };

/**
 * The stops of a knee's hinges, medial and lateral alike: never beyond straight unless that is ordered. Other stops
 * ask for the angles at them again, where the family checks them. Common practice, no source.
 * @param hinge the landmark that the hinges lie at
 * @param more one hinge instead of two; stops that are in whatever is ordered, or on order alone
 */
export const kneeStops = (
  hinge: Landmark,
  {
    hinges = ['medial', 'lateral'],
    checked = true,
    ...more
  }: { hinges?: ('medial' | 'lateral')[]; checked?: boolean; always?: true; when?: Condition } = {},
): Setting => ({
  kind: 'stops',
  id: 'hinge-stops',
  made: 'before-donning',
  by: 'orthotist',
  joint: 'knee',
  parts: hinges.map((side) => `hinge-${side}`),
  at: { from: hinge, face: hinges[0]! },
  axes: [{ of: hinges, go: 'alike' }],
  leastExtension: 0,
  ...more,
  ...(checked ? { reopens: ['knee-at-extension-stop', 'knee-at-flexion-stop'] } : {}),
});
