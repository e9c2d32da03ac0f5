import { ownInjuries, withOwnInjuries } from './own-injuries';
import { programmes } from './all';
import { programmeSchema } from './programme';

const family = programmes.find(({ id }) => id === 'ankle-walker')!;

test('a clinic’s own injuries stand after the family’s, each with a code of its own', () => {
  const own = withOwnInjuries(family, ['Lisfranc sprain', 'Plantar fascia, torn', 'Año — ñu']);
  expect(own.injuries).toEqual([
    ...family.injuries!,
    'own-lisfranc-sprain',
    'own-plantar-fascia-torn',
    'own-ano-nu',
  ]);
  expect(ownInjuries(own)).toEqual(['Lisfranc sprain', 'Plantar fascia, torn', 'Año — ñu']);
  expect(() => programmeSchema.validateSync(own, { strict: true })).not.toThrow();
});

test('one that is called as before keeps its code; what is taken out goes with its words; the rest of the words stays', () => {
  const first = withOwnInjuries({ ...family, words: { parts: { a: 'A' } } }, ['Heel pad', 'Bone spur']);
  const renamed = withOwnInjuries(
    {
      ...first,
      words: { ...first.words, injuries: { 'own-older': 'Heel pad', 'own-bone-spur': 'Bone spur' } },
    },
    ['Heel pad', 'Toe'],
  );
  expect(renamed.words).toEqual({
    parts: { a: 'A' },
    injuries: { 'own-older': 'Heel pad', 'own-toe': 'Toe' },
  });
  expect(withOwnInjuries(first, [])).toEqual({ ...family, words: { parts: { a: 'A' } } });
});

test('two that would have one code have two; said twice, or without a letter, it counts for nothing', () => {
  const own = withOwnInjuries(family, ['Toe!', 'Toe?', ' Toe! ', '—', '']);
  expect(own.words!.injuries).toEqual({ 'own-toe': 'Toe!', 'own-toe-2': 'Toe?' });
  // a code that was of another name is not given again while its orders stand
  expect(Object.keys(withOwnInjuries(own, ['Toe.']).words!.injuries!)).toEqual(['own-toe-3']);
});

test('a name in other letters than Latin has a code all the same', () =>
  expect(withOwnInjuries(family, ['Βλαισός', '扭伤']).words!.injuries).toEqual({
    'own-injury': 'Βλαισός',
    'own-injury-2': '扭伤',
  }));

test('a family without injuries stays without', () => {
  const { injuries: _none, ...bare } = family;
  expect(withOwnInjuries(bare, [])).toEqual(bare);
});
