import type { BraceModel, Programme } from '../programmes';
import { chartsToCsv, type ChartRow } from './chart-csv';
import Papa from 'papaparse';

/** One thing that a new version of a model states otherwise than the one before: as its rows in a chart file. */
export interface ChartChange {
  /** which: what the row states, of which reading, size, row and column */
  states: string;
  reading: string;
  size: string;
  row: string;
  column: string;
  /** what was stated, in the words of the file; absent: it is new */
  before?: string;
  /** what is stated now; absent: it is gone */
  now?: string;
}

/** Statements whose row says what is stated, not of what. */
const inTheRow = ['strap', 'part', 'setting'];

const ofTheModel = ['name', 'maker', 'sided', 'supply', 'between', 'disagree'] as const;
const named = ({ states, reading, size, row, column }: ChartRow) =>
  // several pieces of one hinge are told apart by their degrees
  ({
    states,
    reading,
    size: states === 'cell' ? '' : size,
    row: inTheRow.includes(states) ? '' : row,
    column,
  });

/**
 * What changes from one version of a model to the next, row by row as a chart file states it.
 * @param before absent for a new model: everything is new
 */
export function chartChanges(
  before: BraceModel | undefined,
  now: BraceModel,
  programme: Programme,
): ChartChange[] {
  const rowsOf = (model: BraceModel): ChartRow[] =>
    Papa.parse<ChartRow>(chartsToCsv([model], [programme]), { header: true }).data;
  const keyed = (rows: readonly ChartRow[]) =>
    new Map(
      rows.map((row) => {
        const key = { ...named(row), ...(row.states === 'stop' ? { row: row.from } : {}) };
        return [JSON.stringify(key), { key, said: saidBy(row) }] as const;
      }),
    );
  const [older, newer] = [before ? rowsOf(before) : [], rowsOf(now)];
  const [was, is] = [keyed(older), keyed(newer)];
  const rules = ofTheModel.flatMap((column): ChartChange[] => {
    const [old, fresh] = [older[0]?.[column], newer[0]?.[column]];
    return old === fresh || old === undefined || fresh === undefined
      ? []
      : [{ states: column, reading: '', size: '', row: '', column: '', before: old, now: fresh }];
  });
  return [
    ...rules,
    ...[...new Set([...was.keys(), ...is.keys()])].flatMap((id): ChartChange[] => {
      const [old, fresh] = [was.get(id), is.get(id)];
      if (old?.said === fresh?.said) return [];
      return [
        {
          ...(fresh ?? old)!.key,
          ...(old ? { before: old.said } : {}),
          ...(fresh ? { now: fresh.said } : {}),
        },
      ];
    }),
  ];
}

/** What a row says beside what it is about. */
const saidBy = ({ states, from, to, size, row, distance, resolution }: ChartRow): string =>
  (states === 'cell'
    ? [size]
    : [
        row && inTheRow.includes(states) ? row : '',
        from,
        to && `– ${to}`,
        distance && `@ ${distance}`,
        resolution && `/ ${resolution}`,
      ]
  )
    .filter(Boolean)
    .join(' ') || '✓';

/** What a new version no longer states: a half chart in the place of a whole one. */
export const lostBy = (changes: readonly ChartChange[]): ChartChange[] =>
  changes.filter(({ now }) => now === undefined);
