import { spawnSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { mkdtempSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { freePort, startDatabase } from './database.mjs';
import { built, checkNode, debianPackages, mariadb, npmPackages, root } from './machine.mjs';
import { startServer } from './server.mjs';
import { run, step, Stop } from './steps.mjs';

// A clinic on a disk that runs full while it is written to (a small tmpfs; mounting it takes root): what was acknowledged is
// there, what was not is answered 507 in plain words, health says so, and when there is room again the work goes on.

const size = 900;

/** A UUIDv7, as a browser makes one. */
const id = () => {
  const time = Date.now().toString(16).padStart(12, '0');
  const chance = randomBytes(10).toString('hex');
  return `${time.slice(0, 8)}-${time.slice(8)}-7${chance.slice(0, 3)}-a${chance.slice(3, 6)}-${chance.slice(6, 18)}`;
};

/** Somebody who is signed in, and what a request of theirs is answered. */
async function signIn(address) {
  let cookie = '';
  const ask = async (method, path, body) => {
    const answer = await fetch(`${address}/api${path}`, {
      method,
      headers: { cookie, ...(body ? { 'Content-Type': 'application/json' } : {}) },
      ...(body ? { body: JSON.stringify(body) } : {}),
    });
    cookie = answer.headers.get('set-cookie')?.split(';')[0] ?? cookie;
    return { status: answer.status, body: answer.status === 204 ? undefined : await answer.json() };
  };
  const { body } = await ask('POST', '/session', { login: 'ana', password: 'ribanova-demo' });
  return { ask, by: body.user.id };
}

async function tryIt(folder, address, sealFolder, url) {
  const { ask, by } = await signIn(address);
  const { body: listed } = await ask('GET', '/cases');
  const caseId = listed.cases[0].case;
  const note = (text) => ({
    id: id(),
    case: caseId,
    stage: 'case',
    kind: 'case.noted',
    v: 1,
    observedAt: new Date().toISOString(),
    zone: 'Europe/Madrid',
    by,
    body: { text },
  });
  const post = (entry) => ask('POST', `/cases/${caseId}/entries`, entry);

  const filler = join(folder, 'filler');
  const { bavail, bsize } = statfsSync(folder);
  writeFileSync(filler, Buffer.alloc(Math.max(0, bavail * bsize - 600_000)));
  const acknowledged = [];
  const refused = new Map();
  let waiting;
  await step('writing until the disk is full', async () => {
    for (let n = 0; n < 20_000 && (refused.get(507) ?? 0) < 3; n += 1) {
      const entry = note(`${n} ${'x'.repeat(780)}`);
      const { status, body } = await post(entry);
      if (status === 201) acknowledged.push(entry.id);
      else {
        refused.set(status, (refused.get(status) ?? 0) + 1);
        waiting = entry;
        if (status === 507 && !/disk is full/.test(body.detail)) throw new Stop(`507 says: ${body.detail}`);
      }
    }
    const others = [...refused].filter(([status]) => ![507, 503].includes(status));
    if (others.length > 0) throw new Stop(`answered ${JSON.stringify(others)} where the disk is full`);
    if (!refused.has(507)) throw new Stop('never answered 507');
    return `${acknowledged.length} acknowledged, answers else ${JSON.stringify([...refused])}`;
  });
  await step('health says so', async () => {
    const { status, body } = await ask('GET', '/health');
    if (status !== 507) throw new Stop(`health answers ${status} ${JSON.stringify(body)}`);
    return body.title;
  });
  await step('with room again the work goes on', async () => {
    rmSync(filler);
    for (let i = 0; ; i += 1) {
      const { status } = await post(waiting);
      if (status === 201 || status === 200) break;
      if (i > 120) throw new Stop(`still answered ${status} with room again`);
      await wait(500);
    }
    acknowledged.push(waiting.id);
  });
  await step('nothing that was acknowledged is lost', async () => {
    const there = new Set();
    for (let after = 0, more = true; more;) {
      const { body } = await ask('GET', `/cases/${caseId}/entries?after=${after}&limit=1000`);
      for (const entry of body.entries) there.add(entry.id);
      ({ next: after, more } = body);
    }
    const lost = acknowledged.filter((one) => !there.has(one));
    if (lost.length > 0) throw new Stop(`${lost.length} acknowledged entries are lost`);
    const done = spawnSync(process.execPath, [join(root, 'server/dist/main.mjs'), 'verify'], {
      env: { ...process.env, ESTRIBO_DATABASE_URL: url, ESTRIBO_SEAL_FOLDER: sealFolder },
      encoding: 'utf8',
    });
    if (done.status !== 0) throw new Stop(done.stdout + done.stderr);
    return `${acknowledged.length} entries; ${done.stdout.trim().split('\n').at(-1)}`;
  });
}

await run(async () => {
  checkNode();
  await debianPackages([mariadb]);
  await npmPackages();
  await built();
  const folder = mkdtempSync(join(tmpdir(), 'estribo-full-'));
  const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${size}m`, 'tmpfs', folder], {
    encoding: 'utf8',
  });
  if (mounted.status !== 0) throw new Stop(`A small disk could not be mounted (root may): ${mounted.stderr}`);
  let database;
  let server;
  try {
    const data = join(folder, 'data');
    database = await startDatabase(data, { port: 15606, durable: true });
    const sealFolder = join(folder, 'seal');
    server = await startServer({
      root,
      port: await freePort(15706),
      env: {
        ESTRIBO_DATABASE_URL: database.url,
        ESTRIBO_SEAL_FOLDER: sealFolder,
        ESTRIBO_DEMO: '1',
        NODE_ENV: 'production',
        ESTRIBO_LOG: 'fatal',
      },
      quiet: true,
    });
    await tryIt(folder, server.address, sealFolder, database.url);
  } finally {
    rmSync(join(folder, 'filler'), { force: true });
    await server?.stop();
    await database?.stop();
    spawnSync('umount', [folder]);
    rmSync(folder, { recursive: true, force: true });
  }
});
