import type { ReadingOf, ReadSchedule } from './phase-text';

/** A schedule as one line: days, window, lock with its times, weight, what is asked; then what was not understood. */
export const asLine = ({ phases, notUnderstood }: ReadSchedule): string =>
  [
    ...phases.map(({ fromDay, lastDay, window, free, lock, weight, asks }) =>
      [
        `${fromDay}-${lastDay ?? ''}`,
        free
          ? 'free'
          : Object.keys(window).length > 0
            ? `${window.extension ?? '?'}/${window.flexion ?? '?'}`
            : '',
        lock ? `lock ${lock.at ?? '?'} ${[...lock.when].sort().join('+') || '?'}` : '',
        weight ?? '',
        asks.length > 0 ? `[${[...asks].sort().join(' ')}]` : '',
      ]
        .filter(Boolean)
        .join(' '),
    ),
    ...(notUnderstood.length > 0 ? [`not: ${notUnderstood.join(', ')}`] : []),
  ].join(' | ');

const knee = { joint: 'knee' } as const;
const ankle = { joint: 'ankle' } as const;
const dated = { joint: 'knee', dayZero: '2026-11-24' } as const;

/** Phrasings with what they are read as, as it would be read by hand. */
export const phrasings: readonly (readonly [text: string, of: ReadingOf, line: string])[] = [
  // the commonest words
  ['locked in full extension', knee, '0- lock 0 ? [extension-limit flexion-limit lock-when]'],
  ['locked in full extension at all times for 6 weeks', knee, '0-41 lock 0 always'],
  ['full weight bearing 0-90', knee, '0- 0/90 full'],
  ['0-60 for 2 weeks, then 0-90 until week 6', knee, '0-13 0/60 | 14-41 0/90 [until-week]'],
  ['0-60 for 2 weeks, then 0-90 until week 6', { ...knee, until: 'week-begins' }, '0-13 0/60 | 14-34 0/90'],
  ['0-60 for 2 weeks, then 0-90 until week 6', { ...knee, until: 'weeks-over' }, '0-13 0/60 | 14-41 0/90'],
  ['0-30 locked at 0 walking and sleeping', knee, '0- 0/30 lock 0 sleeping+walking'],
  ['locked 0 walking, locked 0 at night, 0-60', knee, '0- 0/60 lock 0 sleeping+walking'],
  ['knee 0-30', ankle, 'not: knee 0-30'],
  ['knee 0-30', knee, '0- 0/30'],
  ['extension -10, flexion 90', knee, '0- -10/90 [minus]'],
  ['extension -10, flexion 90', { ...knee, minus: 'deficit' }, '0- 10/90'],
  ['extension -10, flexion 90', { ...knee, minus: 'beyond' }, '0- -10/90'],
  ['-5 to 90', knee, '0- -5/90 [minus]'],
  // durations
  ['0-60 x 2/52', knee, '0-13 0/60'],
  ['0-60 x 2/52 then 0-90 x 4/52 then free ROM', knee, '0-13 0/60 | 14-41 0/90 | 42- free'],
  ['0-60 x 10/7', knee, '0-9 0/60'],
  ['0-60 for two weeks', knee, '0-13 0/60'],
  ['first 2 weeks 0-30, then 0-60', knee, '0-13 0/30 | 14- 0/60'],
  ['for the first six weeks 0-90', knee, '0-41 0/90'],
  ['2 weeks 0-30, 4 weeks 0-60', knee, '0-13 0/30 | 14-41 0/60'],
  ['0-30 2 weeks; 0-60 2 weeks; 0-90 2 weeks', knee, '0-13 0/30 | 14-27 0/60 | 28-41 0/90'],
  ['0-30 for 10 days then 0-60', knee, '0-9 0/30 | 10- 0/60'],
  ['from week 2 for 4 weeks 0-90', { ...knee, weeks: 'points' }, '14-41 0/90 [begins-late]'],
  ['0-30 for 2 to 4 weeks', knee, 'not-one'],
  // until
  ['0-60 until day 13, then 0-90', knee, '0-13 0/60 | 14- 0/90'],
  ['0-60 until 6 weeks', knee, '0-41 0/60'],
  ['0-60 up to week 4 then free motion', { ...knee, until: 'weeks-over' }, '0-27 0/60 | 28- free'],
  ['0-90 till week 2, then 0-30', knee, '0-6 0/90 [until-week] | 7- 0/30'],
  ['0-60 until 14 Dec 2026', dated, '0-20 0/60'],
  ['0-60 until 14 December, then 0-90', dated, '0-20 0/60 | 21- 0/90'],
  ['0-60 until 2026-12-14', dated, '0-20 0/60'],
  ['0-60 until 3 Jan', dated, '0-40 0/60'],
  ['0-60 until 14 Dec', knee, 'not-one'],
  ['0-60 until 03/04/2027', dated, 'not-one'],
  // weeks by their numbers
  ['weeks 0-2 0-30; weeks 2-6 0-90', knee, '0-13 0/30 | 14-41 0/90'],
  ['wk 1-2 0-30; wk 3-6 0-90', knee, '0-13 0/30 | 14-41 0/90'],
  ['wk 0-2 0-30', knee, '0-20 0/30 [week-reading]'],
  ['wk 0-2 0-30', { ...knee, weeks: 'points' }, '0-13 0/30'],
  ['wk 0-2 0-30', { ...knee, weeks: 'from-0' }, '0-20 0/30'],
  ['wk0-2 0-30, wk2-4 0-60', knee, '0-13 0/30 | 14-27 0/60'],
  ['0-2 weeks 0-30\n2-6 weeks 0-60', knee, '0-13 0/30 | 14-41 0/60'],
  ['0-30 weeks 0-2, 0-60 weeks 2-6', knee, '0-13 0/30 | 14-41 0/60'],
  // the unit may go with either: neither is guessed
  ['0-10 weeks 0-12', knee, 'not-one'],
  ['0-30 days 0-14', knee, 'not-one'],
  ['week 0 to week 2: 0-30, week 2 to week 6: 0-90', knee, '0-13 0/30 | 14-41 0/90'],
  ['0-30 for 2 weeks, from week 2 on 0-90', { ...knee, weeks: 'points' }, '0-13 0/30 | 14- 0/90'],
  ['d 0-14 0-30; d 15-28 0-60; d 29+ 0-90', knee, '0-14 0/30 | 15-28 0/60 | 29- 0/90'],
  ['day 0-14 0-30; day 14-28 0-60', knee, '0-13 0/30 | 14-28 0/60'],
  ['0-30 for 2 weeks, after 4 weeks 0-60', knee, '0-13 0/30 | 28- 0/60'],
  // locks
  ['0-60 locked straight when walking', knee, '0- 0/60 lock 0 walking'],
  ['0-60, locked at 20 for walking', knee, '0- 0/60 lock 20 walking'],
  ['0-60 locked at 20 degrees of flexion at night', knee, '0- 0/60 lock 20 sleeping'],
  ['0-60 locked', knee, '0- 0/60 lock ? ? [lock-angle lock-when]'],
  ['locked at 0 always', knee, '0- lock 0 always'],
  ['locked in extension walking 0-90', knee, '0- 0/90 lock 0 walking'],
  ['free ROM locked at 0 walking', knee, '0- free lock 0 walking [free-or-locked]'],
  ['locked 10 walking locked 20 sleeping 0-60', knee, 'not-one'],
  // free and full
  ['full', knee, '0- free'],
  ['free', knee, '0- free'],
  ['full ROM', knee, '0- free'],
  ['full range of motion', knee, '0- free'],
  ['no limits', knee, '0- free'],
  ['0-90 for 6 weeks then unrestricted', knee, '0-41 0/90 | 42- free'],
  ['full flexion', knee, 'not-one'],
  ['free when comfortable', knee, 'not-one'],
  ['full extension to 90', knee, '0- 0/90'],
  // weight bearing
  ['NWB 0-30 2 weeks then PWB 0-60', knee, '0-13 0/30 none | 14- 0/60 partial'],
  ['0-30 non weight bearing', knee, '0- 0/30 none'],
  ['0-30 toe-touch weight bearing', knee, '0- 0/30 touch'],
  ['0-30 touch weight bearing', knee, '0- 0/30 touch'],
  ['0-90 weight bearing as tolerated', knee, '0- 0/90 as-tolerated'],
  ['0-90 WBAT', knee, '0- 0/90 as-tolerated'],
  ['partial weight bearing 20 kg 0-60', knee, 'not-one'],
  // limits by their names
  ['ext 10 flex 60', knee, '0- 10/60'],
  ['flexion to 90, extension 0', knee, '0- 0/90'],
  ['extension block at 10, flexion up to 90', knee, '0- 10/90'],
  ['flexion 90', knee, '0- ?/90 [extension-limit]'],
  ['90-0', knee, '0- 90/0 [window-reversed]'],
  ['60-30 for 2 weeks', knee, '0-13 60/30 [window-reversed]'],
  // a boot
  [
    'equinus 20 for 2 weeks, then equinus 10 for 2 weeks, then equinus 0',
    ankle,
    '0-13 lock 20 always | 14-27 lock 10 always | 28- lock 0 always',
  ],
  ['locked 20 PF always 2 weeks NWB', ankle, '0-13 lock 20 always none'],
  ['locked in neutral always', ankle, '0- lock 0 always'],
  ['boot, equinus 20, wedges out one a fortnight', ankle, 'not-one'],
  // Spanish
  ['bloqueada en extensión completa', knee, '0- lock 0 ? [extension-limit flexion-limit lock-when]'],
  ['bloqueada en extensión siempre durante 6 semanas', knee, '0-41 lock 0 always'],
  ['0-60 durante 2 semanas, luego 0-90 hasta la semana 6', knee, '0-13 0/60 | 14-41 0/90 [until-week]'],
  ['0-60 durante dos semanas y luego libre', knee, '0-13 0/60 | 14- free'],
  ['de 0 a 60 durante 2 semanas', knee, '0-13 0/60'],
  ['semanas 0-2 0-30; semanas 2-6 0-90', knee, '0-13 0/30 | 14-41 0/90'],
  ['semana 0 a la semana 2: 0-30; semana 2 a la semana 6: 0-60', knee, '0-13 0/30 | 14-41 0/60'],
  ['0-30 bloqueada a 0 al caminar y al dormir', knee, '0- 0/30 lock 0 sleeping+walking'],
  ['primeras 2 semanas 0-30, después 0-60', knee, '0-13 0/30 | 14- 0/60'],
  ['0-60 hasta el 14 de diciembre', dated, '0-20 0/60'],
  ['0-60 hasta el 14 de diciembre de 2026, después movilidad libre', dated, '0-20 0/60 | 21- free'],
  ['0-30 en descarga 2 semanas, luego carga parcial 0-60', knee, '0-13 0/30 none | 14- 0/60 partial'],
  ['0-90 carga según tolerancia', knee, '0- 0/90 as-tolerated'],
  ['carga completa 0-90', knee, '0- 0/90 full'],
  ['extensión 10 flexión 60', knee, '0- 10/60'],
  ['flexión hasta 90, extensión 0', knee, '0- 0/90'],
  ['rodilla 0-30', ankle, 'not: rodilla 0-30'],
  ['a partir de la semana 2 0-90', { ...knee, weeks: 'points' }, '14- 0/90 [begins-late]'],
  ['0-30 durante 2 semanas, tras 4 semanas 0-60', knee, '0-13 0/30 | 28- 0/60'],
  ['equino 20 durante 2 semanas, luego equino 10', ankle, '0-13 lock 20 always | 14- lock 10 always'],
  ['libre cuando tolere', knee, 'not-one'],
];
