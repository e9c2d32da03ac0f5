import request from 'supertest';
import { v7 } from 'uuid';
import { testClinic, testPassword, type TestClinic } from '../test-clinic';

let clinic: TestClinic;
beforeAll(async () => {
  clinic = await testClinic();
});
afterAll(() => clinic.close());

interface Line {
  action: string;
  user: string | null;
  userName: string | null;
  subject: string;
  fields: string[];
}
const lines = async (action = ''): Promise<Line[]> =>
  (await (await clinic.as('administrator')).get(`/api/audit?action=${action}`).expect(200)).body.lines;

test('a read of a case is written down once, by whom', async () => {
  const ana = await clinic.as('orthotist');
  const id = v7();
  await ana.post(`/api/cases/${id}/entries`).send(clinic.opened(id)).expect(201);
  const lia = await clinic.as('reader');
  for (let i = 0; i < 3; i += 1) await lia.get(`/api/cases/${id}/entries`).expect(200);
  await lia.get(`/api/cases/${id}`).expect(200);
  expect((await lines('case.read')).filter(({ subject }) => subject === id)).toMatchObject([
    { user: clinic.userOf('reader'), userName: 'The reader' },
  ]);
});

test('ranking the catalogue for a case is a read of it', async () => {
  const id = v7();
  await (await clinic.as('orthotist')).post(`/api/cases/${id}/entries`).send(clinic.opened(id)).expect(201);
  await (await clinic.as('technician')).get(`/api/cases/${id}/fit`).expect(200);
  expect((await lines('case.read'))[0]).toMatchObject({ subject: id, user: clinic.userOf('technician') });
});

test('a failed sign-in names the user when there is one, and never what was typed', async () => {
  await request(clinic.app).post('/api/session').send({ login: 'reader', password: 'wrong' }).expect(401);
  await request(clinic.app)
    .post('/api/session')
    .send({ login: 'my secret in the wrong field', password: 'wrong' })
    .expect(401);
  const refused = await lines('session.refused');
  expect(refused.slice(0, 2).map(({ subject }) => subject)).toEqual(['unknown', clinic.userOf('reader')]);
  expect(JSON.stringify(refused)).not.toContain('secret');
});

test('a changed name leaves who, when and what it was, where people are read; the administrator sees which field', async () => {
  const marga = await clinic.as('reception');
  const id = v7();
  const person = { givenName: 'Uxia', familyName: 'Seoane', born: '2001-08-25' };
  await marga.put(`/api/people/${id}`).send(person).expect(200);
  await marga.put(`/api/people/${id}`).send(person).expect(200);
  await marga
    .put(`/api/people/${id}`)
    .send({ ...person, familyName: 'Seoane Rei' })
    .expect(200);
  const { body } = await marga.get(`/api/people/${id}/history`).expect(200);
  expect(body.changes).toMatchObject([
    {
      by: clinic.userOf('reception'),
      action: 'person.changed',
      before: { familyName: 'Seoane' },
      now: { familyName: 'Seoane Rei' },
    },
    { action: 'person.added', before: {}, now: person },
  ]);
  expect(Number.isNaN(Date.parse(body.changes[0].at))).toBe(false);
  const [changed] = await lines('person.changed');
  expect(changed).toMatchObject({ subject: id, fields: ['familyName'] });
  expect(JSON.stringify(await lines())).not.toContain('Seoane');
});

test('changes to users, instruments and the catalogue are there, newest first, page by page', async () => {
  const iago = await clinic.as('administrator');
  const ana = await clinic.as('orthotist');
  await iago
    .put(`/api/users/${clinic.userOf('reader')}`)
    .send({ login: 'reader', name: 'Lia', role: 'reader', active: true })
    .expect(200);
  await ana
    .put('/api/instruments/stand-in-tape/calibration')
    .send({ calibratedOn: '2026-11-20', offset: 0 })
    .expect(200);
  await ana.put(`/api/catalogue/models/${clinic.model.id}/retired`).send({ retired: true }).expect(200);
  expect((await lines()).slice(0, 3).map(({ action, fields }) => [action, fields])).toEqual([
    ['model.retired', ['retired']],
    ['instrument.calibrated', ['calibratedOn', 'offset']],
    ['user.changed', ['name']],
  ]);
  for (let i = 0; i < 101; i += 1)
    await ana
      .post('/api/unsent')
      .send({ id: v7(), case: v7(), kind: 'measure.read', problem: 'Not allowed', reason: 'wrong leg' })
      .expect(201);
  const first = (await iago.get('/api/audit').expect(200)).body;
  expect([first.lines.length, first.more]).toEqual([100, true]);
  const next = (await iago.get(`/api/audit?before=${first.lines.at(-1).n}`).expect(200)).body;
  expect(next.lines[0].n).toBe(first.lines.at(-1).n - 1);
});

test('only the administrator reads it; what is asked for must be there', async () => {
  await (await clinic.as('orthotist')).get('/api/audit').expect(403);
  const iago = await clinic.as('administrator');
  await iago.get('/api/audit?action=nothing').expect(400);
  await iago.get('/api/audit?before=x').expect(400);
});

test('a sign-in is written down', async () => {
  await request(clinic.app)
    .post('/api/session')
    .send({ login: 'technician', password: testPassword })
    .expect(200);
  expect((await lines('session.opened'))[0]).toMatchObject({ user: clinic.userOf('technician') });
});
