import { spawn, type ChildProcess } from 'node:child_process';
import type { Page } from '@playwright/test';
import { expect, expectAccessible, freePort, fromAccount, signIn, test } from './app.js';

const PASSWORD = 'three-calm-boats-drift';

/** A server on a database in which there is nobody, and the one-time address that it prints. */
async function startEmpty(): Promise<{ server: ChildProcess; base: string; first: string }> {
  const base = `http://127.0.0.1:${await freePort()}`;
  const app = process.env['BOLD_APP']!;
  const server = spawn('dotnet', [`${app}/BoldLadder.Web.dll`, '--urls', base], {
    cwd: app,
    env: { ...process.env, ConnectionStrings__App: process.env['BOLD_EMPTY'] },
  });
  const first = await new Promise<string>((found, failed) => {
    let said = '';
    server.stdout.on('data', (more: Buffer) => {
      said += more.toString();
      const address = /There is no school here yet.* (http\S+)/.exec(said)?.[1];
      if (address) found(address);
    });
    server.once('exit', () => failed(new Error(said)));
  });
  return { server, base, first };
}

async function makeAccount(page: Page, name: string, email: string) {
  await page.getByLabel('Your name, as colleagues know you').fill(name);
  await page.getByLabel('Email address').fill(email);
  await page.getByLabel('Password').fill(PASSWORD);
}

