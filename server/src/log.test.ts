import { Writable } from 'node:stream';
import { pino } from 'pino';
import request from 'supertest';
import { v7 } from 'uuid';
import { createApp } from './app';
import { DatabaseSessionStore } from './clinic/session-store';
import { testClinic, testPassword, type TestClinic } from './test-clinic';

let clinic: TestClinic;
beforeAll(async () => {
  clinic = await testClinic();
});
afterAll(() => clinic.close());

/** A log that can be read. */
function readableLog() {
  const lines: string[] = [];
  const stream = new Writable({
    write: (chunk, _encoding, done) => {
      lines.push(String(chunk));
      done();
    },
  });
  return { lines, log: pino({ level: 'info' }, stream) };
}

test('the log tells requests and failures, and nothing of a patient', async () => {
  const { lines, log } = readableLog();
  const { db, now } = clinic.context;
  const app = createApp(
    { ...clinic.context, log },
    { store: new DatabaseSessionStore(db, now), sessionSecret: 'only for tests' },
  );
  const agent = request.agent(app);
  await agent.post('/api/session').send({ login: 'orthotist', password: testPassword }).expect(200);
  await agent.get('/api/people?find=Castrelo').expect(200);
  await agent
    .put(`/api/people/${v7()}`)
    .send({ givenName: 'Secreta', familyName: 'Persona', born: '1999-01-01' })
    .expect(200);
  const written = lines.join('');
  expect(lines.length).toBeGreaterThanOrEqual(3);
  expect(written).toContain('"statusCode":200');
  // who and which route, told by its pattern
  expect(written).toContain(`"user":"${clinic.userOf('orthotist')}"`);
  expect(written).toContain('"route":"/people/:id"');
  for (const secret of ['Castrelo', 'Secreta', 'Persona', testPassword, 'orthotist'])
    expect({ secret, logged: written.includes(secret) }).toEqual({ secret, logged: false });
});

test('a failure nobody foresaw is 500 without a trace in the answer, and logged without its message', async () => {
  const { lines, log } = readableLog();
  let fails = false;
  const broken = {
    ...clinic.context,
    log,
    db: new Proxy(clinic.context.db, {
      get: (target, member) =>
        member === 'transaction' && fails
          ? () => Promise.reject(Object.assign(new Error('Castrelo lives in Ribanova'), { code: 'ER_ODD' }))
          : Reflect.get(target, member, target),
    }),
  };
  const app = createApp(broken, {
    store: new DatabaseSessionStore(clinic.context.db, clinic.context.now),
    sessionSecret: 'x',
  });
  const agent = request.agent(app);
  await agent.post('/api/session').send({ login: 'orthotist', password: testPassword }).expect(200);
  fails = true;
  const { status, body } = await agent
    .put(`/api/people/${v7()}`)
    .send({ givenName: 'A', familyName: 'B', born: '1999-01-01' });
  expect(status).toBe(500);
  expect(JSON.stringify(body)).not.toMatch(/Castrelo|at .*\.ts/);
  expect(lines.join('')).toContain('ER_ODD');
  expect(lines.join('')).not.toContain('Castrelo');
});
