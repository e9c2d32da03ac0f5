import { faultAt, formOf, rule } from '@estribo/core/faults';
import { may } from '@estribo/core/access';
import { sides, statureForAge, type Side } from '@estribo/core/anatomy';
import { addDays, dayOf, ageOn, readInstant } from '@estribo/core/calendar';
import { instruments, pairsNeeded, ownRepeatability, type Instrument } from '@estribo/core/measuring';
import { partsOf, stepsOf, type BraceModel, type Programme } from '@estribo/core/programmes';
import type { Response } from 'express';
import { array, number, object, string } from 'yup';
import { pairsUnder } from '../cases/summary';
import { registered } from '../catalogue/registry';
import { audit, changes } from '../audit/audit';
import {
  calibrationEntity,
  caseEntity,
  instrumentEntity,
  personEntity,
  type InstrumentRow,
} from '../database/entities';
import { inTransaction } from '../database/transaction';
import { faulty, Problem } from '../problem';
import { textOf, type Context, type Route } from '../route';
import { dayField, nameField, valid } from '../valid';
import { unitOfInstrument, type InstrumentReading } from './hub';
import { deviationOf, hiddenForce, hiddenValue, shownValue } from './stand-ins';

const calibration = {
  calibratedOn: dayField,
  offset: number().strict().required().min(-100).max(100),
};
const calibrationBody = object(calibration).noUnknown();

const instrumentBody = object({
  id: string()
    .strict()
    .required()
    .matches(/^[a-z0-9][a-z0-9-]{0,79}$/, formOf('plain-name')),
  kind: string().oneOf(Object.keys(unitOfInstrument)).required(),
  name: nameField(80),
  validDays: number().strict().integer().min(1).max(3650).required(),
  ...calibration,
}).noUnknown();

const linesBody = object({
  lines: array()
    .of(
      object({
        at: string()
          .strict()
          .required()
          .test(...rule('instant'), (value) => readInstant(value) !== undefined),
        value: number().strict().required().min(-180).max(5000),
        unit: string().oneOf(['mm', 'degrees', 'kg', 'years', 'newtons']).required(),
      }).noUnknown(),
    )
    .min(1)
    .max(100)
    .strict()
    .required(),
}).noUnknown();

/** A stand-in reads so often, drops out after so many values and stays away so long. */
const [everyMs, untilDrop, awayMs] = [350, 40, 1800];

/** What a real device read longer ago is no reading of now: it is refused, and counts as lost until it sends again. */
const staleMs = 10_000;

/** A device's clock may be ahead of this machine's by so much. */
const aheadMs = 5_000;

/** A person watches one or two instruments at a time. */
const mostStreams = 4;

/** How often an open stream asks whether its session still is. */
const sessionCheckMs = 30_000;

/** What an instrument of a kind can be off by, in its unit: more is a slip of the hand or a broken instrument. */
const mostOffset: Record<keyof typeof unitOfInstrument, number> = {
  tape: 20,
  calliper: 10,
  goniometer: 15,
  inclinometer: 15,
  scale: 5,
  gauge: 5,
};

/** How far a gauge held by hand differs from one value to the next, in newtons. */
const forceDeviation = 0.8;

/** A calibration of longer ago says nothing about an instrument. */
const oldestCalibration = 10 * 365;

const send = (res: Response, event: string, data: object) =>
  res.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);

