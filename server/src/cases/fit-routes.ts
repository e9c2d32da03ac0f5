import { statureForAge } from '@estribo/core/anatomy';
import { dayOf, ageOn } from '@estribo/core/calendar';
import { rankModels, type ModelToRank } from '@estribo/core/logbook';
import { settledReading, stepAt } from '@estribo/core/measuring';
import type { Programme } from '@estribo/core/programmes';
import { In } from 'typeorm';
import { fitsFamily, newestProgrammes, registeredModels, registeredPin } from '../catalogue/registry';
import { caseEntity, modelEntity, personEntity } from '../database/entities';
import { Problem } from '../problem';
import type { Context, Route } from '../route';
import { auditReads } from '../audit/reads';
import { snapshotOf } from './record';

/** The most that is sent; what is ranked behind is out of range. */
const shown = 100;

/** Families a body may change to: of the same region and joint, with readings in common. */
const areSisters = (one: Programme, other: Programme): boolean =>
  one.region === other.region &&
  one.joint === other.joint &&
  other.axes.some((axis) => one.measuring.some(({ id }) => id === axis));

export function fitRoutes(context: Context): Route[] {
  const { db, clinic, now } = context;
  const caseRead = auditReads(context);
  return [
    {
      method: 'get',
      path: '/cases/:id/fit',
      who: 'record.read',
      handle: async (req, res, user) => {
        const row = await db.getRepository(caseEntity).findOneBy({ id: String(req.params.id) });
        if (!row) throw new Problem('no-case');
        await caseRead(user, 'case.read', row.id);
        const { state } = await snapshotOf(db.manager, row, clinic.zone);
        if (!state) throw new Problem('no-case');
        const family = state.programme.base ?? state.programme.id;
        const programmes = (await newestProgrammes(db)).filter(
          (one) =>
            one.title === undefined &&
            (one.id === family || (req.query.sisters === '1' && areSisters(state.programme, one))),
        );
        const rows = await db.getRepository(modelEntity).find({
          where: { programme: In(programmes.map(({ id }) => id)), retired: false },
          order: { programme: 'ASC', name: 'ASC', id: 'ASC' },
        });
        const models = await registeredModels(
          db.manager,
          rows.map(({ hash }) => hash),
        );
        const candidates = models.flatMap((model): ModelToRank[] => {
          const programme = programmes.find((one) => fitsFamily(model, one));
          return programme ? [{ model, programme }] : [];
        });
        const person = await db.getRepository(personEntity).findOneByOrFail({ id: state.person });
        const today = dayOf(now().toISOString(), clinic.zone);
        // as it was read; without a reading, as it usually is at this age
        const read = settledReading(stepAt(state.measuring.states, 'stature', 'midline'));
        const stature = read?.mean ?? statureForAge(ageOn(person.born, today));
        const fits = rankModels(state, candidates, stature);
        res.json({
          fits: fits.slice(0, shown).map(({ model: { model, programme }, match, estimated }) => ({
            model: {
              ...registeredPin(model),
              name: model.name,
              maker: model.maker,
              invented: model.invented,
            },
            family: { id: programme.id },
            match,
            estimated,
            missing: match.outcome === 'incomplete' ? match.missing : [],
          })),
          more: fits.length > shown,
        });
      },
    },
  ];
}
