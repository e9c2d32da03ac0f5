import { expect, openStage, signIn, test, pick } from '../clinic';

test('the server goes away in the middle and comes back: nothing typed and sent is lost', async ({
  page,
  clinic,
}) => {
  await signIn(page, clinic);
  await openStage(page, clinic, 'Uxia Seoane', 'measure');
  const id = page.url().split('/').at(-2)!;
  const stored = async () =>
    Number((await clinic.ask('SELECT COUNT(*) AS n FROM {db}.`entry` WHERE `case` = ?', [id]))[0]!.n);
  const before = await stored();
  await expect(page.getByLabel('Knee angle, right')).toBeFocused();
  await page.keyboard.type('29');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'It is marked' })).toBeVisible();
  await expect.poll(stored).toBe(before + 1);

  await clinic.goAway();
  await page.getByRole('button', { name: 'It is marked' }).click();
  for (const [girth, reading, value] of [
    ['above', 'first', '431'],
    ['above', 'second', '434'],
    ['below', 'first', '345'],
    ['below', 'second', '347'],
  ] as const) {
    await expect(page.getByLabel(`Girth ${girth} right, ${reading} reading`)).toBeFocused();
    await page.keyboard.type(value);
    await page.keyboard.press('Enter');
  }
  await page.getByRole('button', { name: 'Leave it open' }).click();
  // the work goes on, and the screen says what waits
  await expect(page.getByRole('heading', { name: 'Everything is measured' })).toBeVisible();
  await expect(page.getByText('Server away: 5 entries wait here')).toBeVisible();
  await page.getByRole('button', { name: 'On to Size' }).click();
  await page.getByRole('button', { name: 'Take size M' }).click();
  await expect(page.getByRole('heading', { name: 'Size M is chosen' })).toBeVisible();
  await page.keyboard.press('[');
  await expect(page.getByText('Server away: 6 entries wait here')).toBeVisible();
  await expect(
    page.getByRole('region', { name: 'Record' }).getByText('waits to be sent').first(),
  ).toBeVisible();

  await clinic.comeBack();
  await page.reload();
  await expect(page.getByText('Server away')).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Girth below, right: 346 ± 7' })).toBeVisible();
  await expect(async () => {
    const rows = await clinic.ask('SELECT `content` FROM {db}.`entry` WHERE `case` = ? ORDER BY `seq`', [id]);
    const values = rows.map(
      ({ content }) => (JSON.parse(String(content)) as { body: { value?: number } }).body.value,
    );
    // sent once each, in the order they were written
    expect(rows).toHaveLength(before + 7);
    expect(values.slice(-5)).toEqual([431, 434, 345, 347, undefined]);
  }).toPass();
});

test('what was typed and not yet taken survives a reload', async ({ page, clinic }) => {
  await signIn(page, clinic);
  await openStage(page, clinic, 'Noa Pazos', 'measure');
  await page.getByRole('button', { name: /^Girth above, right/ }).click();
  await page.getByLabel('Girth above right, third reading').fill('449');
  await page.reload();
  await page.getByRole('button', { name: /^Girth above, right/ }).click();
  await expect(page.getByLabel('Girth above right, third reading')).toHaveValue('449');
});

