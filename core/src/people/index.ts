export { likeness, turnedDay, type Likeness, type NamedPerson } from './doubles';
export { soughtWords, wordsOf, wordsOfDay, type SoughtWord } from './words';
export { isVisible } from './visible';
