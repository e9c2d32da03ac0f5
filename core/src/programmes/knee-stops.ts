import type { Landmark } from '../anatomy';
import type { Setting } from '../setting';

/**
 * The stops of a knee's two hinges, medial and lateral alike: never beyond straight unless that is ordered. Other stops
 * ask for the angles at them again. Common practice, no source.
 * @param hinge the landmark that the hinges lie at
 */
export const kneeStops = (hinge: Landmark, more: { always?: true } = {}): Setting => ({
  kind: 'stops',
  id: 'hinge-stops',
  made: 'before-donning',
  by: 'orthotist',
  joint: 'knee',
  parts: ['hinge-medial', 'hinge-lateral'],
  at: { from: hinge, face: 'medial' },
  axes: [{ of: ['medial', 'lateral'], go: 'alike' }],
  leastExtension: 0,
  ...more,
  reopens: ['knee-at-extension-stop', 'knee-at-flexion-stop'],
});
