import request from 'supertest';
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
