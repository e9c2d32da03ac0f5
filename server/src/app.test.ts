import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import request from 'supertest';
import { createApp } from './app';
import { DatabaseSessionStore } from './clinic/session-store';
import { testClinic, testPassword, type TestClinic } from './test-clinic';

let clinic: TestClinic;
beforeAll(async () => {
  clinic = await testClinic();
});
afterAll(() => clinic.close());

test('answers are compressed, streams are not', async () => {
  const ana = await clinic.as('orthotist');
  const models = await ana.get('/api/catalogue/models').set('Accept-Encoding', 'gzip').expect(200);
  expect(models.headers['content-encoding']).toBe('gzip');
  expect(models.body.models.length).toBeGreaterThan(10);
  const plain = await ana.get('/api/catalogue/models').set('Accept-Encoding', 'identity').expect(200);
  expect(plain.headers['content-encoding']).toBeUndefined();
});

test('a wrong method, address or type of body is a problem, never a trace', async () => {
  const ana = request.agent(clinic.app);
  await ana.post('/api/session').send({ login: 'orthotist', password: testPassword }).expect(200);
  for (const [answer, status] of [
    [await ana.get('/api/nothing'), 404],
    [await ana.post('/api/catalogue/import').set('Content-Type', 'text/csv').send('model'), 422],
    [await ana.get('/api/people/%E0%A4%A'), 400],
    [await ana.post('/api/session').set('Content-Type', 'application/json').send('{"login": '), 400],
    [
      await ana
        .post('/api/unsent')
        .set('Content-Type', 'application/json')
        .send(`"${'x'.repeat(70_000)}"`),
      413,
    ],
  ] as const) {
    expect([answer.status, answer.type]).toEqual([status, 'application/problem+json']);
    expect(JSON.stringify(answer.body)).not.toMatch(/\bat .*\.(ts|js|mjs):\d/);
  }
});

test('a file of the interface goes out as it was compressed when it was built, and plain to who reads no gzip', async () => {
  const root = mkdtempSync(join(tmpdir(), 'estribo-web-'));
  mkdirSync(join(root, 'assets'));
  writeFileSync(join(root, 'index.html'), '<!doctype html>');
  writeFileSync(join(root, 'assets/a-1.js'), 'as it was written');
  // another text tells where an answer comes from
  writeFileSync(join(root, 'assets/a-1.js.gz'), gzipSync('as it was compressed'));
  const { context } = clinic;
  const app = createApp(context, {
    store: new DatabaseSessionStore(context.db, context.now),
    sessionSecret: 'only for tests',
    webRoot: root,
  });
  const get = (accept: string) =>
    request(app).get('/assets/a-1.js').set('Accept-Encoding', accept).expect(200);
  const small = await get('gzip');
  expect([small.text, small.headers['content-encoding']]).toEqual(['as it was compressed', 'gzip']);
  expect(small.headers['cache-control']).toBe('public, max-age=31536000, immutable');
  expect((await get('identity')).text).toBe('as it was written');
  await request(app).get('/assets/b-1.js').expect(404);
  rmSync(root, { recursive: true, force: true });
});
