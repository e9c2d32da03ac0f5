import { stageCover } from '@estribo/core/logbook';
import type { BraceModel, Programme } from '@estribo/core/programmes';
import { programmes } from '@estribo/core/programmes';
import { QueryClientProvider } from '@tanstack/react-query';
import { act, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter, Route, Routes } from 'react-router';
import { contextOf } from '../../../core/src/logbook/test-case';
import type { ListedModel } from '@estribo/core/answers';
import { queries } from '../api/queries';
import Catalogue from './catalogue';
import FamilyPage from './family-page';
import { ImportCharts } from './import-charts';
import ModelPage from './model-page';

const sizes = ['S', 'M'];
const { model, programme } = contextOf('ankle-stabiliser', {
  sizes,
  axes: [
    {
      reading: 'heel-width',
      resolution: 0,
      bands: [
        { size: 'S', from: 50, to: 58 },
        { size: 'M', from: 60, to: 70 },
      ],
    },
  ],
  between: 'larger',
  disagree: 'primary',
});
const listed: ListedModel = {
  id: model.id,
  version: 1,
  hash: 'm'.repeat(64),
  name: model.name,
  maker: model.maker,
  programme: programme.id,
  region: 'ankle',
  invented: true,
  sizes: 2,
  findings: 1,
  retired: false,
};

let sent: { method: string; path: string; body: unknown }[] = [];
let role = 'orthotist';
let models: ListedModel[] = [listed];
let answerTo: (method: string, path: string) => Response | undefined = () => undefined;

const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });

beforeEach(() => {
  localStorage.clear();
  [sent, role, models, answerTo] = [[], 'orthotist', [listed], () => undefined];
  queries.clear();
  globalThis.fetch = (async (input: RequestInfo | URL, init?: RequestInit) => {
    const path = String(input).replace(/^\/api/, '');
    const method = init?.method ?? 'GET';
    if (method !== 'GET') sent.push({ method, path, body: JSON.parse(String(init?.body)) as unknown });
    const own = answerTo(method, path);
    if (own) return own;
    if (path === '/session')
      return json({ user: { id: 'u', name: 'Ana', role }, clinic: { name: 'Ribanova', zone: 'UTC' } });
    if (path === '/catalogue')
      return json({
        families: [
          {
            id: programme.id,
            version: 1,
            hash: 'p',
            region: 'ankle',
            stages: stageCover(programme),
            models: 3,
          },
        ],
      });
    if (path.startsWith('/catalogue/models/') && path.endsWith('/versions'))
      return json({ versions: [{ version: 1, hash: listed.hash }] });
    if (path.startsWith('/catalogue/models')) return json({ models, more: false });
    if (path.startsWith('/catalogue/model/')) return json(model);
    if (path.startsWith('/catalogue/programme/')) return json(programme);
    return json({});
  }) as typeof fetch;
});

async function show(at: string, element: React.ReactNode, path = at) {
  await queries.prefetchQuery({
    queryKey: ['session'],
    queryFn: async () => (await fetch('/api/session')).json() as Promise<unknown>,
  });
  render(
    <QueryClientProvider client={queries}>
      <MemoryRouter initialEntries={[at]}>
        <Routes>
          <Route path={path} element={element} />
          <Route path="*" element={<p>elsewhere</p>} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  await act(async () => {});
  return userEvent.setup();
}

test('the list counts its models, and the families can be copied', async () => {
  await show('/catalogue', <Catalogue />);
  const table = await screen.findByRole('grid', { name: 'Models' });
  expect(table.getAttribute('aria-rowcount')).toBe('2');
  expect(within(table).getByRole('link', { name: listed.name }).getAttribute('href')).toBe(
    `/catalogue/${listed.id}`,
  );
  expect(within(table).getByRole('gridcell', { name: '1 finding, invented' })).toBeTruthy();
  expect(screen.getByRole('link', { name: 'Copy as our own: ankle stabiliser' })).toBeTruthy();
});

test('the families say by form and in words which stages they carry', async () => {
  await show('/catalogue', <Catalogue />);
  const row = await screen.findByRole('row', { name: /ankle stabiliser/ });
  const said = within(row)
    .getAllByRole('img')
    .map((one) => one.getAttribute('aria-label')!);
  expect(said).toHaveLength(9);
  const cover = stageCover(programme);
  expect(said[0]).toBe('Screen: covered');
  expect(said.filter((one) => one.endsWith(': covered'))).toHaveLength(
    Object.values(cover).filter((one) => one === 'covered').length,
  );
  expect(within(row).getByRole('cell', { name: '3' })).toBeTruthy();
});

test('an empty answer is said; a reader cannot import or copy', async () => {
  role = 'reader';
  models = [];
  await show('/catalogue', <Catalogue />);
  expect(await screen.findByText('No model begins so.')).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Import CSV' })).toBeNull();
  expect(screen.queryByRole('link', { name: /Copy as our own/ })).toBeNull();
});

test('reception has no catalogue: its address leads to the bench', async () => {
  role = 'reception';
  await show('/catalogue', <Catalogue />);
  expect(screen.getByText('elsewhere')).toBeTruthy();
});

// jsdom lays nothing out: the list is drawn where it would be seen
globalThis.matchMedia = ((media: string) => ({
  media,
  matches: false,
  addEventListener: () => {},
  removeEventListener: () => {},
})) as unknown as typeof matchMedia;
for (const [of, pixels] of [
  ['clientWidth', 1200],
  ['clientHeight', 600],
] as const)
  Object.defineProperty(HTMLElement.prototype, of, { configurable: true, get: () => pixels });

// jsdom's files cannot be read as text yet
File.prototype.text ??= function text(this: File) {
  return new Promise((resolve) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.readAsText(this);
  });
};

