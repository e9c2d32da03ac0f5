import { programmes, type FamilyWords } from '@estribo/core/programmes';
import { en } from './en';
import { es } from './es';
import {
  careLine,
  checkName,
  checkWords,
  listName,
  operationWords,
  partName,
  settingWords,
  stepWords,
  wearLine,
  whyNotNeeded,
} from './fitting';
import { language, locale, named, speak, t } from '.';

type Messages = { readonly [key: string]: string | Messages };

/** Every message with its path. */
const flat = (messages: Messages, path = ''): [string, string][] =>
  Object.entries(messages).flatMap(([key, inner]): [string, string][] =>
    typeof inner === 'string' ? [[`${path}${key}`, inner]] : flat(inner, `${path}${key}.`),
  );
const holes = (text: string) => [...text.matchAll(/\{\{(\w+)\}\}/g)].map(([, name]) => name).sort();

afterEach(() => speak('en'));

test('every message is there in Spanish, with the same holes in it', () => {
  const spanish = new Map(flat(es));
  const english = flat(en);
  expect([...spanish.keys()].sort()).toEqual(english.map(([path]) => path).sort());
  for (const [path, text] of english) {
    const said = spanish.get(path)!;
    expect([path, holes(said)]).toEqual([path, holes(text)]);
    expect([path, said === '']).toEqual([path, text === '']);
  }
});

test('little is the same in both: what is not translated shows', () => {
  const english = new Map(flat(en));
  const same = flat(es).filter(([path, said]) => said === english.get(path) && /[a-z]{4}/i.test(said));
  // names and words that both languages have: "normal", "sacro" are not among them
  expect(same.length).toBeLessThan(60);
});

test('another language holds at once, for words, numbers and days alike', async () => {
  expect([language, locale, t('common.yes')]).toEqual(['en', 'en-GB', 'Yes']);
  await speak('es');
  expect([language, locale, t('common.yes'), named('stages', 'strap')]).toEqual([
    'es',
    'es-ES',
    'Sí',
    'Cinchar',
  ]);
  expect(document.documentElement.lang).toBe('es');
  expect(t('common.minutes', { count: 1 })).toBe('1 minuto');
  expect(t('common.minutes', { count: 5 })).toBe('5 minutos');
});

test.each(programmes.map(({ id }) => id))('%s is whole in Spanish', async (id) => {
  const family = programmes.find((one) => one.id === id)!;
  const said = () => [
    ...family.sequences.flatMap(({ id: list, steps }) => [
      listName(family, list),
      ...steps.flatMap((step) => [stepWords(family, step.id).name, stepWords(family, step.id).hold]),
    ]),
    ...family.checks.flatMap((check) => [
      checkWords(family, check.id).name,
      checkWords(family, check.id).fix,
    ]),
    ...family.settings.flatMap((setting) => [
      settingWords(family, setting.id).name,
      settingWords(family, setting.id).how,
    ]),
    ...family.parts.map(({ id: part }) => partName(family, part)),
    ...(family.operations ?? []).flatMap((one) => [
      operationWords(family, one.id).name,
      operationWords(family, one.id).how,
    ]),
    ...(family.wear ?? []).map((line) => wearLine(family, line.id)),
    ...(family.care ?? []).map((line) => careLine(family, line)),
    ...(family.notNeeded ?? []).map(({ stage }) => whyNotNeeded(family, stage) ?? ''),
  ];
  const english = said();
  await speak('es');
  said().forEach((text, i) => {
    // what says nothing in one says nothing in the other; one word is the same in both
    if (english[i] === '' || text === 'Dial') expect([english[i], text]).toEqual([english[i], english[i]]);
    else expect([english[i], text]).not.toEqual([english[i], english[i]]);
  });
});

// a caution that is missing in one language is missing on the screen: English does not stand in for half of a thing
test.each(programmes.map(({ id }) => id))(
  '%s says each thing in Spanish with the same fields',
  async (id) => {
    const family = programmes.find((one) => one.id === id)!;
    const things = () => ({
      ...Object.fromEntries(
        family.sequences.flatMap(({ steps }) =>
          steps.map((step) => [`step ${step.id}`, stepWords(family, step.id)] as const),
        ),
      ),
      ...Object.fromEntries(family.checks.map((one) => [`check ${one.id}`, checkWords(family, one.id)])),
      ...Object.fromEntries(
        family.settings.map((one) => [`setting ${one.id}`, settingWords(family, one.id)]),
      ),
      ...Object.fromEntries(
        (family.operations ?? []).map((one) => [`operation ${one.id}`, operationWords(family, one.id)]),
      ),
    });
    const fields = (words: object) =>
      Object.entries(words)
        .flatMap(([field, text]) => (text === '' || text === undefined ? [] : [field]))
        .sort();
    const english = things();
    await speak('es');
    for (const [thing, words] of Object.entries(things()))
      expect([thing, fields(words)]).toEqual([thing, fields(english[thing]!)]);
  },
);

test('what a clinic’s own list says is said as it was written, in either language', async () => {
  const belt = {
    ...programmes.find(({ id }) => id === 'spine-belt')!,
    words: { lists: { leaflet: 'By the leaflet' } } satisfies FamilyWords,
  };
  await speak('es');
  expect(listName(belt, 'leaflet')).toBe('By the leaflet');
  expect(listName(belt, 'lying-log-roll')).toBe('Tumbado, rodando en bloque');
  expect(checkName('toes-warm-moving-felt')).toBe('Dedos calientes, se mueven, se sienten');
});
