import { QueryClientProvider } from '@tanstack/react-query';
import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { I18nProvider } from 'react-aria-components';
import { MemoryRouter } from 'react-router';
import { outbox } from '../api/clinic';
import { queries } from '../api/queries';
import { PersonForm } from './person-form';
import { numbersOf, toldApart } from './person-words';

let sent: { path: string; body: Record<string, unknown> }[] = [];
let answer: () => Promise<Response>;
beforeEach(() => {
  localStorage.clear();
  queries.clear();
  sent = [];
  jest.spyOn(outbox, 'post').mockImplementation(async (item) => {
    sent.push({ path: item.path, body: item.body as Record<string, unknown> });
  });
  globalThis.fetch = (() => answer()) as typeof fetch;
});
afterEach(() => jest.restoreAllMocks());

const found = (...doubles: object[]) => {
  answer = async () => new Response(JSON.stringify({ doubles }));
};
const marta = {
  id: 'm',
  givenName: 'Marta',
  familyName: 'Quintela',
  born: '1984-01-22',
  numbers: [3],
  likeness: 'same',
};

async function fill(born = '22011984') {
  queries.setQueryData(['session'], {
    user: { id: 'u', name: 'Marga Rial', role: 'reception' },
    clinic: { name: 'Test', zone: 'Europe/Madrid' },
  });
  const onDone = jest.fn();
  render(
    <QueryClientProvider client={queries}>
      <I18nProvider locale="en-GB">
        <MemoryRouter>
          <PersonForm onDone={onDone} onCancel={() => {}} />
        </MemoryRouter>
      </I18nProvider>
    </QueryClientProvider>,
  );
  const user = userEvent.setup();
  await user.type(screen.getByLabelText('Given name'), ' Marta ');
  await user.type(screen.getByLabelText('Family name'), 'Quintela');
  await user.click(within(screen.getByRole('group', { name: 'Born' })).getAllByRole('spinbutton')[0]!);
  await user.keyboard(born);
  return { user, onDone };
}
const add = () => screen.getByRole('button', { name: 'Add and choose' });

test('a double press adds one person, with the blanks cut off', async () => {
  found();
  const { user, onDone } = await fill();
  await user.dblClick(add());
  await screen.findByLabelText('Given name');
  expect(new Set(sent.map(({ path }) => path)).size).toBe(1);
  expect(sent[0]!.body).toEqual({
    givenName: 'Marta',
    familyName: 'Quintela',
    born: '1984-01-22',
    apart: [],
  });
  expect(onDone).toHaveBeenCalledTimes(1);
});

test('who is like them is shown first: chosen, nobody is added', async () => {
  found(marta);
  const { user, onDone } = await fill();
  await user.click(add());
  expect(await screen.findByText('same name and day of birth', { exact: false })).toBeTruthy();
  expect(screen.getByText(/born 22 Jan 1984 · No\. 3/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Take this one: Marta Quintela' }));
  expect(sent).toEqual([]);
  expect(onDone).toHaveBeenCalledWith(expect.objectContaining({ id: 'm' }));
});

test('somebody else is added, and it is said from whom they are apart', async () => {
  found({ ...marta, likeness: 'likely' });
  const { user } = await fill();
  await user.click(add());
  await user.click(await screen.findByRole('button', { name: 'No, this is another person' }));
  expect(sent[0]!.body).toMatchObject({ apart: ['m'] });
});

test('what was changed after the look is looked at again', async () => {
  found(marta);
  const { user } = await fill();
  await user.click(add());
  await screen.findByRole('button', { name: 'No, this is another person' });
  await user.type(screen.getByLabelText('Family name'), 's');
  expect(screen.queryByRole('button', { name: 'No, this is another person' })).toBeNull();
  expect(add()).toBeTruthy();
});

test.each([
  ['01011700', /more than 120 years/],
  ['01012150', /future/],
])('born %s is told at once', async (born, said) => {
  found();
  const { user } = await fill(born);
  await user.click(add());
  expect(await screen.findByText(said)).toBeTruthy();
  expect(sent).toEqual([]);
});

test('with the server away it is said that nobody could be asked; pressed again they are added', async () => {
  answer = () => Promise.reject(new TypeError('away'));
  const { user } = await fill();
  await user.click(add());
  expect(await screen.findByText(/it cannot be looked whether/)).toBeTruthy();
  expect(sent).toEqual([]);
  await user.click(add());
  expect(sent[0]!.body).toMatchObject({ apart: null });
});

test('what tells two of one name apart', () => {
  expect(numbersOf({ numbers: [] })).toBe('a number follows');
  expect(toldApart({ born: '1984-01-22', numbers: [3, 17] })).toBe('born 22 Jan 1984 · Numbers 3, 17');
});
