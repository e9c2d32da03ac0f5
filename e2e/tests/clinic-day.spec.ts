import type { Locator, Page } from '@playwright/test';
import { dayFromToday, expect, openStage, pick, signIn, test, typeDay } from '../clinic';
import { measureAll, openNewCase } from '../measuring';

async function typeTime(page: Page | Locator, time: string): Promise<void> {
  const [hours, minutes] = time.split(':');
  const parts = page.getByRole('group', { name: /^Time/ }).getByRole('spinbutton');
  await parts.nth(0).click();
  await parts.nth(0).pressSequentially(hours!);
  await parts.nth(1).pressSequentially(minutes!);
}

async function addPerson(page: Page, given: string, family: string, born: string): Promise<void> {
  await page.getByRole('link', { name: 'People', exact: true }).click();
  await page.getByRole('button', { name: 'Add a person' }).click();
  await page.getByLabel('Given name').fill(given);
  await page.getByLabel('Family name').fill(family);
  await typeDay(page, 'Born', born);
  await page.getByRole('button', { name: 'Add and choose' }).click();
}

async function planVisit(
  page: Page,
  { day, time, purpose, note }: { day: string; time?: string; purpose?: string; note?: string },
): Promise<void> {
  await page
    .getByRole('button', { name: /^Plan a visit/ })
    .first()
    .click();
  const dialog = page.getByRole('dialog');
  await typeDay(page, 'Day', day);
  if (time) await typeTime(dialog, time);
  if (purpose) {
    await dialog.getByRole('button', { name: /What for/ }).click();
    await page.getByRole('option', { name: purpose, exact: true }).click();
  }
  if (note) await dialog.getByLabel('Note').fill(note);
  await dialog.getByRole('button', { name: 'Save the visit' }).click();
  await expect(dialog).toHaveCount(0);
}

test('a day as reception: three people, five visits, one moved by keys, one called off, and nothing clinical', async ({
  page,
  clinic,
}) => {
  const today = dayFromToday(0);
  await signIn(page, clinic, 'marga');
  // what is due in the cases is a visit, and no more than that
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/to do|nothing to do/);
  for (const clinical of [/calf/i, /Stops/, /Wear to/, /Blocked/, /skin/i])
    await expect(page.getByText(clinical)).toHaveCount(0);
  const list = page.getByRole('complementary');
  await expect(list.getByText('Ramón Lestegás')).toBeVisible();

  // three people; the second is here already, the third only looks like somebody
  await addPerson(page, 'Uxío', 'Carballal', '1962-03-09');
  await expect(page.getByRole('heading', { name: 'Uxío Carballal' })).toBeVisible();
  await planVisit(page, { day: today, time: '17:10', note: 'comes by bus' });
  await expect(page.getByRole('cell', { name: /first visit, no brace yet/ })).toBeVisible();
  await addPerson(page, 'Marta', 'Quintela', '1984-01-22');
  await expect(page.getByText('same name and day of birth')).toBeVisible();
  await page.getByRole('button', { name: 'Take this one: Marta Quintela' }).click();
  await expect(page.getByText('born 22 Jan 1984 · No. 3')).toBeVisible();
  await planVisit(page, { day: dayFromToday(3), time: '09:20', purpose: 'collection' });
  await addPerson(page, 'Marta', 'Quintelas', '1984-01-22');
  await expect(page.getByText('nearly the same')).toBeVisible();
  await page.getByRole('button', { name: 'No, this is another person' }).click();
  await expect(page.getByRole('heading', { name: 'Marta Quintelas' })).toBeVisible();
  await planVisit(page, { day: dayFromToday(1), time: '08:30' });

  // found by the day of birth and by a number, without accents
  await page.getByRole('link', { name: 'People', exact: true }).click();
  const find = page.getByRole('searchbox');
  await find.fill('9.3.1962');
  await expect(page.getByRole('list', { name: 'People' }).getByRole('link')).toHaveText(['Uxío Carballal']);
  await find.fill('uxio carb');
  await expect(page.getByRole('list', { name: 'People' }).getByRole('link')).toHaveText(['Uxío Carballal']);
  // from the Bench, for the day that is looked at
  await page.getByRole('link', { name: 'Bench' }).click();
  await list.getByRole('button', { name: 'The day after' }).click();
  await list.getByRole('button', { name: 'Plan a visit' }).click();
  await page.getByRole('dialog').getByRole('searchbox').fill('carballal');
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^Uxío Carballal/ })
    .click();
  await page.getByRole('dialog').getByRole('button', { name: 'Save the visit' }).click();
  await expect(list.getByText('Uxío Carballal')).toBeVisible();
  // a visit of a case, planned from the list of cases
  await page.getByRole('link', { name: 'Cases', exact: true }).click();
  await page.getByRole('searchbox').fill('noa');
  await page.getByRole('button', { name: 'Plan a visit: Noa Pazos' }).click();
  await typeDay(page, 'Day', dayFromToday(4));
  await page.getByRole('dialog').getByRole('button', { name: 'Save the visit' }).click();

  // today's list has who was planned for today, by the clock
  await page.getByRole('link', { name: 'Bench' }).click();
  await expect(list.getByText('Uxío Carballal')).toBeVisible();
  await expect(list.getByText('comes by bus')).toBeVisible();

  // a fitting of today is moved three days on by keys; its note of the orthotist stays unread and stays
  const buckle = page.getByRole('button', { name: /^Noa Pazos: Fitting/ });
  await buckle.focus();
  for (let i = 0; i < 3; i += 1) await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByLabel('Front-desk note (optional)')).toBeVisible();
  await expect(dialog.getByLabel('Clinical note (optional)')).toHaveCount(0);
  await dialog.getByRole('button', { name: 'Move the visit' }).click();
  await expect(page.getByRole('button', { name: /^Noa Pazos: Fitting, 16:00 in 3 days/ })).toBeVisible();
  const [moved] = await clinic.ask(
    "SELECT DATE_FORMAT(v.day, '%Y-%m-%d') AS day, v.time, v.note FROM {db}.`visit` v JOIN {db}.`person` p ON p.id = v.person WHERE p.familyName = 'Pazos' AND v.purpose = 'fitting'",
  );
  expect(moved).toEqual({ day: dayFromToday(3), time: '16:00', note: 'with the helper from the ward' });

  // and one without a case is called off
  await list.getByRole('button', { name: /Change the visit: Aldara Vence/ }).click();
  await dialog.getByRole('button', { name: 'Call it off' }).click();
  await dialog.getByLabel('Why it is called off').fill('has a cold');
  await dialog.getByRole('button', { name: 'Call it off' }).click();
  await expect(list.getByText('Aldara Vence')).toHaveCount(0);
  // a case is no address of reception's
  const [row] = await clinic.ask('SELECT `case` AS id FROM {db}.`summary` LIMIT 1');
  await page.goto(`${clinic.address}/cases/${String(row!.id)}/review`);
  await expect(page.getByText('Your role opens no cases', { exact: false })).toBeVisible();
  await page.goto(`${clinic.address}/catalogue`);
  await expect(page).toHaveURL(/\/bench$/);
});

