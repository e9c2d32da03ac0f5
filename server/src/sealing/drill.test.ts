import { execFileSync } from 'node:child_process';
import { cpSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 } from 'uuid';
import { entryEntity } from '../database/entities';
import { testClinic, type TestClinic } from '../test-clinic';
import { sealClinic } from './seal';
import { verifyClinic } from './verify';

// The drill that the README describes, with its own commands: back up, lose, restore, verify.

let clinic: TestClinic;
let folder: string;
beforeAll(async () => {
  clinic = await testClinic();
  folder = mkdtempSync(join(tmpdir(), 'estribo-drill-'));
});
afterAll(async () => {
  await clinic.close();
  rmSync(folder, { recursive: true, force: true });
});

const root = join(__dirname, '../../..');
const script = (name: string, ...args: string[]) =>
  execFileSync(process.execPath, [join(root, 'scripts', `${name}.mjs`), ...args], {
    env: {
      ...process.env,
      ESTRIBO_DATABASE_URL: (clinic.context.db.options as { url: string }).url,
      ESTRIBO_SEAL_FOLDER: join(clinic.context.sealing.seals, '..'),
    },
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'pipe'],
  });
const seal = () => sealClinic(clinic.context.db, clinic.context.sealing, clinic.context.now());
const verify = async () => (await verifyClinic(clinic.context.db, clinic.context.sealing)).faults;

async function openCase(): Promise<string> {
  const id = v7();
  await (await clinic.as('orthotist')).post(`/api/cases/${id}/entries`).send(clinic.opened(id)).expect(201);
  return id;
}

test('back-up, loss, restore: what was backed up is there and holds, what came after is named as lost', async () => {
  const kept = await openCase();
  await seal();
  script('backup', folder);
  const file = readdirSync(folder).find((name) => name.endsWith('.sql.gz'))!;
  const lost = await openCase();
  await seal();

  await clinic.context.db.query('SET FOREIGN_KEY_CHECKS = 0');
  for (const table of ['entry', 'case', 'summary', 'person', 'user', 'registered'])
    await clinic.context.db.query(`DELETE FROM \`${table}\``);
  expect((await verify()).length).toBeGreaterThan(0);

  script('restore', join(folder, file), '--yes');
  const entries = clinic.context.db.getRepository(entryEntity);
  expect(await entries.countBy({ case: kept })).toBe(1);
  expect(await entries.countBy({ case: lost })).toBe(0);
  // the file of seals, kept outside, knows that something came after the back-up
  expect(await verify()).toEqual([{ what: 'seals-missing', seq: 2 }]);
  // the work goes on
  await (await clinic.as('technician')).get(`/api/cases/${kept}`).expect(200);
});

test('a back-up that was changed, or is not whole, replaces nothing', () => {
  const file = join(
    folder,
    readdirSync(folder).find((name) => name.endsWith('.sql.gz'))!,
  );
  expect(() => script('restore', file)).toThrow(/add --yes/);
  const other = join(folder, 'other.sql.gz');
  cpSync(join(root, 'server/src/database/released/0001.sql.gz'), other);
  cpSync(`${file}.sha256`, `${other}.sha256`);
  expect(() => script('restore', other, '--yes')).toThrow(/checksum differs/);
  rmSync(`${other}.sha256`);
  expect(() => script('restore', other, '--yes')).toThrow(/not a whole back-up/);
});
