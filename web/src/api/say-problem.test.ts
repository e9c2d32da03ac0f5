import { problems } from '@estribo/core/answers';
import { fault, faultSays } from '@estribo/core/faults';
import { es } from '../messages/es';
import { findingShort, speak } from '../messages';
import { RefusedError } from './http';
import { formProblems, sayProblem } from './say-problem';

const refused = (more: object) => ({ title: '', status: 422, detail: 'The server’s own sentence.', ...more });
afterEach(() => speak('en'));

test('a problem is said by its code with what it names, else as the server wrote it', async () => {
  const wrong = refused({ code: 'role-may-not', params: { role: 'reception', what: 'users.read' } });
  expect(sayProblem(wrong)).toBe('The role reception may not do this (users.read).');
  expect(sayProblem(refused({ code: 'of-a-later-server' }))).toBe('The server’s own sentence.');
  expect(sayProblem(refused({}))).toBe('The server’s own sentence.');
  await speak('es');
  expect(sayProblem(wrong)).toBe('Su función (recepción) no permite hacer esto (users.read).');
  expect(sayProblem(refused({ code: 'wrong-password' }))).toBe(
    'El usuario o la contraseña no son correctos.',
  );
});

test('every problem of the server has words in Spanish that fill in the same names and are no English', () => {
  const names = (text: string) => (text.match(/\{\{\w+\}\}/g) ?? []).sort();
  for (const [code, [, , detail]] of Object.entries(problems)) {
    const said = es.refused[code as keyof typeof problems];
    // what only passes on a sentence has none of its own
    if (!/^\{\{\w+\}\}$/.test(detail)) expect([code, said]).not.toEqual([code, detail]);
    for (const name of names(said))
      expect([code, names(detail)]).toEqual([code, expect.arrayContaining([name])]);
  }
});

test('every fault has words in Spanish that fill in the same names and are no English', () => {
  const names = (text: string) => (text.match(/\{\{\w+\}\}/g) ?? []).sort();
  for (const [code, says] of Object.entries(faultSays)) {
    const said = es.faults[code as keyof typeof faultSays];
    if (!/^\{\{\w+\}\}$/.test(says)) expect([code, said]).not.toEqual([code, says]);
    expect([code, names(said)]).toEqual([code, names(says)]);
  }
});

test('what is wrong with a field is said in the language of the screen, with the field’s name', async () => {
  const faults = [fault('body.note', 'shorter', { n: 400 }), fault('body.note', 'needed')];
  expect(sayProblem(refused({ faults }))).toBe(
    'The note must have 400 characters or fewer. The note is needed.',
  );
  await speak('es');
  expect(sayProblem(refused({ faults }))).toBe(
    'La nota: debe tener 400 caracteres o menos. La nota: hace falta.',
  );
  expect(formProblems(new RefusedError(refused({ faults: [fault('login', 'needed')] })), '')).toEqual({
    login: 'Hace falta.',
  });
  expect(formProblems(new Error(), 'away')).toEqual({ '': 'away' });
});

test('what a fault names is said in words, an order’s fault by its own sentence, and one of an older server as it came', async () => {
  const blocked = fault('kind', 'fitting-blocked', { finding: 'calf-swollen' });
  const reversed = fault('body.phases[0]', 'order-wrong', { problem: 'window-reversed' });
  const older = { at: 'body', message: 'is wrong in a way of long ago' };
  await speak('es');
  expect(sayProblem(refused({ faults: [blocked] }))).toBe(
    `no se admite mientras algo impide la prueba: ${findingShort('calf-swollen')}`,
  );
  expect(sayProblem(refused({ faults: [reversed] }))).toBe(es.orderProblem['window-reversed']);
  expect(sayProblem(refused({ faults: [older] }))).toBe(older.message);
});
