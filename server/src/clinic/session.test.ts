import request from 'supertest';
import { createApp } from '../app';
import { sessionEntity, userEntity } from '../database/entities';
import { testClinic, testPassword, type TestClinic } from '../test-clinic';
import { hashPassword } from './password';
import { DatabaseSessionStore } from './session-store';

let clinic: TestClinic;
let time = new Date('2026-11-24T09:00:00Z');
beforeAll(async () => {
  clinic = await testClinic({ signInTries: 3, now: () => time });
});
afterAll(() => clinic.close());

const signIn = (login: string, password: string) =>
  request(clinic.app).post('/api/session').send({ login, password });

test('the cookie is for this site and for the server alone', async () => {
  const answer = await signIn('orthotist', testPassword);
  expect(answer.body).toMatchObject({
    user: { name: 'The orthotist', role: 'orthotist' },
    clinic: { zone: 'Europe/Madrid' },
  });
  const cookie = String(answer.headers['set-cookie']);
  expect(cookie).toMatch(/HttpOnly/);
  expect(cookie).toMatch(/SameSite=Strict/);
  expect(cookie).not.toMatch(/Secure/);
  expect(answer.body.user.passwordHash).toBeUndefined();
});

test('behind a proxy that speaks TLS the cookie is Secure', async () => {
  const { context } = clinic;
  const app = createApp(context, {
    store: new DatabaseSessionStore(context.db, context.now),
    sessionSecret: 'only for tests',
    trustProxy: 1,
  });
  const answer = await request(app)
    .post('/api/session')
    .set('X-Forwarded-Proto', 'https')
    .send({ login: 'orthotist', password: testPassword });
  expect(String(answer.headers['set-cookie'])).toMatch(/; Secure/);
  expect(answer.headers['strict-transport-security']).toBeDefined();
});

test('a wrong password and an unknown login are answered alike', async () => {
  const [wrong, unknown] = [
    await signIn('reader', 'wrong password'),
    await signIn('nobody', 'wrong password'),
  ];
  expect([wrong.status, unknown.status]).toEqual([401, 401]);
  expect(wrong.body).toEqual(unknown.body);
});

test('after too many wrong tries the login waits, another one does not', async () => {
  for (let i = 0; i < 3; i += 1) expect((await signIn('technician', 'wrong password')).status).toBe(401);
  const closed = await signIn('technician', testPassword);
  expect([closed.status, closed.type]).toEqual([429, 'application/problem+json']);
  expect((await signIn('reception', testPassword)).status).toBe(200);
});

test.each([
  ['a blank behind it', 'technician '],
  ['capitals', 'TECHNICIAN'],
  ['full-width letters', '\uff54\uff45\uff43\uff48\uff4e\uff49\uff43\uff49\uff41\uff4e'],
  ['a zero-width letter', 'tech\u200bnician'],
  ['a soft hyphen', 'tech\u00adnician'],
])(
  'a login with %s is the same login: it signs in, and its wrong tries are counted together',
  async (_, typed) => {
    const fresh = await testClinic({ signInTries: 3 });
    const at = (login: string, password: string) =>
      request(fresh.app).post('/api/session').send({ login, password });
    expect((await at(typed, testPassword)).status).toBe(200);
    for (let i = 0; i < 3; i += 1) await at(i % 2 ? typed : 'technician', 'wrong password');
    expect((await at(typed, testPassword)).status).toBe(429);
    expect((await at('technician', testPassword)).status).toBe(429);
    await fresh.close();
  },
);

test('an accent is another login: it finds nobody', async () => {
  expect((await signIn('récéption', testPassword)).status).toBe(401);
  expect((await signIn('reception', testPassword)).status).toBe(200);
});

test('behind a proxy wrong tries count by the address it tells: nobody locks out another', async () => {
  const fresh = await testClinic();
  const app = createApp(fresh.context, {
    store: new DatabaseSessionStore(fresh.context.db, fresh.context.now),
    sessionSecret: 'only for tests',
    trustProxy: 1,
    signInTries: 3,
  });
  const from = (address: string, login: string, password: string) =>
    request(app).post('/api/session').set('X-Forwarded-For', address).send({ login, password });
  for (let i = 0; i < 3; i += 1) await from('203.0.113.7', 'orthotist', 'wrong password');
  expect((await from('203.0.113.7', 'orthotist', testPassword)).status).toBe(429);
  expect((await from('203.0.113.8', 'orthotist', testPassword)).status).toBe(200);
  // one address that tries one login after the other is closed as a whole
  for (let i = 0; i < 15; i += 1) await from('203.0.113.9', `login-${i}`, 'wrong password');
  expect((await from('203.0.113.9', 'reader', testPassword)).status).toBe(429);
  await fresh.close();
});