const choose = async (user: ReturnType<typeof userEvent.setup>) =>
  user.upload(
    document.querySelector<HTMLInputElement>('input[type=file]')!,
    new File(['a,b'], 'charts.csv', { type: 'text/csv' }),
  );

/** What the server says a file would change: a band of one model, and of another that something is gone. */
const preview = {
  unchanged: 1,
  changed: [
    {
      id: 'new-one',
      version: 1,
      name: 'New one',
      changes: [{ states: 'band', reading: 'heel-width', size: 'S', row: '', column: '', now: '50 – 60' }],
    },
    {
      id: 'half',
      version: 3,
      name: 'Half',
      changes: [{ states: 'belt', reading: '', size: 'overlap', row: '', column: '', before: '120' }],
    },
  ],
};
const isPreview = () => (sent.at(-1)?.body as { preview?: boolean }).preview === true;

test.each([
  [() => json({ imported: [{}, {}], unchanged: 1 }), '2 models brought in. No change in 1.'],
  [() => json({ title: 'x', status: 413, detail: 'Send less at once.' }, 413), 'Send less at once.'],
  [() => json({}, 502), /does not answer. Whether the file was brought in is not known/],
])('what an import would change is looked at first; it ends in one of its ways', async (answer, said) => {
  answerTo = (method) => (method !== 'POST' ? undefined : isPreview() ? json(preview) : answer());
  const user = await show('/', <ImportCharts onClose={() => {}} />);
  await choose(user);
  expect(await screen.findByText(/^New one: new\. Its numbers count as unconfirmed/)).toBeTruthy();
  expect(screen.getByRole('row', { name: 'band, Heel width, S – 50 – 60' })).toBeTruthy();
  expect(screen.getByRole('row', { name: 'belt, overlap 120 gone' })).toBeTruthy();
  const bring = screen.getByRole('button', { name: 'Bring it in: 2' });
  // a half chart does not replace a whole one unasked
  expect(bring.hasAttribute('disabled')).toBe(true);
  await user.click(screen.getByRole('checkbox', { name: 'It may go' }));
  await user.click(bring);
  expect(await screen.findByText(said)).toBeTruthy();
  expect(sent.map(({ body }) => body)).toEqual([
    { csv: 'a,b', preview: true },
    { csv: 'a,b', mayLose: ['half'] },
  ]);
});

test('a file that changes nothing says so and brings nothing in', async () => {
  answerTo = (method) => (method === 'POST' ? json({ changed: [], unchanged: 2 }) : undefined);
  const user = await show('/', <ImportCharts onClose={() => {}} />);
  await choose(user);
  expect(await screen.findByText('Nothing: all of it is here already.')).toBeTruthy();
  expect(screen.queryByRole('button', { name: /^Bring it in/ })).toBeNull();
});

test('faults of an import stand by row and column', async () => {
  answerTo = (method) =>
    method === 'POST'
      ? json(
          {
            title: 'Not imported',
            status: 422,
            detail: 'Nothing.',
            rows: [{ row: 4, column: 'to', fault: 'not-a-number', detail: 'four' }],
          },
          422,
        )
      : undefined;
  const user = await show('/', <ImportCharts onClose={() => {}} />);
  await choose(user);
  expect((await screen.findByRole('row', { name: /^4 to/ })).textContent).toBe('4tois no number: four');
});

const modelPage = () => show(`/catalogue/${model.id}`, <ModelPage />, '/catalogue/:modelId');

