import type { Instrument, ReadingUnit } from '@estribo/core/measuring';
import { EventEmitter } from 'node:events';

/**
 * One line an instrument sends, as JSON: the open format any device may write, a line a value.
 * `at` is the instant of reading; `value` is as the instrument shows it, in `unit`.
 */
export interface InstrumentReading {
  instrument: string;
  at: string;
  value: number;
  unit: ReadingUnit;
}

export const unitOfInstrument: Record<Exclude<Instrument, 'told'>, ReadingUnit> = {
  tape: 'mm',
  calliper: 'mm',
  goniometer: 'degrees',
  inclinometer: 'degrees',
  scale: 'kg',
  gauge: 'newtons',
};

/** An open stream: whose it is and how it is ended. */
export interface Stream {
  session: string;
  user: string;
  end: () => void;
}

/** Which bench a device is read at: that of a session, and of whom. */
export interface Claim {
  session: string;
  /** the user's, as the other bench is told it */
  name: string;
}

/** A device stays a bench's for so long after its last stream: from one field to the next, and over a glance elsewhere. */
const claimLasts = 5 * 60_000;

/**
 * Passes what real devices send to the bench that has them, and to no other; ends all streams when the server stops.
 */
export class InstrumentHub {
  readonly #events = new EventEmitter().setMaxListeners(0);
  readonly #streams = new Set<Stream>();
  readonly #claims = new Map<string, Claim & { until: number }>();
  /** streams that are being opened, by their session: they count as open ones */
  readonly #opening = new Map<string, number>();

  send(reading: InstrumentReading): void {
    this.#events.emit('reading', reading);
  }

  listen(heard: (reading: InstrumentReading) => void): () => void {
    this.#events.on('reading', heard);
    return () => void this.#events.off('reading', heard);
  }

  /** How many streams a session has open or is opening. */
  openOf(session: string): number {
    const open = [...this.#streams].filter((stream) => stream.session === session).length;
    return open + (this.#opening.get(session) ?? 0);
  }

  /**
   * Counts a stream from the moment it is asked for, so that many at once are no more than one after the other.
   * @returns false when the session has as many as it may have
   */
  opening(session: string, most: number): boolean {
    if (this.openOf(session) >= most) return false;
    this.#opening.set(session, (this.#opening.get(session) ?? 0) + 1);
    return true;
  }

  /** A stream that was being opened is open, or came to nothing. */
  openingEnded(session: string): void {
    const left = (this.#opening.get(session) ?? 1) - 1;
    if (left > 0) this.#opening.set(session, left);
    else this.#opening.delete(session);
  }

  /** @returns takes the stream off the list */
  opened(stream: Stream): () => void {
    this.#streams.add(stream);
    return () => {
      this.#streams.delete(stream);
      const until = Date.now() + claimLasts;
      for (const claim of this.#claims.values()) if (claim.session === stream.session) claim.until = until;
    };
  }

  /**
   * A bench wants a device.
   * @param take it over, if another bench has it
   * @returns the claim of the other bench, when it keeps the device
   */
  claim(instrument: string, bench: Claim, take: boolean): Claim | undefined {
    const now = Date.now();
    const held = this.#claims.get(instrument);
    const isOthers = held !== undefined && held.session !== bench.session;
    const isInUse =
      isOthers && (held.until > now || [...this.#streams].some(({ session }) => session === held.session));
    if (isInUse && !take) return held;
    if (isInUse) this.#events.emit('taken', { instrument, from: held.session, by: bench.name });
    if (held?.session !== bench.session) this.#claims.set(instrument, { ...bench, until: now + claimLasts });
    return undefined;
  }

  /** Whether a bench has a device. */
  holds(instrument: string, session: string): boolean {
    return this.#claims.get(instrument)?.session === session;
  }

  /** @param heard told when another bench takes over a device that a session has */
  onTaken(session: string, heard: (instrument: string, by: string) => void): () => void {
    const listener = ({ instrument, from, by }: { instrument: string; from: string; by: string }) => {
      if (from === session) heard(instrument, by);
    };
    this.#events.on('taken', listener);
    return () => void this.#events.off('taken', listener);
  }

  /** Ends the streams of a session that is over; its devices are free. */
  endSession(session: string): void {
    for (const [instrument, claim] of this.#claims)
      if (claim.session === session) this.#claims.delete(instrument);
    this.#end((stream) => stream.session === session);
  }

  /** Ends the streams of a user whose sessions are over, but for one that goes on. */
  endUser(user: string, goesOn?: string): void {
    this.#end((stream) => stream.user === user && stream.session !== goesOn);
  }

  endAll(): void {
    this.#end(() => true);
  }

  #end(which: (stream: Stream) => boolean): void {
    for (const stream of [...this.#streams].filter(which)) stream.end();
  }
}
