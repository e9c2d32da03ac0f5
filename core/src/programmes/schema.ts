import { array, boolean, lazy, mixed, number, object, string } from 'yup';
import { landmarks, type Landmark } from '../anatomy';
import { findings, type Finding } from '../screening';

const name = () => string().strict().required().min(1).max(80);
const finite = () =>
  number()
    .strict()
    .required()
    .test('finite', 'must be a finite number', (value) => Number.isFinite(value));
const span = () => object({ from: finite(), to: finite() }).strict().noUnknown();
const landmark = () =>
  mixed<Landmark>()
    .oneOf(Object.keys(landmarks) as Landmark[])
    .required();

const protocolStep = lazy((step: { kind?: unknown } | undefined) => {
  const base = { kind: string().required(), id: name() };
  switch (step?.kind) {
    case 'posture':
      return object({
        ...base,
        joint: string().oneOf(['knee']).required(),
        target: finite(),
        tolerance: finite().positive(),
      }).noUnknown();
    case 'mark':
      return object({ ...base, landmark: landmark() }).noUnknown();
    case 'girth':
      return object({
        ...base,
        from: landmark(),
        distance: lazy((value) => (value === 'model' ? string().required() : finite())),
        tolerance: finite().positive(),
        withinPerson: finite().positive(),
        shared: finite().min(0),
        plausible: array().of(finite()).length(2).required(),
      }).noUnknown();
    default:
      return object({ kind: string().oneOf(['posture', 'mark', 'girth']).required() });
  }
});

/** A brace family as data, whoever wrote it. */
export const programmeSchema = object({
  id: name(),
  version: finite().integer().positive(),
  region: string().oneOf(['leg']).required(),
  joint: string().oneOf(['knee']).required(),
  hinge: string().oneOf(['behind-midline']).required(),
  donning: finite().min(0).max(120),
  findings: array()
    .of(
      mixed<Finding>()
        .oneOf(Object.keys(findings) as Finding[])
        .required(),
    )
    .min(1)
    .required(),
  measuring: array().of(protocolStep).min(1).required(),
  axes: array().of(name()).min(1).required(),
  stops: object({
    leastExtension: finite(),
    made: string().oneOf(['before-donning']).required(),
  }).noUnknown(),
  sequence: array()
    .of(
      object({
        id: name(),
        kind: string().oneOf(['prepare', 'don', 'strap', 'press', 'settle']).required(),
        strap: number().integer().positive(),
        knee: number().min(0).max(120),
        minutes: number().positive(),
      }).noUnknown(),
    )
    .min(1)
    .required(),
  checks: array()
    .of(
      object({
        id: name(),
        kind: string().oneOf(['distance', 'angle-at-stop', 'proximal-to', 'seen']).required(),
        tolerance: string().oneOf(['model']),
        from: number(),
        to: number(),
        stop: string().oneOf(['extension', 'flexion']),
      }).noUnknown(),
    )
    .min(1)
    .required(),
})
  .strict()
  .noUnknown()
  .required();

/** A brace model as data. */
export const modelSchema = object({
  id: name(),
  version: finite().integer().positive(),
  name: name(),
  maker: name(),
  programme: name(),
  invented: boolean().required(),
  distances: lazy((value: object | undefined) =>
    object(Object.fromEntries(Object.keys(value ?? {}).map((key) => [key, finite()]))).required(),
  ),
  chart: object({
    version: finite().integer().positive(),
    sizes: array().of(name()).min(1).required(),
    axes: array()
      .of(
        object({
          reading: name(),
          resolution: finite().min(0),
          bands: array()
            .of(object({ size: name(), from: finite(), to: finite() }).noUnknown())
            .min(1)
            .required(),
        }).noUnknown(),
      )
      .min(1)
      .required(),
    between: string().oneOf(['larger', 'smaller', 'nearer', 'ask']).required(),
    disagree: string().oneOf(['primary', 'larger', 'made-to-measure']).required(),
  }).noUnknown(),
  hinge: object({
    extension: array().of(finite()).min(1).required(),
    flexion: array().of(finite()).required(),
  }).noUnknown(),
  frame: object({
    bendable: boolean().required(),
    hingeZone: finite().min(0),
    reach: object({ proximal: finite().positive(), distal: finite().positive() }).noUnknown(),
    increment: finite().positive(),
    total: finite().positive(),
  }).noUnknown(),
  pads: array()
    .of(
      object({
        id: name(),
        from: finite(),
        to: finite(),
        face: string().oneOf(['front', 'back', 'medial', 'lateral']).required(),
        splits: boolean().required(),
      }).noUnknown(),
    )
    .required(),
  straps: array()
    .of(
      object({
        strap: finite().integer().positive(),
        level: finite(),
        face: string().oneOf(['front', 'back']).required(),
      }).noUnknown(),
    )
    .required(),
  tolerances: lazy((value: object | undefined) =>
    object(Object.fromEntries(Object.keys(value ?? {}).map((key) => [key, span()]))).required(),
  ),
  wear: object({
    firstDay: finite().positive(),
    grow: finite().min(0),
    everyDays: finite().integer().positive(),
    ceiling: finite().positive(),
  }).noUnknown(),
})
  .strict()
  .noUnknown()
  .required();