/** The demo school in its own school, beside the new one; left, and deleted. */
async function lookRound(page: Page) {
  await page.getByRole('button', { name: 'Look round the demo first' }).click();
  await page.getByRole('button', { name: 'Go into the demo school' }).click({ timeout: 60_000 });
  await expect(page.getByRole('heading', { name: 'Kestrels' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Back to Harbour Lane Primary' }).click();
  await expect(page.getByRole('heading', { name: 'Your school’s first steps' })).toBeVisible();
  await page.getByRole('button', { name: 'Go into the demo school' }).click();
  await page.getByRole('button', { name: 'Delete the demo school' }).click();
  await page.getByRole('button', { name: 'Delete it' }).click();
  await expect(page.getByRole('button', { name: 'Look round the demo first' })).toBeVisible();
}

test('from nothing to a lesson of one’s own group, with a teacher who was invited and signs in', async ({
  page,
  browser,
}) => {
  test.slow();
  const { server, first } = await startEmpty();
  try {
    await page.goto(first);
    await expectAccessible(page);
    await page.getByLabel('Name of the school').fill('Harbour Lane Primary');
    await makeAccount(page, 'Nell Marsh', 'nell@harbourlane.example');
    await page.getByRole('button', { name: 'Make the school' }).click();
    await expect(page.getByRole('heading', { name: 'Your school’s first steps' })).toBeVisible();
    await expectAccessible(page);

    await lookRound(page);

    await page.getByRole('link', { name: 'Say when school is open' }).click();
    await page.getByRole('button', { name: 'Read dates from a file' }).click();
    await page.getByLabel('File with dates').setInputFiles({
      name: 'dates.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(
        'name,first,last\nAutumn term,07/09/2026,11/12/2026\nHalf term,05/10/2026,09/10/2026\nBook fair,04/11/2026,\nOdd,03/04,\n',
      ),
    });
    await page.getByLabel(/How is 07\/09\/2026 meant/).selectOption('The day comes first');
    const dialog = page.getByRole('dialog');
    await expect(dialog.getByRole('status')).toHaveText('The calendar would have 1 term and 5 closed days.');
    await expect(dialog.getByText('“03/04” has no year')).toBeVisible();
    await expect(page.getByLabel('Book fair is taken as')).toHaveValue('other');
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Put them into the calendar' }).click();
    await page.getByRole('button', { name: 'Save calendar' }).click();
    await expect(page.getByText('Saved. All dates follow it.')).toBeVisible();

    await page.getByRole('link', { name: 'Groups', exact: true }).click();
    await expect(page.locator('[data-step="year"]')).toContainText('1 term, 5 closed days');
    await page.getByRole('link', { name: 'Choose a ladder' }).click();
    await expect(page.locator('[data-start]')).toHaveCount(3);
    await expectAccessible(page);
    await page.getByRole('button', { name: /^Take “Letters first”/ }).click();
    await expect(page.locator('.rung').first()).toBeVisible();

    await page.getByRole('link', { name: 'Groups', exact: true }).click();
    await page.getByRole('button', { name: 'Make a group' }).click();
    await page.getByLabel('Name').fill('Herons');
    await page.getByLabel('Comes to next').selectOption({ index: 20 });
    await page.getByRole('button', { name: 'Make the group' }).click();
    await expect(page.getByRole('heading', { name: 'Herons' })).toBeVisible();
    await expect(page.getByText(/20 of \d+ rungs taught/)).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Your school’s first steps' })).toBeHidden();
    const left = page.getByRole('region', { name: 'Still to do' });
    await expect(left.getByRole('link')).toHaveText(['Invite colleagues', 'Add children']);
    await left.getByRole('button', { name: 'Put this away' }).click();
    await expect(left).toHaveCount(0);

    await page.locator('.top .dropdown-toggle').click();
    await page.getByRole('link', { name: 'People' }).click();
    await page.getByRole('button', { name: 'Invite someone' }).click();
    await page.getByLabel('Whom it is for').fill('Ada');
    await page.getByLabel('Herons').check();
    await page.getByRole('button', { name: 'Make the link' }).click();
    const link = await page.getByLabel('Address of the link').inputValue();
    await page.getByRole('button', { name: 'Done' }).click();
    await expect(page.getByText('Links that are out')).toBeVisible();
    await expectAccessible(page);

    const elsewhere = await browser.newContext({ viewport: { width: 390, height: 844 }, serviceWorkers: 'block' });
    const ada = await elsewhere.newPage();
    await ada.goto(link);
    await expect(ada.getByRole('heading', { name: 'Come into Harbour Lane Primary' })).toBeVisible();
    await expect(ada.getByText('With Herons.')).toBeVisible();
    await expectAccessible(ada);
    await makeAccount(ada, 'Ada Quill', 'ada@harbourlane.example');
    await ada.getByRole('button', { name: 'Make my account' }).click();
    await ada.getByRole('link', { name: 'Open lesson for Herons' }).click();
    await expect(ada.locator('.part-apply')).toBeVisible();
    // The link is good for one.
    const late = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
    await late.goto(link);
    await expect(late.getByText('This link has been used')).toBeVisible();
    await elsewhere.close();

    // As a helper she sees the lesson that was planned, and nothing to change it by.
    await page.reload();
    await page.getByRole('button', { name: 'Change Ada Quill' }).click();
    await expectAccessible(page);
    await page.getByLabel('Helper').check();
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.locator('[data-person="Ada Quill"]')).toContainText('Helper');
    await fromAccount(page, 'Sign out');
    await page.getByLabel('Email address').fill('ada@harbourlane.example');
    await page.getByLabel('Password').fill(PASSWORD);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByRole('link', { name: 'Open lesson for Herons' }).click();
    await expect(page.locator('.part-apply')).toBeVisible();
    await expect(page.getByRole('link', { name: /Open board/ })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Close lesson' })).toHaveCount(0);
    await expect(page.getByRole('button', { name: 'Choose others' })).toHaveCount(0);
  } finally {
    server.kill('SIGKILL');
  }
});

test.describe('with what is refused', () => {
  test.use({ expectedErrors: [/422/] });

  test('one’s own account shows where one is signed in, and takes no weak password', async ({ page }) => {
    await signIn(page, 'others');
    await page.locator('.top .dropdown-toggle').click();
    await page.getByRole('link', { name: 'My account' }).click();
    await expect(page.getByText('here', { exact: true })).toBeVisible();
    await expectAccessible(page);
    await page.getByLabel('Your password now').fill('not-my-password');
    await page.getByLabel('The new one').fill('password123456');
    await page.getByRole('button', { name: 'Change password' }).click();
    await expect(page.getByText('among those that are tried first')).toBeVisible();
    await page.getByLabel('The new one').fill(PASSWORD);
    await page.getByRole('button', { name: 'Change password' }).click();
    await expect(page.getByText('That is not your password')).toBeVisible();
  });
});
