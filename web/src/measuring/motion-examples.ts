import type { JointPlane } from '@estribo/core/anatomy';

/** What a joint may come to, and one that does not reach zero, as they are typed. Common practice, no source. */
const examples: Record<string, readonly [passes: string, short: string]> = {
  sagittal: ['5-0-130', '0-20-90'],
  'ankle-sagittal': ['20-0-40', '0-10-40'],
  'shoulder-sagittal': ['40-0-150', '0-10-120'],
  'neck-sagittal': ['40-0-40', '0-10-40'],
  frontal: ['120-0-30', '90-20-0'],
  transverse: ['50-0-80', '0-10-70'],
  'neck-transverse': ['60-0-60', '0-10-50'],
};

export const motionExamples = ({ joint, plane }: JointPlane): readonly [passes: string, short: string] =>
  examples[`${joint}-${plane}`] ?? examples[plane]!;
