import { soughtWords, wordsOf, wordsOfDay, type SoughtWord } from '@estribo/core/people';
import type { BraceModel, Programme } from '@estribo/core/programmes';
import {
  In,
  type DataSource,
  type EntityManager,
  type ObjectLiteral,
  type SelectQueryBuilder,
} from 'typeorm';
import { registered } from '../catalogue/registry';
import {
  caseEntity,
  caseWordEntity,
  personEntity,
  personWordEntity,
  summaryEntity,
  type Person,
} from '../database/entities';
import { personNow, sameAs } from './merging';

/** A family as a word: nobody types the sign before it. */
export const familyWord = (id: string) => `=${id}`.slice(0, 40);

const wordsOfPerson = ({ givenName, familyName, born, number }: Person): string[] => [
  ...wordsOf(`${givenName} ${familyName}`),
  ...wordsOfDay(born),
  String(number),
];

/** Writes the words of a person, of those merged into them and of all their cases anew. */
export async function writePersonWords(manager: EntityManager, id: string): Promise<void> {
  const now = await personNow(manager, id);
  const all = await sameAs(manager, now);
  const words = new Set(all.flatMap(wordsOfPerson));
  const rows = manager.getRepository(personWordEntity);
  await rows.delete({ person: In(all.map((one) => one.id)) });
  await rows.insert([...words].map((word) => ({ word, person: now.id })));
  const cases = await manager.getRepository(caseEntity).find({
    where: { person: In(all.map((one) => one.id)) },
    select: { id: true },
  });
  for (const one of cases) await writeCaseWords(manager, one.id);
}

/** Writes the words by which a case is found anew: of its person, its brace and the labels that were read. */
export async function writeCaseWords(manager: EntityManager, id: string): Promise<void> {
  const [row, summary] = await Promise.all([
    manager.getRepository(caseEntity).findOneByOrFail({ id }),
    manager.getRepository(summaryEntity).findOneByOrFail({ case: id }),
  ]);
  const [model, programme, person] = await Promise.all([
    registered<BraceModel>(manager, 'model', row.modelHash),
    registered<Programme>(manager, 'programme', row.programmeHash),
    personNow(manager, row.person),
  ]);
  const people = await sameAs(manager, person);
  const labels = summary.labels.flatMap(({ serial, lot }) => [serial ?? '', lot ?? '']);
  const words = new Set([
    ...people.flatMap(wordsOfPerson),
    ...wordsOf(`${summary.modelName} ${model?.maker ?? ''} ${labels.join(' ')}`),
    familyWord(summary.programme),
    ...(programme?.base === undefined ? [] : [familyWord(programme.base)]),
  ]);
  const rows = manager.getRepository(caseWordEntity);
  await rows.delete({ case: id });
  await rows.insert([...words].map((word) => ({ word, case: id })));
}

/** Gives words to whoever has none yet: people of an older version. */
export async function fillPersonWords(db: DataSource): Promise<number> {
  let filled = 0;
  for (;;) {
    const rows = await db
      .getRepository(personEntity)
      .createQueryBuilder('person')
      .where('person.mergedInto IS NULL')
      .andWhere('NOT EXISTS (SELECT 1 FROM `person_word` `w` WHERE `w`.`person` = `person`.`id`)')
      .take(500)
      .getMany();
    if (rows.length === 0) return filled;
    await db
      .getRepository(personWordEntity)
      .insert(
        rows.flatMap((person) =>
          [...new Set(wordsOfPerson(person))].map((word) => ({ word, person: person.id })),
        ),
      );
    filled += rows.length;
  }
}

/** What a word stands for beside itself: families whose title has it, in the language of who types. */
export type Meant = ReadonlyMap<string, readonly string[]>;

/**
 * Narrows a query to what has every word that was typed.
 * @param table where the words stand, and its column that names what is looked for
 * @param id the column of the query that it names
 */
export function withWords<T extends ObjectLiteral>(
  query: SelectQueryBuilder<T>,
  { table, of, id }: { table: 'person_word' | 'case_word'; of: 'person' | 'case'; id: string },
  typed: string,
  meant: Meant = new Map(),
): SelectQueryBuilder<T> {
  const words = soughtWords(typed);
  // signs alone are found nowhere
  if (words.length === 0) return query.andWhere('1 = 0');
  words.forEach(({ word, whole }: SoughtWord, i) => {
    const families = meant.get(word) ?? [];
    const parts = [
      `\`w\`.\`word\` ${whole ? '=' : 'LIKE'} :word${i}`,
      ...(families.length > 0 ? [`\`w\`.\`word\` IN (:...families${i})`] : []),
    ];
    query.andWhere(`${id} IN (SELECT \`w\`.\`${of}\` FROM \`${table}\` \`w\` WHERE ${parts.join(' OR ')})`, {
      [`word${i}`]: whole ? word : `${word}%`,
      [`families${i}`]: families.map(familyWord),
    });
  });
  return query;
}
