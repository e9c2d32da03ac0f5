import { rule } from '../faults';
import { mixed, number, object, string, type InferType } from 'yup';
import { faces, landmarkLevel, landmarks, type Build, type Landmark, type Region } from '../anatomy';
import type { Millimetres } from '../quantity';

/** A number that is one: not infinite, not text. */
export const finite = () =>
  number()
    .strict()
    .test(...rule('finite'), (value) => value === undefined || Number.isFinite(value));

const landmark = () => mixed<Landmark>().oneOf(landmarks);

/** mm: no brace reaches further than a body is long */
export const longest: Millimetres = 2500;

/** How high on the body: at a landmark, some way proximal of it (distal with a minus), or a share of the way to another. */
const level = {
  from: landmark().required(),
  offset: finite().min(-longest).max(longest),
  to: landmark(),
  share: finite().min(0).max(1),
};

export const levelSchema = object(level).noUnknown().required();
export type Level = InferType<typeof levelSchema>;

/** A place on the brace: how high, on which face, and how far aside of that face's middle, frontwards or to the right. */
export const placeSchema = object({
  ...level,
  face: string().oneOf(faces).required(),
  aside: finite().min(-longest).max(longest),
})
  .noUnknown()
  .required();
export type Place = InferType<typeof placeSchema>;

/**
 * A level in mm from its region's datum.
 * @param at as a part states it
 * @param levelOf a landmark's level on this body
 * @returns undefined where the region has no such landmark
 */
export function levelOn(
  { from, offset = 0, to, share = 0 }: Level,
  levelOf: (landmark: Landmark) => Millimetres | undefined,
): Millimetres | undefined {
  const [start, end] = [levelOf(from), to === undefined ? undefined : levelOf(to)];
  if (start === undefined || (to !== undefined && end === undefined)) return undefined;
  return start + ((end ?? start) - start) * share + offset;
}

/** A level on a body of some proportions that nobody has to see: what is compared with what a scar covers. */
export const levelIn = (region: Region, build: Build, at: Level): Millimetres | undefined =>
  levelOn(at, (landmark) => landmarkLevel(region, landmark, build));