test('a day as administrator: a user made and disabled, an instrument calibrated and registered, the clinic named', async ({
  page,
  clinic,
}) => {
  await signIn(page, clinic, 'iago');
  await page.getByRole('button', { name: 'Add somebody' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name').fill('Sara Penedo');
  await dialog.getByLabel('Login').fill('sara');
  await pick(page, { name: 'technician' });
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog.getByText(/^[A-Z2-9]{4}-[A-Z2-9]{4}-[A-Z2-9]{4}$/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Close' }).click();
  const row = page.getByRole('row', { name: /Sara Penedo/ });
  await expect(row).toContainText('a code is open');
  await page.getByRole('button', { name: 'Change Sara Penedo' }).click();
  await dialog.getByLabel('Three fingers (mm)').fill('49');
  await dialog.locator('label', { hasText: 'May sign in' }).click();
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(row).toContainText('closed');
  await expect(row).toContainText('49 mm');

  await page.getByRole('link', { name: 'Instruments' }).click();
  const overdue = page.getByRole('row', { name: /Inclinometer 1/ });
  await expect(overdue).toContainText('overdue');
  await overdue.getByRole('button', { name: /Calibrate/ }).click();
  await dialog
    .getByLabel(/offset|too much/i)
    .first()
    .fill('0.4');
  await dialog.getByRole('button', { name: 'Take the calibration' }).click();
  await expect(overdue).not.toContainText('overdue');
  await overdue.getByRole('button', { name: /History/ }).click();
  await expect(dialog.getByText('Iago Lema')).toBeVisible();
  await dialog.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('button', { name: 'Register an instrument' }).click();
  await dialog.getByLabel('Name').fill('Tape of the ward');
  await dialog.getByLabel('Id, as the device sends it').fill('ward tape');
  await dialog.getByRole('button', { name: 'Register an instrument' }).click();
  await expect(dialog.getByText('Letters, digits and hyphens.')).toBeVisible();
  await dialog.getByLabel('Id, as the device sends it').fill('ward-tape');
  await dialog.getByRole('button', { name: 'Register an instrument' }).click();
  await expect(page.getByRole('row', { name: /Tape of the ward/ })).toContainText('real values');
  await expect(page.getByRole('row', { name: /Tape 1/ })).toContainText('silent');

  await page.getByRole('link', { name: 'The clinic' }).click();
  await page.getByLabel('Name of the clinic').fill('Ribanova workshop at the bridge');
  await page.getByLabel('Time zone', { exact: false }).fill('Ribanova');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('must be a time zone', { exact: false })).toBeVisible();
  await page.getByLabel('Time zone', { exact: false }).fill('Europe/Lisbon');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('must be a time zone', { exact: false })).toHaveCount(0);
  await page.getByRole('link', { name: 'Backup' }).click();
  await expect(page.getByText('No backup has been made yet.')).toBeVisible();
  await page.getByRole('link', { name: 'Audit' }).click();
  for (const done of ['changed a user', 'gave a one-time code', 'calibrated an instrument'])
    await expect(page.getByRole('cell', { name: done }).first()).toBeVisible();
  // what is no address of this role leads to what is
  await page.goto(`${clinic.address}/bench`);
  await expect(page.getByRole('heading', { name: 'People who sign in' })).toBeVisible();
});

test('a second brace, on both legs, begins with what was read and seen today of the first', async ({
  page,
  clinic,
}) => {
  await signIn(page, clinic);
  await openNewCase(page, {
    person: 'Ramón',
    region: 'Knee',
    side: 'right',
    model: /Caneiro 4P/,
    family: 'rigid-frame ligament brace',
  });
  const first = page.url();
  await measureAll(page, {
    'Knee angle': ['30'],
    'Girth above': ['452', '453'],
    'Girth below': ['351', '352'],
    'Calf below the tuberosity': ['360', '361'],
  });
  await expect(page.getByText('Server away')).toHaveCount(0);
  await page.getByRole('button', { name: 'This case' }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /Another brace for/ })
    .click();
  // the address changes before the page does: what is on the old one is not meant
  await expect(page.getByRole('heading', { name: 'Who is it for?' })).toBeVisible();
  await expect(page.getByText('Ramón Lestegás', { exact: true })).toBeVisible();
  await expect(page.getByRole('link', { name: /Right knee, Caneiro 4P/ })).toBeVisible();
  await pick(page, { name: 'Knee' });
  await pick(page, { name: 'both' });
  await pick(page.getByRole('radiogroup', { name: 'rigid-frame ligament brace', exact: true }), {
    name: /Caneiro 4P/,
  });
  await expect(page.getByText(/Take over what was read and seen today/)).toBeVisible();
  await page.getByRole('button', { name: 'Open both cases' }).click();
  await expect(page.getByText(/Taken over from the case of Right knee, Caneiro 4P/)).toBeVisible();
  await expect(page.getByText(/read (a minute|\d+ minutes) ago/)).toBeVisible();
  // the other cases are one touch away
  const others = page.getByRole('navigation', { name: 'Other braces of this person' });
  await expect(others.getByRole('link')).toHaveCount(2);
  await expect(async () => {
    const rows = await clinic.ask(
      "SELECT COUNT(*) AS n FROM {db}.`entry` WHERE `content` LIKE '%\"from\":{%' AND `content` LIKE '%measure.read%'",
    );
    expect(Number(rows[0]!.n)).toBeGreaterThan(1);
  }).toPass();
  await others
    .getByRole('link', { name: /Right knee/ })
    .first()
    .click();
  expect(page.url()).not.toBe(first);
});

