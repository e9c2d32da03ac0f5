import type { Role } from '@estribo/core/access';
import { QueryClientProvider } from '@tanstack/react-query';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { I18nProvider } from 'react-aria-components';
import { MemoryRouter } from 'react-router';
import { outbox } from '../api/clinic';
import { queries } from '../api/queries';
import { VisitDialog } from './visit-dialog';

const [person, caseId, entry] = [
  '0192c3d4-0000-7000-8000-00000000000a',
  '0192c3d4-0000-7000-8000-00000000c0de',
  '0192c3d4-0000-7000-8000-000000000001',
];
const far = new Date(Date.now() + 20 * 86_400_000).toISOString().slice(0, 10);
const farther = new Date(Date.now() + 30 * 86_400_000).toISOString().slice(0, 10);

let sent: { path: string; body: Record<string, unknown> }[] = [];
let cases: object[] = [];
let booked: object[] = [];
beforeEach(() => {
  localStorage.clear();
  queries.clear();
  [sent, cases, booked] = [[], [], []];
  jest.spyOn(outbox, 'post').mockImplementation(async (item) => {
    sent.push({ path: item.path, body: item.body as Record<string, unknown> });
  });
  globalThis.fetch = (async (path: string) =>
    new Response(
      JSON.stringify(
        path.endsWith('/visits')
          ? { today: far, more: false, visits: booked.map((one) => ({ ...listed, ...one })) }
          : { cases },
      ),
    )) as typeof fetch;
});
afterEach(() => jest.restoreAllMocks());

/** A visit as lists have it. */
const listed = {
  person,
  personName: 'Noa Pazos',
  born: '1995-03-19',
  number: 9,
  case: null,
  side: null,
  region: null,
  modelName: null,
  keeper: null,
  stage: null,
  day: far,
  purpose: 'review',
  note: null,
  deskNote: null,
  by: 'u',
};

async function show(props: Partial<React.ComponentProps<typeof VisitDialog>> = {}, role: Role = 'reception') {
  queries.setQueryData(['session'], {
    user: { id: 'u', name: 'Marga Rial', role },
    clinic: { name: 'Test', zone: 'Europe/Madrid' },
  });
  const onClose = jest.fn();
  render(
    <QueryClientProvider client={queries}>
      <I18nProvider locale="en-GB">
        <MemoryRouter>
          <VisitDialog who="Noa Pazos" person={person} onClose={onClose} {...props} />
        </MemoryRouter>
      </I18nProvider>
    </QueryClientProvider>,
  );
  // its form is fetched when it is asked for
  await screen.findByRole('dialog');
  return { user: userEvent.setup(), onClose };
}

const ofCase = {
  id: entry,
  person,
  case: caseId,
  day: far,
  time: '10:30',
  purpose: 'review' as const,
  note: null,
};

test('somebody without a case is planned on their own, and only with a day', async () => {
  const { user, onClose } = await show();
  await user.click(screen.getByRole('button', { name: 'Save the visit' }));
  expect(screen.getByText('Give the day.')).toBeTruthy();
  expect(sent).toEqual([]);
  const parts = screen.getByRole('group', { name: 'Day' });
  await user.click(parts.querySelector('[role=spinbutton]')!);
  await user.keyboard(far.split('-').reverse().join(''));
  await user.click(screen.getByRole('button', { name: 'Save the visit' }));
  expect(sent[0]!.path).toMatch(/^\/visits\//);
  expect(sent[0]!.body).toEqual({
    person,
    day: far,
    time: null,
    purpose: 'first',
    note: null,
    deskNote: null,
    state: 'planned',
  });
  expect(onClose).toHaveBeenCalled();
});

test('a visit of a case that is dragged to another day is replaced in its record, its note untouched', async () => {
  const { user } = await show({ visit: ofCase, to: farther });
  await user.click(screen.getByRole('button', { name: 'Move the visit' }));
  expect(sent[0]!.path).toBe(`/cases/${caseId}/entries`);
  expect(sent[0]!.body).toMatchObject({
    kind: 'visit.planned',
    v: 3,
    replaces: entry,
    reason: 'moved',
    body: { day: farther, time: '10:30', purpose: 'review' },
  });
});

test('a note is written anew only when it was changed', async () => {
  const { user } = await show({ visit: { ...ofCase, deskNote: 'by telephone' } });
  await user.type(screen.getByLabelText('Front-desk note (optional)'), ', twice');
  await user.click(screen.getByRole('button', { name: 'Save the visit' }));
  expect(sent[0]!.body.body).toEqual({
    day: far,
    time: '10:30',
    purpose: 'review',
    deskNote: 'by telephone, twice',
  });
});

test('the clinical note is written by those who see it, and by nobody else', async () => {
  await show({ visit: ofCase });
  expect(screen.queryByLabelText('Clinical note (optional)')).toBeNull();
});

test('an orthotist writes both notes, each for its readers', async () => {
  const { user } = await show({ visit: ofCase }, 'orthotist');
  await user.type(screen.getByLabelText('Front-desk note (optional)'), 'bring the shoes');
  await user.type(screen.getByLabelText('Clinical note (optional)'), 'calf again');
  await user.click(screen.getByRole('button', { name: 'Save the visit' }));
  expect(sent[0]!.body.body).toMatchObject({ note: 'calf again', deskNote: 'bring the shoes' });
});

test('a person who is booked within the hour already is asked about, and booked when it is pressed again', async () => {
  booked = [
    { id: '0192c3d4-0000-7000-8000-000000000077', time: '11:15', state: 'planned' },
    { id: '0192c3d4-0000-7000-8000-000000000078', time: '12:00', state: 'planned' },
    { id: '0192c3d4-0000-7000-8000-000000000079', time: '10:15', state: 'cancelled' },
    { id: entry, time: '10:30', state: 'planned' },
  ];
  const { user } = await show({ visit: ofCase });
  expect((await screen.findByText(/Already booked within an hour: 11:15/)).textContent).not.toContain(
    '12:00',
  );
  await user.click(screen.getByRole('button', { name: 'Save the visit' }));
  expect(sent).toEqual([]);
  await user.click(screen.getByRole('button', { name: 'Book this visit as well' }));
  expect(sent).toHaveLength(1);
});

test('a visit is called off with the reason that was typed, or that it was', async () => {
  const { user } = await show({ visit: ofCase });
  await user.click(screen.getByRole('button', { name: 'Call it off' }));
  await user.type(screen.getByLabelText('Why it is called off'), 'has a cold');
  await user.click(screen.getByRole('button', { name: 'Call it off' }));
  expect(sent[0]!.body).toMatchObject({ kind: 'record.withdrawn', replaces: entry, reason: 'has a cold' });
});

test('with several braces it is asked for which; one is taken as it is', async () => {
  cases = [
    { side: 'right', modelName: 'Caneiro 4P', case: caseId },
    { side: 'left', modelName: 'Xunco Malla', case: '0192c3d4-0000-7000-8000-00000000c0df' },
  ].map((one) => ({
    ...one,
    region: 'leg',
    modelId: 'm',
    programme: 'p',
    stage: null,
    size: null,
    closed: false,
    lastDay: null,
  }));
  const { user } = await show();
  await user.click(await screen.findByRole('button', { name: /Which brace/ }));
  expect(screen.getAllByRole('option').map(({ textContent }) => textContent)).toEqual([
    expect.stringContaining('Caneiro 4P'),
    expect.stringContaining('Xunco Malla'),
    'None yet',
  ]);
});
