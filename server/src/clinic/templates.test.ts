import { v7 } from 'uuid';
import { testClinic, type TestClinic } from '../test-clinic';

let clinic: TestClinic;
beforeAll(async () => {
  clinic = await testClinic();
});
afterAll(() => clinic.close());

const sound = { name: 'Four steps', text: 'wk 0-2 0-30; wk 3-4 0-60' };
const put = async (body: object, id = v7(), role: 'orthotist' | 'technician' = 'orthotist') =>
  (await clinic.as(role)).put(`/api/phase-templates/${id}`).send(body);

test('a template is kept as it was written, changed under its own id, and taken away', async () => {
  const id = v7();
  expect((await put(sound, id)).status).toBe(201);
  expect((await put({ ...sound, text: 'wk 0-2 0-40' }, id)).status).toBe(201);
  const ana = await clinic.as('orthotist');
  const { body } = await ana.get('/api/phase-templates');
  expect(body.templates).toEqual([{ id, name: 'Four steps', text: 'wk 0-2 0-40', invented: false }]);
  expect((await ana.delete(`/api/phase-templates/${id}`)).status).toBe(204);
  expect((await ana.delete(`/api/phase-templates/${id}`)).status).toBe(404);
});

test('one that holds no phase, or has another’s name, is refused where it is wrong', async () => {
  expect((await put(sound)).status).toBe(201);
  const refused = async (body: object) => {
    const answer = await put(body);
    return [answer.status, answer.body.faults[0].at];
  };
  expect(await refused({ ...sound, name: 'Other', text: 'as discussed' })).toEqual([422, 'text']);
  expect(await refused(sound)).toEqual([422, 'name']);
  expect(await refused({ ...sound, name: 'x' })).toEqual([422, 'name']);
  expect(await refused({ ...sound, name: 'Long', text: 'wk 0-2 0-30 '.repeat(400) })).toEqual([422, 'text']);
});

test('a technician reads them and keeps none; reception has none of them', async () => {
  expect((await (await clinic.as('technician')).get('/api/phase-templates')).status).toBe(200);
  expect((await put({ ...sound, name: 'Mine' }, v7(), 'technician')).status).toBe(403);
  expect((await (await clinic.as('reception')).get('/api/phase-templates')).status).toBe(403);
});