test('a case is labelled, noted, handed over, closed and opened again; its label is found', async ({
  page,
  clinic,
}) => {
  await signIn(page, clinic);
  await openStage(page, clinic, 'Marta Quintela', 'check');
  const label = page.getByRole('region', { name: 'What stands on the label' });
  await label.getByLabel('Lot').fill('<lot>');
  await label.getByRole('button', { name: 'Keep the label' }).click();
  await expect(label.getByText('Letters, digits and', { exact: false })).toBeVisible();
  await label.getByLabel('Lot').fill('L 2291/b');
  await label.getByRole('button', { name: 'Keep the label' }).click();
  await expect(label.getByText('lot L 2291/b')).toBeVisible();
  const open = () => page.getByRole('button', { name: 'This case' }).click();
  const dialog = page.getByRole('dialog');
  await open();
  await dialog.getByLabel('A note to be read before the next visit').fill('hard of hearing');
  await dialog.getByRole('button', { name: 'Keep the note' }).click();
  await dialog.getByRole('button', { name: /Hand over to/ }).click();
  await page.getByRole('option', { name: 'Xela Dopazo' }).click();
  await dialog.getByRole('button', { name: 'Hand over', exact: true }).click();
  await expect(dialog.getByText('In hand: Xela Dopazo')).toBeVisible();
  await dialog.getByRole('button', { name: 'Close the case' }).click();
  await expect(dialog.getByText('pick one').last()).toBeVisible();
  await pick(page, { name: 'another reason' });
  await dialog.getByRole('button', { name: 'Close the case' }).click();
  await expect(dialog.getByText('Say what the reason is.')).toBeVisible();
  await pick(page, { name: 'delivered and done' });
  await dialog.getByRole('button', { name: 'Close the case' }).click();
  await expect(page.getByText(/^Closed on .*delivered and done/)).toBeVisible();
  await expect(page.getByText('hard of hearing').first()).toBeVisible();
  // nothing is due in it any more, and it is found by what stands on its label
  await page.getByRole('link', { name: 'Bench' }).click();
  await expect(page.getByRole('link', { name: 'Marta Quintela' })).toHaveCount(0);
  await page.goto(`${clinic.address}/cases?find`);
  await page.getByRole('searchbox').fill('2291');
  const row = page.getByRole('listitem').filter({ hasText: 'Marta Quintela' });
  await expect(row).toContainText('lot L 2291/b');
  await expect(row).toContainText('closed');
  await page.getByRole('searchbox').fill('collar');
  await expect(page.getByRole('listitem').filter({ hasText: 'Marta Quintela' })).toHaveCount(0);
  await expect(page.getByRole('list', { name: 'Cases' }).getByRole('listitem').first()).toBeVisible();
  await page.getByRole('searchbox').fill('pontevella quint');
  await page.getByRole('link', { name: 'Marta Quintela' }).click();
  await page.getByRole('button', { name: 'Open it again' }).click();
  await expect(page.getByText(/^Closed on/)).toHaveCount(0);
  await expect(page.getByText('Case opened again').first()).toBeVisible();
  await expect(page.getByText('by Ana Bouza').first()).toBeVisible();
});

