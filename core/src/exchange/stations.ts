import Papa from 'papaparse';
import { parseLength, type LengthUnit } from '../quantity';

/** Stations that were pasted or typed, one a line: how far along, how far out. */
export type ReadStations =
  | { ok: true; stations: { at: number; out: number }[] }
  | { ok: false; line: number; problem: 'not-two' | 'no-number' | 'twice' | 'none' };

/**
 * Reads stations from text: two lengths a line, apart by a tab, a semicolon, spaces, or a comma where it is no decimal one. A
 * length without its unit is in the given one.
 * @returns mm, by rising place; or the line that cannot be read, counted from 1
 */
export function readStations(text: string, unit: LengthUnit): ReadStations {
  const rows = text.split(/\r?\n/);
  const stations: { at: number; out: number }[] = [];
  for (const [i, row] of rows.entries()) {
    if (row.trim() === '') continue;
    const line = i + 1;
    const delimiter = /[\t;]/.exec(row)?.[0];
    const cells = (
      delimiter
        ? (Papa.parse<string[]>(row, { delimiter }).data[0] ?? [])
        : row.trim().split(/\s+|,\s+|(?<=\d),(?=-?\d+[.]|\s)/)
    )
      .map((cell) => cell.trim())
      .filter(Boolean);
    if (cells.length !== 2) return { ok: false, line, problem: 'not-two' };
    const [at, out] = cells.map((cell) => signed(cell, unit));
    if (at === undefined || out === undefined) return { ok: false, line, problem: 'no-number' };
    // nearer than a millimetre is the same place
    if (stations.some((one) => Math.abs(one.at - at) < 1)) return { ok: false, line, problem: 'twice' };
    stations.push({ at, out });
  }
  return stations.length === 0
    ? { ok: false, line: 1, problem: 'none' }
    : { ok: true, stations: stations.sort((a, b) => a.at - b.at) };
}

/** A length to either side of a place: a minus is the other side. */
function signed(text: string, unit: LengthUnit): number | undefined {
  const plain = text.replace(/^[−–]/, '-');
  if (/^[+-]?0+([.,]0+)?$/.test(plain)) return 0;
  const read = parseLength(plain.replace(/^[+-]/, ''), unit);
  return read.ok ? (plain.startsWith('-') ? -read.millimetres : read.millimetres) : undefined;
}
