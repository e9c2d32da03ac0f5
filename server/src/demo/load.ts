import { dayOf } from '@estribo/core/calendar';
import { pinOf, programmes } from '@estribo/core/programmes';
import type { DataSource, EntitySchema } from 'typeorm';
import { v7 } from 'uuid';
import { ChartReader } from '../catalogue/chart-reader';
import { register } from '../catalogue/registry';
import { hashPassword } from '../clinic/password';
import {
  clinicEntity,
  entities,
  keepingEntity,
  personEntity,
  phaseTemplateEntity,
  userEntity,
  visitEntity,
} from '../database/entities';
import { Pulse } from '../health';
import { fillPersonWords } from '../people/search-words';
import { InstrumentHub } from '../instruments/hub';
import type { Context } from '../route';
import { demoCases, fittingKit } from './cases';
import { demoModels } from './models';
import {
  demoClinic,
  demoFirstVisits,
  demoPassword,
  demoPeople,
  demoStaff,
  demoTemplates,
  type DemoName,
} from './people';
import { caseWriter } from './writer';

/**
 * Fills an empty database with the demo clinic. One that has a clinic is left as it is; an interrupted load begins again.
 * @param report told now and then how far it is
 */
export async function loadDemo(
  db: DataSource,
  { log, now, sealing }: Pick<Context, 'log' | 'now' | 'sealing'>,
  report: (line: string) => void = () => {},
): Promise<void> {
  if (await db.getRepository(clinicEntity).existsBy({})) return;
  log.info('loading the demo clinic');
  // what an interrupted load left, in whatever order its tables hang on each other: the clinic's own row is written last
  await db.transaction(async (manager) => {
    await manager.query('SET FOREIGN_KEY_CHECKS = 0');
    for (const { options } of entities as EntitySchema[])
      if (options.name !== keepingEntity.options.name) await manager.query(`DELETE FROM \`${options.name}\``);
    await manager.query('SET FOREIGN_KEY_CHECKS = 1');
  });
  for (const programme of programmes) await register(db, 'programme', programme);
  for (const model of demoModels) await register(db, 'model', model);
  const passwordHash = await hashPassword(demoPassword);
  const staff = demoStaff.map((one) => ({
    id: v7(),
    ...one,
    passwordHash,
    active: true,
    language: 'en' as const,
    // the orthotist has laid three fingers on the ruler; the technician has not yet
    threeFingers: one.role === 'orthotist' ? 51 : null,
  }));
  await db.getRepository(userEntity).insert(staff);
  const people = demoPeople.map(([givenName, familyName, born]) => ({
    id: v7(),
    givenName,
    familyName,
    born,
    givenFirst: `${givenName} ${familyName}`,
    familyFirst: `${familyName} ${givenName}`,
  }));
  await db.getRepository(personEntity).insert(people);
  await fillPersonWords(db);
  const personOf = (who: DemoName) => people.find(({ givenName }) => givenName === who)!;
  const context: Context = {
    db,
    log,
    now,
    clinic: demoClinic,
    hub: new InstrumentHub(),
    charts: new ChartReader(''),
    pulse: new Pulse(''),
    sealing,
    keeping: { url: '', command: '' },
  };
  const orthotist = staff.find(({ role }) => role === 'orthotist')!;
  for (const [i, { who, side, model, write }] of demoCases.entries()) {
    if (i % 5 === 0) report(`  loading the demo clinic: case ${i + 1} of ${demoCases.length}`);
    const content = demoModels.find(({ id }) => id === model)!;
    const programme = programmes.find(({ id }) => id === content.programme)!;
    const writer = caseWriter(context, orthotist);
    await write(
      fittingKit(
        writer,
        side,
        personOf(who).id,
        { pin: pinOf(programme), content: programme },
        pinOf(content),
      ),
    );
  }
  const reception = staff.find(({ role }) => role === 'reception')!;
  await db.getRepository(visitEntity).insert(
    demoFirstVisits.map(({ who, time, note: deskNote }) => ({
      id: v7(),
      person: personOf(who).id,
      case: null,
      day: dayOf(now().toISOString(), demoClinic.zone),
      time,
      purpose: 'first' as const,
      note: null,
      noteBy: null,
      deskNote,
      deskNoteBy: deskNote === null ? null : reception.id,
      by: reception.id,
      state: 'planned' as const,
    })),
  );
  await db
    .getRepository(phaseTemplateEntity)
    .insert(demoTemplates.map((one) => ({ id: v7(), ...one, invented: true })));
  await db.getRepository(clinicEntity).insert({ id: 1, ...demoClinic });
}
