import { object } from 'yup';
import { measuringKind, reading, type Instrument, type ReadingUnit } from './kind';

const ofPerson = (kind: string, unit: ReadingUnit, instrument: Instrument, isOfPerson = true) =>
  measuringKind({ states: object(reading), unit, instrument, isReading: true, isOfPerson, same: () => kind });

/** Of the whole person: weight, age, stature. */
export const mass = ofPerson('mass', 'kg', 'scale');
export const age = ofPerson('age', 'years', 'told');
export const stature = ofPerson('stature', 'mm', 'tape');
/** The foot's length (ISO 9407), as a shoe size tells it; a foot has a side. */
export const shoe = ofPerson('shoe', 'mm', 'told', false);
