import { joints, planes } from '@estribo/core/anatomy';
import { parseNeutralZero } from '@estribo/core/measuring';
import { motionExamples } from './motion-examples';

const motions = joints.flatMap((joint) => planes.map((plane) => [joint, plane] as const));

test.each(motions)('%s, %s: its examples are read, one passes zero and one falls short', (joint, plane) => {
  const [passes, short] = motionExamples({ joint, plane }).map(parseNeutralZero);
  expect(Math.min(passes!.extension, passes!.flexion)).toBeGreaterThan(0);
  expect(Math.min(short!.extension, short!.flexion)).toBeLessThan(0);
});
