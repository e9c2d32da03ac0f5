/* What a family says from putting on to checking: a file a family, each keyed by the id it is about. */
import type { FamilyWords, Programme } from '@estribo/core/programmes';
import { language, named } from '..';
import { familiesIn } from '../spoken';
import { en } from '../en';
import { familiesEn } from './families';

const families: Record<string, FamilyWords> = familiesEn;

type Named = Pick<Programme, 'id' | 'base' | 'words'>;

/** A family's words: those it carries itself, then those of the family it is or was copied from. */
const wordsOf = <G extends keyof FamilyWords>(
  { id, base, words }: Named,
  group: G,
  of: string,
): NonNullable<FamilyWords[G]>[string] | undefined =>
  (words?.[group]?.[of] ??
    familiesIn(language)[base ?? id]?.[group]?.[of] ??
    families[base ?? id]?.[group]?.[of]) as NonNullable<FamilyWords[G]>[string] | undefined;

/** A step's name, what to hold or press, and a caution where it has one. */
export const stepWords = (programme: Named, step: string): NonNullable<FamilyWords['steps']>[string] =>
  wordsOf(programme, 'steps', step) ?? { name: step, hold: '' };

/** A check's name, how it is looked at, and what mends it. */
export const checkWords = (programme: Named, check: string): NonNullable<FamilyWords['checks']>[string] =>
  wordsOf(programme, 'checks', check) ?? { name: check, fix: '' };

/** An injury by its code: a programme's own, or one of those every clinic has. */
export const injuryName = (programme: Named, code: string): string =>
  wordsOf(programme, 'injuries', code) ?? (code in en.injuries ? named('injuries', code) : code);

export const listName = (programme: Named, list: string): string => wordsOf(programme, 'lists', list) ?? list;

/** A setting's name and how it is made. */
export const settingWords = (
  programme: Named,
  setting: string,
): NonNullable<FamilyWords['settings']>[string] =>
  wordsOf(programme, 'settings', setting) ?? { name: setting, how: '' };

/** What work on the brace is called, how it is done, what has to be so first. */
export const operationWords = (
  programme: Named,
  operation: string,
): NonNullable<FamilyWords['operations']>[string] =>
  wordsOf(programme, 'operations', operation) ?? { name: operation, how: '' };

/** What a part is called: by its family, or a pad by its place. */
export const partName = (programme: Named, part: string): string =>
  wordsOf(programme, 'parts', part) ?? (part in en.pads ? named('pads', part) : part);

/** A line of how it is cared for: its family's own, or one of those that many share. */
export const careLine = (programme: Named, line: string): string =>
  wordsOf(programme, 'care', line) ?? (line in en.care ? named('care', line) : line);

/** A line of how it is worn: its family's own, or one of those that many share. */
export const wearLine = (programme: Named, line: string): string =>
  wordsOf(programme, 'wear', line) ?? (line in en.wearLines ? named('wearLines', line) : line);

/** Why there is nothing to do in a stage of a family; undefined where it does not say. */
export const whyNotNeeded = (programme: Named, stage: string): string | undefined =>
  wordsOf(programme, 'notNeeded', stage);

/** A check's name where its family is not at hand: one id means one thing, whatever the family. */
export const checkName = (check: string): string =>
  [...Object.values(familiesIn(language)), ...Object.values(families)].flatMap(
    ({ checks }) => checks?.[check]?.name ?? [],
  )[0] ?? check;
