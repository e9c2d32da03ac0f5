import { object } from 'yup';
import { landmark, measuringKind, step } from './kind';

/** A landmark is felt and marked on the skin; later steps work from the mark. */
export const mark = measuringKind({
  states: object({ ...step, landmark: landmark() }),
  unit: undefined,
  instrument: undefined,
  isReading: false,
  isOfPerson: false,
  same: ({ landmark: of }) => `mark ${of}`,
});
