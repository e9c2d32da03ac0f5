import type { Role } from '@estribo/core/access';
import { QueryClientProvider } from '@tanstack/react-query';
import { render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import type { CaseSummary, ListedVisit } from '@estribo/core/answers';
import { queries } from '../api/queries';
import { Bench } from './bench';

const summary = (personName: string, change: Partial<CaseSummary> = {}): CaseSummary => ({
  case: personName.toLowerCase().replaceAll(' ', '-'),
  person: 'p',
  personName,
  modelName: 'Test frame',
  modelId: 'test-frame',
  programme: 'knee-ligament-frame',
  region: 'leg',
  side: 'left',
  stage: 'review',
  blocked: false,
  blockedBy: null,
  size: 'M',
  firstVisit: null,
  born: '1984-01-22',
  number: 3,
  keeper: 'u',
  closed: null,
  lastDay: '2026-11-20',
  labels: [],
  ribbon: { worn: [], buckles: [] },
  finding: null,
  ...change,
});

const review = (day: string) => ({ day, kind: 'R' as const, stage: 'review' as const, visit: true });

async function showBench(cases: CaseSummary[], role: Role = 'orthotist', visits: ListedVisit[] = []) {
  queries.clear();
  globalThis.fetch = (async (path: string) =>
    new Response(
      JSON.stringify(
        path.startsWith('/api/session')
          ? { user: { id: 'u', name: 'Ana Bouza', role }, clinic: { name: 'Test', zone: 'Europe/Madrid' } }
          : path.startsWith('/api/visits')
            ? { visits, more: false, today: '2026-11-24' }
            : path.startsWith('/api/staff')
              ? { staff: [] }
              : { cases, more: false, today: '2026-11-24', from: '2026-11-17' },
      ),
    )) as typeof fetch;
  queries.setQueryData(['session'], {
    user: { id: 'u', name: 'Ana Bouza', role },
    clinic: { name: 'Test', zone: 'Europe/Madrid' },
  });
  render(
    <QueryClientProvider client={queries}>
      <MemoryRouter>
        <Bench />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  await screen.findByRole('heading', { level: 1, name: /Tuesday/ });
}

test('overdue things come first, then by day; the title counts them', async () => {
  await showBench([
    summary('Nothing Planned'),
    summary('Next Week', { ribbon: { worn: [], buckles: [review('2026-12-01')] } }),
    summary('Is Late', { ribbon: { worn: [], buckles: [review('2026-11-23')] } }),
    summary('Is Today', { ribbon: { worn: [], buckles: [review('2026-11-24')] } }),
  ]);
  expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Tuesday: one to do, one late');
  const names = screen
    .getAllByRole('link')
    .map((link) => link.textContent)
    .filter((text) => /[a-z] [A-Z]/.test(text ?? ''));
  expect(names).toEqual(['Is Late', 'Is Today', 'Next Week', 'Nothing Planned']);
  expect(screen.getByText('Review one day late')).toBeTruthy();
  expect(screen.getByText('Review in 7 days')).toBeTruthy();
});

test('one click leads into the stage concerned', async () => {
  await showBench([
    summary('Sabela Outeiro', {
      ribbon: { worn: [], buckles: [{ day: '2026-11-24', kind: 'F', stage: 'strap', visit: true }] },
    }),
  ]);
  expect(screen.getByRole('link', { name: 'Sabela Outeiro: Fitting today' }).getAttribute('href')).toBe(
    '/cases/sabela-outeiro/strap',
  );
});

test('a step of wearing that has passed is not late; one today is due', async () => {
  const wear = (day: string, minutes: number) => ({
    day,
    kind: 'W' as const,
    stage: 'wear' as const,
    visit: false,
    minutes,
  });
  await showBench([
    summary('Bento Lousado', {
      ribbon: { worn: [{ from: '2026-11-22' }], buckles: [wear('2026-11-23', 60), wear('2026-11-24', 90)] },
    }),
  ]);
  expect(screen.getByText('Wear to 1 h 30, skin first today')).toBeTruthy();
  expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Tuesday: one to do, none late');
});

test('a blocked case says what blocks it', async () => {
  await showBench([summary('Roi Teixeira', { stage: 'screen', blocked: true, blockedBy: 'calf-swollen' })]);
  expect(screen.getByText(/Blocked: Calf or leg swollen/)).toBeTruthy();
});

test('reception sees names and days, is led to the person, and opens no case', async () => {
  await showBench(
    [summary('Is Today', { ribbon: { worn: [], buckles: [review('2026-11-24')] } })],
    'reception',
  );
  expect(screen.getByText('Is Today')).toBeTruthy();
  expect(screen.getAllByRole('link').map((link) => link.getAttribute('href'))).toEqual(['/people/p']);
  expect(screen.queryByRole('button', { name: 'New case' })).toBeNull();
});

test('an empty bench says how to begin', async () => {
  await showBench([]);
  expect(screen.getByText(/Nothing on the bench/)).toBeTruthy();
});
