import { object, type InferType } from 'yup';
import { finite } from '../brace';

export const heatEvents = ['begun', 'stage', 'read', 'paused', 'resumed', 'wrong', 'ended'] as const;

/** Where a caution stands in a run, at the stage that needs it. */
export const heatCautions = [
  'gloves',
  'padding',
  'overhang',
  'patient-away',
  'patient-present',
  'keep-moving',
  'no-scorch',
  'feel-first',
  'stated-area',
] as const;
export type HeatCaution = (typeof heatCautions)[number];

/** One stage of a run. */
export interface HeatStage {
  id: string;
  /** s: from when, and no longer than; none: the hand says when it is over */
  least?: number | undefined;
  most?: number | undefined;
  /** counted from the start of the heat, not of this stage */
  fromStart?: true | undefined;
  /** the heat starts with it */
  starts?: true | undefined;
  /** the plastic is hot here and not yet on the body: contact waits for the thermometer or the material's own time */
  contact?: true | undefined;
  cautions: readonly HeatCaution[];
}

export interface HeatRun {
  id: string;
  /** the plastic is heated while it is on the body, or off it and then applied */
  heated: 'on-body' | 'off-body';
  stages: readonly HeatStage[];
}

/**
 * The runs of heat. The pack's and the gun's times are common practice, no source; how long a bath or a panel is warmed is the
 * material's own, until it gives.
 */
export const heatRuns: readonly HeatRun[] = [
  {
    id: 'pack',
    heated: 'on-body',
    stages: [
      { id: 'pack-on', cautions: ['overhang', 'patient-present'] },
      { id: 'warm', starts: true, least: 120, most: 120, fromStart: true, cautions: ['overhang'] },
      { id: 'mould', least: 180, most: 240, fromStart: true, cautions: ['gloves', 'padding'] },
      { id: 'pack-off', cautions: ['gloves'] },
      { id: 'hold-until-cold', cautions: ['feel-first'] },
    ],
  },
  {
    id: 'gun',
    heated: 'off-body',
    stages: [
      { id: 'brace-off', cautions: ['patient-away'] },
      {
        id: 'heat-with-gun',
        starts: true,
        least: 10,
        most: 20,
        cautions: ['keep-moving', 'stated-area', 'no-scorch', 'patient-away'],
      },
      { id: 'cool-to-contact', contact: true, cautions: ['feel-first', 'gloves'] },
      { id: 'on-and-form', cautions: ['padding', 'gloves'] },
      { id: 'hold-until-cold', cautions: ['feel-first'] },
    ],
  },
  {
    id: 'panel',
    heated: 'off-body',
    stages: [
      { id: 'panel-out', cautions: ['patient-away'] },
      { id: 'warm-until-pliable', starts: true, cautions: ['gloves', 'keep-moving', 'patient-away'] },
      { id: 'form-off-body', cautions: ['gloves'] },
      { id: 'hold-until-cold', cautions: ['feel-first'] },
    ],
  },
  {
    id: 'water-bath',
    heated: 'off-body',
    stages: [
      { id: 'panel-out', cautions: ['patient-away'] },
      { id: 'in-the-bath', starts: true, cautions: ['gloves', 'patient-away'] },
      { id: 'cool-to-contact', contact: true, cautions: ['feel-first', 'gloves'] },
      { id: 'form-on-body', cautions: ['padding', 'patient-present'] },
      { id: 'hold-until-cold', cautions: ['feel-first'] },
    ],
  },
];

export const heatRun = (id: string): HeatRun | undefined => heatRuns.find((run) => run.id === id);

/** What a model states of the plastic that an operation heats. */
export const plasticSchema = object({
  /** it waits so many minutes from the end of the heat before it touches skin */
  waits: finite().positive().max(120).required(),
  /** °C over which it still forms */
  formsAbove: finite().positive().max(300).required(),
})
  .noUnknown()
  .required();
export type PlasticData = InferType<typeof plasticSchema>;
