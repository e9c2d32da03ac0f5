import { request as secureRequest, createServer } from 'node:https';
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { X509Certificate } from 'node:crypto';
import request from 'supertest';
import { createApp } from '../app';
import { clinicEntity, userEntity } from '../database/entities';
import { testClinic, type TestClinic } from '../test-clinic';
import { certificateFor } from '../tls';
import { DatabaseSessionStore } from './session-store';
import { oneTimeCode } from './one-time-code';

let clinic: TestClinic;
beforeEach(async () => {
  clinic = await testClinic();
});
afterEach(() => clinic.close());

const appOf = (signInTries: number) =>
  createApp(clinic.context, {
    store: new DatabaseSessionStore(clinic.context.db, clinic.context.now),
    sessionSecret: 'only for tests',
    signInTries,
  });

const first = {
  clinic: 'Workshop by the river',
  zone: 'Atlantic/Canary',
  name: 'Iago Lema',
  login: 'iago',
  password: 'gorse lantern plover 48',
};

async function emptyClinic(): Promise<string> {
  await clinic.context.db.query('DELETE FROM clinic');
  await clinic.context.db.query('DELETE FROM `user`');
  const code = oneTimeCode();
  clinic.context.setUpCode = code;
  return code;
}

test('a clinic is set up once, by who knows the code on the console', async () => {
  const code = await emptyClinic();
  expect(code).toMatch(/^[A-Z2-9]{4}-[A-Z2-9]{4}-[A-Z2-9]{4}$/);
  const app = appOf(100);
  expect((await request(app).get('/api/session')).body).toMatchObject({ user: null, setUp: true });
  const setUp = (change: object) =>
    request(app)
      .post('/api/set-up')
      .send({ ...first, code, ...change });
  expect((await setUp({ code: 'AAAA-BBBB-CCCC' })).status).toBe(401);
  expect((await setUp({ zone: 'Ribanova' })).body.faults[0].at).toBe('zone');
  expect((await setUp({ password: 'iagolema1234' })).body.faults[0].at).toBe('password');
  // read off a console by eye: small letters and blanks are all the same
  const both = await Promise.all([setUp({ code: code.toLowerCase().replaceAll('-', ' ') }), setUp({})]);
  expect(both.map(({ status }) => status).sort()[0]).toBe(201);
  expect(both.filter(({ status }) => status === 201)).toHaveLength(1);
  expect((await setUp({})).status).toBe(404);
  expect(await clinic.context.db.getRepository(clinicEntity).find()).toEqual([
    {
      id: 1,
      name: first.clinic,
      zone: first.zone,
      phone: null,
      emergency: null,
      wearRule: null,
      letterhead: null,
    },
  ]);
  expect(await clinic.context.db.getRepository(userEntity).count()).toBe(1);
  const signedIn = await request(app).post('/api/session').send({ login: 'iago', password: first.password });
  expect(signedIn.body).toMatchObject({
    user: { role: 'administrator' },
    clinic: { name: first.clinic, zone: first.zone },
  });
});

test('the code is not guessed: after a few wrong ones the address waits', async () => {
  const code = await emptyClinic();
  const app = appOf(5);
  const answers: number[] = [];
  for (let i = 0; i < 7; i += 1)
    answers.push(
      (
        await request(app)
          .post('/api/set-up')
          .send({ ...first, code: `WRNG-${i}` })
      ).status,
    );
  expect(answers.slice(0, 5)).toEqual([401, 401, 401, 401, 401]);
  expect(answers.at(-1)).toBe(429);
  expect(
    (
      await request(app)
        .post('/api/set-up')
        .send({ ...first, code })
    ).status,
  ).toBe(429);
});

test('over TLS with a certificate made here: for this machine’s names, kept, and made anew when it runs out', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'estribo-tls-'));
  const own = { tls: 'own', cert: undefined, key: undefined };
  const now = new Date();
  const made = (await certificateFor(own, folder, now))!;
  expect(made.own).toBe(true);
  const certificate = new X509Certificate(made.cert);
  expect(certificate.checkIP('127.0.0.1')).toBe('127.0.0.1');
  expect(certificate.checkHost('localhost')).toBe('localhost');
  expect(statSync(join(folder, 'key.pem')).mode & 0o777).toBe(0o600);
  expect(readFileSync(join(folder, 'cert.pem'), 'utf8')).toBe(made.cert);
  expect((await certificateFor(own, folder, now))!.cert).toBe(made.cert);
  const later = new Date(now.getTime() + 395 * 86_400_000);
  expect((await certificateFor(own, folder, later))!.cert).not.toBe(made.cert);
  expect(await certificateFor({ ...own, tls: 'off' }, folder, now)).toBeUndefined();
  const given = { tls: undefined, cert: join(folder, 'cert.pem'), key: join(folder, 'key.pem') };
  expect((await certificateFor(given, folder, now))!.own).toBe(false);

  const server = createServer(made, clinic.app).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const cookie = await new Promise<string>((resolve, reject) => {
    const asked = secureRequest(
      {
        host: 'localhost',
        port: (server.address() as AddressInfo).port,
        path: '/api/session',
        method: 'POST',
        ca: made.cert,
        headers: { 'Content-Type': 'application/json' },
      },
      (answer) => resolve(String(answer.headers['set-cookie'])),
    );
    asked.once('error', reject);
    asked.end(JSON.stringify({ login: 'orthotist', password: 'a long enough password' }));
  });
  expect(cookie).toMatch(/; Secure/);
  await new Promise((resolve) => server.close(resolve));
  rmSync(folder, { recursive: true, force: true });
});