test('without trust in a proxy the told address changes nothing', async () => {
  const fresh = await testClinic({ signInTries: 3 });
  const from = (address: string, password: string) =>
    request(fresh.app)
      .post('/api/session')
      .set('X-Forwarded-For', address)
      .send({ login: 'orthotist', password });
  for (let i = 0; i < 3; i += 1) await from(`203.0.113.${i}`, 'wrong password');
  expect((await from('203.0.113.99', testPassword)).status).toBe(429);
  await fresh.close();
});

test('one changes one’s own password with the old one; the other sessions end, this one goes on', async () => {
  const [here, there] = [request.agent(clinic.app), request.agent(clinic.app)];
  for (const agent of [here, there])
    await agent.post('/api/session').send({ login: 'orthotist', password: testPassword }).expect(200);
  const change = (password: string, next: string) =>
    here.put('/api/session/password').send({ password, next });
  const next = 'gorse lantern plover 48';
  expect((await change('not the one', next)).body.faults[0].at).toBe('password');
  expect((await change(testPassword, 'ribanova-demo')).status).toBe(422);
  await change(testPassword, next).expect(204);
  await here.get('/api/people').expect(200);
  await there.get('/api/people').expect(401);
  expect((await signIn('orthotist', testPassword)).status).toBe(401);
  await change(next, `${testPassword} 1`).expect(204);
  await clinic.context.db.query('UPDATE `user` SET passwordHash = ? WHERE id = ?', [
    await hashPassword(testPassword),
    clinic.userOf('orthotist'),
  ]);
});

describe('a password that is chosen', () => {
  let patient: TestClinic;
  beforeAll(async () => {
    patient = await testClinic();
  });
  afterAll(() => patient.close());

  test.each([
    'short',
    'password123456',
    'qwertyuiop12',
    '1234567890',
    'aaaaaaaaaaaaaa',
    'The reader 1',
    'testworkshop1',
  ])('"%s" is no password', async (next) => {
    const lia = await patient.as('reader');
    const { status, body } = await lia.put('/api/session/password').send({ password: testPassword, next });
    expect([status, body.faults[0].at]).toEqual([422, 'next']);
  });
});

test('the last administrator cannot let himself go, nor two of them each other', async () => {
  const fresh = await testClinic();
  const iago = await fresh.as('administrator');
  const id = fresh.userOf('administrator');
  const put = (user: string, change: object) =>
    iago.put(`/api/users/${user}`).send({
      login: user === id ? 'administrator' : 'second',
      name: 'One',
      role: 'administrator',
      active: true,
      ...change,
    });
  expect((await put(id, { role: 'reader' })).body.faults[0].at).toBe('role');
  expect((await put(id, { active: false })).body.faults[0].at).toBe('active');
  const second = '0192c3d4-0000-7000-8000-000000000002';
  await put(second, {}).expect(200);
  const both = await Promise.all([put(id, { active: false }), put(second, { active: false })]);
  const [taken, refused] = both.map(({ status }) => status).sort();
  // the second asks with the session of the first: it may have ended by then
  expect(taken).toBe(200);
  expect([401, 422]).toContain(refused);
  const left = await fresh.context.db
    .getRepository(userEntity)
    .countBy({ role: 'administrator', active: true });
  expect(left).toBe(1);
  await fresh.close();
});

test('a session in use ends all the same twelve hours after the sign-in', async () => {
  const agent = request.agent(clinic.app);
  await agent.post('/api/session').send({ login: 'reception', password: testPassword });
  const sessions = clinic.context.db.getRepository(sessionEntity);
  const began = time.getTime();
  for (let hour = 3; hour < 12; hour += 3) {
    time = new Date(began + hour * 3_600_000);
    // as after a restart: what was moved lately is not remembered
    const app = createApp(clinic.context, {
      store: new DatabaseSessionStore(clinic.context.db, clinic.context.now),
      sessionSecret: 'only for tests',
    });
    const jar = (agent as unknown as { jar: { getCookies: (at: object) => { toValueString: () => string } } })
      .jar;
    const cookie = jar
      .getCookies({ domain: '127.0.0.1', path: '/', secure: false, script: false })
      .toValueString();
    await request(app).get('/api/people').set('Cookie', cookie).expect(200);
  }
  const ends = (await sessions.find()).map(({ expiresAt }) => expiresAt.getTime());
  expect(Math.max(...ends)).toBe(began + 12 * 3_600_000);
  time = new Date(began + 12 * 3_600_000 + 1000);
  expect((await agent.get('/api/people')).status).toBe(401);
  time = new Date(began);
});

