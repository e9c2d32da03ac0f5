import { addDays, dayOf, daysBetween, daysFrom, instantOn, type ClinicDay } from '@estribo/core/calendar';
import { minutesPlanned, type WearPlan } from '@estribo/core/wearing';
import { caseEntity, instrumentEntity } from '../database/entities';
import { auditReads } from '../audit/reads';
import { snapshotOf } from '../cases/record';
import { Problem } from '../problem';
import type { Context, Route } from '../route';
import { share } from './stand-ins';

/** A sensor keeps so many days. */
const keptDays = 60;
const everyMinutes = 5;

/** What the simulated sensor logs on one day: worn about as planned, in two stretches; a day now and then with a gap. Invented. */
function dayLog(caseId: string, day: ClinicDay, planned: number, zone: string, until: number): string[] {
  const of = (what: string) => share(`${caseId} ${day} ${what}`);
  const worn = Math.min(20 * 60, planned * (0.7 + 0.4 * of('worn')));
  const starts = 7 * 60 + 90 * of('starts');
  const pause = 30 + 60 * of('pause');
  const first = worn * (0.4 + 0.2 * of('first'));
  const gap = of('gap') < 0.1 ? 13 * 60 + 120 * of('gap-at') : Infinity;
  const midnight = Date.parse(instantOn(day, '00:00', zone));
  const lines: string[] = [];
  for (let minute = 0; minute < 24 * 60; minute += everyMinutes) {
    const at = midnight + minute * 60_000;
    if (at > until) break;
    if (minute >= gap && minute < gap + 90) continue;
    const since = minute - starts;
    const on = (since >= 0 && since < first) || (since >= first + pause && since < worn + pause);
    const warm = on ? 33.2 + 1.2 * of(`on ${minute}`) : 20 + 3 * of(`off ${minute}`);
    lines.push(`${new Date(at).toISOString()},${warm.toFixed(1)}`);
  }
  return lines;
}

/** The temperature log of a brace, from the simulated sensor that ships: the demo clinic has one, others have none. */
export function sensorRoutes(context: Context): Route[] {
  const { db, clinic, now } = context;
  const caseRead = auditReads(context);
  return [
    {
      method: 'get',
      path: '/cases/:id/sensor',
      who: 'record.read',
      handle: async (req, res, user) => {
        const row = await db.getRepository(caseEntity).findOneBy({ id: String(req.params.id) });
        if (!row) throw new Problem('no-case');
        if (!(await db.getRepository(instrumentEntity).existsBy({ simulated: true })))
          throw new Problem('no-sensor');
        await caseRead(user, 'case.read', row.id);
        const { state } = await snapshotOf(db.manager, row, clinic.zone);
        const plan = state?.wearing.plan?.plan;
        const today = dayOf(now().toISOString(), clinic.zone);
        if (!plan || plan.from > today) throw new Problem('nothing-logged');
        const count = Math.min(keptDays, daysBetween(plan.from, today) + 1);
        const lines = daysFrom(addDays(today, 1 - count), count).flatMap((day) =>
          dayLog(row.id, day, plannedOn(plan, day), clinic.zone, now().getTime()),
        );
        res.json({ csv: ['time,temperature °C', ...lines].join('\n') });
      },
    },
  ];
}

/** What is worn as ordered is worn for most of the day. */
const plannedOn = (plan: WearPlan, day: ClinicDay): number =>
  plan.kind === 'growing' ? minutesPlanned(plan, day) : 14 * 60;
