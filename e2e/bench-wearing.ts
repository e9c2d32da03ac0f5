import { readTemperatures } from '@estribo/core/exchange';
import { usualWornRule, wornDays } from '@estribo/core/wearing';

/** A year of one-minute samples: read out of a file, and made into hours worn. */
export async function benchWearing(
  timed: (runs: number, work: () => unknown) => Promise<number>,
): Promise<void> {
  const start = Date.parse('2025-11-24T00:00:00Z');
  const text = [
    'time,temperature °C',
    ...Array.from({ length: 365 * 1440 }, (_, i) => {
      const warm = i % 1440 >= 540 && i % 1440 < 900;
      return `${new Date(start + i * 60_000).toISOString()},${warm ? 33.1 : 21.4}`;
    }),
  ].join('\n');
  const read = readTemperatures(text);
  if (!read.ok) throw new Error(read.problem.problem);
  const plain = await timed(3, () => text.split('\n').map((line) => line.split(',')));
  const reading = await timed(3, () => readTemperatures(text));
  const detecting = await timed(5, () => wornDays(read.series, 'Europe/Madrid', usualWornRule));
  console.log(
    `a year of temperatures at one a minute: read in ${reading.toFixed(0)} ms, ${(reading / plain).toFixed(1)} times splitting its lines alone (aim: 3 s); hours worn in ${detecting.toFixed(0)} ms (aim: 200)`,
  );
}
