import { object } from 'yup';
import { finite } from '../../brace';
import { landmark, measuringKind, reading } from './kind';

/** The inclinometer laid on the back at a share of the way along the spine; leaning forward positive. */
export const inclination = measuringKind({
  states: object({
    ...reading,
    from: landmark(),
    to: landmark(),
    /** 0 at `from`, 1 at `to` */
    at: finite().required().min(0).max(1),
  }),
  unit: 'degrees',
  instrument: 'inclinometer',
  isReading: true,
  isOfPerson: false,
  same: ({ from, to }) => `inclination ${from} ${to}`,
  howFar: ({ at }) => at,
});
