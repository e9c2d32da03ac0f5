import { v7 } from 'uuid';
import { demoModels } from '../demo/models';
import { testClinic, type TestClinic } from '../test-clinic';
import { pinOf } from '@estribo/core/programmes';

let clinic: TestClinic;
beforeAll(async () => {
  clinic = await testClinic({ now: () => new Date('2026-11-23T23:30:00Z') });
});
afterAll(() => clinic.close());

/** A case with a visit on a day, or none. */
async function caseWith(day?: string): Promise<string> {
  const ana = await clinic.as('orthotist');
  const id = v7();
  await ana.post(`/api/cases/${id}/entries`).send(clinic.opened(id)).expect(201);
  if (day)
    await ana
      .post(`/api/cases/${id}/entries`)
      .send({
        ...clinic.entry('visit.planned', 'case', { day, purpose: 'review' }),
        case: id,
        // planned a while ago
        observedAt: '2026-11-10T09:00:00.000Z',
      })
      .expect(201);
  return id;
}

test('the bench comes by the first day somebody is to come in, nothing planned last, in the clinic’s day', async () => {
  const [none, late, soon] = [await caseWith(), await caseWith('2026-11-20'), await caseWith('2026-11-30')];
  const { body } = await (await clinic.as('reception')).get('/api/bench');
  // it is half past midnight of the 24th in the clinic
  expect([body.today, body.from]).toEqual(['2026-11-24', '2026-11-17']);
  expect(body.cases.map((row: { case: string }) => row.case)).toEqual([late, soon, none]);
  expect(body.cases[0]).toMatchObject({
    personName: 'Iria Castrelo',
    firstVisit: '2026-11-20',
    ribbon: { buckles: [{ day: '2026-11-20', kind: 'R', stage: 'review' }] },
  });
  expect(body.cases[0].personKey).toBeUndefined();
});

test('cases are found by person and by brace', async () => {
  const ana = await clinic.as('orthotist');
  const found = async (find: string) =>
    (await ana.get(`/api/cases?find=${encodeURIComponent(find)}`)).body.cases.length;
  const all = await found('');
  expect(all).toBeGreaterThan(0);
  expect(await found('castrelo')).toBe(all);
  expect(await found('caneiro')).toBe(all);
  expect(await found('lousa')).toBe(0);
  expect(await found('trelo')).toBe(0);
});

test('a case says who it is for and what it holds on to', async () => {
  const id = await caseWith();
  const ana = await clinic.as('orthotist');
  expect((await ana.get(`/api/cases/${id}`)).body).toMatchObject({
    id,
    seq: 1,
    programmeHash: clinic.programme.hash,
    modelHash: clinic.model.hash,
    person: { givenName: 'Iria' },
  });
  expect((await ana.get(`/api/cases/${v7()}`)).status).toBe(404);
  expect((await ana.get(`/api/cases/${v7()}/entries`)).status).toBe(404);
});

test('the catalogue lists what can be fitted, and content is fetched by its hash for good', async () => {
  const ana = await clinic.as('orthotist');
  const { body } = await ana.get('/api/catalogue/models');
  expect(new Set(body.models.map(({ name }: { name: string }) => name))).toEqual(
    new Set(demoModels.map(({ name }) => name)),
  );
  const pin = pinOf(demoModels[0]!);
  const content = await ana.get(`/api/catalogue/model/${pin.hash}`);
  expect(content.body).toEqual(demoModels[0]);
  expect(content.headers['cache-control']).toContain('immutable');
  expect((await ana.get(`/api/catalogue/programme/${pin.hash}`)).status).toBe(404);
  expect((await ana.get(`/api/catalogue/clinic/${pin.hash}`)).status).toBe(404);
});
