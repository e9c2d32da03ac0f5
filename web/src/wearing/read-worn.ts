import type { FileProblem } from '@estribo/core/exchange';
import type { WornRule } from '@estribo/core/wearing';

/** A file of temperatures to be read in a worker. */
export interface WornRequest {
  text: string;
  zone: string;
  rule: WornRule;
}

export interface WornDayRead {
  day: string;
  worn: number;
  unknown: number;
  /** of the unknown: too long between on and off */
  between: number;
}

/** What comes back while a file is read, and when it is. */
export type WornAnswer = { share: number } | { days: WornDayRead[] } | { problem: FileProblem };
