import type { Page } from '@playwright/test';
import { accountOf, expect, fromAccount, openLesson, signIn, test } from './app.js';

/** What goes wrong around a page: each ends in one clear sentence, with nothing lost that was typed. */
test.describe('when the session ends in another tab', () => {
  test.use({ expectedErrors: [/401/] });

  test('signing in again goes on where it was', async ({ page, context }) => {
    await signIn(page, 'others');
    await openLesson(page, 'Badgers');
    await page.getByRole('button', { name: 'Add a note' }).click();
    const note = page.getByLabel('Note for this lesson');
    await note.fill('The hall is taken on Thursday.');
    // The same person signs out in another tab of the browser.
    const other = await context.newPage();
    await other.goto('/');
    await fromAccount(other, 'Sign out');
    await expect(other.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    await other.close();
    await page.getByRole('button', { name: 'Save note' }).click();
    await expect(page.getByRole('dialog', { name: 'Sign in again' })).toContainText('What you typed is kept');
    await signInAgain(page);
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect(note).toHaveValue('The hall is taken on Thursday.');
    await page.getByRole('button', { name: 'Save note' }).click();
    await expect(page.getByRole('button', { name: 'Save note' })).toBeDisabled();
  });
});

test('a tab left open overnight notices that it is another day', async ({ page }) => {
  await signIn(page);
  await expect(page.getByText('Tuesday 24 November').first()).toBeVisible();
  await page.route('**/api/session', async (route) => {
    const answer = await route.fetch();
    const session = (await answer.json()) as { schools: { today: string }[] };
    for (const school of session.schools) school.today = '2026-11-25';
    await route.fulfill({ json: session });
  });
  // Half a day later the tab is looked at again.
  await page.evaluate(() => {
    const now = Date.now();
    Date.now = () => now + 12 * 3_600_000;
    window.dispatchEvent(new Event('visibilitychange'));
  });
  await expect(page.getByText('Wednesday 25 November').first()).toBeVisible();
});

async function signInAgain(page: Page) {
  const { email, password } = accountOf('others');
  const dialog = page.getByRole('dialog', { name: 'Sign in again' });
  await dialog.getByLabel('Email address').fill(email);
  await dialog.getByLabel('Password').fill(password);
  await dialog.getByRole('button', { name: 'Sign in' }).click();
}