test('a chart with a gap is told, drawn as a ruler, and mended as the next version', async () => {
  const user = await modelPage();
  expect(await screen.findByText('Heel width: 2 mm between S and M belong to no size.')).toBeTruthy();
  expect(screen.getByRole('img', { name: 'S: 50 – 58; M: 60 – 70' })).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Change the chart' }));
  const field = screen.getByLabelText('Heel width, M, from');
  await user.clear(field);
  const look = () => user.click(screen.getByRole('button', { name: 'Look at what changes' }));
  await user.type(field, 'wide');
  await look();
  expect(field.getAttribute('aria-invalid')).toBe('true');
  // "700 to 90": no body has it
  await user.clear(field);
  await user.type(field, '700');
  await look();
  expect(screen.getAllByText('The band ends before it begins.').length).toBeGreaterThan(0);
  await user.clear(field);
  await user.type(field, '5,8 cm');
  await look();
  expect(screen.getByRole('row', { name: 'band, Heel width, M 60 – 70 / 0 58 – 70 / 0' })).toBeTruthy();
  expect(sent).toEqual([]);
  await user.click(screen.getByRole('button', { name: 'Save as chart version 2' }));
  const { body } = sent[0] as { body: BraceModel };
  expect([body.version, body.chart.version, body.chart.axes[0]!.bands[1]]).toEqual([
    2,
    2,
    { size: 'M', from: 58, to: 70 },
  ]);
});

test('a two-way table is shown and its cells are changed to sizes the chart has', async () => {
  const bands = (edges: number[]) =>
    edges.slice(1).map((to, i) => ({ size: String(i), from: edges[i]!, to }));
  const table = contextOf('ankle-stabiliser', {
    sizes,
    axes: [
      { reading: 'heel-width', resolution: 0, bands: bands([50, 60, 70]) },
      { reading: 'malleoli-width', resolution: 0, bands: bands([55, 65, 80]) },
    ],
    table: [
      ['S', 'M'],
      ['M', ''],
    ],
    between: 'larger',
    disagree: 'larger',
  }).model;
  answerTo = (method, path) =>
    method === 'GET' && path.startsWith('/catalogue/model/') ? json(table) : undefined;
  const user = await modelPage();
  const row = await screen.findByRole('row', { name: /^60 – 70/ });
  expect(row.textContent).toBe('60 – 70M–');
  await user.click(screen.getByRole('button', { name: 'Change the chart' }));
  const cell = screen.getByLabelText('Heel width 60 – 70, Malleoli width 65 – 80');
  await user.type(cell, 'XXL');
  await user.click(screen.getByRole('button', { name: 'Look at what changes' }));
  expect(screen.getByText('A cell has a size of this chart or stays empty: S, M.')).toBeTruthy();
  await user.clear(cell);
  await user.type(cell, 'M');
  await user.click(screen.getByRole('button', { name: 'Look at what changes' }));
  await user.click(screen.getByRole('button', { name: 'Save as chart version 2' }));
  expect((sent[0] as { body: BraceModel }).body.chart.table).toEqual([
    ['S', 'M'],
    ['M', 'M'],
  ]);
});

test('a model is renamed, gets a larger size and a belt, and what was typed before stays', async () => {
  const user = await modelPage();
  await user.click(await screen.findByRole('button', { name: 'Change the chart' }));
  const name = screen.getByLabelText('Model');
  await user.clear(name);
  await user.type(name, 'Bota nova');
  const from = screen.getByLabelText('Heel width, M, from');
  await user.clear(from);
  await user.type(from, '58');
  await user.click(screen.getByRole('button', { name: 'Add a larger size' }));
  const size = screen.getByLabelText('Name of size new');
  await user.clear(size);
  await user.type(size, 'L');
  await user.click(screen.getByRole('button', { name: 'It closes at marks' }));
  const marks = screen.getByLabelText('Marks on a wing');
  await user.clear(marks);
  await user.type(marks, '99');
  await user.click(screen.getByRole('button', { name: 'Look at what changes' }));
  expect(screen.getByText('From 1 to 60.')).toBeTruthy();
  await user.clear(marks);
  await user.type(marks, '24');
  await user.click(screen.getByRole('button', { name: 'Look at what changes' }));
  await user.click(screen.getByRole('button', { name: 'Save as chart version 2' }));
  const { body } = sent[0] as { body: BraceModel };
  expect([body.id, body.name, body.version]).toEqual([model.id, 'Bota nova', 2]);
  expect(body.chart.sizes).toEqual(['S', 'M', 'L']);
  expect(body.chart.axes[0]!.bands).toEqual([
    { size: 'S', from: 50, to: 58 },
    { size: 'M', from: 58, to: 70 },
    { size: 'L', from: 70, to: 82 },
  ]);
  expect(body.chart.belt!.marks.count).toBe(24);
});