test('what one person wrote is not sent in the session of another', async () => {
  const teo = await clinic.as('reader');
  const answer = await teo.get('/api/people').set('Estribo-Writer', clinic.userOf('orthotist'));
  expect([answer.status, answer.body.title]).toEqual([401, 'Somebody else is signed in']);
  await teo.get('/api/people').set('Estribo-Writer', clinic.userOf('reader')).expect(200);
});

test('signing out ends the session', async () => {
  const agent = request.agent(clinic.app);
  await agent.post('/api/session').send({ login: 'orthotist', password: testPassword });
  expect((await agent.get('/api/people')).status).toBe(200);
  await agent.delete('/api/session').expect(204);
  expect((await agent.get('/api/people')).status).toBe(401);
});

test('a session ends after twelve hours and is swept', async () => {
  const agent = request.agent(clinic.app);
  await agent.post('/api/session').send({ login: 'reader', password: testPassword });
  expect((await agent.get('/api/people')).status).toBe(200);
  time = new Date('2026-11-24T21:00:01Z');
  expect((await agent.get('/api/people')).status).toBe(401);
  await new DatabaseSessionStore(clinic.context.db, () => time).sweep();
  expect(await clinic.context.db.getRepository(sessionEntity).count()).toBe(0);
  time = new Date('2026-11-24T09:00:00Z');
});

test('a request moves the end of its session, and reports no error by it', async () => {
  const agent = request.agent(clinic.app);
  await agent.post('/api/session').send({ login: 'reader', password: testPassword });
  const sessions = clinic.context.db.getRepository(sessionEntity);
  const { sid, began, expiresAt } = await sessions.findOneByOrFail({});
  time = new Date('2026-11-24T10:00:00Z');
  const store = new DatabaseSessionStore(clinic.context.db, clinic.context.now);
  const reported = await new Promise((resolve) => store.touch(sid, { began: began.getTime() }, resolve));
  expect(reported).toBeUndefined();
  const moved = await sessions.findOneByOrFail({ sid });
  expect(moved.expiresAt.getTime() - expiresAt.getTime()).toBe(3_600_000);
  await agent.delete('/api/session').expect(204);
  time = new Date('2026-11-24T09:00:00Z');
});

test.each([
  ['Sec-Fetch-Site', 'cross-site'],
  ['Sec-Fetch-Site', 'same-site'],
  ['Origin', 'https://elsewhere.example'],
  ['Origin', 'null'],
])('a write with %s: %s is refused', async (header, value) => {
  const { status, body } = await signIn('orthotist', testPassword).set(header, value);
  expect([status, body.detail]).toEqual([403, 'Writing from another site is refused.']);
});

test('the pages may load from here alone', async () => {
  const policy = String((await request(clinic.app).get('/api/health')).headers['content-security-policy']);
  expect(policy).toContain("default-src 'none'");
  expect(policy).toContain("script-src 'self';");
  expect(policy).not.toContain('unsafe');
});

test('a closed account is signed out at once; a login belongs to one', async () => {
  const iago = request.agent(clinic.app);
  await iago.post('/api/session').send({ login: 'administrator', password: testPassword }).expect(200);
  const lia = request.agent(clinic.app);
  await lia.post('/api/session').send({ login: 'reader', password: testPassword }).expect(200);
  const id = clinic.userOf('reader');
  const user = { login: 'reader', name: 'Lia', role: 'reader' };
  await iago
    .put(`/api/users/${id}`)
    .send({ ...user, active: false })
    .expect(200);
  expect((await lia.get('/api/people')).status).toBe(401);
  expect((await signIn('reader', testPassword)).status).toBe(401);
  const taken = await iago
    .put('/api/users/0192c3d4-0000-7000-8000-000000000001')
    .send({ ...user, active: true });
  expect(taken.body.faults).toEqual([
    expect.objectContaining({ at: 'login', message: 'belongs to another user' }),
  ]);
  // of a closed account there is no code
  expect((await iago.post(`/api/users/${id}/code`)).status).toBe(409);
  await iago
    .put(`/api/users/${id}`)
    .send({ ...user, active: true })
    .expect(200);
});
