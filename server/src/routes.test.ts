import { may, roles, type Permission } from '@estribo/core/access';
import { kinds } from '@estribo/core/logbook';
import request from 'supertest';
import { v7 } from 'uuid';
import { allRoutes } from './app';
import { stopsIn, testClinic, type TestClinic } from './test-clinic';

let clinic: TestClinic;
beforeAll(async () => {
  clinic = await testClinic();
});
afterAll(() => clinic.close());

/** What a route is called with here: a body that is not valid, so that nothing changes. */
const addressOf = (path: string) =>
  path.replace(':id', v7()).replace(':sort', 'model').replace(':hash', 'a'.repeat(64));

test('without a sign-in every route but the open ones answers 401', async () => {
  for (const { method, path, who } of allRoutes(clinic.context)) {
    if (path === '/session' && method === 'delete') continue;
    const call = request(clinic.app);
    const { status } = await call[method](`/api${addressOf(path)}`).send();
    expect({ path, refused: status === 401 }).toEqual({
      path,
      refused: who !== 'open' || (method === 'post' && status === 401),
    });
  }
});

test.each(roles)('%s gets 403 just where the table says so', async (role) => {
  const agent = await clinic.as(role);
  for (const { method, path, who } of allRoutes(clinic.context)) {
    if (who === 'open' || who === 'signed-in') continue;
    const { status, body } = await agent[method](`/api${addressOf(path)}`).send({});
    expect({ method, path, status: status === 403 }).toEqual({ method, path, status: !may(role, who) });
    if (status >= 400)
      expect(body).toMatchObject({ title: expect.any(String), detail: expect.any(String), status });
    expect(status).toBeLessThan(500);
  }
});

test.each(roles)('%s may write just the kinds of entry the table says', async (role) => {
  const agent = await clinic.as(role);
  const id = v7();
  await (await clinic.as('orthotist')).post(`/api/cases/${id}/entries`).send(clinic.opened(id)).expect(201);
  // bodies that are valid but late in a case that is just open: what counts here is 403 or not
  const bodies: Record<string, object> = {
    'visit.planned': { day: '2026-12-01', purpose: 'review' },
    'case.noted': { text: 'comes by bus' },
    'label.read': { lot: 'L 2291' },
    'measure.read': { step: 'girth-above', side: 'right', value: 450, instrument: 'tape' },
    'screen.looked': { answers: [{ finding: 'diabetes', is: 'absent' }] },
    'work.done': { operation: 'place-pads', part: 'thigh-front', way: 'placed' },
    'strap.done': { step: 'open-all', pass: 1 },
    'check.recorded': { check: 'not-twisted', seen: true },
    'review.found': { skin: 'clear', pain: 1 },
    'set.made': { ...stopsIn(0, null), found: true },
    // that it went is held back until the check is signed
    'wear.taught': { who: 'patient', how: 'not-yet' },
  };
  for (const [kind, body] of Object.entries(bodies)) {
    const { permission, stages } = kinds[kind as keyof typeof kinds];
    const entry = {
      id: v7(),
      case: id,
      stage: stages[0],
      kind,
      v: 1,
      observedAt: '2026-11-24T09:00:00.000Z',
      zone: 'Europe/Madrid',
      by: clinic.userOf(role),
      body,
    };
    const { status } = await agent.post(`/api/cases/${id}/entries`).send(entry);
    expect({ kind, status }).toEqual({ kind, status: may(role, permission as Permission) ? 201 : 403 });
  }
});

test('an unknown route and a badly encoded one are problems, not pages', async () => {
  const { status, type } = await request(clinic.app).get('/api/nothing');
  expect([status, type]).toEqual([404, 'application/problem+json']);
  expect((await request(clinic.app).get('/api/people/%E0%A4%A')).status).toBe(400);
});

test('health says how the database is', async () => {
  expect((await request(clinic.app).get('/api/health')).body).toMatchObject({ status: 'ok', database: 'ok' });
});
