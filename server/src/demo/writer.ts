import { addDays, dayOf, instantOn, type ClinicDay } from '@estribo/core/calendar';
import {
  intentInForce,
  kinds,
  type AnyRecordedEntry,
  type BodyOf,
  type CaseState,
  type KindName,
} from '@estribo/core/logbook';
import type { EntryStage } from '@estribo/core/record';
import { v7 } from 'uuid';
import { appendEntry } from '../cases/append';
import { snapshotOf } from '../cases/record';
import { caseEntity } from '../database/entities';
import type { Context, SignedIn } from '../route';

/** Writes the entries of one demo case, as the browser would have sent them on their days. */
export interface CaseWriter {
  case: string;
  /** a day counted from today */
  day: (days: number) => ClinicDay;
  /** sets the day (counted from today) and the clock of what is written next */
  at: (days: number, time: string) => ClinicDay;
  write: <K extends KindName>(
    kind: K,
    stage: EntryStage,
    body: BodyOf<K>,
    corrects?: { replaces: string; reason: string },
  ) => Promise<AnyRecordedEntry>;
  state: () => Promise<CaseState>;
}

/** ms; a case of a day is written in less, a minute an entry. */
const writingTakes = 45 * 60_000;

export function caseWriter(context: Context, user: SignedIn): CaseWriter {
  const { zone } = context.clinic;
  const today = dayOf(context.now().toISOString(), zone);
  const id = v7();
  let clock = context.now();
  const state = async () => {
    const row = await context.db.getRepository(caseEntity).findOneByOrFail({ id });
    const { state } = await snapshotOf(context.db.manager, row, zone);
    if (!state) throw new Error('the demo case was not opened');
    return state;
  };
  const day = (days: number) => addDays(today, days);
  return {
    case: id,
    day,
    state,
    at: (days, time) => {
      // started early in the morning, what was done today was done a while ago, not later today
      const ago = context.now().getTime() - writingTakes;
      clock = new Date(Math.min(Date.parse(instantOn(day(days), time, zone)), ago));
      return day(days);
    },
    write: async (kind, stage, body, corrects) => {
      clock = new Date(clock.getTime() + 60_000);
      const expects =
        kinds[kind].nature === 'intent' ? { expects: intentInForce(await state(), kind, body) } : {};
      const { entry } = await appendEntry({ ...context, now: () => clock }, user, id, {
        id: v7(),
        case: id,
        stage,
        kind,
        v: kinds[kind].v,
        observedAt: clock.toISOString(),
        zone,
        by: user.id,
        body,
        ...corrects,
        ...expects,
      });
      return entry;
    },
  };
}
