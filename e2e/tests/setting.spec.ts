import { readFileSync } from 'node:fs';
import ICAL from 'ical.js';
import { dayFromToday, expect, openStage, pick, beSignedIn, test, typeDay } from '../clinic';

// What is set: an order from text to a calendar, a hinge on the knee, a correction, a belt, a boot's wedges.

test.beforeEach(async ({ page, clinic }) => {
  await beSignedIn(page, clinic);
});

test('a four-phase order out of text, to stops, to the bench and to another calendar', async ({
  page,
  clinic,
}) => {
  await openStage(page, clinic, 'Antón Freire', 'screen');
  const main = page.getByRole('main');
  await page.getByRole('button', { name: /^None present/ }).click();
  await page.getByLabel('Diagnosis').fill('Ligament reconstruction');
  await page.getByLabel('Prescriber', { exact: true }).fill('Dr Elva Nogueira');
  await typeDay(page, /^Day zero/, dayFromToday(0));
  await page.getByRole('button', { name: 'Phases out of text or a template' }).click();
  await page
    .getByLabel('The schedule as it was written')
    .fill('wk 0-1 0-60 locked walking; wk 2-3 0-90 gently; wk 4-5 0-90; wk 7+ 0-120');
  // what is not understood is seen, what is not said is asked: nothing is taken over before both are settled
  await expect(main.getByText(/Not understood, edit the text: .*gently/)).toBeVisible();
  await expect(main.getByText(/locked at which angle\?/)).toBeVisible();
  const takeOver = page.getByRole('button', { name: 'Take these phases over' });
  await expect(takeOver).toBeDisabled();
  await page
    .getByLabel('The schedule as it was written')
    .fill('wk 0-1 0-60 locked at 0 walking; wk 2-3 0-90; wk 4-5 0-90; wk 7+ 0-120');
  await expect(takeOver).toBeDisabled();
  await pick(page, { name: 'numbered from 0, both included', exact: true });
  await expect(main.getByText(/Days before this phase are not ordered/)).toBeVisible();
  await takeOver.click();
  await pick(page, { name: 'Protective', exact: true });
  await page.getByLabel('How it is to be worn, as ordered').fill('Day and night');
  // nothing counts before everything is held against the order
  await expect(page.getByRole('group', { name: 'Phase 1' }).getByLabel(/lock/i).first()).toHaveValue('0');
  await page.getByRole('button', { name: 'Take the order' }).click();
  await expect(main.getByText('Hold them against the order and tick it.')).toBeVisible();
  await main.getByText('Every date, both limits and every locked angle are as ordered').click();
  // this brace has no lock: it is told, never dropped
  await main.getByText(/Seen/).last().click();
  await page.getByRole('button', { name: 'Take the order' }).click();
  await expect(page.getByRole('button', { name: 'A new order' })).toBeVisible();

  await page.getByRole('link', { name: /^Set/ }).click();
  await page.getByLabel('Knee, neutral zero').fill('0-0-55');
  await page.getByLabel('Knee, neutral zero').press('Enter');
  await page.getByRole('button', { name: 'Choose 0 / 60 for both hinges' }).click();
  // the bench's list: what goes in, from which side, then the travel and the cover
  await expect(page.getByRole('list', { name: 'Working list for the bench' })).toContainText(
    'medial: flexion stop 60° in, from behind.',
  );
  await page.getByRole('button', { name: /^In both hinges: 0 \/ 60/ }).click();
  await expect(main.getByText('Fitted: 0 / 60, medial and lateral alike.')).toBeVisible();
  const rows = main.getByRole('table').first().getByRole('row');
  await expect(rows).toHaveCount(5);
  await expect(rows.nth(1)).toContainText('Stops: 0 / 60');
  await expect(rows.nth(2)).toContainText('Stops: 0 / 90');
  await expect(rows.nth(3)).toContainText('nothing');
  await expect(rows.nth(3)).toContainText('nothing is ordered: this stays until the next begins');

  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Due days as a calendar file' }).click();
  const events = new ICAL.Component(
    ICAL.parse(readFileSync(await (await download).path(), 'utf8')) as unknown[],
  )
    .getAllSubcomponents('vevent')
    .map((one) => new ICAL.Event(one));
  const stops = events.filter(({ summary }) => summary.startsWith('Stops'));
  expect(stops.map(({ startDate }) => String(startDate))).toEqual([dayFromToday(14), dayFromToday(49)]);
  expect(stops.every(({ startDate }) => startDate.isDate)).toBe(true);
  expect(events.map(({ summary }) => summary).join()).not.toContain('Freire');

  await page.getByRole('link', { name: 'Bench' }).click();
  await expect(page.getByRole('link', { name: /Antón Freire: .*[Ss]tops/ }).first()).toBeVisible();
});

test('a hinge is dragged and moved by keys, and its travel answers at once', async ({ page, clinic }) => {
  await openStage(page, clinic, 'Noa Pazos', 'set');
  const main = page.getByRole('main');
  await page.getByRole('button', { name: 'Is the hinge on the knee?' }).click();
  // nothing is said before the joint line is felt
  await expect(main.getByText(/Before the joint line is felt nothing is said/)).toBeVisible();
  const above = page.getByLabel('Hinge over the joint line');
  await above.fill('48');
  const along = main.getByText(/(up|down) the shank at 90°/);
  await expect(along).toBeVisible();
  const said = () => along.locator('..').innerText();
  const high = await said();
  const handle = page.locator('[data-handle]');
  const box = (await handle.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x - 6, y + 14, { steps: 4 });
  await page.mouse.up();
  await expect(above).not.toHaveValue('48');
  expect(Number(await above.inputValue())).toBeLessThan(48);
  expect(await said()).not.toBe(high);
  // by keys: up by one, and by five with Shift
  const before = Number(await above.inputValue());
  await page.getByRole('group', { name: /Arrow keys/ }).focus();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Shift+ArrowUp');
  await expect(above).toHaveValue(String(before + 6));
  // on the estimated centre, 20 mm over the joint line, nothing is left to better
  await page.getByRole('button', { name: 'Record where it stands' }).click();
  await expect(page.getByRole('region', { name: 'Record' }).getByText('Hinge on the knee')).toBeVisible();
});

