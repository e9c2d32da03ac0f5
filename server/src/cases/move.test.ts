import { pinOf, programmes } from '@estribo/core/programmes';
import { v7 } from 'uuid';
import { register } from '../catalogue/registry';
import { caseEntity } from '../database/entities';
import { demoModels } from '../demo/models';
import { verifyClinic } from '../sealing/verify';
import { testClinic, type SentEntry, type TestClinic } from '../test-clinic';

let clinic: TestClinic;
beforeAll(async () => {
  clinic = await testClinic();
});
afterAll(() => clinic.close());

const model = demoModels[0]!;
const programme = programmes.find(({ id }) => id === model.programme)!;
const newer = { ...model, version: model.version + 1, chart: { ...model.chart, version: 9 } };

const send = async (entry: SentEntry, role: 'orthotist' | 'technician' = 'orthotist') =>
  (await clinic.as(role)).post(`/api/cases/${entry.case}/entries`).send(entry);
const moved = (id: string, to: object, role: 'orthotist' | 'technician' = 'orthotist') => ({
  ...clinic.entry(
    'case.moved',
    'case',
    { programme: pinOf(programme), model: pinOf(newer), reason: 'the chart was corrected', ...to },
    {},
    role,
  ),
  case: id,
});

async function openCase(): Promise<string> {
  const id = v7();
  await send(clinic.opened(id));
  return id;
}

test('a case is moved to a newer version by an entry, and its record still proves itself', async () => {
  await register(clinic.context.db, 'model', newer);
  const id = await openCase();
  const { status, body } = await send(moved(id, {}));
  expect(body.faults).toBeUndefined();
  expect(status).toBe(201);
  const row = await clinic.context.db.getRepository(caseEntity).findOneByOrFail({ id });
  expect(row.modelHash).toBe(pinOf(newer).hash);
  const ana = await clinic.as('orthotist');
  expect((await ana.get(`/api/cases/${id}`)).body.proof).toEqual({ holds: true, faults: [] });
  expect((await verifyClinic(clinic.context.db, clinic.context.sealing)).faults).toEqual([]);
  // and back again, with its own reason
  expect((await send(moved(id, { model: pinOf(model), reason: 'it was the old brace' }))).status).toBe(201);
});

test.each([
  ['what it holds on to already', () => ({ model: pinOf(model) }), 'body'],
  ['what nobody registered', () => ({ model: { ...pinOf(newer), hash: 'a'.repeat(64) } }), 'body.model'],
  ['another model', () => ({ model: pinOf(demoModels[1]!) }), 'body.model'],
  [
    'another family',
    () => ({ programme: pinOf(programmes.find(({ id }) => id !== programme.id)!) }),
    'body.programme',
  ],
  ['a pin that says another version', () => ({ model: { ...pinOf(newer), version: 99 } }), 'body.model'],
  ['no reason', () => ({ reason: undefined }), 'body.reason'],
])('it is not moved to %s', async (_, to, at) => {
  const id = await openCase();
  const { status, body } = await send(moved(id, to()) as SentEntry);
  expect(status).toBe(422);
  expect(body.faults).toContainEqual(expect.objectContaining({ at }));
});

test('a technician moves no case, and a move is not taken out of the record', async () => {
  const id = await openCase();
  expect((await send(moved(id, {}, 'technician'), 'technician')).status).toBe(403);
  const move = moved(id, {});
  await send(move);
  const withdrawn = {
    ...clinic.entry('record.withdrawn', 'case', {}, { replaces: move.id, reason: 'a slip' }),
    case: id,
  };
  expect((await send(withdrawn)).body.detail).toMatch(/stays as it is/);
});
