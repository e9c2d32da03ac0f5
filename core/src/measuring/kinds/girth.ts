import { object, string } from 'yup';
import { finite } from '../../brace';
import { landmark, measuringKind, orWord, reading } from './kind';

/** The tape goes round at a distance along the limb from a mark. */
export const girth = measuringKind({
  states: object({
    ...reading,
    from: landmark(),
    /** mm, proximal positive; or left to the model */
    distance: orWord('model', finite().required()),
    /** the face of the limb along which the distance is laid off, where it matters */
    along: string().oneOf(['medial'] as const),
  }),
  unit: 'mm',
  instrument: 'tape',
  isReading: true,
  isOfPerson: false,
  same: ({ from }) => `girth ${from}`,
  howFar: ({ distance }) => distance,
});
