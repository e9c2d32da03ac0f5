import {
  benchPage,
  casesPage,
  catalogue,
  content,
  fits,
  modelsPage,
  provenCase,
  repeatability,
  staff,
  versions,
  type SignedIn,
} from '@estribo/core/answers';
import { dayOf } from '@estribo/core/calendar';
import type { AnyRecordedEntry } from '@estribo/core/logbook';
import type { OwnRepeatability } from '@estribo/core/measuring';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { liveQuery } from 'dexie';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { ask } from './http';
import type { Posted } from './machine';
import { Outbox } from './outbox';
import { askAnew, queries } from './queries';
import { fetchSession } from './session';

export const entriesKey = (caseId: string) => ['case', caseId, 'entries'] as const;

/** The entries of a case that are here. */
export interface HeldEntries {
  entries: AnyRecordedEntry[];
  /** up to this seq everything the server has is here; after it there may be gaps */
  whole: number;
}

/** Puts an entry the server has among those of its case. */
export function keepEntry(entry: AnyRecordedEntry): void {
  const held = queries.getQueryData<HeldEntries>(entriesKey(entry.case)) ?? { entries: [], whole: 0 };
  const known = held.entries.some(({ id }) => id === entry.id);
  queries.setQueryData<HeldEntries>(entriesKey(entry.case), {
    entries: known ? held.entries : [...held.entries, entry].sort((a, b) => a.seq - b.seq),
    whole: entry.seq === held.whole + 1 ? entry.seq : held.whole,
  });
  if (entry.seq > held.whole + 1) void queries.invalidateQueries({ queryKey: entriesKey(entry.case) });
}

export const outbox = new Outbox({
  taken: keepEntry,
  emptied: () => {
    for (const key of ['bench', 'cases', 'people', 'person', 'visits']) void askAnew([key]);
  },
  signedOut: () => void queries.invalidateQueries({ queryKey: ['session'] }),
});

export const useSession = () =>
  useQuery({
    queryKey: ['session'],
    queryFn: fetchSession,
    staleTime: 60_000,
    refetchOnWindowFocus: true,
    // a server that has yet to hear of a sign-out is told as soon as it answers
    refetchInterval: ({ state }) => (state.data?.untold ? 5_000 : false),
  });

/** The one who is signed in; screens behind the sign-in have one. */
export function useUser(): SignedIn {
  const { data } = useSession();
  if (!data?.user) throw new Error('nobody is signed in');
  return data.user;
}

/** By how many minutes this machine's clock is ahead of the server's; undefined where that is not known. */
export function useClockOff(): number | undefined {
  const off = useSession().data?.clockOff;
  return off === undefined ? undefined : off / 60_000;
}

export function useZone(): string {
  return useSession().data?.clinic.zone ?? 'UTC';
}

/** What the clinic says of itself: its name, whom to call, its own rule for wearing. */
export function useClinic() {
  const { clinic } = useSession().data ?? {};
  return { name: '', phone: null, emergency: null, wearRule: null, letterhead: null, ...clinic };
}

/** The instant, in milliseconds since 1970, looked at again every minute. */
export function useMinute(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 60_000);
    return () => clearInterval(timer);
  }, []);
  return now;
}

/** The clinic's day, looked at again every minute. */
export function useToday(): string {
  const zone = useZone();
  return dayOf(new Date(useMinute()).toISOString(), zone);
}

export const useSending = () => useSyncExternalStore(outbox.subscribe, () => outbox.sending);

/** How many things of other people wait on this machine. */
export function usePostedOfOthers(): { name: string; count: number }[] {
  const user = useSession().data?.user?.id;
  const [others, setOthers] = useState<{ name: string; count: number }[]>([]);
  useEffect(() => {
    const watching = liveQuery(() => outbox.ofOthers(user)).subscribe(setOthers);
    return () => watching.unsubscribe();
  }, [user]);
  return others;
}

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
    queryFn: () => ask(staff, '/staff'),
    staleTime: 300_000,
  });

