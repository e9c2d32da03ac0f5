import {
  casesOfPerson,
  doubles,
  peoplePage,
  person,
  personHistory,
  visitsPage,
  type Person,
} from '@estribo/core/answers';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { ask } from './http';
import { queries } from './queries';

export const usePeople = (find: string) =>
  useInfiniteQuery({
    queryKey: ['people', find],
    queryFn: ({ pageParam }) => ask(peoplePage, `/people?find=${encodeURIComponent(find)}&skip=${pageParam}`),
    initialPageParam: 0,
    getNextPageParam: (last, pages) => (last.more ? pages.length * 50 : undefined),
    placeholderData: (before) => before,
  });

export const usePerson = (id: string | undefined) =>
  useQuery({
    queryKey: ['person', id],
    queryFn: () => ask(person, `/people/${id}`),
    enabled: id !== undefined,
    staleTime: 300_000,
  });

/** Keeps a person that was written here and is on the way to the server. */
export const holdPerson = (one: Person): void => void queries.setQueryData(['person', one.id], one);

export const useCasesOf = (id: string | undefined) =>
  useQuery({
    queryKey: ['person', id, 'cases'],
    queryFn: () => ask(casesOfPerson, `/people/${id}/cases`),
    enabled: id !== undefined,
  });

export const usePersonHistory = (id: string) =>
  useQuery({
    queryKey: ['person', id, 'history'],
    queryFn: () => ask(personHistory, `/people/${id}/history`),
  });

/** Who may be the same as somebody who is to be added. */
export const fetchDoubles = ({ givenName, familyName, born }: Omit<Person, 'id' | 'numbers'>, but = '') =>
  ask(
    doubles,
    `/people/doubles?givenName=${encodeURIComponent(givenName)}&familyName=${encodeURIComponent(familyName)}&born=${born}&but=${but}`,
  );

export const useVisitsOf = (id: string) =>
  useQuery({
    queryKey: ['visits', 'of', id],
    queryFn: () => ask(visitsPage, `/people/${id}/visits`),
  });

/** Everybody who is expected from a day to another, by day and clock. */
export const useVisits = (from: string, until: string) =>
  useInfiniteQuery({
    queryKey: ['visits', from, until],
    queryFn: ({ pageParam }) => ask(visitsPage, `/visits?from=${from}&until=${until}&skip=${pageParam}`),
    initialPageParam: 0,
    getNextPageParam: (last, pages) => (last.more ? pages.length * 200 : undefined),
    placeholderData: (before) => before,
    refetchInterval: 60_000,
  });
