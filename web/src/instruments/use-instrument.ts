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

/** A device that another bench has. */
export interface HeldDevice {
  instrument: string;
  name: string;
  /** who has it */
  by: string;
}

export interface ConnectedInstrument {
  state: 'off' | 'waiting' | 'reading' | 'lost' | 'held';
  line: InstrumentLine | undefined;
  held: HeldDevice | undefined;
  /** takes a device over from the bench that has it */
  claim: (device: HeldDevice) => void;
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
  const [held, setHeld] = useState<HeldDevice>();
  const [taking, setTaking] = useState<string>();
  const latest = useRef<InstrumentLine>(undefined);
  const address = `/api/instruments/stream?kind=${kind}&case=${aim.case}&step=${aim.of}&side=${aim.side}${taking === undefined ? '' : `&take=${taking}`}`;
  useEffect(() => {
    if (!listening || typeof EventSource === 'undefined') return;
    const stream = new EventSource(address);
    stream.addEventListener('reading', ({ data }: MessageEvent<string>) => {
      latest.current = JSON.parse(data) as InstrumentLine;
      setLine(latest.current);
      setLost(false);
      setHeld(undefined);
    });
    stream.addEventListener('held', ({ data }: MessageEvent<string>) => {
      latest.current = undefined;
      setHeld(JSON.parse(data) as HeldDevice);
      // a connection that is made again does not take the device back by itself
      setTaking(undefined);
    });
    const drop = () => {
      latest.current = undefined;
      setLost(true);
    };
    stream.addEventListener('lost', drop);
    stream.addEventListener('error', () => {
      drop();
      // what is connected again asks for the device, and takes it from nobody
      setTaking(undefined);
    });
    return () => {
      stream.close();
      latest.current = undefined;
      setLine(undefined);
      setLost(false);
      setHeld(undefined);
    };
  }, [address, listening]);
  return {
    state: !listening ? 'off' : held ? 'held' : lost ? 'lost' : line ? 'reading' : 'waiting',
    line,
    held,
    claim: ({ instrument }) => setTaking(instrument),
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
