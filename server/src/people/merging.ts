import { In, IsNull, type EntityManager } from 'typeorm';
import { personEntity, type Person } from '../database/entities';
import { Problem } from '../problem';

/** A chain of merges is followed no further than this. */
const longestChain = 50;

/**
 * The person somebody is now: themselves, or whom they were merged into.
 * @throws Problem 404 when there is no such person
 */
export async function personNow(manager: EntityManager, id: string): Promise<Person> {
  let at: string = id;
  for (let i = 0; i < longestChain; i += 1) {
    const person = await manager.getRepository(personEntity).findOneBy({ id: at });
    if (!person) throw new Problem('no-person');
    if (person.mergedInto === null) return person;
    at = person.mergedInto;
  }
  throw new Error('a ring of merged people');
}

/** A person with everybody who was merged into them, by rising number. */
export async function sameAs(manager: EntityManager, now: Person): Promise<Person[]> {
  const all = [now];
  for (let layer = [now.id]; layer.length > 0;) {
    const found = await manager.getRepository(personEntity).findBy({ mergedInto: In(layer) });
    all.push(...found);
    layer = found.map(({ id }) => id);
  }
  return all.sort((a, b) => a.number - b.number);
}

/** Of many people, whom each is now: what a list shows. */
export async function peopleNow(
  manager: EntityManager,
  ids: readonly string[],
): Promise<ReadonlyMap<string, Person>> {
  const known = new Map<string, Person>();
  for (let wanted = [...new Set(ids)]; wanted.length > 0;) {
    const found = await manager.getRepository(personEntity).findBy({ id: In(wanted) });
    for (const person of found) known.set(person.id, person);
    wanted = found.flatMap(({ mergedInto }) => (mergedInto && !known.has(mergedInto) ? [mergedInto] : []));
  }
  const now = (id: string): Person | undefined => {
    const person = known.get(id);
    return person?.mergedInto ? now(person.mergedInto) : person;
  };
  return new Map(ids.flatMap((id) => (now(id) ? [[id, now(id)!] as const] : [])));
}

/** Those who are nobody else. */
export const themselves = { mergedInto: IsNull() };