test('an order that somebody else has changed meanwhile is shown, not overwritten', async ({
  page,
  browser,
  clinic,
}) => {
  await signIn(page, clinic);
  await openStage(page, clinic, 'Brais Couto', 'screen');
  await page.getByRole('button', { name: 'A new order' }).click();
  await page.getByLabel('Diagnosis').fill('Mine');
  // somebody else, in another browser, is quicker; this page has not heard of it when it sends
  const other = await (await browser.newContext()).newPage();
  await signIn(other, clinic);
  await openStage(other, clinic, 'Brais Couto', 'screen');
  await other.getByRole('button', { name: 'A new order' }).click();
  await other.getByLabel('Diagnosis').fill('Theirs');
  await other.getByRole('button', { name: 'Take the order' }).click();
  await expect(other.getByRole('main').getByText('Theirs')).toBeVisible();
  await expect
    .poll(async () => {
      const [row] = await clinic.ask(
        "SELECT COUNT(*) AS n FROM {db}.`entry` WHERE `content` LIKE '%Theirs%'",
      );
      return Number(row!.n);
    })
    .toBe(1);
  await page.getByRole('button', { name: 'Take the order' }).click();
  // both stand beside each other
  const both = page.getByRole('alert').filter({ hasText: 'Both stand here' });
  await expect(both.getByText('Mine', { exact: true })).toBeVisible();
  await expect(both.getByText('Theirs', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Send mine on top of it' }).click();
  await expect(both).toHaveCount(0);
  await expect(page.getByRole('definition').filter({ hasText: 'Mine' })).toBeVisible();
  await other.context().close();
});

test('a person and a case written while the server is away are there when it is back', async ({
  page,
  clinic,
}) => {
  await signIn(page, clinic);
  await page.getByRole('button', { name: 'New case' }).click();
  await pick(page, { name: 'Knee' });
  await pick(page, { name: 'right' });
  await pick(page, { name: /Lousa/ });
  await page.getByRole('button', { name: 'Somebody new' }).click();
  // the stages are fetched a second after the Bench was shown
  await page.waitForFunction(() =>
    performance.getEntriesByType('resource').some(({ name }) => name.includes('/assets/screen-stage')),
  );
  await clinic.goAway();
  await page.getByLabel('Given name').fill('Sara');
  await page.getByLabel('Family name').fill('Penedo');
  await page.getByRole('group', { name: 'Born' }).getByRole('spinbutton').first().click();
  await page.keyboard.type('03041987');
  await page.getByRole('button', { name: 'Add and choose' }).click();
  // nobody can be asked whether she is here already: it is said, and pressed again she is added all the same
  await expect(
    page.getByText('it cannot be looked whether this person is here', { exact: false }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Add and choose' }).click();
  await expect(page.getByText('born 3 Apr 1987')).toBeVisible();
  await page.getByRole('button', { name: 'Open the case' }).click();
  await expect(page.getByRole('link', { name: 'Sara Penedo' })).toBeVisible();
  await expect(page.getByText('Server away: 2 entries wait here')).toBeVisible();
  await clinic.comeBack();
  await expect(page.getByText('Server away')).toHaveCount(0);
  await expect(async () => {
    const rows = await clinic.ask(
      'SELECT `stage` FROM {db}.`summary` JOIN {db}.`person` ON `person`.`id` = `summary`.`person` WHERE `familyName` = ?',
      ['Penedo'],
    );
    expect(rows).toEqual([{ stage: 'screen' }]);
  }).toPass();
});

test('a size chosen while the network was away, from readings that have changed meanwhile: kept, not in force, both shown', async ({
  page,
  browser,
  clinic,
}) => {
  await signIn(page, clinic);
  await openStage(page, clinic, 'Fiz Ameneiro', 'size');
  const id = page.url().split('/').at(-2)!;
  const take = page.getByRole('button', { name: /^Take size/ });
  await take.waitFor();
  await page.context().setOffline(true);
  await take.click();
  await expect(page.getByText('Server away: 1 entry waits here')).toBeVisible();

  // meanwhile a technician measures the limb again, and it is thicker
  const other = await (await browser.newContext()).newPage();
  await signIn(other, clinic, 'teo');
  const answers = await other.evaluate(async (caseId) => {
    const { user } = (await (await fetch('/api/session')).json()) as { user: { id: string } };
    const { entries } = (await (await fetch(`/api/cases/${caseId}/entries`)).json()) as {
      entries: { kind: string; body: { side: string } }[];
    };
    const { side } = entries.find(({ kind }) => kind === 'case.opened')!.body;
    const statuses: number[] = [];
    for (let i = 0; i < 4; i += 1) {
      const answer = await fetch(`/api/cases/${caseId}/entries`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({
          id: `0192c3d4-0000-7000-8000-${String(Date.now() + i)
            .slice(-12)
            .padStart(12, '0')}`,
          case: caseId,
          stage: 'measure',
          kind: 'measure.read',
          v: 1,
          observedAt: new Date().toISOString(),
          zone: 'Europe/Madrid',
          by: user.id,
          body: { step: 'girth-above', side, value: 560, instrument: 'tape' },
        }),
      });
      statuses.push(answer.status);
    }
    return statuses;
  }, id);
  expect(answers).toEqual([201, 201, 201, 201]);
  await other.context().close();

  await page.context().setOffline(false);
  const record = page.getByRole('region', { name: 'Record' });
  await expect(record.getByText(/not in force: from the entries here it is/)).toBeVisible();
  await expect(page.getByRole('heading', { name: /is chosen/ })).toHaveCount(0);
});
