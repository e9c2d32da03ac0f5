import type { Role } from '@estribo/core/access';
import { dayOf } from '@estribo/core/calendar';
import type { AnyRecordedEntry, Ribbon } from '@estribo/core/logbook';
import type { Pin, Stage } from '@estribo/core/programmes';
import type { Side } from '@estribo/core/anatomy';
import { QueryClient, useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { liveQuery } from 'dexie';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { AwayError, call } from './http';
import { Outbox, type Posted } from './outbox';

export interface SignedIn {
  id: string;
  name: string;
  role: Role;
}

export interface Session {
  user: SignedIn | null;
  clinic: { name: string; zone: string };
}

export interface Person {
  id: string;
  givenName: string;
  familyName: string;
  born: string;
}

export interface CaseSummary {
  case: string;
  person: string;
  personName: string;
  modelName: string;
  modelId: string;
  programme: string;
  side: Side;
  stage: Stage;
  blockedBy: string | null;
  size: string | null;
  firstVisit: string | null;
  ribbon: Ribbon;
}

export interface Catalogue {
  families: {
    programme: Pin;
    models: (Pin & { name: string; maker: string; invented: boolean; sizes: string[] })[];
  }[];
}

export const queries = new QueryClient({
  defaultOptions: {
    queries: {
      retry: (count, error) => error instanceof AwayError && count < 2,
      staleTime: 10_000,
    },
  },
});

export const entriesKey = (caseId: string) => ['case', caseId, 'entries'] as const;

/** Puts an entry the server has among those of its case. */
export function keepEntry(entry: AnyRecordedEntry): void {
  queries.setQueryData<AnyRecordedEntry[]>(entriesKey(entry.case), (known) =>
    known?.some(({ id }) => id === entry.id)
      ? known
      : [...(known ?? []), entry].sort((a, b) => a.seq - b.seq),
  );
  const held = queries.getQueryData<AnyRecordedEntry[]>(entriesKey(entry.case)) ?? [];
  if (held.length < entry.seq) void queries.invalidateQueries({ queryKey: entriesKey(entry.case) });
}

export const outbox = new Outbox({
  taken: keepEntry,
  emptied: () => {
    void queries.invalidateQueries({ queryKey: ['bench'] });
    void queries.invalidateQueries({ queryKey: ['cases'] });
    void queries.invalidateQueries({ queryKey: ['people'] });
  },
  signedOut: () => void queries.invalidateQueries({ queryKey: ['session'] }),
});

export const useSession = () =>
  useQuery({
    queryKey: ['session'],
    queryFn: () => call<Session>('GET', '/session'),
    staleTime: 60_000,
    refetchOnWindowFocus: true,
  });

/** The one who is signed in; screens behind the sign-in have one. */
export function useUser(): SignedIn {
  const { data } = useSession();
  if (!data?.user) throw new Error('nobody is signed in');
  return data.user;
}

export function useZone(): string {
  return useSession().data?.clinic.zone ?? 'UTC';
}

/** The clinic's day, looked at again every minute. */
export function useToday(): string {
  const zone = useZone();
  const [now, setNow] = useState(() => new Date().toISOString());
  useEffect(() => {
    const timer = setInterval(() => setNow(new Date().toISOString()), 60_000);
    return () => clearInterval(timer);
  }, []);
  return dayOf(now, zone);
}

export const useSending = () => useSyncExternalStore(outbox.subscribe, () => outbox.sending);

const none: Posted[] = [];

/** What waits in the outbox, or was refused; of one case or of all. */
export function usePosted(caseId?: string): Posted[] {
  const user = useUser().id;
  const [posted, setPosted] = useState<Posted[]>(none);
  useEffect(() => {
    const watching = liveQuery(() => outbox.list(user, caseId)).subscribe(setPosted);
    return () => watching.unsubscribe();
  }, [user, caseId]);
  return posted;
}

export const useStaff = () =>
  useQuery({
    queryKey: ['staff'],
    queryFn: () => call<{ staff: { id: string; name: string; role: Role }[] }>('GET', '/staff'),
    staleTime: 300_000,
  });

interface Page {
  cases: CaseSummary[];
  more: boolean;
}

const nextPage = (last: { more: boolean }, pages: { length: number }[] | unknown[]) =>
  last.more ? pages.length * 50 : undefined;

export const useBench = () =>
  useInfiniteQuery({
    queryKey: ['bench'],
    queryFn: ({ pageParam }) =>
      call<Page & { today: string; from: string }>('GET', `/bench?skip=${pageParam}`),
    initialPageParam: 0,
    getNextPageParam: nextPage,
    refetchInterval: 60_000,
  });

export const useCases = (find: string) =>
  useInfiniteQuery({
    queryKey: ['cases', find],
    queryFn: ({ pageParam }) =>
      call<Page>('GET', `/cases?find=${encodeURIComponent(find)}&skip=${pageParam}`),
    initialPageParam: 0,
    getNextPageParam: nextPage,
    placeholderData: (before) => before,
  });

export const usePeople = (find: string) =>
  useQuery({
    queryKey: ['people', find],
    queryFn: () =>
      call<{ people: Person[]; more: boolean }>('GET', `/people?find=${encodeURIComponent(find)}`),
    placeholderData: (before) => before,
  });

/** A programme or a model by its hash: it never changes. */
export const contentQuery = <T>(sort: 'programme' | 'model', hash: string | undefined) => ({
  queryKey: ['content', sort, hash],
  queryFn: () => call<T>('GET', `/catalogue/${sort}/${hash}`),
  enabled: hash !== undefined,
  staleTime: Infinity,
  gcTime: Infinity,
});

export const usePerson = (id: string | undefined) =>
  useQuery({
    queryKey: ['person', id],
    queryFn: () => call<Person>('GET', `/people/${id}`),
    enabled: id !== undefined,
    staleTime: 300_000,
  });

export const useCatalogue = () =>
  useQuery({
    queryKey: ['catalogue'],
    queryFn: () => call<Catalogue>('GET', '/catalogue'),
    staleTime: 300_000,
  });
