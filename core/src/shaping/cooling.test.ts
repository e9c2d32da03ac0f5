import integrate from 'ode45-cash-karp';
import { coolingFrom, contactLimit, formingWindow, timeConstant } from './cooling';

const room = 22;
/** Newton's law of cooling, integrated by a library of the registry (ode45-cash-karp). */
function cooled(from: number, tau: number, seconds: number): number {
  const run = integrate(
    [from],
    (change, [temperature]) => void (change[0] = -(temperature! - room) / tau),
    0,
    0.01,
    {
      tol: 1e-11,
    },
  );
  run.steps(Infinity, seconds);
  return run.y[0]!;
}
const readings = (tau: number, ...at: number[]) =>
  at.map((seconds) => ({ seconds: 1000 + seconds, celsius: cooled(80, tau, seconds) }));

test.each([90, 240, 600])('time constant of %d s: found again, and when it may be touched', (tau) => {
  const [first, second, third] = readings(tau, 0, 30, 60);
  expect(timeConstant(first!, second!, room)).toBeCloseTo(tau, 3);
  const law = coolingFrom([first!, second!, third!], room);
  if (!law.known) throw new Error(law.why);
  const touch = law.reaches(contactLimit) - 1000;
  expect(cooled(80, tau, touch)).toBeCloseTo(contactLimit, 4);
  expect(law.at(1000 + 45)).toBeCloseTo(cooled(80, tau, 45), 4);
});

const law = readings(240, 0, 30, 60);
test.each([
  ['no reading', [], room, 'no-readings'],
  ['one reading', law.slice(0, 1), room, 'one-reading'],
  ['two readings: no third bears it out', law.slice(0, 2), room, 'two-readings'],
  ['no temperature of the room', law, undefined, 'no-room'],
  [
    'two readings at once',
    [law[0]!, { ...law[1]!, seconds: law[0]!.seconds + 5 }, law[2]!],
    room,
    'too-close',
  ],
  ['a plastic that warms', [law[1]!, { ...law[0]!, seconds: 1100 }, law[2]!], room, 'not-cooling'],
  ['a reading under the room’s', [law[0]!, { seconds: 1060, celsius: 20 }, law[2]!], room, 'not-cooling'],
  [
    'a third that disagrees',
    [law[0]!, law[1]!, { seconds: 1060, celsius: law[2]!.celsius + 4 }],
    room,
    'not-borne-out',
  ],
] as const)('%s: no countdown', (_, read, air, why) =>
  expect(coolingFrom(read, air)).toEqual({ known: false, why }),
);

test('it never cools under the room', () => {
  const known = coolingFrom(law, room);
  expect(known.known && known.reaches(room)).toBe(Infinity);
  expect(known.known && known.reaches(room - 5)).toBe(Infinity);
});

test('between too hot and set there may be nothing', () => {
  const known = coolingFrom(law, room);
  if (!known.known) throw new Error(known.why);
  expect(formingWindow(known, 38)).toMatchObject({ empty: false });
  expect(formingWindow(known, contactLimit)).toMatchObject({ empty: true });
  expect(formingWindow(known, 55)).toMatchObject({ empty: true });
});
