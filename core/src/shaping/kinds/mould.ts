import { array, object, string } from 'yup';
import { heatRuns } from '../heat-runs';
import { amount, asStated, common, operationKind } from '../kind';

/** A part formed by heat, by one of several runs. */
export const mould = operationKind(
  object({
    ...common,
    ...amount,
    runs: array()
      .of(
        string()
          .oneOf(heatRuns.map(({ id }) => id))
          .required(),
      )
      .min(1)
      .max(heatRuns.length),
  }),
  {
    on: ['panel', 'shell', 'cuff'],
    ways: () => [],
    measured: asStated,
  },
);
