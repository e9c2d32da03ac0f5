import { foldCase, kinds, type AnyRecordedEntry } from '@estribo/core/logbook';
import { stages } from '@estribo/core/record';
import { render, screen, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import frozen from '../../../core/src/logbook/frozen/version-1.json';
import frozenBelt from '../../../core/src/logbook/frozen/version-2.json';
import frozenNew from '../../../core/src/logbook/frozen/version-3.json';
import frozenOrders from '../../../core/src/logbook/frozen/version-5.json';
import frozenWork from '../../../core/src/logbook/frozen/version-6.json';
import frozenLedgers from '../../../core/src/logbook/frozen/version-8.json';
import frozenShapes from '../../../core/src/logbook/frozen/version-9.json';
import frozenWorn from '../../../core/src/logbook/frozen/version-10.json';
import frozenKept from '../../../core/src/logbook/frozen/version-11.json';
import frozenSigns from '../../../core/src/logbook/frozen/version-14.json';
import frozenLists from '../../../core/src/logbook/frozen/version-4.json';
import {
  beltContext,
  dialContext,
  shapedContext,
  stopsMade,
  testContext,
  unloaderContext,
} from '../../../core/src/logbook/test-case';
import { useWork } from '../case/case-context';
import { describeEntry } from './describe-entry';
import { Rail } from './rail';
import { RecordStrip } from './record-strip';
import { measuredLogbook, orderedLogbook, showStage, testToday } from '../case/test-stage';

// the session is given; only the names of the staff are asked for
globalThis.fetch = ((url: string) =>
  url.endsWith('/staff')
    ? Promise.resolve(new Response(JSON.stringify({ staff: [] })))
    : new Promise(() => {})) as typeof fetch;

const entries = frozen.entries as unknown as AnyRecordedEntry[];
const state = foldCase(entries, testContext)!;
const beltEntries = frozenBelt.entries as unknown as AnyRecordedEntry[];
const beltState = foldCase(beltEntries, beltContext)!;
const newEntries = frozenNew.entries as unknown as AnyRecordedEntry[];
const newState = foldCase(newEntries, beltContext)!;
const listEntries = frozenLists.entries as unknown as AnyRecordedEntry[];
const listState = foldCase(listEntries, beltContext)!;
const workState = foldCase(frozenWork.entries as unknown as AnyRecordedEntry[], dialContext)!;
const ledgerState = foldCase(frozenLedgers.entries as unknown as AnyRecordedEntry[], unloaderContext)!;
const wornState = foldCase(frozenWorn.entries as unknown as AnyRecordedEntry[], beltContext)!;
const signState = foldCase(frozenSigns.entries as unknown as AnyRecordedEntry[], testContext)!;
const keptState = foldCase(frozenKept.entries as unknown as AnyRecordedEntry[], testContext)!;
const shapeState = foldCase(frozenShapes.entries as unknown as AnyRecordedEntry[], shapedContext)!;
const orderState = foldCase(frozenOrders.entries as unknown as AnyRecordedEntry[], dialContext)!;

test('every kind of entry has its words: nothing is left unsaid or untranslated', () => {
  const described = [
    state,
    beltState,
    newState,
    listState,
    orderState,
    workState,
    ledgerState,
    shapeState,
    wornState,
    keptState,
    signState,
  ].flatMap((of) =>
    of.lines.map(({ entry, status }) => ({
      kind: entry.kind,
      ...describeEntry({ entry, status }, of, 'mm', () => 'Teo Varela'),
    })),
  );
  expect(new Set(described.map(({ kind }) => kind))).toEqual(new Set(Object.keys(kinds)));
  for (const { title, value, rest } of described) {
    expect(title.length).toBeGreaterThan(2);
    for (const text of [title, value, rest])
      expect(text ?? '').not.toMatch(/undefined|NaN|\{\{|^\w+\.[\w-]+$/);
  }
});

test.each([
  ['measure.read', 'mm', 'Knee by goniometer 31° right'],
  ['size.chosen', 'mm', 'Size M'],
  ['set.made', 'mm', 'Stops 10 / 90'],
  ['set.chosen', 'mm', 'Stops chosen 10 / 90 phase 2'],
  ['motion.tested', 'mm', 'Motion 0-8-84 passive, right'],
  ['visit.planned', 'mm', 'Visit planned 30 Nov review'],
] as const)('%s reads: %s %s', (kind, unit, said) => {
  const { entry } = state.lines.find(({ entry: one }) => one.kind === kind)!;
  const { title, value, rest } = describeEntry({ entry, status: 'live' }, state, unit);
  expect([title, value, rest].filter(Boolean).join(' ')).toContain(said);
});

test.each([
  ['shape.scar', 'in', 'front, −3/4 in – −6 1/4 in'],
  ['work.done', 'cm', 'Medial upright, −11.0 cm, 4°, away from the limb'],
] as const)('%s in %s: %s', (kind, unit, said) => {
  const body =
    kind === 'shape.scar'
      ? { what: 'scar', face: 'front', from: -20, to: -160 }
      : {
          operation: 'bend-uprights',
          part: 'upright-medial',
          at: -110,
          direction: 'away-from-limb',
          amount: 4,
        };
  const entry = { ...entries[0]!, kind, body } as unknown as (typeof entries)[number];
  const { value, rest } = describeEntry({ entry, status: 'live' }, state, unit);
  expect(kind === 'work.done' ? value : rest).toBe(said);
});

test('a length is said in the user’s unit', () => {
  const girth = entries.find((entry) => entry.kind === 'measure.read' && entry.body.value === 444)!;
  expect(describeEntry({ entry: girth, status: 'live' }, state, 'cm').value).toBe('44.4 cm');
  expect(describeEntry({ entry: girth, status: 'live' }, state, 'in').value).toBe('17 1/2 in');
});

function Strip() {
  const { state: shown } = useWork();
  return <RecordStrip state={shown} today={testToday} />;
}

test('the newest entry stands first; a correction needs value and reason, and the old one is struck', async () => {
  const { user, written } = await showStage(Strip, measuredLogbook());
  const lines = within(screen.getByRole('region', { name: 'Record' })).getAllByRole('listitem');
  expect(lines[0]!.textContent).toMatch(/Girth below 349 mm left/);
  await user.click(within(lines[0]!).getByRole('button', { name: 'Correct: Girth below' }));
  await user.type(screen.getByLabelText('What it should say (mm)'), '35,4 cm');
  await user.click(screen.getByRole('button', { name: 'Save correction' }));
  expect(screen.getByText('Give the reason in a few words.')).toBeTruthy();
  await user.type(screen.getByLabelText('Reason'), 'tape was slanted');
  await user.click(screen.getByRole('button', { name: 'Save correction' }));
  expect(written[0]).toMatchObject({
    kind: 'measure.read',
    body: { value: 354 },
    reason: 'tape was slanted',
  });
  expect(document.querySelector('s')?.textContent).toMatch(/349 mm/);
  expect(screen.queryByRole('dialog')).toBeNull();
});

test('a correction is asked about as a reading is when it is taken, and refused beyond any body', async () => {
  const { user, written } = await showStage(Strip, measuredLogbook());
  const lines = within(screen.getByRole('region', { name: 'Record' })).getAllByRole('listitem');
  await user.click(within(lines[0]!).getByRole('button', { name: 'Correct: Girth below' }));
  const value = screen.getByLabelText('What it should say (mm)');
  await user.type(screen.getByLabelText('Reason'), 'a slip');
  await user.type(value, '4000');
  await user.click(screen.getByRole('button', { name: 'Save correction' }));
  expect(screen.getByText('Girth below: from 1 mm to 3000 mm.')).toBeTruthy();
  await user.clear(value);
  await user.type(value, '35');
  await user.click(screen.getByRole('button', { name: 'Save correction' }));
  expect(screen.getByText(/35 mm is far from the other side, 348 mm\. A digit missing\?/)).toBeTruthy();
  expect(written).toEqual([]);
  await user.click(screen.getByRole('button', { name: 'Take 350 mm' }));
  expect(written[0]).toMatchObject({ kind: 'measure.read', body: { value: 350 }, reason: 'a slip' });
});

test('what is taken out stays, struck through, with the reason', async () => {
  const { user, written } = await showStage(Strip, measuredLogbook());
  await user.click(screen.getAllByRole('button', { name: 'Correct: Mid-kneecap marked' })[0]!);
  await user.type(screen.getByLabelText('Reason'), 'other leg');
  await user.click(screen.getByRole('button', { name: 'Take it out' }));
  expect(written[0]).toMatchObject({ kind: 'record.withdrawn', reason: 'other leg' });
  expect(document.querySelector('s')?.textContent).toMatch(/Mid-kneecap marked/);
});

test('the opening is not corrected, and a technician does not correct an order', async () => {
  await showStage(Strip, orderedLogbook(), { role: 'technician' });
  expect(screen.queryByRole('button', { name: 'Correct: Case opened' })).toBeNull();
  expect(screen.queryByRole('button', { name: 'Correct: Order' })).toBeNull();
});

test('the rail names each stage with its state, and where one is', () => {
  const log = orderedLogbook();
  log.looked('limb-cold');
  const blocked = foldCase(log.entries, testContext)!;
  render(
    <MemoryRouter>
      <Rail caseId="c" current="screen" states={blocked.stages} />
    </MemoryRouter>,
  );
  const links = screen.getAllByRole('link');
  expect(links).toHaveLength(stages.length);
  expect(links[0]!.getAttribute('aria-current')).toBe('page');
  expect(links[1]!.getAttribute('aria-label')).toBe('Measure, blocked: Limb cold, blue or white');
});

test('a line says what became of it: unreadable, not in force beside what is computed, late, outside the model', async () => {
  const log = orderedLogbook();
  log.write(
    'shape.scar',
    { what: 'scar', face: 'front', from: 0, to: 20 },
    { observedAt: '2026-02-30T10:00:00.000Z' },
  );
  const base = {
    phase: 0,
    ordered: { extension: 10, flexion: 60 },
    lost: { extension: 0, flexion: 0 },
    acknowledged: true,
    madeFrom: [],
    programme: 'x'.repeat(64),
    engine: 1,
  };
  log.write(
    'set.chosen',
    { ...base, ...stopsMade({ extension: 10, flexion: 60 }) },
    { otherwise: { ...base, ...stopsMade({ extension: 20, flexion: 90 }) } },
  );
  log.stops({ extension: 7, flexion: 60 });
  log.write(
    'visit.planned',
    { day: '2026-12-01', purpose: 'review' },
    { observedAt: '2026-11-23T07:00:00.000Z' },
  );
  await showStage(Strip, log);
  const lineOf = (text: RegExp) => screen.getByText(text).closest('li')!;
  expect(lineOf(/cannot be read/).textContent).toContain('shape.scar');
  expect(within(lineOf(/cannot be read/)).getAllByRole('button')).toHaveLength(1);
  expect(lineOf(/Stops chosen/).textContent).toMatch(
    /10 \/ 60.*not in force: from the entries here it is 20 \/ 90/,
  );
  expect(lineOf(/^Stops$/).textContent).toMatch(/outside what the model has/);
  expect(lineOf(/Visit planned/).textContent).toMatch(/came in 24 Nov/);
});
