import { cameWithIt, workingList, wouldGive, type BenchStep } from './working-list';

const both = ['medial', 'lateral'];
const alike = (extension: number, flexion: number | null) => ({
  medial: { extension, flexion },
  lateral: { extension, flexion },
});
const said = (steps: readonly BenchStep[]) =>
  steps.map((step) => ('hinge' in step ? [step.do, step.hinge, step.end, step.piece].join(' ') : step.do));

// common practice, no source: extension from the front, flexion from behind, read the engraving, move the hinge, cover on
test('wedges: cover off, out and in at both hinges, engraving read, both alike, moved by hand, cover on', () =>
  expect(said(workingList(both, alike(0, null), { extension: 10, flexion: 60 }, { kind: 'wedges' }))).toEqual(
    [
      'cover-off',
      'out medial extension 0',
      'in medial extension 10',
      'in medial flexion 60',
      'out lateral extension 0',
      'in lateral extension 10',
      'in lateral flexion 60',
      'engraved',
      'both-alike',
      'travel',
      'cover-on',
    ],
  ));

test('screwed pieces want the pads off; a flexion stop that is not ordered any more comes out', () =>
  expect(
    said(workingList(both, alike(10, 90), { extension: 10, flexion: null }, { kind: 'screwed' })),
  ).toEqual([
    'pads-off',
    'out medial flexion 90',
    'out lateral flexion 90',
    'engraved',
    'both-alike',
    'travel',
  ]));

test('a dial is set, and its buttons are out again', () =>
  expect(said(workingList(both, alike(0, 30), { extension: 0, flexion: 60 }, { kind: 'dial' }))).toEqual([
    'set medial flexion 60',
    'set lateral flexion 60',
    'buttons-out',
    'both-alike',
    'travel',
  ]));

test('one side that is right already is left alone; as chosen, nothing is done', () => {
  const one = workingList(
    both,
    { ...alike(0, null), lateral: { extension: 10, flexion: null } },
    { extension: 10, flexion: null },
    {},
  );
  expect(said(one).filter((step) => step.includes('lateral'))).toEqual([]);
  expect(workingList(both, alike(0, 60), { extension: 0, flexion: 60 }, {})).toEqual([]);
});

test('where nobody knows what is in, nothing is said to come out', () =>
  expect(said(workingList(['medial'], undefined, { extension: 0, flexion: null }, {}))).toEqual([
    'cover-off',
    'in medial extension 0',
    'engraved',
    'travel',
    'cover-on',
  ]));

test('a piece that came with the brace and is not as chosen is asked about', () => {
  expect(cameWithIt({ installed: { extension: 10 } }, { extension: 0, flexion: null })).toEqual([
    { end: 'extension', piece: 10 },
  ]);
  expect(cameWithIt({ installed: { extension: 0 } }, { extension: 0, flexion: 60 })).toEqual([]);
  expect(cameWithIt({}, { extension: 0, flexion: null })).toEqual([]);
});

test('what would change it: the piece with which nothing of the order would be lost', () => {
  expect(wouldGive({ extension: 5, flexion: 70 }, { extension: 5, flexion: 10 })).toEqual([
    { end: 'extension', piece: 5, gains: 5 },
    { end: 'flexion', piece: 70, gains: 10 },
  ]);
  expect(wouldGive({ extension: 0, flexion: 90 }, { extension: 0, flexion: 0 })).toEqual([]);
  // nothing is ordered there: nothing would give it
  expect(wouldGive({ flexion: 90 }, { extension: 10, flexion: 0 })).toEqual([]);
});
