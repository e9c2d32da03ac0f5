import { object, string } from 'yup';
import { landmark, measuringKind, reading } from './kind';

/** The calliper across a place. */
export const width = measuringKind({
  states: object({
    ...reading,
    at: landmark(),
    across: string()
      .oneOf(['mediolateral', 'anteroposterior'] as const)
      .required(),
  }),
  unit: 'mm',
  instrument: 'calliper',
  isReading: true,
  isOfPerson: false,
  same: ({ at, across }) => `width ${at} ${across}`,
});
