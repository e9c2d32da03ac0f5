import { spawn, type ChildProcess } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, test as base, type Locator, type Page } from '@playwright/test';
import { createConnection, type Connection, type RowDataPacket } from 'mysql2/promise';

/** A running Estribo that nobody has set up yet. */
export interface NewClinic {
  address: string;
  /** what its console says to who started it */
  code: () => string;
}

/** A running Estribo with the demo clinic; the server can go away and come back. */
export interface Clinic {
  address: string;
  goAway: () => Promise<void>;
  comeBack: () => Promise<void>;
  /** one value of one row, straight from the database */
  ask: (sql: string, values?: unknown[]) => Promise<Record<string, unknown>[]>;
}

const root = fileURLToPath(new URL('..', import.meta.url));

const freePort = () =>
  new Promise<number>((resolve, reject) => {
    const probe = createServer().once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => resolve(port));
    });
  });

/** A database with the demo clinic in it, and the folder of its seals: what a clinic of a test is copied from. */
interface Furnished {
  admin: Connection;
  server: string;
  name: string;
  sealFolder: string;
}

/** A server on a database, at one address for as long as it comes and goes. */
async function serverOn({ server, name, sealFolder }: Omit<Furnished, 'admin'>, demo = true) {
  const port = await freePort();
  const address = `http://127.0.0.1:${port}`;
  let child: ChildProcess | undefined;
  let said = '';
  const comeBack = async () => {
    child = spawn(process.execPath, [`${root}server/dist/main.mjs`], {
      env: {
        ...process.env,
        ESTRIBO_DATABASE_URL: server.replace(/\/[^/]*$/, `/${name}`),
        ESTRIBO_SEAL_FOLDER: sealFolder,
        ...(demo ? { ESTRIBO_DEMO: '1' } : {}),
        ESTRIBO_PORT: String(port),
        ESTRIBO_WEB_ROOT: `${root}web/dist`,
        ESTRIBO_SESSION_SECRET: 'only for tests',
        ESTRIBO_SIGN_IN_TRIES: '1000',
        ESTRIBO_LOG: 'error',
      },
      stdio: ['ignore', demo ? 'inherit' : 'pipe', 'inherit'],
    });
    child.stdout?.on('data', (text: Buffer) => (said += text.toString()));
    for (let i = 0; i < 900; i += 1) {
      const well = await fetch(`${address}/api/health`).then(
        (answer) => answer.ok,
        () => false,
      );
      if (well) return;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    throw new Error('The server did not start.');
  };
  const goAway = async () => {
    const going = child;
    if (!going || going.exitCode !== null) return;
    const gone = new Promise((resolve) => going.once('exit', resolve));
    going.kill('SIGTERM');
    await gone;
  };
  await comeBack();
  return { address, comeBack, goAway, said: () => said };
}

async function emptyDatabase(admin: Connection): Promise<string> {
  const name = `estribo_e2e_${process.pid}_${Date.now()}`;
  await admin.query(`CREATE DATABASE \`${name}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`);
  return name;
}

/** The demo clinic that all clinics of a run are copied from: the first worker fills it, the others wait for it. */
async function furnish(): Promise<Furnished> {
  const server = process.env.ESTRIBO_TEST_DATABASE_URL;
  const folder = process.env.ESTRIBO_TEST_FOLDER;
  if (!server || !folder) throw new Error('The browser tests need a database: run "npm test -- e2e".');
  const admin = await createConnection(server);
  const furnished = { admin, server, name: 'estribo_e2e_demo', sealFolder: join(folder, 'demo-seal') };
  const isFilled = join(folder, 'demo-filled');
  await admin.query("SELECT GET_LOCK('estribo_e2e_demo', 3600)");
  if (!existsSync(isFilled)) {
    // what a worker that was stopped left half filled
    await admin.query(`DROP DATABASE IF EXISTS \`${furnished.name}\``);
    rmSync(furnished.sealFolder, { recursive: true, force: true });
    mkdirSync(furnished.sealFolder);
    await admin.query(
      `CREATE DATABASE \`${furnished.name}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`,
    );
    await (await serverOn(furnished)).goAway();
    writeFileSync(isFilled, '');
  }
  await admin.query("SELECT RELEASE_LOCK('estribo_e2e_demo')");
  return furnished;
}

/** A second database that holds, row for row, what the first one holds. */
async function copyDatabase(admin: Connection, from: string): Promise<string> {
  const to = await emptyDatabase(admin);
  await admin.query(`USE \`${to}\``);
  await admin.query('SET foreign_key_checks = 0');
  const [tables] = await admin.query<RowDataPacket[]>(
    'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = ?',
    [from],
  );
  for (const { name } of tables) {
    const [[made]] = await admin.query<RowDataPacket[]>(`SHOW CREATE TABLE \`${from}\`.\`${name}\``);
    await admin.query(made!['Create Table'] as string);
    await admin.query(`INSERT INTO \`${name}\` SELECT * FROM \`${from}\`.\`${name}\``);
  }
  return to;
}

/** Every test has a copy of the demo clinic to itself, and so no order among them. */
export const test = base.extend<{ clinic: Clinic; newClinic: NewClinic }, { furnished: Furnished }>({
  furnished: [
    // Playwright reads the names of what is wanted from this pattern: nothing
    // eslint-disable-next-line no-empty-pattern
    async ({}, use) => {
      const furnished = await furnish();
      await use(furnished);
      await furnished.admin.end();
    },
    { scope: 'worker' },
  ],
  newClinic: async ({ furnished: { admin, server } }, use) => {
    const name = await emptyDatabase(admin);
    const sealFolder = mkdtempSync(join(tmpdir(), 'estribo-seal-'));
    const { address, goAway, said } = await serverOn({ server, name, sealFolder }, false);
    await use({ address, code: () => /administrator: (\S+)/.exec(said())![1]! });
    await goAway();
    await admin.query(`DROP DATABASE \`${name}\``);
    rmSync(sealFolder, { recursive: true, force: true });
  },
  clinic: async ({ furnished: { admin, server, name: from, sealFolder: seals } }, use) => {
    const name = await copyDatabase(admin, from);
    const sealFolder = mkdtempSync(join(tmpdir(), 'estribo-seal-'));
    cpSync(seals, sealFolder, { recursive: true });
    const running = await serverOn({ server, name, sealFolder });
    await use({
      ...running,
      ask: async (sql, values = []) => {
        const [rows] = await admin.query<RowDataPacket[]>(sql.replaceAll('{db}', `\`${name}\``), values);
        return rows;
      },
    });
    await running.goAway();
    await admin.query(`DROP DATABASE \`${name}\``);
    rmSync(sealFolder, { recursive: true, force: true });
  },
});

export { expect } from '@playwright/test';

/** Signs in on the sign-in screen, as a user does. */
export async function signIn(page: Page, clinic: Clinic, login = 'ana'): Promise<void> {
  await page.goto(`${clinic.address}/sign-in`);
  await page.getByLabel('Login').fill(login);
  await page.getByLabel('Password').fill('ribanova-demo');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL(/\/(bench|clinic)$/);
}

/** Signs in beside the screens, where the way in is not what a test is about: the next page that is opened is somebody's. */
export async function beSignedIn(page: Page, clinic: Clinic, login = 'ana'): Promise<void> {
  const answer = await page.request.post(`${clinic.address}/api/session`, {
    data: { login, password: 'ribanova-demo' },
    headers: { origin: clinic.address },
  });
  expect(answer.ok()).toBe(true);
}

/** Touches one of a few on its label, and again when the screen moved under the finger. */
export async function pick(
  within: Page | Locator,
  name: { name: string | RegExp; exact?: boolean },
): Promise<void> {
  const radio = within.getByRole('radio', name);
  const page = 'page' in within ? within.page() : within;
  await expect(async () => {
    await within
      .locator('label')
      .filter({ has: page.getByRole('radio', name) })
      .click({ timeout: 2_000 });
    await expect(radio).toBeChecked({ timeout: 1_000 });
  }).toPass();
}

const casesBy = new WeakMap<Clinic, Map<string, string>>();

/** The address of a demo case, by its person's name: as the list of the cases has it, asked once. */
export async function caseNamed(page: Page, clinic: Clinic, name: string): Promise<string> {
  const known = casesBy.get(clinic) ?? new Map<string, string>();
  casesBy.set(clinic, known);
  if (!known.has(name)) {
    const answer = await page.request.get(`${clinic.address}/api/cases`);
    const { cases } = (await answer.json()) as { cases: { case: string; personName: string }[] };
    const found = cases.find(({ personName }) => personName.startsWith(name));
    if (!found) throw new Error(`no case of ${name}`);
    known.set(name, `/cases/${found.case}/`);
  }
  return known.get(name)!;
}

/** The stage of a demo case, by its person's name. */
export async function openStage(page: Page, clinic: Clinic, name: string, stage: string): Promise<void> {
  await page.goto(`${clinic.address}${await caseNamed(page, clinic, name)}${stage}`);
  await page.getByRole('main').waitFor();
}

/** Types a day, day first, in its field. */
export async function typeDay(page: Page, label: string | RegExp, date: string): Promise<void> {
  const [year, month, day] = date.split('-');
  const field = page.getByRole('group', { name: label });
  await field.getByRole('spinbutton').first().click();
  await page.keyboard.type(`${day}${month}${year}`);
}

/** A day counted from the clinic's today, which near midnight is not the server's: 2026-11-25. */
export function dayFromToday(days: number): string {
  const today = new Intl.DateTimeFormat('sv-SE', { timeZone: 'Europe/Madrid' }).format(new Date());
  return new Date(Date.parse(`${today}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);
}
