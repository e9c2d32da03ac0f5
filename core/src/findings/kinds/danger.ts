import { finding, type FindingRule } from '../finding';

/**
 * What may not wait: a danger sign, a limb that is not safe in the brace, movement or feeling lost while the patient was moved,
 * what a review found. Each is told to somebody the same day.
 */
export const danger: FindingRule = ({ state }) =>
  state.calls.map(({ about, why, of, day, whom, stage, made }) =>
    finding('danger', stage, {
      about: `${why} ${about}`,
      level: whom === 'emergency' || whom === 'physician-now' ? 'emergency' : 'today',
      day,
      entries: [of],
      withholds: why === 'lost-in-move' ? ['donning', 'signature', 'plan', 'teach-back'] : stops(why),
      mayBeOverridden: false,
      ...(made ? { told: { prescriber: made } } : {}),
    }),
  );

/** What was told at home, and what a review found, is told on; the brace itself may be right. */
const stops = (why: string): ('signature' | 'plan' | 'teach-back')[] =>
  why === 'review' || why === 'worn' ? [] : ['signature', 'plan', 'teach-back'];