test('an unloader is corrected over its visits: walked, refused once, gone back once', async ({
  page,
  clinic,
}) => {
  await openStage(page, clinic, 'Pilar Fontán', 'review');
  const main = page.getByRole('main');
  const ledger = main.getByRole('list', { name: 'Ledger of turns' });
  await expect(ledger.getByRole('listitem')).toHaveCount(5);
  // the last step was one back: how is it now?
  await page.getByLabel('Pain, 0 to 10 (may stay empty)').fill('3');
  await page.getByRole('button', { name: 'Gentle pressure', exact: true }).click();
  await expect(ledger).toContainText('walked, gentle pressure, pain 3');
  await page.getByRole('button', { name: 'upper screw 1/8 turn clockwise' }).click();
  await expect(main.getByText(/It stands at upper screw \+1\/4, lower screw \+1\/8/)).toBeVisible();
  await page.getByRole('button', { name: 'lower screw 1/8 turn clockwise' }).click();
  await page.getByRole('button', { name: 'Gentle pressure', exact: true }).click();
  // more than a step is refused, and taken with its reason
  await page.getByRole('button', { name: 'Another amount' }).click();
  await page.getByLabel('By how much (turn)').fill('1/4');
  await main.getByRole('button', { name: 'Take it' }).last().click();
  await expect(main.getByText(/More than the 1\/8 turn that one change may be/)).toBeVisible();
  await expect(ledger.getByRole('listitem')).toHaveCount(7);
  await page.getByLabel('Why it is turned all the same').fill('asked for by the prescriber, by phone');
  await main.getByRole('button', { name: 'Take it' }).last().click();
  await expect(ledger.getByRole('listitem')).toHaveCount(8);
  await expect(ledger.getByRole('listitem').last()).toContainText(
    'in spite of it: asked for by the prescriber',
  );
  // too much: back by an eighth in one touch
  await page.getByRole('button', { name: 'Too much', exact: true }).click();
  await page.getByRole('button', { name: 'upper screw back by 1/8 turn' }).click();
  await expect(main.getByText(/It stands at upper screw \+3\/8, lower screw \+1\/4/)).toBeVisible();
  // counts, and no verdict from fewer than five
  await expect(main.getByText(/No verdict from fewer than five/)).toBeVisible();
});

test('a belt: both ends to the wanted mark in one touch, the tall panel stepped down with its reason', async ({
  page,
  clinic,
}) => {
  await openStage(page, clinic, 'Moncho Vilar', 'set');
  const main = page.getByRole('main');
  await page.getByRole('button', { name: /^Both ends: set to 14, as wanted/ }).click();
  await expect(page.getByLabel('right', { exact: true })).toHaveValue('14');
  await expect(page.getByLabel('left', { exact: true })).toHaveValue('14');
  await page.getByRole('button', { name: 'Tall panel: In' }).click();
  await page.getByRole('button', { name: 'Tall panel: Left out' }).click();
  const why = page.getByLabel('Prescriber’s word: who, when, why');
  await expect(page.getByRole('button', { name: 'Step down' })).toBeDisabled();
  await why.fill('muscles hold again');
  await page.getByRole('button', { name: 'Step down' }).click();
  await expect(main.getByText(/Since .*: muscles hold again/)).toBeVisible();
  await page.getByRole('button', { name: 'Low panel: In' }).click();
  await expect(page.getByRole('button', { name: 'Low panel: In' })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('link', { name: 'Set, done' })).toBeVisible();
});

test('a boot’s wedges go out by the order’s phases; held, none is due, resumed it is due later', async ({
  page,
  clinic,
}) => {
  await openStage(page, clinic, 'Breixo Salgado', 'set');
  const main = page.getByRole('main');
  const rows = main.getByRole('table').first().getByRole('row');
  await expect(rows.nth(1)).toContainText('Heel wedges: 7');
  await expect(rows.nth(2)).toContainText('Heel wedges: 4');
  await expect(rows.nth(3)).toContainText('Heel wedges: 0');
  await page.getByRole('button', { name: 'Hold the order' }).click();
  await page.getByLabel('Told by').fill('Dr Elva Nogueira');
  await page.getByLabel('Reason').last().fill('wound opened again');
  await expect(main.getByRole('heading', { name: 'Before' })).toBeVisible();
  await page.getByRole('button', { name: 'Hold it' }).click();
  await expect(main.getByText(/The order is held since/)).toBeVisible();
  await expect(main.getByRole('table').first().getByRole('row')).toHaveCount(2);
  await page.getByRole('link', { name: 'Bench' }).click();
  await expect(page.getByText('Breixo Salgado').first()).toBeVisible();
  await expect(page.getByRole('link', { name: /Breixo Salgado: .*setting/ })).toHaveCount(0);
  await page.goBack();
  await page.getByRole('button', { name: 'Resume the order' }).click();
  await typeDay(page, /^Goes on from/, dayFromToday(3));
  await page.getByLabel('Told by').fill('Dr Elva Nogueira');
  await page.getByLabel('Reason').last().fill('wound closed');
  await page.getByRole('button', { name: 'Resume it' }).click();
  await expect(main.getByText(/The order is held since/)).toHaveCount(0);
  await expect(main.getByRole('table').first().getByRole('row')).toHaveCount(4);
});
