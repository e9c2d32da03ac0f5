import type { ClinicDay } from '../calendar';

/** A joint's motion at a visit: alike only with the same motion in the same mode. */
export interface VisitMotion {
  /** the measuring step, which names joint and plane; absent for the motion that the order limits */
  step?: string;
  mode: 'active' | 'passive';
  /** of the other side, as a comparison */
  other?: true;
  /** flexion positive, hyperextension negative */
  extension: number;
  flexion: number;
}

/** The figures of one visit, each absent when it was not taken. */
export interface VisitFigures {
  day: ClinicDay;
  /** of the braced side, the last test of each motion in each mode */
  motions: readonly VisitMotion[];
  pain?: number;
  hours?: number;
  /** girths of the braced side in mm, by measuring step */
  girths: Readonly<Record<string, number>>;
}

export interface VisitChange {
  /** extension, flexion, pain, hours, or a measuring step */
  figure: string;
  /** of a motion: which, and in which mode */
  of?: Pick<VisitMotion, 'step' | 'mode' | 'other'>;
  before: number;
  now: number;
  change: number;
}

/**
 * What changed between two visits, figure by figure; only what both visits have, a motion only against the same
 * one in the same mode on the same side.
 */
export function changesSince(before: VisitFigures, now: VisitFigures): VisitChange[] {
  const change = (figure: string, was: number | undefined, is: number | undefined): VisitChange[] =>
    was === undefined || is === undefined ? [] : [{ figure, before: was, now: is, change: is - was }];
  return [
    ...now.motions.flatMap(({ step, mode, other, extension, flexion }) => {
      const was = before.motions.find((one) => one.step === step && one.mode === mode && one.other === other);
      return [
        ...change('extension', was?.extension, extension),
        ...change('flexion', was?.flexion, flexion),
      ].map((found) => ({
        ...found,
        of: { mode, ...(step === undefined ? {} : { step }), ...(other ? { other } : {}) },
      }));
    }),
    ...change('pain', before.pain, now.pain),
    ...change('hours', before.hours, now.hours),
    ...Object.entries(now.girths).flatMap(([step, girth]) => change(step, before.girths[step], girth)),
  ];
}

/** The motion that the order limits at a visit: tested passively, or actively where that is all there is. */
export const orderedMotion = ({ motions }: Pick<VisitFigures, 'motions'>): VisitMotion | undefined => {
  const ofOrder = motions.filter(({ step, other }) => step === undefined && !other);
  return ofOrder.find(({ mode }) => mode === 'passive') ?? ofOrder[0];
};
