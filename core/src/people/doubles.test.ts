import { likeness, turnedDay } from './doubles';

const person = (name: string, born = '1984-01-12') => {
  const [givenName = '', familyName = ''] = name.split('/');
  return { givenName, familyName, born };
};

test.each([
  ['Marta/Quintela', 'Marta/Quintela', 'same'],
  ['Marta/Quintela', 'marta/QUINTELA', 'same'],
  ['Antón/Freire', 'Anton/Freire', 'same'],
  // given and family name changed over
  ['Marta/Quintela', 'Quintela/Marta', 'same'],
  ['Ana María/Bouza', 'Ana/Bouza', 'likely'],
  ['Ana-María/Bouza', 'Ana María/Bouza', 'same'],
  ['Marta/Quintela', 'Marta/Quintella', 'likely'],
  // twins: the same day, another name
  ['Noa/Pazos', 'Roi/Pazos', undefined],
  ['Ana/Rey', 'Eva/Rey', undefined],
  ['Marta/Quintela', 'Sabela/Outeiro', undefined],
])('%s and %s, born on one day: %s', (a, b, is) => expect(likeness(person(a), person(b))).toBe(is));

test.each([
  ['1984-01-12', '1984-12-01', 'likely'],
  ['1984-01-12', '1984-01-13', 'likely'],
  ['1984-01-12', '1985-01-12', 'likely'],
  ['1984-01-12', '1958-06-30', undefined],
])('one name, born %s and %s: %s', (a, b, is) =>
  expect(likeness(person('Marta/Quintela', a), person('Marta/Quintela', b))).toBe(is),
);

test('a near name on a near day are two', () =>
  expect(likeness(person('Marta/Quintela', '1984-01-12'), person('Marta/Quintella', '1984-12-01'))).toBe(
    undefined,
  ));

test('likeness goes both ways', () => {
  const people = ['Ana María/Bouza', 'Ana/Bouza', 'Bouza/Ana', 'Ana/Bousa'].map((name) => person(name));
  for (const a of people) for (const b of people) expect(likeness(a, b)).toBe(likeness(b, a));
});

test('day and month change over only where both are months', () => {
  expect(turnedDay('1984-01-12')).toBe('1984-12-01');
  expect(turnedDay('1984-01-13')).toBeUndefined();
});
