import { stageCover } from '@estribo/core/logbook';
import { kinds } from '@estribo/core/logbook';
import { pinOf, programmes } from '@estribo/core/programmes';
import { screen, waitFor } from '@testing-library/react';
import { testContext, testLogbook } from '../../../core/src/logbook/test-case';
import { NewerVersion } from './newer-version';
import { showStage } from './test-stage';

const model = pinOf(testContext.model);
const families = (version: number) =>
  programmes.map((programme) => ({
    ...pinOf(programme),
    region: programme.region,
    stages: stageCover(programme),
    models: 1,
    ...(programme.id === testContext.programme.id ? { version } : {}),
  }));
const answers = (body: unknown) =>
  Promise.resolve(new Response(JSON.stringify(body), { headers: { 'Content-Type': 'application/json' } }));

const sent: { kind: string; body: object }[] = [];
const serve = (familyVersion: number) => {
  sent.length = 0;
  globalThis.fetch = ((address: string, init?: RequestInit) => {
    if (init?.method === 'POST') {
      const entry = JSON.parse(String(init.body)) as (typeof sent)[number];
      sent.push(entry);
      return answers({ entry: { ...entry, seq: 2, receivedAt: '2026-11-24T09:30:00.000Z' } });
    }
    if (address.endsWith('/catalogue')) return answers({ families: families(familyVersion) });
    if (address.endsWith('/versions'))
      return answers({ versions: [{ version: model.version, hash: model.hash }] });
    return new Promise(() => {});
  }) as typeof fetch;
};

test('a case that holds the newest says so and offers nothing', async () => {
  serve(testContext.programme.version);
  await showStage(NewerVersion, testLogbook());
  expect(await screen.findByText('There is no newer one.')).toBeTruthy();
  expect(screen.queryByRole('button')).toBeNull();
});

test('a newer one is told, and the case is moved to it with a reason', async () => {
  serve(testContext.programme.version + 1);
  const { user } = await showStage(NewerVersion, testLogbook());
  await user.click(await screen.findByRole('button', { name: 'Move this case to the newest' }));
  await user.type(screen.getByLabelText('Reason'), 'the list was corrected');
  await user.click(screen.getAllByRole('button', { name: 'Move this case to the newest' }).at(-1)!);
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]!.kind).toBe('case.moved');
  expect(kinds['case.moved'].body.isValidSync(sent[0]!.body, { strict: true })).toBe(true);
  expect(sent[0]!.body).toMatchObject({
    programme: { version: testContext.programme.version + 1 },
    model,
    reason: 'the list was corrected',
  });
});

test('a technician sees it and moves nothing', async () => {
  serve(testContext.programme.version + 1);
  await showStage(NewerVersion, testLogbook(), { role: 'technician' });
  expect(await screen.findByText(/There is a newer one/)).toBeTruthy();
  expect(screen.queryByRole('button')).toBeNull();
});