test('somebody else takes over by PIN while something is typed, and finds nothing of it; it is there again', async ({
  page,
  clinic,
}) => {
  const choosePin = async (login: string, pin: string) => {
    await signIn(page, clinic, login);
    await page.goto(`${clinic.address}/password`);
    await page.getByLabel('New PIN').fill(pin);
    await page.getByLabel('Password', { exact: true }).fill('ribanova-demo');
    await page.getByRole('button', { name: 'Choose the PIN' }).click();
    await expect(page.getByText('Chosen.')).toBeVisible();
  };
  await choosePin('teo', '2580');
  await page.getByRole('button', { name: 'Lock, or let somebody else take over' }).click();
  await page.getByRole('button', { name: 'Somebody else', exact: true }).click();
  await page.getByLabel('Login').fill('ana');
  await page.getByLabel('Password', { exact: true }).filter({ visible: true }).fill('ribanova-demo');
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(page.getByRole('link', { name: 'Ana Bouza, orthotist' })).toBeVisible();
  await page.goto(`${clinic.address}/password`);
  await page.getByLabel('New PIN').fill('1397');
  await page.getByLabel('Password', { exact: true }).fill('ribanova-demo');
  await page.getByRole('button', { name: 'Choose the PIN' }).click();
  await expect(page.getByText('Chosen.')).toBeVisible();

  await openStage(page, clinic, 'Sabela Outeiro', 'review');
  const note = page
    .getByLabel('Note (may stay empty)')
    .or(page.getByRole('main').getByRole('textbox').last());
  await note.first().fill('says the strap slips');
  await page.getByRole('button', { name: 'Lock, or let somebody else take over' }).click();
  await expect(page.getByRole('heading', { name: 'Who is here?' })).toBeVisible();
  await expect(page.getByText('Sabela Outeiro')).toBeHidden();
  // a reload leaves it locked
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Who is here?' })).toBeVisible();
  await page.getByRole('button', { name: /^Teo Varela/ }).click();
  await page.getByLabel('PIN of Teo Varela').fill('9999');
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(page.getByText('The PIN is wrong.')).toBeVisible();
  await page.getByLabel('PIN of Teo Varela').fill('2580');
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(page.getByText('says the strap slips')).toHaveCount(0);
  await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Lock, or let somebody else take over' }).click();
  await page.getByRole('button', { name: /^Ana Bouza/ }).click();
  await page.getByLabel('PIN of Ana Bouza').fill('1397');
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(note.first()).toHaveValue('says the strap slips');
  // the same person, locked and unlocked: the page stands as it stood
  await page.getByRole('button', { name: 'Lock, or let somebody else take over' }).click();
  await page.getByLabel('PIN of Ana Bouza').fill('1397');
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(note.first()).toHaveValue('says the strap slips');
});
