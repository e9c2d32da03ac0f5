import { entriesPage, type Person } from '@estribo/core/answers';
import type { AnyEntry, AnyRecordedEntry, CaseState } from '@estribo/core/logbook';
import { foldCase } from '@estribo/core/logbook';
import type { BraceModel, Programme } from '@estribo/core/programmes';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { contentQuery, entriesKey, usePosted, useProvenCase, useZone, type HeldEntries } from '../api/clinic';
import { usePerson } from '../api/people';
import { queries } from '../api/queries';
import { ask, RefusedError } from '../api/http';

/** All entries of a case: what is known is kept, what came after what is whole is fetched. */
export async function fetchEntries(caseId: string): Promise<HeldEntries> {
  for (;;) {
    const held = () => queries.getQueryData<HeldEntries>(entriesKey(caseId)) ?? { entries: [], whole: 0 };
    const { whole } = held();
    const { entries, next, more } = await ask(entriesPage, `/cases/${caseId}/entries?after=${whole}`);
    const before = held();
    const fresh = entries.filter(({ id }) => !before.entries.some((entry) => entry.id === id));
    const now: HeldEntries = {
      entries:
        fresh.length > 0 ? [...before.entries, ...fresh].sort((a, b) => a.seq - b.seq) : before.entries,
      whole: Math.max(before.whole, next),
    };
    if (!more) return now;
    queries.setQueryData(entriesKey(caseId), now);
  }
}

export interface OpenCase {
  state: CaseState;
  person: Person | undefined;
  /** entries that only this browser has so far */
  waiting: ReadonlySet<string>;
  /** whether every hash of the record holds; undefined while it is not known */
  holds: boolean | undefined;
}

/**
 * A case as it stands: the fold of what the server has and of what waits here.
 */
export function useCase(caseId: string): {
  open?: OpenCase;
  missing: boolean;
  away: boolean;
} {
  const zone = useZone();
  const posted = usePosted(caseId);
  const entries = useQuery({
    queryKey: entriesKey(caseId),
    queryFn: () => fetchEntries(caseId),
    refetchInterval: 30_000,
  });

  // opening a case has the server compute every hash of it again
  const proof = useProvenCase(caseId, entries.data !== undefined && entries.data.entries.length > 0);

  const { all, waiting } = useMemo(() => {
    const known = entries.data?.entries ?? [];
    const last = known.at(-1)?.seq ?? 0;
    const mine = posted
      .filter(({ state, method }) => state === 'waiting' && method === 'POST')
      .map(({ body }) => body as AnyEntry)
      .filter(({ id }) => !known.some((entry) => entry.id === id));
    const provisional = mine.map(
      (entry, i) => ({ ...entry, seq: last + 1 + i, receivedAt: entry.observedAt }) as AnyRecordedEntry,
    );
    return { all: [...known, ...provisional], waiting: new Set(mine.map(({ id }) => id)) };
  }, [entries.data, posted]);

  const opened = all.find((entry) => entry.kind === 'case.opened');
  const held = (all.findLast((entry) => entry.kind === 'case.moved') ?? opened)?.body;
  const programme = useQuery(contentQuery<Programme>('programme', held?.programme.hash));
  const model = useQuery(contentQuery<BraceModel>('model', held?.model.hash));
  const person = usePerson(opened?.body.person);
  const personWaiting = usePosted('').find(({ path }) => path === `/people/${opened?.body.person}`);

  const state = useMemo(
    () =>
      programme.data && model.data
        ? foldCase(all, { programme: programme.data, model: model.data, zone })
        : undefined,
    [all, programme.data, model.data, zone],
  );
  const known =
    person.data ??
    (personWaiting &&
      ({ id: opened!.body.person, numbers: [], ...(personWaiting.body as object) } as unknown as Person));
  return {
    ...(state ? { open: { state, person: known, waiting, holds: proof.data?.proof.holds } } : {}),
    missing:
      entries.error instanceof RefusedError && entries.error.problem.status === 404 && all.length === 0,
    away: entries.isError && !(entries.error instanceof RefusedError),
  };
}
