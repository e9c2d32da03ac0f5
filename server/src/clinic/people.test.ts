import { v7 } from 'uuid';
import { personEntity, summaryEntity } from '../database/entities';
import { testClinic, type TestClinic } from '../test-clinic';

let clinic: TestClinic;
beforeAll(async () => {
  clinic = await testClinic({ now: () => new Date('2026-11-24T22:30:00Z') });
});
afterAll(() => clinic.close());

const person = (change: object = {}) => ({
  givenName: 'Xoel',
  familyName: 'Barreiro',
  born: '2004-06-03',
  ...change,
});

test('a person sent twice is one person; a second sending with another name renames', async () => {
  const marga = await clinic.as('reception');
  const id = v7();
  await marga.put(`/api/people/${id}`).send(person()).expect(200);
  await marga.put(`/api/people/${id}`).send(person()).expect(200);
  await marga
    .put(`/api/people/${id}`)
    .send(person({ familyName: 'Barreiros' }))
    .expect(200);
  expect(await clinic.context.db.getRepository(personEntity).countBy({ id })).toBe(1);
  expect((await marga.get(`/api/people/${id}`)).body).toEqual({ id, ...person({ familyName: 'Barreiros' }) });
});

test('a renamed person is found under the new name in the cases too', async () => {
  const ana = await clinic.as('orthotist');
  const id = v7();
  await ana.post(`/api/cases/${id}/entries`).send(clinic.opened(id)).expect(201);
  await ana
    .put(`/api/people/${clinic.person}`)
    .send(person({ givenName: 'Iria', familyName: 'Zas' }))
    .expect(200);
  expect((await clinic.context.db.getRepository(summaryEntity).findOneByOrFail({ case: id })).personKey).toBe(
    'Zas Iria',
  );
  expect((await ana.get('/api/cases?find=zas')).body.cases).toMatchObject([
    { case: id, personName: 'Iria Zas' },
  ]);
  await ana
    .put(`/api/people/${clinic.person}`)
    .send(person({ givenName: 'Iria', familyName: 'Castrelo' }))
    .expect(200);
});

test.each([
  ['cast', 1],
  ['IRIA C', 1],
  ['ría', 0],
  ['castreló', 1],
  ['%', 0],
  ['_ria', 0],
  ['nobody', 0],
])('"%s" finds %d by the beginning of a name, whatever its case and accents', async (find, count) => {
  const marga = await clinic.as('reception');
  const { body } = await marga.get(`/api/people?find=${encodeURIComponent(find)}`);
  expect(
    body.people.filter(({ familyName }: { familyName: string }) => familyName === 'Castrelo'),
  ).toHaveLength(count);
});

test.each([
  [{ givenName: '' }, 'givenName'],
  [{ born: '2026-02-30' }, 'born'],
  // the clinic's day is already the 24th at 23:30; the 25th has not come
  [{ born: '2026-11-25' }, 'born'],
  [{ born: 20040603 }, 'born'],
  [{ familyName: 'x'.repeat(81) }, 'familyName'],
])('a person with %j is refused at its field', async (change, at) => {
  const marga = await clinic.as('reception');
  const { status, body } = await marga.put(`/api/people/${v7()}`).send(person(change));
  expect(status).toBe(422);
  expect(body.faults.map((fault: { at: string }) => fault.at)).toContain(at);
});

test('lists come in pages', async () => {
  const marga = await clinic.as('reception');
  await clinic.context.db.getRepository(personEntity).insert(
    Array.from({ length: 60 }, (_, i) => {
      const name = `Page${String(i).padStart(2, '0')}`;
      return {
        id: v7(),
        givenName: 'A',
        familyName: name,
        givenFirst: `A ${name}`,
        familyFirst: `${name} A`,
        born: '2000-01-01',
      };
    }),
  );
  const page = async (skip: number) => (await marga.get(`/api/people?find=page&skip=${skip}`)).body;
  const [first, second] = [await page(0), await page(50)];
  expect([first.people.length, first.more, second.people.length, second.more]).toEqual([50, true, 10, false]);
  expect(first.people[49].familyName < second.people[0].familyName).toBe(true);
});
