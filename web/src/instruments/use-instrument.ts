import type { Side } from '@estribo/core/anatomy';
import type { Instrument } from '@estribo/core/measuring';
import { useEffect, useRef, useState } from 'react';
import { useInstrumentsOn } from '../browser/preferences';

/** One line of an instrument, as the server passes it on. */
export interface InstrumentLine {
  instrument: string;
  name: string;
  kind: Instrument;
  at: string;
  /** with the calibration's offset taken off */
  value: number;
  offset: number;
  calibrated: string;
  /** the day after which the calibration is overdue */
  validUntil: string;
  simulated: boolean;
}

/** A value taken from an instrument. */
export interface FromInstrument {
  value: number;
  kind: Instrument;
  device: string;
  calibrated: string;
  offset: number;
}

export interface ConnectedInstrument {
  state: 'off' | 'waiting' | 'reading' | 'lost';
  line: InstrumentLine | undefined;
  /** the value as it stands now; undefined when there is none to take */
  take: () => FromInstrument | undefined;
}

/** Kinds of instrument that send values; the rest is told. */
const sends = (kind: Instrument) => kind !== 'told';

/**
 * Listens to the instrument that a thing is read with, while the user has instruments on. A connection
 * that is lost is tried again by the browser.
 * @param aim where the instrument is held, a step of the measuring, or a setting that presses: the stand-ins read what is
 *   hidden there
 */
export function useInstrument(
  kind: Instrument,
  aim: { case: string; of: string; side: Side },
): ConnectedInstrument {
  const [on] = useInstrumentsOn();
  const listening = on && sends(kind);
  const [line, setLine] = useState<InstrumentLine>();
  const [lost, setLost] = useState(false);
  const latest = useRef<InstrumentLine>(undefined);
  const address = `/api/instruments/stream?kind=${kind}&case=${aim.case}&step=${aim.of}&side=${aim.side}`;
  useEffect(() => {
    if (!listening || typeof EventSource === 'undefined') return;
    const stream = new EventSource(address);
    stream.addEventListener('reading', ({ data }: MessageEvent<string>) => {
      latest.current = JSON.parse(data) as InstrumentLine;
      setLine(latest.current);
      setLost(false);
    });
    const drop = () => {
      latest.current = undefined;
      setLost(true);
    };
    stream.addEventListener('lost', drop);
    stream.addEventListener('error', drop);
    return () => {
      stream.close();
      latest.current = undefined;
      setLine(undefined);
      setLost(false);
    };
  }, [address, listening]);
  return {
    state: !listening ? 'off' : lost ? 'lost' : line ? 'reading' : 'waiting',
    line,
    take: () =>
      latest.current && {
        value: Math.round(latest.current.value * 10) / 10,
        kind: latest.current.kind,
        device: latest.current.instrument,
        calibrated: latest.current.calibrated,
        offset: latest.current.offset,
      },
  };
}
