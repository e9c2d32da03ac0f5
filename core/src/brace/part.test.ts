import type { Landmark } from '../anatomy';
import { levelOn, partNamed, partSchema, partsOfKind, type Part } from '.';

const knee = { from: 'mid-kneecap' } as const;
const strap: Part = {
  kind: 'strap',
  id: 'strap-1',
  mark: '1',
  width: 40,
  course: [
    { ...knee, offset: -70, face: 'medial' },
    { ...knee, offset: -70, face: 'back' },
  ],
};
const shell: Part = {
  kind: 'shell',
  id: 'shell',
  from: knee,
  to: { ...knee, to: 'malleoli', share: 0.5 },
  faces: ['front'],
};
const pad: Part = { kind: 'pad', id: 'pad', from: knee, to: knee, face: 'front', width: 60, splits: true };
const hinge: Part = { kind: 'hinge', id: 'hinge', at: { ...knee, face: 'lateral', aside: -6 } };

test.each([strap, shell, pad, hinge])('a whole $kind is taken as it is', (part) =>
  expect(partSchema.validateSync(part, { strict: true })).toEqual(part),
);

test.each([
  ['of no kind', { id: 'x' }, 'kind'],
  ['of an unknown kind', { kind: 'wheel', id: 'x' }, 'kind'],
  ['without a name', { ...hinge, id: '' }, 'id'],
  ['a strap with one end', { ...strap, course: [strap.kind === 'strap' && strap.course[0]] }, 'course'],
  ['a strap of no width', { ...strap, width: 0 }, 'width'],
  ['a width that is not finite', { ...strap, width: NaN }, 'width'],
  [
    'further off than a body is long',
    { ...hinge, at: { from: 'mid-kneecap', offset: 2501, face: 'back' } },
    'at.offset',
  ],
  ['as wide as a street', { ...strap, width: 2501 }, 'width'],
  ['at no landmark', { ...hinge, at: { from: 'elbow-patch', face: 'lateral' } }, 'at.from'],
  ['on no face', { ...hinge, at: { from: 'mid-kneecap', face: 'top' } }, 'at.face'],
  ['more than all the way', { ...shell, to: { ...knee, to: 'malleoli', share: 1.2 } }, 'to.share'],
  ['round nothing', { ...shell, faces: [] }, 'faces'],
  ['with something of another kind', { ...hinge, width: 3 }, ''],
])('a part %s is refused with its place', (_, part, path) =>
  expect(() => partSchema.validateSync(part, { strict: true })).toThrow(expect.objectContaining({ path })),
);

test('a level is a landmark, some way from it, or a share of the way to another', () => {
  const levels: Partial<Record<Landmark, number>> = { 'mid-kneecap': 0, malleoli: -400 };
  const at = (level: Parameters<typeof levelOn>[0]) => levelOn(level, (landmark) => levels[landmark]);
  expect(at(knee)).toBe(0);
  expect(at({ ...knee, offset: -70 })).toBe(-70);
  expect(at({ ...knee, to: 'malleoli', share: 0.25 })).toBe(-100);
  expect(at({ ...knee, to: 'malleoli', share: 0.25, offset: 10 })).toBe(-90);
  expect(at({ from: 'malleoli', to: 'mid-kneecap', share: 1 })).toBe(0);
  // a landmark that is not of this part of the body
  expect(at({ from: 'waist' })).toBeUndefined();
  expect(at({ ...knee, to: 'waist', share: 0.5 })).toBeUndefined();
});

test('parts are found by kind and by name', () => {
  const parts = [strap, shell, pad, hinge];
  expect(partsOfKind(parts, 'pad', 'hinge').map(({ id }) => id)).toEqual(['pad', 'hinge']);
  expect(partNamed(parts, 'shell')).toBe(shell);
  expect(partNamed(parts, 'other')).toBeUndefined();
});
