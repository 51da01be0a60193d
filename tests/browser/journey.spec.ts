import { expect, fromAccount, openLesson, signIn, test } from './app.js';

test('a lead signs in, sees today’s lesson, changes it, teaches it from the board and closes it', async ({ page }) => {
  await page.goto('/');
  // The page leaves for the door by itself.
  await page.waitForURL(/\/sign-in/);
  await signIn(page);
  await expect(page.getByText('Fernhollow Primary')).toBeVisible();
  await openLesson(page, 'Kestrels');
  await expect(page.getByText('Today’s lesson')).toBeVisible();
  for (const part of ['Revisit', 'Teach', 'Practise', 'Apply'])
    await expect(page.getByRole('heading', { name: part })).toBeVisible();

  // A word answers "why this one?", "keep" and "another" in one key each.
  const read = page.locator('[data-activity="practise-read"]');
  const words = () => read.locator('[data-word]').evaluateAll((tiles) => tiles.map((t) => t.getAttribute('data-word')));
  const first = read.locator('.tile').first();
  await first.getByRole('button').first().focus();
  await page.keyboard.press('w');
  await expect(first).toContainText(/uses|brings back|known at five|last seen|taps/);
  await page.keyboard.press('k');
  await expect(first).toHaveClass(/kept/);
  const before = await words();
  await read.getByRole('button', { name: /Choose others/ }).click();
  await expect.poll(words).not.toEqual(before);
  expect(await words()).toContain(before[0]);
  await page.keyboard.press('u');
  await expect.poll(words).toEqual(before);
  const second = read.locator('.tile').nth(1);
  await second.getByRole('button').first().focus();
  await page.keyboard.press('a');
  await expect.poll(words).not.toEqual(before);

  // The board opens with one key and ends after the last thing.
  await page.keyboard.press('b');
  await expect(page).toHaveURL(/\/board$/);
  await expect(page.getByText('Cards, shuffled')).toBeVisible();
  for (let i = 0; i < 400 && !(await page.getByText('The end').isVisible()); i++) await page.keyboard.press(' ');
  await expect(page.getByText('The end')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.locator('.status')).toHaveText('Planned');

  await page.keyboard.press('c');
  await expect(page.getByRole('dialog')).toContainText('counts as taught from now on');
  await page.getByRole('dialog').getByRole('button', { name: 'Close lesson' }).click();
  await expect(page.locator('.status')).toHaveText('Taught');
  await page.reload();
  await expect(page.locator('.status')).toHaveText('Taught');
  await expect(read.getByRole('button', { name: /Choose others/ })).toHaveCount(0);

  await page.getByRole('link', { name: /Day after/ }).click();
  await expect(page.getByText('Next teaching day')).toBeVisible();
  await expect(page.locator('.status')).toHaveText('Planned');
  await page.keyboard.press('c');
  await expect(page.getByRole('dialog')).toContainText('still to come');
});

test('a teacher sees their own group, signs out, and nothing is left', async ({ page }) => {
  await signIn(page, 'otters');
  await expect(page.getByRole('heading', { name: 'Otters' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Badgers' })).toHaveCount(0);
  await fromAccount(page, 'Sign out');
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'Otters' })).toHaveCount(0);
});

test('a deep link asks to sign in and then goes there', async ({ page }) => {
  await page.goto('/ladder');
  await page.waitForURL('**/sign-in?from=*');
  await signIn(page);
  await expect(page).toHaveURL(/\/ladder$/);
  await expect(page.locator('.rung').first()).toBeVisible();
});

test.describe('with a wrong password', () => {
  test.use({ expectedErrors: [/401/] });

  test('the form says what to do and keeps what was typed', async ({ page }) => {
    await page.goto('/sign-in');
    await page.getByLabel('Email address').fill('tom@fernhollow.example');
    await page.getByLabel('Password').fill('not the password');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('alert')).toContainText('don’t match');
    await expect(page.getByLabel('Email address')).toHaveValue('tom@fernhollow.example');
  });
});

test.describe('on a day without lessons', () => {
  test.use({ expectedErrors: [/422/] });

  test('the page says so', async ({ page }) => {
    await signIn(page);
    await openLesson(page, 'Otters');
    await page.goto(page.url().replace(/\d{4}-\d\d-\d\d$/, '2026-11-28'));
    await expect(page.getByRole('alert')).toContainText('Choose a teaching day');
  });
});
