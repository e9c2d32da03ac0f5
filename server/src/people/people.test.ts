import { v7 } from 'uuid';
import { fillPersonWords } from './search-words';
import { personEntity, summaryEntity } from '../database/entities';
import { signedEntries, testClinic, type TestClinic } from '../test-clinic';

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
  expect((await marga.get(`/api/people/${id}`)).body).toEqual({
    id,
    ...person({ familyName: 'Barreiros' }),
    numbers: [expect.any(Number)],
    merged: [],
  });
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

test('a corrected day of birth is counted in what lists show of the cases at once', async () => {
  const fresh = await testClinic();
  const ana = await fresh.as('orthotist');
  const id = v7();
  const reviewed = {
    ...fresh.entry('review.found', 'review', { skin: 'clear', pain: 1 }),
    case: id,
  };
  for (const entry of [...signedEntries(fresh, id, { protective: false, trouble: 'take-off' }), reviewed])
    await ana.post(`/api/cases/${id}/entries`).send(entry).expect(201);
  const kinds = async () => {
    const row = await fresh.context.db.getRepository(summaryEntity).findOneByOrFail({ case: id });
    return row.findings.map(({ found }) => `${found?.kind ?? ''} ${found?.about ?? ''}`);
  };
  expect((await kinds()).join()).not.toMatch(/growing/);
  await ana
    .put(`/api/people/${fresh.person}`)
    .send(person({ givenName: 'Iria', familyName: 'Castrelo', born: '2014-04-12' }))
    .expect(200);
  expect((await kinds()).join()).toMatch(/review-due growing/);
  await fresh.close();
});

test.each([
  ['cast', 1],
  ['IRIA C', 1],
  ['cas iri', 1],
  ['trelo', 0],
  ['castreló', 1],
  ['3.6.2004', 1],
  ['2004', 1],
  ['3.6.1998', 0],
  ['%', 0],
  ['_ria', 0],
  ['nobody', 0],
])(
  '"%s" finds %d by the beginning of any word of a name or the day of birth, whatever its case and accents',
  async (find, count) => {
    const marga = await clinic.as('reception');
    const { body } = await marga.get(`/api/people?find=${encodeURIComponent(find)}`);
    expect(
      body.people.filter(({ familyName }: { familyName: string }) => familyName === 'Castrelo'),
    ).toHaveLength(count);
  },
);

test.each([
  [{ givenName: '' }, 'givenName'],
  [{ born: '2026-02-30' }, 'born'],
  // the clinic's day is already the 24th at 23:30; the 25th has not come
  [{ born: '2026-11-25' }, 'born'],
  [{ born: '1906-11-20' }, 'born'],
  [{ born: '1700-01-01' }, 'born'],
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
  await fillPersonWords(clinic.context.db);
  const page = async (skip: number) => (await marga.get(`/api/people?find=page&skip=${skip}`)).body;
  const [first, second] = [await page(0), await page(50)];
  expect([first.people.length, first.more, second.people.length, second.more]).toEqual([50, true, 10, false]);
  expect(first.people[49].familyName < second.people[0].familyName).toBe(true);
});

const add = async (change: object, more: object = {}, id = v7()) => {
  const marga = await clinic.as('reception');
  const { status, body } = await marga.put(`/api/people/${id}`).send({ ...person(change), ...more });
  return { id, status, body };
};
const numbersOf = async (id: string) =>
  (await (await clinic.as('reception')).get(`/api/people/${id}`).expect(200)).body.numbers;

test('somebody like one who is here is added only when it was said that they are another', async () => {
  const first = await add({ givenName: 'Sabela', familyName: 'Outeiro', born: '1990-11-07' });
  expect(first.status).toBe(200);
  const again = await add({ givenName: 'Sabela', familyName: 'Outeiro', born: '1990-11-07' });
  expect([again.status, again.body.doubles]).toMatchObject([409, [{ id: first.id, likeness: 'same' }]]);
  const slip = await add({ givenName: 'Sabela', familyName: 'Outeiro', born: '1990-07-11' });
  expect(slip.body.doubles).toMatchObject([{ id: first.id, likeness: 'likely' }]);
  expect((await add({ givenName: 'Sabela', familyName: 'Outeiro', born: '1962-01-30' })).status).toBe(200);
  const other = await add(
    { givenName: 'Sabela', familyName: 'Outeiro', born: '1990-11-07' },
    { apart: [first.id] },
  );
  expect(other.status).toBe(200);
  expect(await numbersOf(other.id)).not.toEqual(await numbersOf(first.id));
  // written while the server was away: nobody could be asked
  expect(
    (await add({ givenName: 'Sabela', familyName: 'Outeiro', born: '1990-11-07' }, { apart: null })).status,
  ).toBe(200);
});

