import { programmes, type FamilyWords } from '@estribo/core/programmes';
import { en } from './en';
import { es } from './es';
import { checkName, checkWords, listName, settingWords, stepWords } from './fitting';
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

test.each(['knee-ligament-frame', 'ankle-walker'])('%s is whole in Spanish', async (id) => {
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
  ];
  const english = said();
  await speak('es');
  said().forEach((text, i) => expect(text).not.toBe(english[i]));
});

test('what a family does not say in Spanish yet is said in English, never as an id', async () => {
  await speak('es');
  const belt = programmes.find(({ id }) => id === 'spine-belt')! as (typeof programmes)[number] & {
    words?: FamilyWords;
  };
  expect(listName(belt, 'lying-log-roll')).toBe('Lying, by log-roll');
  expect(checkName('toes-warm-moving-felt')).toBe('Dedos calientes, se mueven, se sienten');
});