export function instrumentRoutes({ db, clinic, now, hub }: Context): Route[] {
  const line = (row: InstrumentRow, { at, value }: InstrumentReading) => ({
    instrument: row.id,
    name: row.name,
    kind: row.kind,
    at,
    value: Math.round((value - row.offset) * 100) / 100,
    offset: row.offset,
    calibrated: row.calibratedOn,
    validUntil: addDays(row.calibratedOn, row.validDays),
    simulated: row.simulated,
  });

  const today = () => dayOf(now().toISOString(), clinic.zone);

  /** @throws Problem 422 for a day or an offset that no calibration has */
  const checkCalibration = (
    kind: string,
    { calibratedOn, offset }: { calibratedOn: string; offset: number },
  ) => {
    const most = mostOffset[kind as keyof typeof mostOffset];
    const faults = [
      ...(calibratedOn > today() ? faultAt('calibratedOn', 'future') : []),
      ...(calibratedOn < addDays(today(), -oldestCalibration) ? faultAt('calibratedOn', 'calibrate-it') : []),
      ...(Math.abs(offset) > most ? faultAt('offset', 'repair-it', { most }) : []),
    ];
    if (faults.length > 0) throw faulty(faults);
  };

  /** What a stand-in is held to, as it reads there: a step of the measuring; a gauge, a setting or a part that pulls. */
  const aimed = async (kind: Instrument, caseId: string, thing: string, side: Side) => {
    const row = await db.getRepository(caseEntity).findOneBy({ id: caseId });
    if (!row) throw new Problem('no-case');
    const [programme, model, person] = await Promise.all([
      registered<Programme>(db.manager, 'programme', row.programmeHash),
      registered<BraceModel>(db.manager, 'model', row.modelHash),
      db.getRepository(personEntity).findOneByOrFail({ id: row.person }),
    ]);
    if (kind === 'gauge') {
      const pulls = programme && model ? [...programme.settings, ...partsOf(programme, model)] : [];
      if (!pulls.some(({ id }) => id === thing)) throw new Problem('no-setting-or-part');
      return { deviation: forceDeviation, hidden: hiddenForce(thing, caseId) };
    }
    const step = programme && model && stepsOf(programme, model).find(({ id }) => id === thing);
    if (!step) throw new Problem('no-measuring-step');
    const stature = statureForAge(ageOn(person.born, today()));
    return { deviation: deviationOf(step), hidden: hiddenValue(step, caseId, side, stature) };
  };

  return [
    {
      method: 'get',
      path: '/instruments',
      who: 'instruments.read',
      handle: async (_req, res) => {
        const rows = await db.getRepository(instrumentEntity).find({ order: { kind: 'ASC', id: 'ASC' } });
        res.json({ instruments: rows });
      },
    },
    {
      // a real device: the stand-in of its kind is silent from then on
      method: 'post',
      path: '/instruments',
      who: 'instruments.write',
      handle: async (req, res, user) => {
        const row = valid(instrumentBody, req.body);
        checkCalibration(row.kind, row);
        const taken = await inTransaction(db, async (manager) => {
          const rows = manager.getRepository(instrumentEntity);
          if (await rows.existsBy({ id: row.id })) return undefined;
          await rows.insert({ ...row, simulated: false });
          const { id, calibratedOn, offset } = row;
          await manager
            .getRepository(calibrationEntity)
            .insert({ instrument: id, calibratedOn, offset, by: user.id, at: now() });
          await audit(manager, {
            at: now(),
            user: user.id,
            action: 'instrument.added',
            subject: id,
            detail: { now: row },
          });
          return rows.findOneByOrFail({ id });
        });
        if (!taken) throw new Problem('instrument-here');
        res.status(201).json(taken);
      },
    },
    {
      // server-sent events: what the instruments of a kind read, as it comes
      method: 'get',
      path: '/instruments/stream',
      who: 'measuring.write',
      handle: async (req, res, user) => {
        const session = req.sessionID;
        if (!hub.opening(session, mostStreams)) throw new Problem('too-many-streams', { most: mostStreams });
        // counted until the answer is over, whatever becomes of it
        let isCounted = true;
        const counted = () => {
          if (isCounted) hub.openingEnded(session);
          isCounted = false;
        };
        res.once('close', counted);
        const kind = textOf(req.query.kind, 'kind', 20) as Instrument;
        const side = (textOf(req.query.side, 'side', 10) || 'midline') as Side;
        if (!instruments.includes(kind) || !(kind in unitOfInstrument)) throw new Problem('no-sending-kind');
        if (!sides.includes(side)) throw new Problem('no-side');
        const { deviation, hidden } = await aimed(
          kind,
          textOf(req.query.case, 'case', 36),
          textOf(req.query.step, 'step', 80),
          side,
        );
        const rows = await db.getRepository(instrumentEntity).findBy({ kind });
        res.set({
          'Content-Type': 'text/event-stream',
          'Cache-Control': 'no-store',
          'X-Accel-Buffering': 'no',
        });
        res.flushHeaders();
        const real = rows.filter(({ simulated }) => !simulated);
        const standIn = real.length > 0 ? undefined : rows.find(({ simulated }) => simulated);
        // a real device is one bench's: another one is told whose, and may take it over
        const take = textOf(req.query.take, 'take', 80);
        for (const { id, name } of real) {
          const other = hub.claim(id, { session, name: user.name }, take === id);
          if (other) send(res, 'held', { instrument: id, name, by: other.name });
        }
        const unwatch = hub.onTaken(session, (instrument, by) => {
          const row = real.find(({ id }) => id === instrument);
          if (row) send(res, 'held', { instrument, name: row.name, by });
        });
        let heard: { instrument: string; at: number } | undefined;
        const stop = hub.listen((reading) => {
          const row = rows.find(({ id }) => id === reading.instrument);
          if (!row || !hub.holds(row.id, session)) return;
          heard = { instrument: row.id, at: Date.now() };
          send(res, 'reading', line(row, reading));
        });
        let count = 0;
        let awayUntil = 0;
        const timer = setInterval(() => {
          const at = Date.now();
          if (!standIn) {
            if (heard && at - heard.at > staleMs) {
              send(res, 'lost', { instrument: heard.instrument });
              heard = undefined;
            } else res.write(': nothing new\n\n');
            return;
          }
          if (at < awayUntil) return;
          count += 1;
          if (count % untilDrop === 0) {
            awayUntil = at + awayMs;
            return void send(res, 'lost', { instrument: standIn.id });
          }
          send(
            res,
            'reading',
            line(standIn, {
              instrument: standIn.id,
              at: new Date(at).toISOString(),
              value: shownValue(hidden, deviation, standIn.offset),
              unit: unitOfInstrument[kind as keyof typeof unitOfInstrument],
            }),
          );
        }, everyMs);
        const forget = hub.opened({ session, user: user.id, end: () => res.end() });
        counted();
        // a session that has run out, was ended by another server, or may no longer measure ends its streams as well
        const asking = setInterval(() => {
          req.sessionStore.get(session, (error: unknown, found) => {
            const stays = found && !found.locked && may(found.user.role, 'measuring.write');
            if (!error && !stays) res.end();
          });
        }, sessionCheckMs);
        res.on('close', () => {
          clearInterval(timer);
          clearInterval(asking);
          stop();
          unwatch();
          forget();
        });
      },
    },
    {
      // a real device: its values, a line a value
      method: 'post',
      path: '/instruments/:id/lines',
      who: 'measuring.write',
      handle: async (req, res) => {
        const { lines } = valid(linesBody, req.body);
        const row = await db.getRepository(instrumentEntity).findOneBy({ id: String(req.params.id) });
        if (!row) throw new Problem('no-instrument');
        if (row.simulated) throw new Problem('stand-in');
        const unit = unitOfInstrument[row.kind as keyof typeof unitOfInstrument];
        const wrong = lines.findIndex((one) => one.unit !== unit);
        if (wrong >= 0)
          throw faulty(faultAt(`lines[${wrong}].unit`, 'unit-of-instrument', { unit, kind: row.kind }));
        const clock = now().getTime();
        const untimely = lines.findIndex(({ at }) => {
          const read = readInstant(at)!;
          return read < clock - staleMs || read > clock + aheadMs;
        });
        if (untimely >= 0)
          throw faulty(
            faultAt(`lines[${untimely}].at`, 'reading-of-now', { now: new Date(clock).toISOString() }),
          );
        for (const { at, value } of lines) hub.send({ instrument: row.id, at, value, unit });
        res.status(202).json({ taken: lines.length });
      },
    },
    {
      method: 'put',
      path: '/instruments/:id/calibration',
      who: 'instruments.write',
      handle: async (req, res, user) => {
        const sent = valid(calibrationBody, req.body);
        const id = String(req.params.id);
        const row = await inTransaction(db, async (manager) => {
          const rows = manager.getRepository(instrumentEntity);
          const before = await rows.findOne({ where: { id }, lock: { mode: 'pessimistic_write' } });
          if (!before) throw new Problem('no-instrument');
          checkCalibration(before.kind, sent);
          await rows.update({ id }, sent);
          await manager
            .getRepository(calibrationEntity)
            .insert({ instrument: id, ...sent, by: user.id, at: now() });
          const { calibratedOn, offset } = before;
          await audit(manager, {
            at: now(),
            user: user.id,
            action: 'instrument.calibrated',
            subject: id,
            detail: changes({ calibratedOn, offset }, sent),
          });
          return rows.findOneByOrFail({ id });
        });
        res.json(row);
      },
    },
    {
      // every calibration there was, the newest first
      method: 'get',
      path: '/instruments/:id/calibrations',
      who: 'instruments.read',
      handle: async (req, res) => {
        const instrument = String(req.params.id);
        if (!(await db.getRepository(instrumentEntity).existsBy({ id: instrument })))
          throw new Problem('no-instrument');
        const calibrations = await db
          .getRepository(calibrationEntity)
          .find({ where: { instrument }, order: { n: 'DESC' }, take: 200 });
        res.json({ calibrations });
      },
    },
    {
      method: 'get',
      path: '/repeatability',
      who: 'record.read',
      handle: async (req, res) => {
        const protocol = textOf(req.query.protocol, 'protocol', 160);
        const pairs = await pairsUnder(db.manager, protocol);
        res.json({ own: ownRepeatability(pairs) ?? null, pairs: pairs.length, needed: pairsNeeded });
      },
    },
  ];
}
