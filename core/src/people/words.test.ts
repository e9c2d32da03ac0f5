import { soughtWords, wordsOf, wordsOfDay } from './words';

test.each([
  ['Antón Freire', ['anton', 'freire']],
  ['Núñez de la Peña', ['nunez', 'de', 'la', 'pena']],
  ['O’Hara', ['o', 'hara', 'ohara']],
  ['Ana-María', ['ana', 'maria', 'anamaria']],
  // by the Unicode letters' usual romanisation; from memory
  ['Łukasz Größe', ['lukasz', 'grosse']],
  ['Борис', ['boris']],
  ['Xunco Malla 2', ['xunco', 'malla', '2']],
  ['  ', []],
])('%s is found by %j', (text, words) => expect(wordsOf(text)).toEqual(words));

test('combining accents are the same as ready ones', () =>
  expect(wordsOf('Anto\u0301n')).toEqual(wordsOf('Ant\u00f3n')));

test('a day of birth is found whole and by its year', () =>
  expect(wordsOfDay('1998-04-12')).toEqual(['19980412', '1998']));

const sought = (typed: string) => soughtWords(typed).map(({ word, whole }) => (whole ? `${word}.` : word));

test.each([
  ['frei ant', ['frei', 'ant']],
  ['FREIRE', ['freire']],
  ['12.4.1998', ['19980412.']],
  ['1998-04-12', ['19980412.']],
  ['12/04/1998 cast', ['19980412.', 'cast']],
  // no such day: it is looked for as it was typed
  ['31.2.1998', ['31.', '2.', '1998.']],
  ['17', ['17.']],
  ['%_', []],
])('who types %s looks for %j', (typed, words) => expect(sought(typed)).toEqual(words));

test('no more than six words are looked for', () => expect(soughtWords('a b c d e f g h')).toHaveLength(6));