test('likely doubles are shown before anything is added', async () => {
  const { id } = await add({ givenName: 'Ana María', familyName: 'Sandoval', born: '1971-03-04' });
  const marga = await clinic.as('reception');
  const ask = (query: string) => marga.get(`/api/people/doubles?${query}`);
  const { body } = await ask('givenName=Ana&familyName=Sandoval&born=1971-03-04').expect(200);
  expect(body.doubles).toMatchObject([{ id, likeness: 'likely' }]);
  await ask('givenName=Ana&familyName=&born=1971-03-04').expect(422);
  await ask('givenName=Ana&familyName=S&born=1971-02-30').expect(422);
});

test('twenty who add the same person at once make one', async () => {
  const twenty = await Promise.all(
    Array.from({ length: 20 }, () => add({ givenName: 'Twenty', familyName: 'Writers', born: '1980-05-06' })),
  );
  expect(twenty.filter(({ status }) => status === 200)).toHaveLength(1);
  expect(twenty.filter(({ status }) => status === 409)).toHaveLength(19);
});

test('two numbers, one person: every case and line is found under both, and parted again within a day', async () => {
  const { db } = clinic.context;
  const ana = await clinic.as('orthotist');
  const marga = await clinic.as('reception');
  const kept = await add({ givenName: 'Helena', familyName: 'Meira', born: '1955-05-05' });
  const twice = await add({ givenName: 'Elena', familyName: 'Meira', born: '1955-05-06' });
  const id = v7();
  const opened = clinic.opened(id);
  await ana
    .post(`/api/cases/${id}/entries`)
    .send({ ...opened, body: { ...opened.body, person: twice.id } })
    .expect(201);
  const merge = () => marga.put(`/api/people/${twice.id}/merged`).send({ into: kept.id });
  await merge().expect(204);
  await merge().expect(204);
  expect(await numbersOf(twice.id)).toEqual(await numbersOf(kept.id));
  expect(await numbersOf(kept.id)).toHaveLength(2);
  // the record itself was not touched
  expect((await ana.get(`/api/cases/${id}`).expect(200)).body).toMatchObject({
    person: { id: kept.id, givenName: 'Helena' },
    proof: { holds: true },
  });
  for (const find of ['helena', 'elena', `${twice.body.numbers[0]}`])
    expect((await ana.get(`/api/cases?find=${find}`)).body.cases).toMatchObject([
      { case: id, personName: 'Helena Meira' },
    ]);
  expect((await marga.get('/api/people?find=meira')).body.people).toHaveLength(1);
  expect((await marga.get(`/api/people/${kept.id}/cases`)).body.cases).toMatchObject([{ case: id }]);
  const actions = (await marga.get(`/api/people/${kept.id}/history`)).body.changes.map(
    ({ action, byName }: { action: string; byName: string }) => `${action} by ${byName}`,
  );
  expect(actions).toEqual([
    'person.merged by The reception',
    'person.added by The reception',
    'person.added by The reception',
  ]);
  // nor a ring, nor a change of who is somebody else now
  expect((await marga.put(`/api/people/${kept.id}/merged`).send({ into: twice.id })).body.faults[0].at).toBe(
    'into',
  );
  expect((await add({ givenName: 'X', familyName: 'Y' }, {}, twice.id)).status).toBe(409);
  await marga.delete(`/api/people/${twice.id}/merged`).expect(204);
  expect((await ana.get('/api/cases?find=elena meira')).body.cases).toMatchObject([
    { case: id, personName: 'Elena Meira' },
  ]);
  expect((await ana.get('/api/cases?find=helena')).body.cases).toEqual([]);
  await merge().expect(204);
  await db
    .getRepository(personEntity)
    .update({ id: twice.id }, { mergedAt: new Date('2026-11-23T20:00:00Z') });
  expect((await marga.delete(`/api/people/${twice.id}/merged`)).status).toBe(409);
});

test('two that merge each other at once make one person, whoever comes first', async () => {
  const marga = await clinic.as('reception');
  const [a, b] = [
    await add({ givenName: 'Ring', familyName: 'One', born: '1950-01-01' }),
    await add({ givenName: 'Ring', familyName: 'Two', born: '1950-01-01' }),
  ];
  const both = await Promise.all([
    marga.put(`/api/people/${a.id}/merged`).send({ into: b.id }),
    marga.put(`/api/people/${b.id}/merged`).send({ into: a.id }),
  ]);
  expect(both.map(({ status }) => status).sort()).toEqual([204, 422]);
  expect(await numbersOf(a.id)).toEqual(await numbersOf(b.id));
});

test('a change begun from what stands there no more is told', async () => {
  const { id } = await add({ givenName: 'Meeting', familyName: 'Hands', born: '1970-02-02' });
  const was = person({ givenName: 'Meeting', familyName: 'Hands', born: '1970-02-02' });
  expect((await add({ ...was, familyName: 'Handes' }, { was }, id)).status).toBe(200);
  const late = await add({ ...was, familyName: 'Hand' }, { was }, id);
  expect([late.status, late.body.inForce.familyName]).toEqual([409, 'Handes']);
});
