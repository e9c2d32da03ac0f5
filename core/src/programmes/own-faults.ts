import { faultAt, type EntryFault } from '../faults';
import { isVisible } from '../people';
import type { Programme } from './programme';

/** The lists of a family whose members are named by id. */
export const memberLists = ['measuring', 'settings', 'operations', 'parts', 'sequences', 'checks'] as const;

/** Which member of a family a condition waits for, by its kind. */
const waitsFor: Record<string, { list: string; field: string }> = {
  passed: { list: 'checks', field: 'check' },
  set: { list: 'settings', field: 'setting' },
  list: { list: 'sequences', field: 'is' },
};

/**
 * What a family of a clinic's own cannot have, beyond what its schema says: doubled ids, ids that mean something else to a
 * program, a title that cannot be read, no measuring where its base measures, an axis that nobody measures, members that wait
 * for each other.
 * @param base the family that it was copied from
 */
export function ownFamilyFaults(
  own: Programme,
  base: Pick<Programme, 'measuring' | 'version'>,
): EntryFault[] {
  const measured = new Set(own.measuring.map(({ id }) => id));
  return [
    ...(own.title !== undefined && !isVisible(own.title) ? faultAt('title', 'visible') : []),
    ...(own.baseVersion !== undefined && own.baseVersion > base.version
      ? faultAt('baseVersion', 'newer-than-base', { last: base.version })
      : []),
    ...memberLists.flatMap((list) =>
      idFaults(
        list,
        (own[list] ?? []).map(({ id }) => id),
      ),
    ),
    ...own.sequences.flatMap(({ steps }, i) =>
      idFaults(
        `sequences[${i}].steps`,
        steps.flatMap((step) => ('id' in step ? [step.id] : [])),
      ),
    ),
    ...(own.measuring.length === 0 && base.measuring.length > 0
      ? faultAt('measuring', 'nothing-measured')
      : []),
    ...own.axes.flatMap((axis, i) =>
      measured.has(axis) ? [] : faultAt(`axes[${i}]`, 'axis-not-measured', { axis }),
    ),
    ...circleFaults(own),
  ];
}

function idFaults(list: string, ids: readonly string[]): EntryFault[] {
  return ids.flatMap((id, i) => [
    ...(ids.indexOf(id) < i ? faultAt(`${list}[${i}].id`, 'id-twice', { id }) : []),
    ...(!/^[a-z0-9][a-z0-9-]*$/.test(id) || id in Object.prototype
      ? faultAt(`${list}[${i}].id`, 'no-id', { id })
      : []),
  ]);
}

/** Members whose conditions lead back to themselves: none of them could ever come first. */
function circleFaults(own: Programme): EntryFault[] {
  const waits = new Map<string, string[]>();
  for (const list of ['settings', 'sequences', 'checks'] as const)
    for (const one of own[list]) waits.set(`${list} ${one.id}`, namedIn((one as { when?: unknown }).when));
  const found: EntryFault[] = [];
  const settled = new Set<string>();
  const visit = (node: string, path: readonly string[]): void => {
    if (settled.has(node)) return;
    const at = path.indexOf(node);
    if (at >= 0) {
      const circle = path.slice(at).map((name) => name.split(' ')[1]);
      found.push(...faultAt(node.split(' ')[0]!, 'circle', { words: circle.join(', ') }));
      return;
    }
    for (const next of waits.get(node) ?? []) visit(next, [...path, node]);
    settled.add(node);
  };
  for (const node of waits.keys()) visit(node, []);
  return found;
}

/** What a condition names, however deep. */
function namedIn(condition: unknown): string[] {
  if (typeof condition !== 'object' || condition === null) return [];
  const { kind, of } = condition as { kind?: string; of?: unknown };
  const named = kind === undefined ? undefined : waitsFor[kind];
  const id = named && (condition as Record<string, unknown>)[named.field];
  return [
    ...(named && typeof id === 'string' ? [`${named.list} ${id}`] : []),
    ...(Array.isArray(of) ? of.flatMap(namedIn) : namedIn(of)),
  ];
}
