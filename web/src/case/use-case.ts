import type { AnyEntry, AnyRecordedEntry, CaseState } from '@estribo/core/logbook';
import { foldCase } from '@estribo/core/logbook';
import type { BraceModel, Programme } from '@estribo/core/programmes';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { contentQuery, entriesKey, queries, usePerson, usePosted, useZone, type Person } from '../api/clinic';
import { call, RefusedError } from '../api/http';

/** The last seq before the first gap: entries of others may have come between those written here. */
const unbroken = (entries: readonly AnyRecordedEntry[]): number => {
  const gap = entries.findIndex(({ seq }, i) => seq !== i + 1);
  return gap < 0 ? entries.length : gap;
};

/** All entries of a case: what is known is kept, what came after its last seq is fetched. */
async function fetchEntries(caseId: string): Promise<AnyRecordedEntry[]> {
  for (;;) {
    const known = queries.getQueryData<AnyRecordedEntry[]>(entriesKey(caseId)) ?? [];
    const after = unbroken(known);
    const { entries, more } = await call<{ entries: AnyRecordedEntry[]; more: boolean }>(
      'GET',
      `/cases/${caseId}/entries?after=${after}`,
    );
    const before = queries.getQueryData<AnyRecordedEntry[]>(entriesKey(caseId)) ?? known;
    const fresh = entries.filter(({ id }) => !before.some((entry) => entry.id === id));
    const all = fresh.length > 0 ? [...before, ...fresh].sort((a, b) => a.seq - b.seq) : before;
    if (!more) return all;
    queries.setQueryData(entriesKey(caseId), all);
  }
}

export interface OpenCase {
  state: CaseState;
  person: Person | undefined;
  /** entries that only this browser has so far */
  waiting: ReadonlySet<string>;
}

/**
 * A case as it stands: the fold of what the server has and of what waits here.
 */
export function useCase(caseId: string): { open?: OpenCase; missing: boolean; away: boolean } {
  const zone = useZone();
  const posted = usePosted(caseId);
  const entries = useQuery({
    queryKey: entriesKey(caseId),
    queryFn: () => fetchEntries(caseId),
    refetchInterval: 30_000,
  });

  const { all, waiting } = useMemo(() => {
    const known = entries.data ?? [];
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
  const programme = useQuery(contentQuery<Programme>('programme', opened?.body.programme.hash));
  const model = useQuery(contentQuery<BraceModel>('model', opened?.body.model.hash));
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
    (personWaiting && ({ id: opened!.body.person, ...(personWaiting.body as object) } as Person));
  return {
    ...(state ? { open: { state, person: known, waiting } } : {}),
    missing:
      entries.error instanceof RefusedError && entries.error.problem.status === 404 && all.length === 0,
    away: entries.isError && !(entries.error instanceof RefusedError),
  };
}