test('a size is taken away with its band; a name that another size has is refused', async () => {
  const user = await modelPage();
  await user.click(await screen.findByRole('button', { name: 'Change the chart' }));
  const small = screen.getByLabelText('Name of size S');
  await user.clear(small);
  await user.type(small, 'M');
  await user.click(screen.getByRole('button', { name: 'Look at what changes' }));
  expect(screen.getByText('A size needs a name of its own.')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Take size S away' }));
  await user.click(screen.getByRole('button', { name: 'Look at what changes' }));
  await user.click(screen.getByRole('button', { name: 'Save as chart version 2' }));
  const { chart } = (sent[0] as { body: BraceModel }).body;
  expect([chart.sizes, chart.axes[0]!.bands.length]).toEqual([['M'], 1]);
});

test('a model is added like another one of its family, unconfirmed, under an id of its own', async () => {
  const user = await show('/catalogue', <Catalogue />);
  await user.click(await screen.findByRole('button', { name: 'Add a model' }));
  await user.click(screen.getByRole('button', { name: /Family/ }));
  await user.click(screen.getByRole('option', { name: 'ankle stabiliser' }));
  const dialog = within(screen.getByRole('dialog'));
  const add = () => user.click(dialog.getByRole('button', { name: 'Add a model' }));
  await add();
  expect(dialog.getByText(/Choose the family and the model it is like/)).toBeTruthy();
  await user.type(dialog.getByLabelText('Model'), 'Bota Ágil');
  await user.type(dialog.getByLabelText('Maker'), 'Obradoiro Faro');
  await add();
  const { body } = sent[0] as { body: BraceModel };
  expect(body).toMatchObject({ name: 'Bota Ágil', maker: 'Obradoiro Faro', version: 1, invented: true });
  expect(body.id).toMatch(/^bota-agil-[0-9a-f]{8}$/);
  expect(body.chart.sizes).toEqual(model.chart.sizes);
});

test('what the server refuses is said and nothing is lost', async () => {
  answerTo = (method) =>
    method === 'PUT' ? json({ title: 'x', status: 404, detail: 'There is no model here.' }, 404) : undefined;
  const user = await modelPage();
  await user.click(await screen.findByRole('button', { name: 'Retire' }));
  expect(await screen.findByText('There is no model here.')).toBeTruthy();
});

test('numbers stay unconfirmed until somebody says that they are the maker’s', async () => {
  const user = await modelPage();
  expect(await screen.findByText(/nobody has confirmed that they are the maker/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: /They are the maker’s own/ }));
  expect((sent[0] as { body: BraceModel }).body).toMatchObject({ version: 2, invented: false });
});

test('a model that is not there says so', async () => {
  models = [];
  await modelPage();
  expect(await screen.findByText('There is no such model here.')).toBeTruthy();
});

test('a family is copied with its own tolerance and rule; a title and numbers are asked for', async () => {
  const user = await show('/catalogue/families/p', <FamilyPage />, '/catalogue/families/:hash');
  const title = await screen.findByLabelText('Title');
  await user.clear(title);
  const tolerance = screen.getByLabelText('Heel width, Two readings may differ by');
  await user.clear(tolerance);
  await user.type(tolerance, '0');
  await user.click(screen.getByRole('button', { name: 'Save it as our own' }));
  expect(screen.getByText('Give it a title.')).toBeTruthy();
  await user.type(title, 'Our stabiliser');
  await user.click(screen.getByRole('button', { name: 'Save it as our own' }));
  expect(tolerance.getAttribute('aria-invalid')).toBe('true');
  await user.clear(tolerance);
  await user.type(tolerance, '2');
  await user.click(screen.getByRole('radio', { name: 'the smaller' }));
  await user.type(
    screen.getByLabelText('Injuries of this clinic’s own'),
    'Peroneal tendon slips{Enter}{Enter}Old sprain',
  );
  await user.click(screen.getByRole('button', { name: 'Save it as our own' }));
  const { body } = sent[0] as { body: Programme };
  const shipped = programmes.find(({ id }) => id === 'ankle-stabiliser')!;
  expect(body).toMatchObject({
    title: 'Our stabiliser',
    base: 'ankle-stabiliser',
    baseVersion: programmes.find(({ id }) => id === 'ankle-stabiliser')!.version,
    version: 1,
    between: 'smaller',
  });
  expect(body.id).toMatch(/^own-ankle-stabiliser-/);
  expect(body.injuries).toEqual([...shipped.injuries!, 'own-peroneal-tendon-slips', 'own-old-sprain']);
  expect(body.words!.injuries).toEqual({
    'own-peroneal-tendon-slips': 'Peroneal tendon slips',
    'own-old-sprain': 'Old sprain',
  });
  const step = body.measuring.find(({ id }) => id === 'heel-width');
  expect(step).toEqual({ ...shipped.measuring.find(({ id }) => id === 'heel-width'), tolerance: 2 });
});
