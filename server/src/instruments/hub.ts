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
};

/** Passes what real devices send to whoever listens; ends all streams when the server stops. */
export class InstrumentHub {
  readonly #events = new EventEmitter().setMaxListeners(0);
  readonly #streams = new Set<() => void>();

  send(reading: InstrumentReading): void {
    this.#events.emit('reading', reading);
  }

  listen(heard: (reading: InstrumentReading) => void): () => void {
    this.#events.on('reading', heard);
    return () => void this.#events.off('reading', heard);
  }

  /** @returns takes the stream off the list */
  opened(end: () => void): () => void {
    this.#streams.add(end);
    return () => void this.#streams.delete(end);
  }

  endAll(): void {
    for (const end of [...this.#streams]) end();
  }
}
