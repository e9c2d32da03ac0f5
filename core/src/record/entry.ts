import type { InferType, Schema } from 'yup';
import type { EntryStage } from './kind';

/** An entry as it is written: made where the work is, never changed afterwards. */
export interface Written<Body = unknown> {
  id: string;
  case: string;
  stage: EntryStage;
  kind: string;
  /** version of the body */
  v: number;
  /** the instant it was seen or done, ISO 8601 */
  observedAt: string;
  /** the zone of the place, IANA */
  zone: string;
  /** the user's id */
  by: string;
  body: Body;
  /** the entry this one corrects */
  replaces?: string;
  /** why it is corrected */
  reason?: string;
  /** for intents: the one it follows; null when there is none */
  expects?: string | null;
  /** the entry of another case of the same person that it takes over */
  from?: { case: string; entry: string };
}

/** What the server adds to an entry. */
export interface Received {
  seq: number;
  receivedAt: string;
  /**
   * A decision that came out otherwise when the server computed it on arrival: what it computed, null when
   * nothing could be decided. Such a decision is kept and not in force.
   */
  otherwise?: object | null;
}

/** An entry as the server has it. */
export type Recorded<Body = unknown> = Written<Body> & Received;

/** The body of an entry of a kind, as written today. */
export type BodyIn<Kind extends { body: Schema }> = NonNullable<InferType<Kind['body']>>;
