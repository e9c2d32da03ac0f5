import type { ClinicDay } from '../calendar';

/** The figures of one visit, each absent when it was not taken. */
export interface VisitFigures {
  day: ClinicDay;
  extension?: number;
  flexion?: number;
  pain?: number;
  hours?: number;
  /** girths of the braced side in mm, by measuring step */
  girths: Readonly<Record<string, number>>;
}

export interface VisitChange {
  figure: string;
  before: number;
  now: number;
  change: number;
}

/**
 * What changed between two visits, figure by figure; only what both visits have.
 */
export function changesSince(before: VisitFigures, now: VisitFigures): VisitChange[] {
  const figures = (visit: VisitFigures): Record<string, number | undefined> => ({
    extension: visit.extension,
    flexion: visit.flexion,
    pain: visit.pain,
    hours: visit.hours,
    ...visit.girths,
  });
  const [old, fresh] = [figures(before), figures(now)];
  return Object.keys(fresh).flatMap((figure) => {
    const [was, is] = [old[figure], fresh[figure]];
    return was === undefined || is === undefined ? [] : [{ figure, before: was, now: is, change: is - was }];
  });
}
