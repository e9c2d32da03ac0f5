import { findingsAhead } from '@estribo/core/findings';
import { caseEntity, clinicEntity, personEntity } from '../database/entities';
import { entriesOf, foldOf } from '../cases/record';
import { testClinic, type TestClinic } from '../test-clinic';
import { loadDemo } from './load';

let clinic: TestClinic;
beforeAll(async () => {
  clinic = await testClinic();
});
afterAll(() => clinic.close());

test('the demo clinic loads as it would be written, and what is found of each of its cases is what it tells', async () => {
  const { db } = clinic.context;
  await db.getRepository(clinicEntity).clear();
  await loadDemo(db, clinic.context);
  const people = await db.getRepository(personEntity).find();
  const found: Record<string, string> = {};
  for (const row of await db.getRepository(caseEntity).find()) {
    const state = (await foldOf(db.manager, row, await entriesOf(db.manager, row.id), 'Europe/Madrid'))!;
    const name = people.find(({ id }) => id === row.person)!.givenName;
    const first = findingsAhead(state)[0]?.found;
    found[`${name} ${state.model.id}`] = first
      ? `${first.level} ${first.kind} ${first.about ?? ''}`.trim()
      : 'nothing';
  }
  expect(found).toEqual({
    'Amaro cuncha-dupla': 'nothing',
    'Antón lousa-ligamento': 'nothing',
    'Bento lousa-ligamento': 'nothing',
    'Brais caneiro-4p': 'today signed-fail',
    'Breixo bota-balsa': 'nothing',
    'Carme barca-telescopio': 'by-date signed-before-change set.made',
    'Dores ombreira-vela': 'nothing',
    'Elvira espiga-dorsal': 'nothing',
    'Fiz xunco-malla': 'nothing',
    'Iria caneiro-4p': 'nothing',
    'Lois bota-balsa': 'nothing',
    'Marta caneiro-4p': 'nothing',
    'Moncho ribeira-faixa': 'nothing',
    'Noa caneiro-4p': 'nothing',
    'Pilar ponla-duas': 'by-date signed-before-change set.turned',
    'Roi caneiro-4p': 'emergency danger finding calf-swollen',
    'Sabela caneiro-4p': 'nothing',
    'Uxia caneiro-4p': 'nothing',
    'Xián colo-rio-neno': 'nothing',
    'Xoel caneiro-4p': 'nothing',
  });
});
