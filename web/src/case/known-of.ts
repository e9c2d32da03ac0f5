import type { Side } from '@estribo/core/anatomy';
import type { CaseOfPerson } from '@estribo/core/answers';
import { foldCase, frameOf, takenOver, type TakenOver } from '@estribo/core/logbook';
import type { BraceModel, Programme } from '@estribo/core/programmes';
import { useQueries, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { contentQuery, entriesKey, useToday, useZone } from '../api/clinic';
import { useCasesOf } from '../api/people';
import { queries } from '../api/queries';
import { braceOf } from '../visits/brace-of';
import { fetchEntries } from './use-case';

/** What is known of somebody from another of their cases, as a new one would take it over. */
export interface Known {
  brace: string;
  taken: Partial<Record<Side, TakenOver[]>>;
}

/** Of more cases of one day than this the oldest are not looked at. */
const mostCases = 4;

/** The state of a case that is not open here. */
async function stateOf(caseId: string, zone: string) {
  const { entries } = await queries.fetchQuery({
    queryKey: entriesKey(caseId),
    queryFn: () => fetchEntries(caseId),
  });
  const held = entries.findLast(({ kind }) => kind === 'case.moved' || kind === 'case.opened');
  if (held?.kind !== 'case.moved' && held?.kind !== 'case.opened') return null;
  const [programme, model] = await Promise.all([
    queries.fetchQuery(contentQuery<Programme>('programme', held.body.programme.hash)),
    queries.fetchQuery(contentQuery<BraceModel>('model', held.body.model.hash)),
  ]);
  return foldCase(entries, { programme, model, zone }) ?? null;
}

/**
 * What the cases of a person that were worked on today know for a brace and its sides: of the one that knows most.
 * @returns known: undefined when nothing can be taken over, or it is not known yet; looking: it is still looked for
 */
export function useKnownOf(
  person: string | undefined,
  programmeHash: string | undefined,
  modelHash: string | undefined,
  sides: readonly Side[],
): { known: Known | undefined; looking: boolean } {
  const zone = useZone();
  const today = useToday();
  const casesOf = useCasesOf(person);
  const all: CaseOfPerson[] = casesOf.data?.cases ?? [];
  const cases = all.filter(({ lastDay }) => lastDay === today).slice(0, mostCases);
  const asked = useQueries({
    queries: cases.map((one) => ({
      queryKey: ['case', one.case, 'known'],
      queryFn: () => stateOf(one.case, zone),
      staleTime: 10_000,
    })),
  });
  const states = asked.map(({ data }) => data);
  const programmeAsked = useQuery(contentQuery<Programme>('programme', programmeHash));
  const modelAsked = useQuery(contentQuery<BraceModel>('model', modelHash));
  const programme = programmeAsked.data;
  const model = modelAsked.data;
  const key = states.map((state) => state?.seq ?? 0).join(' ');
  const wanted = sides.join(' ');
  const known = useMemo(() => {
    if (!programme || !model) return undefined;
    const found = cases.flatMap((one, i) => {
      const state = states[i];
      if (!state) return [];
      const taken = Object.fromEntries(
        sides.map((side) => [side, takenOver(state, frameOf(programme, model, side), today, zone)]),
      ) as Known['taken'];
      const count = Object.values(taken).reduce((sum, list) => sum + list.length, 0);
      return count > 0 ? [{ brace: braceOf(one), taken, count }] : [];
    });
    return found.sort((a, b) => b.count - a.count)[0];
    // the states and sides are told apart by their keys: as lists they are new each time
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, wanted, programme, model, today, zone]);
  const looking =
    person !== undefined &&
    modelHash !== undefined &&
    sides.length > 0 &&
    [casesOf, programmeAsked, modelAsked, ...asked].some(({ isLoading }) => isLoading);
  return { known, looking };
}
