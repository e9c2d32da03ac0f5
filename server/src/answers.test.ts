import {
  auditPage,
  benchPage,
  casesPage,
  catalogue,
  entriesPage,
  fits,
  modelsPage,
  peoplePage,
  person,
  provenCase,
  session,
  staff,
  users,
  versions,
} from '@estribo/core/answers';
import type { Schema } from 'yup';
import { testClinic, type TestClinic } from './test-clinic';

let clinic: TestClinic;
let id: string;
beforeAll(async () => {
  clinic = await testClinic();
  const ana = await clinic.as('orthotist');
  const opened = clinic.opened();
  id = opened.case;
  await ana.post(`/api/cases/${id}/entries`).send(opened).expect(201);
  await ana
    .post(`/api/cases/${id}/entries`)
    .send(clinic.entry('visit.planned', 'case', { day: '2026-12-01', purpose: 'review' }))
    .expect(201);
});
afterAll(() => clinic.close());

// what the server says is what core states, as the screens take it: strictly
test.each<[string, Schema, 'orthotist' | 'administrator' | 'reception']>([
  ['/session', session, 'orthotist'],
  ['/staff', staff, 'orthotist'],
  ['/bench?skip=0', benchPage, 'orthotist'],
  ['/bench?skip=0', benchPage, 'reception'],
  ['/cases?find=&skip=0', casesPage, 'orthotist'],
  ['/people?find=', peoplePage, 'orthotist'],
  ['/people/PERSON', person, 'orthotist'],
  ['/cases/CASE', provenCase, 'orthotist'],
  ['/cases/CASE/entries?after=0', entriesPage, 'orthotist'],
  ['/cases/CASE/fit?sisters=1', fits, 'orthotist'],
  ['/catalogue', catalogue, 'orthotist'],
  ['/catalogue/models?find=&skip=0', modelsPage, 'orthotist'],
  ['/catalogue/models/MODEL/versions', versions, 'orthotist'],
  ['/users', users, 'administrator'],
  ['/audit?action=', auditPage, 'administrator'],
])('%s answers as it is stated', async (path, answer, role) => {
  const at = path.replace('CASE', id).replace('PERSON', clinic.person).replace('MODEL', clinic.model.id);
  const { body } = await (await clinic.as(role)).get(`/api${at}`).expect(200);
  expect(() => answer.validateSync(body, { strict: true, abortEarly: false })).not.toThrow();
  // and it is no statement that anything meets
  expect(answer.isValidSync({}, { strict: true })).toBe(false);
});

test('reception learns of a visit when, and nothing of what is set or found', async () => {
  const { body } = await (await clinic.as('reception')).get('/api/bench?skip=0').expect(200);
  const told = JSON.stringify(body);
  for (const word of ['window', 'motion', 'setting', 'minutes']) expect(told).not.toContain(`"${word}"`);
});
