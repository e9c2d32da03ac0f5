import { boundsOf } from './bounds';

// the bounds as the schemas state them, written out by hand
test.each([
  ['review.found', 'pain', { least: 0, most: 10, whole: true }],
  ['review.found', 'hours', { least: 0, most: 24, whole: false }],
  ['wear.planned', 'everyDays', { least: 1, most: 60, whole: true }],
  // a list's field stands under the list's name
  ['set.made', 'values.value', { least: -1000, most: 3000, whole: false }],
  ['measure.read', 'value', { least: -180, most: 3000, whole: false }],
  // open at an end, no number at all, nothing of the kind
  ['size.chosen', 'margin', { whole: false }],
  ['size.chosen', 'chart', { whole: true }],
  ['review.found', 'nothing', { whole: false }],
  ['review.found', 'pain.deeper', { whole: false }],
] as const)('%s %s: %j', (kind, path, bounds) => expect(boundsOf(kind, path)).toMatchObject(bounds));

test('an end that is open is not there', () => {
  expect(boundsOf('size.chosen', 'margin')).toStrictEqual({ whole: false });
  expect(boundsOf('review.found', 'nothing')).toStrictEqual({ whole: false });
  expect(boundsOf('review.found', 'pain')).toEqual({ least: 0, most: 10, whole: true });
});
