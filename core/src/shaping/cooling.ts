/** °C at which a surface may touch skin for ten minutes and more: ISO 13732-1 (memory). A burn threshold, no permission. */
export const contactLimit = 43;

/** s between the first two readings at least: closer together they say nothing of how it cools. An estimate. */
const leastApart = 15;
/** K by which a third reading may miss the law and still bear it out. An estimate. */
const bornOutWithin = 2;

export type Cooling =
  | {
      known: false;
      why:
        | 'no-readings'
        | 'one-reading'
        | 'not-cooling'
        | 'no-room'
        | 'too-close'
        | 'not-borne-out'
        | 'two-readings';
    }
  | {
      known: true;
      /** time constant, s */
      tau: number;
      /** °C at an instant, s on the readings' clock */
      at: (seconds: number) => number;
      /** when it has cooled to a temperature; Infinity at or under the room's */
      reaches: (celsius: number) => number;
    };

/**
 * T(t) = Ta + (T0 - Ta) exp(-t/tau), tau from the first two readings.
 * @param first and second: s and °C
 * @param room °C
 */
export const timeConstant = (
  first: { seconds: number; celsius: number },
  second: { seconds: number; celsius: number },
  room: number,
): number => (second.seconds - first.seconds) / Math.log((first.celsius - room) / (second.celsius - room));

/**
 * How a heated plastic cools, from thermometer readings: two give its time constant, a third has to bear it out. Without all
 * three there is no time, only the material's own.
 * @param readings in their order, s and °C
 * @param room °C; without it nothing is computed
 */
export function coolingFrom(
  readings: readonly { seconds: number; celsius: number }[],
  room: number | undefined,
): Cooling {
  const [first, second] = readings;
  if (!first) return { known: false, why: 'no-readings' };
  if (!second) return { known: false, why: 'one-reading' };
  if (room === undefined) return { known: false, why: 'no-room' };
  if (second.seconds - first.seconds < leastApart) return { known: false, why: 'too-close' };
  if (!(first.celsius > second.celsius && second.celsius > room)) return { known: false, why: 'not-cooling' };
  const tau = timeConstant(first, second, room);
  const at = (seconds: number) => room + (first.celsius - room) * Math.exp(-(seconds - first.seconds) / tau);
  const third = readings.at(-1)!;
  if (readings.length < 3) return { known: false, why: 'two-readings' };
  if (Math.abs(at(third.seconds) - third.celsius) > bornOutWithin)
    return { known: false, why: 'not-borne-out' };
  return {
    known: true,
    tau,
    at,
    reaches: (celsius) =>
      celsius <= room ? Infinity : first.seconds + tau * Math.log((first.celsius - room) / (celsius - room)),
  };
}

/** From when to when a plastic may touch skin and still forms; the last is before the first where there is no such time. */
export const formingWindow = (
  cooling: Extract<Cooling, { known: true }>,
  formsAbove: number,
): { from: number; to: number; empty: boolean } => {
  const [from, to] = [cooling.reaches(contactLimit), cooling.reaches(formsAbove)];
  return { from, to, empty: to <= from };
};