/** A case with its person, every hash of its record computed again by the server. */
export const useProvenCase = (caseId: string, enabled = true) =>
  useQuery({
    queryKey: ['case', caseId, 'proof'],
    queryFn: () => ask(provenCase, `/cases/${caseId}`),
    enabled,
    staleTime: 600_000,
  });

const nextPage = (last: { more: boolean }, pages: { length: number }[] | unknown[]) =>
  last.more ? pages.length * 50 : undefined;

/** What of the Bench is looked at. */
export interface BenchWanted {
  region?: string;
  role?: string;
  keeper?: string;
}

export const useBench = ({ region = '', role = '', keeper = '' }: BenchWanted = {}) =>
  useInfiniteQuery({
    queryKey: ['bench', region, role, keeper],
    queryFn: ({ pageParam }) =>
      ask(benchPage, `/bench?region=${region}&role=${role}&keeper=${keeper}&skip=${pageParam}`),
    placeholderData: (before) => before,
    initialPageParam: 0,
    getNextPageParam: nextPage,
    refetchInterval: 60_000,
  });

/** @param meant what the words mean beside themselves, as the address has it */
export const useCases = (find: string, meant = '') =>
  useInfiniteQuery({
    queryKey: ['cases', find, meant],
    queryFn: ({ pageParam }) =>
      ask(casesPage, `/cases?find=${encodeURIComponent(find)}${meant}&skip=${pageParam}`),
    initialPageParam: 0,
    getNextPageParam: nextPage,
    placeholderData: (before) => before,
  });

/** A programme or a model by its hash: it never changes, and was held against its schema when it was registered. */
export const contentQuery = <T>(sort: 'programme' | 'model', hash: string | undefined) => ({
  queryKey: ['content', sort, hash],
  queryFn: async () => (await ask(content, `/catalogue/${sort}/${hash}`)) as T,
  enabled: hash !== undefined,
  staleTime: Infinity,
  gcTime: Infinity,
});

export const useCatalogue = (enabled = true) =>
  useQuery({
    queryKey: ['catalogue'],
    enabled,
    queryFn: () => ask(catalogue, '/catalogue'),
    staleTime: 300_000,
  });

/** This clinic's own repeatability for a protocol, once it has pairs enough. */
export function useOwnRepeatability(protocol: string | undefined): OwnRepeatability | undefined {
  const { data } = useQuery({
    queryKey: ['repeatability', protocol],
    queryFn: () => ask(repeatability, `/repeatability?protocol=${encodeURIComponent(protocol ?? '')}`),
    enabled: protocol !== undefined,
    staleTime: 300_000,
  });
  return data?.own ?? undefined;
}

/** Every model that the body of a case could wear, the surest first. */
export const useBestFit = (caseId: string, seq: number, sisters: boolean, enabled: boolean) =>
  useQuery({
    queryKey: ['fit', caseId, seq, sisters],
    queryFn: () => ask(fits, `/cases/${caseId}/fit?sisters=${sisters ? 1 : 0}`),
    enabled,
    placeholderData: (before) => before,
  });

export interface ModelsWanted {
  region?: string;
  family?: string;
  find?: string;
  retired?: boolean;
}

export const modelsAddress = ({
  region = '',
  family = '',
  find = '',
  retired = false,
}: ModelsWanted): string =>
  `region=${region}&family=${encodeURIComponent(family)}&find=${encodeURIComponent(find)}&retired=${retired ? 1 : 0}`;

/** The catalogue's models, page by page. */
export const useModels = (wanted: ModelsWanted, enabled = true) =>
  useInfiniteQuery({
    queryKey: ['models', wanted],
    queryFn: ({ pageParam }) =>
      ask(modelsPage, `/catalogue/models?${modelsAddress(wanted)}&skip=${pageParam}`),
    initialPageParam: 0,
    getNextPageParam: (last, pages) => (last.more ? pages.length * 200 : undefined),
    placeholderData: (before) => before,
    enabled,
  });

/** Every version of a model, the newest first. */
export const useVersions = (id: string) =>
  useQuery({
    queryKey: ['models', 'versions', id],
    queryFn: () => ask(versions, `/catalogue/models/${id}/versions`),
  });
