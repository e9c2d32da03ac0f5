import type { Place } from '../brace';
import type { Millimetres } from '../quantity';
import type { LiveRecord } from '../record';
import { markLooked, pressureMarked, workDone, type MarkWay } from './entries';

/** A mark of pressure with where it stands: to be worked off, to be looked at again, clear. */
export interface PressureMark {
  entry: string;
  part: string;
  at: Place;
  way: MarkWay;
  amount: Millimetres;
  note?: string | undefined;
  /** how much was taken off since it was marked */
  taken: Millimetres;
  state: 'marked' | 'refit' | 'clear';
}

/**
 * Marks of pressure: marked, off, worked, refitted, looked at again. One that still presses is open again; only one that was
 * seen clear is done. Common practice, no source.
 */
export function foldMarks(record: LiveRecord): PressureMark[] {
  return record.of(pressureMarked).map(({ id, body }): PressureMark => {
    const { from, offset, face, aside, part, way, amount, note } = body;
    const works = record.of(workDone).filter((work) => work.body.mark === id);
    const looks = record.of(markLooked).filter((look) => look.body.mark === id);
    const [work, look] = [works.at(-1), looks.at(-1)];
    return {
      entry: id,
      part,
      at: { from, offset, face, aside },
      way,
      amount,
      note,
      taken: works.reduce((sum, one) => sum + (one.body.amount ?? 0), 0),
      state:
        look?.body.clear && (!work || record.isAfter(look, work))
          ? 'clear'
          : work && (!look || record.isAfter(work, look))
            ? 'refit'
            : 'marked',
    };
  });
}

/** A mark that nobody has seen clear keeps the brace from being checked. */
export const isOpenMark = ({ state }: PressureMark): boolean => state !== 'clear';
