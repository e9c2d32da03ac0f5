import { memberLists } from './own-faults';
import { canonicalText } from './pin';
import type { Programme } from './programme';

/** What else of a family is compared, each as a whole. */
const wholeFields = [
  'joint',
  'ordered',
  'hinge',
  'donning',
  'findings',
  'limbs',
  'notNeeded',
  'care',
  'followed',
  'wear',
] as const;

export type FamilyList = (typeof memberLists)[number];
export type FamilyField = (typeof wholeFields)[number];

/** One thing in which a clinic's own copy differs from the family it was copied from. */
export type FamilyDifference = (
  | { list: FamilyList; id: string; field?: undefined }
  | { field: FamilyField; list?: undefined; id?: undefined }
) & {
  /** the copy does not have it, has it otherwise, or has it alone */
  is: 'missing' | 'otherwise' | 'own';
};

const isAlike = (one: unknown, other: unknown): boolean => canonicalText(one) === canonicalText(other);

/** In what a copy differs from its family as it is today, in the family's order. */
export function familyDifferences(own: Programme, base: Programme): FamilyDifference[] {
  const members = memberLists.flatMap((list): FamilyDifference[] => {
    const [here, there] = [own, base].map((one) => (one[list] ?? []) as { id: string }[]) as [
      { id: string }[],
      { id: string }[],
    ];
    return [
      ...there.flatMap((member): FamilyDifference[] => {
        const same = here.find(({ id }) => id === member.id);
        if (!same) return [{ list, id: member.id, is: 'missing' }];
        return isAlike(same, member) ? [] : [{ list, id: member.id, is: 'otherwise' }];
      }),
      ...here
        .filter(({ id }) => there.every((member) => member.id !== id))
        .map(({ id }): FamilyDifference => ({ list, id, is: 'own' })),
    ];
  });
  const fields = wholeFields.flatMap((field): FamilyDifference[] =>
    isAlike(own[field] ?? null, base[field] ?? null)
      ? []
      : [
          {
            field,
            is: own[field] === undefined ? 'missing' : base[field] === undefined ? 'own' : 'otherwise',
          },
        ],
  );
  return [...members, ...fields];
}

/**
 * A copy with what was chosen of its family taken over: a member in the family's place of it, or gone where only the copy has it.
 * It counts as looked at against that version of the family.
 */
export function withDifferences(
  own: Programme,
  base: Programme,
  chosen: readonly FamilyDifference[],
): Programme {
  const changed: Record<string, unknown> = { ...own, baseVersion: base.version };
  for (const list of memberLists) {
    const here = (own[list] ?? []) as { id: string }[];
    const there = (base[list] ?? []) as { id: string }[];
    const ids = new Set(chosen.filter((one) => one.list === list).map(({ id }) => id));
    if (ids.size === 0) continue;
    const kept = here
      .filter(({ id }) => !ids.has(id) || there.some((member) => member.id === id))
      .map((member) => (ids.has(member.id) ? there.find(({ id }) => id === member.id)! : member));
    for (const [i, member] of there.entries()) {
      if (!ids.has(member.id) || here.some(({ id }) => id === member.id)) continue;
      // behind the member that stands before it in the family, where the copy has that
      const before = there.slice(0, i).findLast(({ id }) => kept.some((one) => one.id === id));
      kept.splice(before ? kept.findIndex(({ id }) => id === before.id) + 1 : 0, 0, member);
    }
    changed[list] = kept;
  }
  for (const { field } of chosen)
    if (field !== undefined) {
      if (base[field] === undefined) delete changed[field];
      else changed[field] = base[field];
    }
  return changed as unknown as Programme;
}

/** Whether a copy was made of, or looked at against, a version of before its family's last safety change. */
export const isBeforeSafetyChange = (
  own: Pick<Programme, 'baseVersion'>,
  base: Pick<Programme, 'safetySince'>,
): boolean => base.safetySince !== undefined && (own.baseVersion ?? 0) < base.safetySince;
