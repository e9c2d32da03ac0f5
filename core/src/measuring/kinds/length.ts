import { fromTo, measuringKind, type Instrument } from './kind';

const length = (kind: string, instrument: Instrument) =>
  measuringKind({
    states: fromTo,
    unit: 'mm',
    instrument,
    isReading: true,
    isOfPerson: false,
    same: ({ from, to }) => `${kind} ${from} ${to}`,
  });

/** Straight along the limb. */
export const distance = length('distance', 'tape');
/** Along the body's curve. */
export const curve = length('curve', 'tape');
/** Plumb. */
export const height = length('height', 'calliper');
