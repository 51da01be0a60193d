import { accountOf, expect, expectAccessible, signIn, test } from './app.js';

test.use({ expectedErrors: [/(40[13]|422) \(/] });

test('children come in by a pasted column, are asked about, are away, move, and are erased', async ({ page }) => {
  await signIn(page);
  await page.getByRole('link', { name: 'Children', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Badgers' })).toBeVisible();
  await expectAccessible(page);

  await page.getByRole('link', { name: 'Take children in' }).click();
  await page.getByLabel('Names, one a line').fill('Pemberton, Zuri\nMalik\n2021-05-06\nZuri P');
  await page.getByLabel('Group').selectOption({ label: 'Kestrels' });
  await page.getByRole('button', { name: 'Show what would happen' }).click();
  await expect(page.getByText('Malik is in Badgers now')).toBeVisible();
  await expect(page.getByText('They are left out: 3.')).toBeVisible();
  await expect(page.getByText('1 new child, 1 moves, 2 lines left out')).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('Line 2: Malik').selectOption({ label: 'Another child' });
  await page.getByRole('button', { name: 'Take them in' }).click();
  await expect(page.getByText('2 children taken in')).toBeVisible();
  await page.getByRole('link', { name: 'See the children' }).click();
  await expect(page.getByRole('region', { name: 'Kestrels' }).locator('[data-child="Malik"]')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Badgers' }).locator('[data-child="Malik"]')).toBeVisible();

  const zuri = page.locator('[data-child="Zuri P"]');
  await zuri.getByRole('switch').click();
  await expect(zuri.getByRole('switch')).toBeChecked();

  // Long signed in: before a child's data leaves or goes, the password is asked for once more.
  const [, school] = /\/s\/([0-9a-f-]+)/.exec(page.url())!;
  await page.route(
    '**/children/*/export',
    (route) =>
      route.fulfill({
        status: 403,
        contentType: 'application/problem+json',
        body: JSON.stringify({ type: 'bold:confirm-first', detail: '' }),
      }),
    { times: 1 },
  );
  await page.getByRole('button', { name: 'Change Zuri P' }).click();
  await page.getByRole('link', { name: 'Everything kept of this child' }).click();
  await page.getByLabel('Password').fill(accountOf('lead').password);
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(page.getByRole('heading', { name: 'Everything kept of Zuri P' })).toBeVisible();
  await expect(page.getByText('Kestrels, since')).toBeVisible();
  await expectAccessible(page);

  await page.goto(`/s/${school}/children`);
  await page.getByLabel('Find a name').fill('zuri');
  await page.getByRole('button', { name: 'Change Zuri P' }).click();
  await page.getByRole('button', { name: 'Erase' }).click();
  await page.getByRole('button', { name: 'Erase for good' }).click();
  await expect(page.getByText('everything kept of one child was erased')).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByText('Nobody here is called that.')).toBeVisible();
});

test('a page with children locks when nobody is there, keeps what was typed, and opens with a PIN', async ({
  page,
}) => {
  await page.clock.install();
  await signIn(page, 'deputy');
  await page.goto('/account');
  await page.getByLabel('New PIN').fill('4071');
  await page.getByLabel('Your password', { exact: true }).fill(accountOf('deputy').password);
  await page.getByRole('button', { name: 'Save the PIN' }).click();
  await expect(page.getByText('You have a PIN.')).toBeVisible();

  await page.getByRole('link', { name: 'Children', exact: true }).click();
  await page.getByLabel('Find a name').fill('tess');
  await expect(page.locator('[data-child="Tess R"]')).toBeVisible();
  await page.clock.fastForward('09:00');
  await page.mouse.move(300, 300);
  await page.clock.fastForward('09:00');
  await expect(page.getByRole('heading', { name: 'Locked' })).toBeHidden();
  await page.clock.fastForward('02:00');
  await expect(page.getByRole('heading', { name: 'Locked' })).toBeVisible();
  await expectAccessible(page);
  expect(await page.evaluate(async () => (await fetch('/api/account')).status)).toBe(401);
  await page.getByLabel('Your PIN or password').fill('9999');
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(page.getByText('That is neither your PIN nor your password.')).toBeVisible();
  await page.getByLabel('Your PIN or password').fill('4071');
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(page.getByRole('heading', { name: 'Locked' })).toBeHidden();
  await expect(page.getByLabel('Find a name')).toHaveValue('tess');
  await expect(page.locator('[data-child="Tess R"]')).toBeVisible();
});
