import fc from 'fast-check';
import { isOneSchedule, readPhases, weekReadings, type ReadingOf, type ReadSchedule } from './phase-text';
import { asLine, phrasings } from './test-phrasings';

test.each(phrasings.map(([text, of, line]) => [text, of, line] as const))('%s %j', (text, of, line) => {
  const read = readPhases(text, of);
  // what is only told to be none is refused whatever of it was read
  if (line === 'not-one') expect(isOneSchedule(read)).toBe(false);
  else expect(asLine(read)).toBe(line);
});

test('at least eighty phrasings, in both languages; a line with a question or a left-over word is no schedule', () => {
  expect(phrasings.length).toBeGreaterThanOrEqual(80);
  for (const [text, of, line] of phrasings)
    expect([text, isOneSchedule(readPhases(text, of))]).toEqual([text, !/\[|not/.test(line)]);
});

test('nothing at all is no schedule, and neither is a word that only parts phases', () => {
  for (const text of ['', '; ;\n', 'then', '  '])
    expect([text, readPhases(text), isOneSchedule(readPhases(text))]).toEqual([
      text,
      { phases: [], notUnderstood: [] },
      false,
    ]);
});

test('each phase carries the piece of text that it was read from, without the commas', () => {
  const { phases } = readPhases('Knee 0-30, for 2 weeks, then 0-60 NWB;\n 0-90', { joint: 'knee' });
  expect(phases.map(({ text }) => text)).toEqual(['knee 0-30 for 2 weeks', '0-60 nwb', '0-90']);
});

test('days that no phase covers are marked on the one behind them, days that meet are not', () => {
  const gaps = (text: string) =>
    readPhases(text, { joint: 'knee' }).phases.map(({ gapBefore }) => gapBefore === true);
  expect(gaps('0-30 for 2 weeks; day 15-20 0-60; day 21 0-90')).toEqual([false, true, false]);
  expect(gaps('0-30 for 2 weeks; day 14-20 0-60')).toEqual([false, false]);
  expect(gaps('0-30; day 14-20 0-60')).toEqual([false, false]);
});

test('how weeks were read is told where the text counts weeks, and only there', () => {
  const weeks = (text: string, of: ReadingOf = {}) => readPhases(text, { joint: 'knee', ...of }).weeks;
  expect(weeks('0-30 for 2 weeks')).toBeUndefined();
  expect(weeks('0-30 until week 2')).toBeUndefined();
  expect(weeks('after 2 weeks 0-30')).toBeUndefined();
  expect(weeks('after week 2 0-30')).toBe('from-0');
  expect(weeks('weeks 0-2 0-30; weeks 2-4 0-60')).toBe('points');
  expect(weeks('wk 1-2 0-30; wk 3-6 0-90')).toBe('from-1');
  expect(weeks('wk 0-2 0-30')).toBe('from-0');
  expect(weeks('from week 2 0-30')).toBe('from-0');
  expect(weeks('wk 0-2 0-30', { weeks: 'from-1' })).toBe('from-1');
});

test('a very long text is read up to its four thousandth sign', () => {
  const { notUnderstood } = readPhases(`0-30 ${'x'.repeat(5000)}`);
  expect(notUnderstood[0]).toHaveLength(3995);
});

/** A schedule made up: phases of whole weeks, each with a window, a lock and a weight or none of them. */
interface Made {
  weeks: number;
  window: [number, number] | 'free';
  lock?: { at: number; when: readonly ('walking' | 'sleeping')[] };
  weight?: 'none' | 'touch' | 'partial' | 'as-tolerated' | 'full';
}
const made = fc.array(
  fc.record(
    {
      weeks: fc.integer({ min: 1, max: 8 }),
      window: fc.oneof(
        fc.tuple(fc.constantFrom(0, 5, 10, 20), fc.constantFrom(30, 45, 60, 90, 120)),
        fc.constant('free' as const),
      ),
      lock: fc.record({
        at: fc.constantFrom(0, 10, 20),
        when: fc.constantFrom(
          ['walking' as const],
          ['sleeping' as const],
          ['walking' as const, 'sleeping' as const],
        ),
      }),
      weight: fc.constantFrom(
        'none' as const,
        'touch' as const,
        'partial' as const,
        'as-tolerated' as const,
        'full' as const,
      ),
    },
    { requiredKeys: ['weeks', 'window'] },
  ),
  { minLength: 1, maxLength: 5 },
);

const weights = {
  en: {
    none: 'NWB',
    touch: 'TTWB',
    partial: 'partial weight bearing',
    'as-tolerated': 'WBAT',
    full: 'full weight-bearing',
  },
  es: {
    none: 'en descarga',
    touch: 'carga de contacto',
    partial: 'carga parcial',
    'as-tolerated': 'carga según tolerancia',
    full: 'carga completa',
  },
} as const;
const words = {
  en: {
    free: 'free ROM',
    lock: 'locked at',
    walking: 'walking',
    sleeping: 'at night',
    weeks: 'weeks',
    week: 'week',
    forWeeks: 'for',
    then: 'then',
  },
  es: {
    free: 'movilidad libre',
    lock: 'bloqueada a',
    walking: 'al caminar',
    sleeping: 'al dormir',
    weeks: 'semanas',
    week: 'semana',
    forWeeks: 'durante',
    then: 'luego',
  },
} as const;
type Language = keyof typeof words;

const content = ({ window, lock, weight }: Made, language: Language): string => {
  const say = words[language];
  return [
    window === 'free' ? say.free : `${window[0]}-${window[1]}`,
    lock
      ? `${say.lock} ${lock.at} ${lock.when.map((one) => say[one]).join(language === 'en' ? ' and ' : ' y ')}`
      : '',
    weight ? weights[language][weight] : '',
  ]
    .filter(Boolean)
    .join(' ');
};

/** The forms in which a schedule is written; weeks are whole, so that all of them say the same days. */
const forms: Record<string, (phases: Made[], language: Language) => string> = {
  durations: (phases, language) =>
    phases
      .map(
        (one) =>
          `${content(one, language)} ${words[language].forWeeks} ${one.weeks} ${words[language].weeks}`,
      )
      .join(`, ${words[language].then} `),
  fractions: (phases, language) =>
    phases.map((one) => `${content(one, language)} x ${one.weeks}/52`).join('; '),
  points: (phases, language) => {
    let at = 0;
    return phases
      .map((one) => {
        const from = at;
        at += one.weeks;
        return `${words[language].weeks} ${from}-${at}: ${content(one, language)}`;
      })
      .join('\n');
  },
  days: (phases, language) => {
    let at = 0;
    return phases
      .map((one) => {
        const from = at;
        at += one.weeks * 7;
        return `${language === 'en' ? 'day' : 'día'} ${from}-${at - 1} ${content(one, language)}`;
      })
      .join('; ');
  },
};

/** What a made-up schedule says, by its own arithmetic. */
const expected = (phases: readonly Made[]): ReadSchedule['phases'][number][] => {
  let at = 0;
  return phases.map(({ weeks, window, lock, weight }) => {
    const fromDay = at;
    at += 7 * weeks;
    return {
      text: '',
      fromDay,
      lastDay: at - 1,
      window: window === 'free' ? {} : { extension: window[0], flexion: window[1] },
      ...(window === 'free' ? { free: true as const } : {}),
      ...(lock ? { lock: { at: lock.at, when: [...lock.when].sort() } } : {}),
      ...(weight ? { weight } : {}),
      asks: window === 'free' && lock ? ['free-or-locked' as const] : [],
    };
  });
};

test.each(
  Object.keys(forms).flatMap((form) => (['en', 'es'] as const).map((language) => [form, language] as const)),
)('a schedule written as %s in %s is read back as it was made up', (form, language) =>
  fc.assert(
    fc.property(made, (phases) => {
      const read = readPhases(forms[form]!(phases, language), {
        joint: 'knee',
        // one phase alone does not show how its weeks are counted
        ...(form === 'points' ? { weeks: 'points' as const } : {}),
      });
      expect(read.notUnderstood).toEqual([]);
      expect(
        read.phases.map((one) => ({
          ...one,
          text: '',
          ...(one.lock ? { lock: { ...one.lock, when: [...one.lock.when].sort() } } : {}),
        })),
      ).toEqual(expected(phases));
    }),
    { numRuns: 200 },
  ),
);

test.each(weekReadings)(
  'whatever is typed, it throws nothing, its days never fall and no angle is made up (%s)',
  (weeks) =>
    fc.assert(
      fc.property(
        fc.array(
          fc.constantFrom(
            'wk',
            '0-2',
            '3',
            'locked',
            'full',
            'then',
            'until',
            'for',
            'week',
            '6',
            ',',
            ';',
            'free',
            'ext',
            '-10',
            'x',
            '2/52',
            'hasta',
            'semana',
            '90',
            'knee',
            '12',
            'Dec',
            '\n',
          ),
          { maxLength: 24 },
        ),
        (parts) => {
          const text = parts.join(' ');
          const { phases, notUnderstood } = readPhases(text, { weeks, joint: 'knee', dayZero: '2026-11-24' });
          const said = new Set((text.match(/\d+/g) ?? []).map(Number));
          for (const { window, lock } of phases)
            for (const angle of [window.extension, window.flexion, lock?.at])
              expect(angle === undefined || angle === 0 || said.has(Math.abs(angle))).toBe(true);
          const rises = phases.every(
            ({ fromDay, lastDay, asks }, i) =>
              asks.includes('days-not-rising') ||
              ((lastDay === undefined || lastDay >= fromDay) &&
                (i === 0 || fromDay > phases[i - 1]!.fromDay)),
          );
          expect(rises).toBe(true);
          expect(notUnderstood.every((word) => word.length > 0)).toBe(true);
        },
      ),
      { numRuns: 500 },
    ),
);
