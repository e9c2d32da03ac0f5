import Papa from 'papaparse';
import type { TemperatureSeries } from '../wearing';

/** Why a file of temperatures is not taken, with the line where it is so. */
export interface FileProblem {
  problem: 'empty' | 'no-columns' | 'no-instant' | 'no-number' | 'not-rising' | 'too-long' | 'fahrenheit';
  line: number;
}

/** A year and a month of one-minute samples. */
const mostSamples = 600_000;

interface Columns {
  time: number;
  temperature: number;
  /** its head says degrees Fahrenheit */
  fahrenheit: boolean;
}

/** °C beyond which a logged number is the sensor's own error (-127 of a lost wire). An estimate. */
const [coldest, hottest] = [-40, 84];

/** No brace is so warm for most of a log, worn or not: its numbers are of another unit, in degrees Celsius. */
const noCelsius = 50;

/** The column of times and that of temperatures, by their heads; without heads the first and the second. */
const headed = (head: readonly string[]): Columns | undefined => {
  const find = (pattern: RegExp) => head.findIndex((one) => pattern.test(one.trim().toLowerCase()));
  const time = find(/^(time|date|timestamp|instant|zeit|fecha|hora)/);
  const temperature = find(/(temp|celsius|fahrenheit|°[cf]|grad)/);
  const fahrenheit = /(fahrenheit|°\s*f|\bf\b|_f\b)/i.test(head[temperature] ?? '');
  return time >= 0 && temperature >= 0 ? { time, temperature, fahrenheit } : undefined;
};

/** A decimal comma is a decimal point where it stands alone. */
const numberIn = (text: string): number => {
  const plain = text.trim();
  return plain === '' ? NaN : Number(/^-?\d+,\d+$/.test(plain) ? plain.replace(',', '.') : plain);
};

/**
 * A logged temperature file (CSV, RFC 4180): a column of times in ISO 8601 with their zone, or seconds since 1970, and one of
 * degrees Celsius, the separator being a comma or a semicolon. A line with an empty temperature is a gap, a sensor's error is
 * unknown. A column in Fahrenheit, by its head or by its numbers, is refused.
 * @param progress told now and then, the share that is read
 */
export function readTemperatures(
  text: string,
  progress?: (share: number) => void,
): { ok: true; series: TemperatureSeries } | { ok: false; problem: FileProblem } {
  const at = new Float64Array(mostSamples);
  const celsius = new Float64Array(mostSamples);
  let columns: Columns | undefined;
  let hot = 0;
  let count = 0;
  let line = 0;
  let found: FileProblem | undefined;
  Papa.parse<string[]>(text, {
    skipEmptyLines: true,
    step: ({ data, meta }, parser) => {
      line += 1;
      if (line % 20_000 === 0) progress?.(Math.min(1, meta.cursor / text.length));
      const refuse = (problem: FileProblem['problem']) => {
        found = { problem, line };
        parser.abort();
      };
      if (columns === undefined) {
        columns = headed(data);
        if (columns?.fahrenheit) return refuse('fahrenheit');
        if (columns) return;
        columns = { time: 0, temperature: 1, fahrenheit: false };
        if (data.length < 2) return refuse('no-columns');
      }
      const reading = (data[columns.temperature] ?? '').trim();
      if (reading === '') return;
      const when = (data[columns.time] ?? '').trim();
      const instant = /^\d{9,11}$/.test(when) ? Number(when) * 1000 : hasZone(when) ? Date.parse(when) : NaN;
      if (!Number.isFinite(instant)) return refuse('no-instant');
      const value = numberIn(reading);
      if (!Number.isFinite(value)) return refuse('no-number');
      if (count > 0 && instant <= at[count - 1]!) return refuse('not-rising');
      if (count >= mostSamples) return refuse('too-long');
      at[count] = instant;
      // no sensor under a brace is so cold or so hot: it is its own error, and nobody knows what it was
      celsius[count] = value < coldest || value > hottest ? NaN : value;
      if (value > noCelsius) hot += 1;
      count += 1;
    },
  });
  if (found) return { ok: false, problem: found };
  if (count < 2) return { ok: false, problem: { problem: 'empty', line } };
  if (hot > count / 2) return { ok: false, problem: { problem: 'fahrenheit', line } };
  return { ok: true, series: { at: at.slice(0, count), celsius: celsius.slice(0, count) } };
}

/** A time as ISO 8601 has it, date first, with its zone: anything else is no instant. */
const hasZone = (text: string): boolean =>
  /^\d{4}-\d\d-\d\d[t ]\d\d:\d\d(:\d\d(\.\d+)?)?(z|[+-]\d\d(:?\d\d)?)$/i.test(text);
