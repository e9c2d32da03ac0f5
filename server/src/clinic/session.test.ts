import type { SessionData } from 'express-session';
import request from 'supertest';
import { createApp } from '../app';
import { sessionEntity } from '../database/entities';
import { testClinic, testPassword, type TestClinic } from '../test-clinic';
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
  const { sid, data, expiresAt } = await sessions.findOneByOrFail({});
  time = new Date('2026-11-24T10:00:00Z');
  const store = new DatabaseSessionStore(clinic.context.db, clinic.context.now);
  const reported = await new Promise((resolve) => store.touch(sid, data as SessionData, resolve));
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

test('a closed account is signed out at once; a new user needs a password', async () => {
  const iago = await clinic.as('administrator');
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
  const fresh = await iago
    .put('/api/users/0192c3d4-0000-7000-8000-000000000001')
    .send({ ...user, login: 'new', active: true });
  expect(fresh.body.detail).toMatch(/password is required/);
  const taken = await iago
    .put('/api/users/0192c3d4-0000-7000-8000-000000000001')
    .send({ ...user, active: true, password: testPassword });
  expect(taken.body.faults).toEqual([{ at: 'login', message: 'belongs to another user' }]);
});
