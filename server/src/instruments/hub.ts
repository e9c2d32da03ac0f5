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

/** Passes what real devices send to whoever listens; ends all streams when the server stops. */
export class InstrumentHub {
  readonly #events = new EventEmitter().setMaxListeners(0);
  readonly #streams = new Set<Stream>();

  send(reading: InstrumentReading): void {
    this.#events.emit('reading', reading);
  }

  listen(heard: (reading: InstrumentReading) => void): () => void {
    this.#events.on('reading', heard);
    return () => void this.#events.off('reading', heard);
  }

  /** How many streams a session has open. */
  openOf(session: string): number {
    return [...this.#streams].filter((stream) => stream.session === session).length;
  }

  /** @returns takes the stream off the list */
  opened(stream: Stream): () => void {
    this.#streams.add(stream);
    return () => void this.#streams.delete(stream);
  }

  /** Ends the streams of a session that is over. */
  endSession(session: string): void {
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
