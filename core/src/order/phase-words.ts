import type { Joint } from '../anatomy';
import type { lockMoments, weightBearing } from './order-body';

/*
 * The words of schedules as prescribers write them, in English and Spanish, without accents. Common practice, no source.
 */

export type LockMoment = (typeof lockMoments)[number];
export type Weight = (typeof weightBearing)[number];
export type TimeUnit = 'day' | 'week';

const list = (text: string): string[] => text.split(' ');
/** A phrase of several words, the longest ones first, so that no short one takes a word of a longer. */
const phrases = <T>(of: Readonly<Record<string, T>>): { words: string[]; means: T }[] =>
  Object.entries(of)
    .map(([text, means]) => ({ words: list(text), means }))
    .sort((a, b) => b.words.length - a.words.length);

export const units: Readonly<Record<string, TimeUnit>> = Object.fromEntries([
  ...list('d day days dia dias').map((word) => [word, 'day'] as const),
  ...list('w wk wks week weeks sem semana semanas').map((word) => [word, 'week'] as const),
]);

/** Numbers as words: of weeks and days, no more than a schedule counts. */
export const numbers: Readonly<Record<string, number>> = Object.fromEntries([
  ...list('one two three four five six seven eight nine ten eleven twelve').map(
    (word, i) => [word, i + 1] as const,
  ),
  ...list('una dos tres cuatro cinco seis siete ocho nueve diez once doce').map(
    (word, i) => [word, i + 1] as const,
  ),
]);

export const months: Readonly<Record<string, number>> = Object.fromEntries(
  [
    list('jan feb mar apr may jun jul aug sep oct nov dec'),
    list('january february march april may june july august september october november december'),
    list('ene feb mar abr may jun jul ago sep oct nov dic'),
    list('enero febrero marzo abril mayo junio julio agosto septiembre octubre noviembre diciembre'),
  ].flatMap((names) => names.map((name, i) => [name, i + 1] as const)),
);

/** One phase ends and the next begins. */
export const thenWords = phrases({
  'and then': true,
  then: true,
  'y luego': true,
  luego: true,
  'y despues': true,
  despues: true,
  entonces: true,
});

export const untilWords = phrases({
  until: true,
  till: true,
  'up to': true,
  hasta: true,
  through: true,
  to: true,
});
export const fromWords = phrases({
  from: 'at',
  since: 'at',
  starting: 'at',
  'starting at': 'at',
  at: 'at',
  desde: 'at',
  'a partir de': 'at',
  after: 'after',
  tras: 'after',
} as const);
export const forWords = phrases({ for: true, x: true, during: true, durante: true, por: true });
export const firstWords = list('first primera primeras primeros');
export const onwards = list('on onward onwards adelante');

export const lockWords = list('locked lock bloqueada bloqueado bloqueo bloquear');
export const lockTimes = phrases<LockMoment>({
  'when walking': 'walking',
  'for walking': 'walking',
  walking: 'walking',
  ambulation: 'walking',
  ambulating: 'walking',
  gait: 'walking',
  'al caminar': 'walking',
  'al andar': 'walking',
  caminar: 'walking',
  andar: 'walking',
  marcha: 'walking',
  deambulacion: 'walking',
  'at night': 'sleeping',
  sleeping: 'sleeping',
  sleep: 'sleeping',
  night: 'sleeping',
  nights: 'sleeping',
  'al dormir': 'sleeping',
  dormir: 'sleeping',
  noche: 'sleeping',
  noches: 'sleeping',
  'at all times': 'always',
  'all the time': 'always',
  always: 'always',
  siempre: 'always',
  'en todo momento': 'always',
});

/** Straight, as the angle of a lock or an end of motion. */
export const straight = phrases({
  'full extension': true,
  'extension completa': true,
  straight: true,
  recta: true,
  extendida: true,
});

export const weightPhrases = phrases<Weight>({
  nwb: 'none',
  'non weight bearing': 'none',
  'no weight bearing': 'none',
  'non weightbearing': 'none',
  'sin carga': 'none',
  'en descarga': 'none',
  descarga: 'none',
  ttwb: 'touch',
  tdwb: 'touch',
  'toe touch weight bearing': 'touch',
  'touch weight bearing': 'touch',
  'touch down weight bearing': 'touch',
  'carga de contacto': 'touch',
  'apoyo de contacto': 'touch',
  pwb: 'partial',
  'partial weight bearing': 'partial',
  'carga parcial': 'partial',
  'apoyo parcial': 'partial',
  wbat: 'as-tolerated',
  'weight bearing as tolerated': 'as-tolerated',
  'carga segun tolerancia': 'as-tolerated',
  'carga a tolerancia': 'as-tolerated',
  fwb: 'full',
  'full weight bearing': 'full',
  'full weightbearing': 'full',
  'carga completa': 'full',
  'carga total': 'full',
});

const motionWords = list('motion rom movement');
/** Motion that is free: said alone, or of the motion, never of anything else that is full. */
export const freePhrases = phrases({
  ...Object.fromEntries(
    list('free full unlimited unrestricted').flatMap((how) => [
      ...motionWords.map((what) => [`${how} ${what}`, true] as const),
      [`${how} range of motion`, true] as const,
    ]),
  ),
  unlimited: true,
  unrestricted: true,
  free: true,
  'no limit': true,
  'no limits': true,
  'sin limite': true,
  'sin limites': true,
  'movilidad libre': true,
  'movilidad completa': true,
  'movimiento libre': true,
  libre: true,
});

export const extensionWords = list('ext extension extn');
export const flexionWords = list('flex flexion flx');
export const plantarWords = list('pf plantarflexion equinus equino');
export const dorsalWords = list('df dorsiflexion');

export const joints: Readonly<Record<string, Joint>> = Object.fromEntries([
  ...list('knee rodilla').map((word) => [word, 'knee'] as const),
  ...list('ankle tobillo').map((word) => [word, 'ankle'] as const),
  ...list('elbow codo').map((word) => [word, 'elbow'] as const),
  ...list('shoulder hombro').map((word) => [word, 'shoulder'] as const),
  ...list('neck cuello').map((word) => [word, 'neck'] as const),
]);

/** Words that join and say nothing. */
export const joining = new Set(
  list(
    'and at in with of the rom motion range brace hinge on post op postop a al de del la el las los en y con rango ortesis rodillera , . : ( )',
  ),
);
