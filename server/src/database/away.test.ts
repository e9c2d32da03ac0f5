import { connect, createServer, type AddressInfo, type Server, type Socket } from 'node:net';
import { createConnection } from 'mysql2/promise';
import request from 'supertest';
import { v7 } from 'uuid';
import { createApp } from '../app';
import { DatabaseSessionStore } from '../clinic/session-store';
import { Pulse } from '../health';
import type { Context } from '../route';
import { testClinic, testPassword, type TestClinic } from '../test-clinic';
import { openDatabase } from './data-source';

/** A wire to the database that can be cut, or hold back everything that runs through it. */
class Wire {
  readonly #pairs = new Set<[Socket, Socket]>();
  #frozen = false;
  #server: Server | undefined;
  url = '';

  async lay(url: string): Promise<void> {
    const target = new URL(url);
    const [port, host] = [Number(target.port), target.hostname];
    this.#server = createServer((near) => {
      const far = connect(port, host);
      const pair: [Socket, Socket] = [near, far];
      this.#pairs.add(pair);
      if (!this.#frozen) near.pipe(far).pipe(near);
      for (const one of pair) one.on('error', () => {}).on('close', () => this.#pairs.delete(pair));
    }).listen(0, '127.0.0.1');
    await new Promise((resolve) => this.#server!.once('listening', resolve));
    target.port = String((this.#server.address() as AddressInfo).port);
    this.url = target.href;
  }

  freeze(frozen: boolean): void {
    this.#frozen = frozen;
    for (const pair of this.#pairs)
      for (const one of pair) {
        if (frozen) one.unpipe().pause();
      }
    if (!frozen) for (const [near, far] of this.#pairs) near.pipe(far).pipe(near);
  }

  async cut(): Promise<void> {
    for (const pair of this.#pairs) for (const one of pair) one.destroy();
    await new Promise((resolve) => this.#server?.close(resolve));
  }
}

let clinic: TestClinic;
let context: Context;
let wire: Wire;
let ana: ReturnType<typeof request.agent>;
beforeEach(async () => {
  clinic = await testClinic();
  wire = new Wire();
  await wire.lay((clinic.context.db.options as { url: string }).url);
  const db = await openDatabase(wire.url);
  context = { ...clinic.context, db, pulse: new Pulse(wire.url) };
  const app = createApp(context, {
    store: new DatabaseSessionStore(db, context.now),
    sessionSecret: 'only for tests',
    signInTries: 1000,
    // long enough that a busy machine answers what waits for nothing
    answerWithin: 10_000,
  });
  ana = request.agent(app);
  await ana.post('/api/session').send({ login: 'orthotist', password: testPassword }).expect(200);
});
afterEach(async () => {
  context.pulse.end();
  await Promise.race([context.db.destroy(), new Promise((resolve) => setTimeout(resolve, 1000))]);
  await wire.cut().catch(() => {});
  await clinic.close();
});

const visit = (id: string) => ({
  ...clinic.entry('visit.planned', 'case', { day: '2026-12-01', purpose: 'review' }),
  case: id,
});
const send = (entry: { case: string }) => ana.post(`/api/cases/${entry.case}/entries`).send(entry);

/** What is asked until it is not put off any more: "come again" is an answer of a busy machine, never a loss. */
async function untilTaken(ask: () => request.Test): Promise<request.Response> {
  for (;;) {
    const answer = await ask();
    if (answer.status !== 503) return answer;
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
}

test('a case whose row is held: its writers wait so long, everybody else goes on', async () => {
  const [held, free] = [v7(), v7()];
  await send(clinic.opened(held)).expect(201);
  await send(clinic.opened(free)).expect(201);
  const other = await createConnection((clinic.context.db.options as { url: string }).url);
  await other.beginTransaction();
  await other.query('SELECT * FROM `case` WHERE id = ? FOR UPDATE', [held]);
  let answered = 0;
  const waiting = Array.from({ length: 20 }, () =>
    send(visit(held)).then((answer) => {
      answered += 1;
      return answer;
    }),
  );
  // let them arrive
  await new Promise((resolve) => setTimeout(resolve, 300));
  await send(visit(free)).expect(201);
  await ana.get('/api/bench').expect(200);
  expect((await untilTaken(() => ana.get('/api/health'))).status).toBe(200);
  // all of that while every one of the twenty still waits: they hold one connection between them, not the pool
  expect(answered).toBe(0);
  const answers = await Promise.all(waiting);
  for (const { status, headers, body } of answers) {
    expect(status).toBe(503);
    expect(headers['retry-after']).toMatch(/^\d+$/);
    expect(body.title).not.toBe('Failed');
  }
  await other.rollback();
  await other.end();
  const late = visit(held);
  expect([200, 201]).toContain((await untilTaken(() => send(late))).status);
});

test('a database that is frozen: health at once, everything else 503, and no word that nothing was stored', async () => {
  const id = v7();
  await send(clinic.opened(id)).expect(201);
  wire.freeze(true);
  // asked after another, and answered long before it: health waits for nothing
  const order: string[] = [];
  const bench = ana.get('/api/bench').then(() => order.push('bench'));
  const health = await ana.get('/api/health');
  order.push('health');
  expect(health.status).toBe(503);
  await bench;
  expect(order).toEqual(['health', 'bench']);
  const entry = visit(id);
  const answers = await Promise.all([send(entry), ana.get('/api/bench'), ana.get('/api/people')]);
  for (const { status, headers, body } of answers) {
    expect(status).toBe(503);
    expect(headers['retry-after']).toMatch(/^\d+$/);
    expect(body.detail).not.toMatch(/Nothing was stored/);
  }
  // long enough for queries under way to be given up one by one
  await new Promise((resolve) => setTimeout(resolve, 8500));
  wire.freeze(false);
  // it comes back by itself, and what was sent is taken once
  expect((await untilTaken(() => ana.get('/api/bench'))).status).toBe(200);
  const again = await untilTaken(() => send(entry));
  expect([200, 201]).toContain(again.status);
  const { body } = await ana.get(`/api/cases/${id}/entries`).expect(200);
  expect(body.entries).toHaveLength(2);
});

test('a database that is away is 503 for reads and writes, and health says so', async () => {
  const id = v7();
  await send(clinic.opened(id)).expect(201);
  await wire.cut();
  for (const answer of [
    await send(visit(id)),
    await ana.get('/api/bench'),
    await ana.post('/api/session').send({ login: 'orthotist', password: testPassword }),
    await ana.get('/api/health'),
  ]) {
    expect(answer.status).toBe(503);
    expect(answer.type).toBe('application/problem+json');
  }
});
