import { findNothing } from '../access';
import { expect, beSignedIn, openStage, signIn, test } from '../clinic';

const stages = ['screen', 'measure', 'size', 'set', 'shape', 'strap', 'check', 'wear', 'review'];

const long = { tag: '@long' };

test('axe finds nothing on the views of the clinic, light and dark', long, async ({ page, clinic }) => {
  await page.goto(`${clinic.address}/sign-in`);
  await page.getByLabel('Login').waitFor();
  await findNothing(page, 'sign-in');
  await signIn(page, clinic);
  await page.getByText('Marta Quintela').first().waitFor();
  await findNothing(page, 'bench');
  for (const path of ['cases', 'cases/new', 'catalogue', 'catalogue/veiga-suave']) {
    await page.goto(`${clinic.address}/${path}`);
    await page.getByRole('heading', { level: 1 }).waitFor();
    await findNothing(page, path);
  }
  await page.getByRole('button', { name: 'Change the chart' }).click();
  await page.getByRole('heading', { name: 'Heights' }).waitFor();
  await findNothing(page, 'a model changed');
  await page.goto(`${clinic.address}/people`);
  await page.getByRole('link', { name: 'Marta Quintela' }).click();
  await page
    .getByRole('button', { name: /^Change the visit/ })
    .first()
    .click();
  await page.getByRole('dialog').waitFor();
  await findNothing(page, 'a person, a visit');
  await openStage(page, clinic, 'Marta Quintela', 'check');
  await page.getByRole('button', { name: 'This case' }).click();
  await page.getByRole('dialog').waitFor();
  await findNothing(page, 'how a case is kept');
});

test(
  'axe finds nothing on the pages of the administrator and of one’s own, light and dark',
  long,
  async ({ page, clinic }) => {
    await signIn(page, clinic, 'iago');
    await page.goto(`${clinic.address}/clinic`);
    await page.getByRole('button', { name: 'Change Ana Bouza' }).waitFor();
    await findNothing(page, 'clinic');
    await page.getByRole('button', { name: 'Change Ana Bouza' }).click();
    await page.getByRole('dialog').waitFor();
    await findNothing(page, 'clinic, a user');
    await page.goto(`${clinic.address}/password`);
    await page.getByLabel('New password', { exact: true }).waitFor();
    await findNothing(page, 'password');
    for (const section of ['clinic', 'instruments', 'audit', 'backup']) {
      await page.goto(`${clinic.address}/clinic/${section}`);
      await page.getByRole('heading', { level: 2 }).first().waitFor();
      await findNothing(page, `clinic, ${section}`);
    }
    await page.getByRole('button', { name: /^Lock/ }).click();
    await page.getByRole('heading', { name: 'Who is here?' }).waitFor();
    await findNothing(page, 'locked');
  },
);

test('on each stage of a knee axe finds nothing, a tablet in portrait shows all without sideways scrolling, and nothing is loaded or run that the policy of the pages forbids', async ({
  page,
  clinic,
}) => {
  const said: string[] = [];
  page.on('console', (message) => message.type() === 'error' && said.push(message.text()));
  page.on('pageerror', (error) => said.push(error.message));
  await beSignedIn(page, clinic);
  for (const stage of stages) {
    await openStage(page, clinic, 'Noa Pazos', stage);
    await page.getByRole('heading', { level: 1 }).waitFor();
    await findNothing(page, `Noa Pazos, ${stage}`);
    await page.setViewportSize({ width: 834, height: 1112 });
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
    expect({ stage, wide }).toEqual({ stage, wide: 0 });
    await expect(page.getByRole('img', { name: /drawn from the readings/ })).toBeInViewport();
    await page.setViewportSize({ width: 1280, height: 800 });
  }
  expect(said).toEqual([]);
});

for (const [what, views] of [
  [
    'on stages that are late, blocked or not begun',
    [
      ['Bento Lousado', ['wear', 'review', 'check', 'patient-sheet']],
      ['Roi Teixeira', ['screen']],
      ['Antón Freire', ['screen', 'set', 'measure']],
    ],
  ],
  [
    'on the other families and the order sheet',
    [
      ['Moncho Vilar', ['measure', 'size', 'sheet', 'set']],
      ['Xián Pereiro', ['measure']],
      ['Dores Amil', ['measure']],
      ['Lois Taboada', ['size']],
      ['Fiz Ameneiro', ['size']],
    ],
  ],
] as const)
  test(`axe finds nothing ${what}, light and dark`, long, async ({ page, clinic }) => {
    await beSignedIn(page, clinic);
    for (const [name, shown] of views)
      for (const stage of shown) {
        await openStage(page, clinic, name, stage);
        await page.getByRole('heading', { level: 1 }).waitFor();
        await findNothing(page, `${name}, ${stage}`);
      }
  });

test('reception sees the bench and no record; a technician measures and does not order', async ({
  page,
  clinic,
}) => {
  await signIn(page, clinic, 'marga');
  await expect(page.getByText('Marta Quintela').first()).toBeVisible();
  // a name leads to the person, never to the case
  await expect(page.getByRole('link', { name: 'Marta Quintela', exact: true }).first()).toHaveAttribute(
    'href',
    /^\/people\//,
  );
  await expect(page.getByRole('button', { name: 'New case' })).toHaveCount(0);
  await page.context().clearCookies();
  await signIn(page, clinic, 'teo');
  await openStage(page, clinic, 'Xoel Barreiro', 'set');
  await expect(page.getByText('Only an orthotist changes stops.')).toBeVisible();
  await openStage(page, clinic, 'Antón Freire', 'screen');
  await expect(page.getByRole('button', { name: /^None present/ })).toBeDisabled();
  await openStage(page, clinic, 'Uxia Seoane', 'measure');
  await expect(page.getByRole('button', { name: 'Take it' })).toBeEnabled();
});

test('changing a girth moves the outline, and the other leg is drawn when it is in hand', async ({
  page,
  clinic,
}) => {
  await beSignedIn(page, clinic);
  await openStage(page, clinic, 'Iria Castrelo', 'measure');
  const outline = () => page.locator('svg[role=img] path.skin').first().getAttribute('d');
  const before = await outline();
  await page.getByRole('button', { name: /^Girth above, right/ }).click();
  await page.getByLabel('Girth above right, third reading').fill('500');
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect.poll(outline).not.toBe(before);
  await expect(page.getByRole('img', { name: /^Right knee, drawn from the readings/ })).toBeVisible();
  await page.getByRole('button', { name: /^Girth above, left/ }).click();
  await expect(page.getByRole('img', { name: /^Left knee, drawn from the readings/ })).toBeVisible();
});
