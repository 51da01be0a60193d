import { readFileSync } from 'node:fs';
import { expect, expectAccessible, signIn, test } from './app.js';

test('a group is made, split, moved after seeing what changes, put together and kept in the archive', async ({
  page,
}) => {
  await signIn(page);
  await page.getByRole('button', { name: 'New group' }).click();
  await page.getByLabel('Name').fill('Plovers');
  await page.getByLabel('Tick what it knows').check();
  for (const rung of ['2. s', '3. t', '4. i']) await page.getByLabel(rung, { exact: true }).check();
  await page.getByLabel('Sol Whitlock').check();
  await page.getByRole('button', { name: 'Sol Whitlock: every day' }).click();
  await page.getByRole('checkbox', { name: 'Mon' }).uncheck();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Make the group' }).click();
  const plovers = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: 'Plovers' }) });
  await expect(plovers.getByText('3 of 124 rungs taught')).toBeVisible();
  await expect(plovers.getByText('Sol Whitlock (Tue, Wed, Thu, Fri)')).toBeVisible();

  await page.getByRole('button', { name: 'Change Plovers' }).click();
  await page.getByRole('button', { name: 'Move it on the ladder' }).click();
  await page.getByLabel('Comes to next').selectOption({ index: 8 });
  const changes = page.getByRole('region', { name: 'What would change' });
  await expect(changes.getByText('Counts as taught from then on')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Move it', exact: true }).click();
  await expect(plovers.getByText('7 of 124 rungs taught')).toBeVisible();

  await page.getByRole('button', { name: 'Change Plovers' }).click();
  await page.getByRole('button', { name: 'Split it in two' }).click();
  await page.getByLabel('Name').fill('Dotterels');
  await page.getByRole('button', { name: 'Split it', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Dotterels', exact: true })).toBeVisible();

  await page.getByRole('button', { name: 'Change Dotterels' }).click();
  await page.getByRole('button', { name: 'Put it together with another' }).click();
  await page.getByLabel('Its children go to').selectOption({ label: 'Plovers' });
  await expect(page.getByText('Both were taught the same.')).toBeVisible();
  await page.getByRole('button', { name: 'Put them together' }).click();
  await expect(page.getByRole('heading', { name: 'Dotterels', exact: true })).toBeHidden();

  await page.getByRole('link', { name: 'Begin a new year' }).click();
  await page.getByRole('region', { name: 'Plovers' }).getByLabel('ends').check();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Begin the year' }).click();
  await expect(page.getByRole('heading', { name: 'Plovers', exact: true })).toBeHidden();
  await page.getByRole('link', { name: 'Groups that ended' }).click();
  await page.getByRole('link', { name: 'Larks' }).click();
  await expect(page.getByRole('cell', { name: 'before its lessons were kept' }).first()).toBeVisible();
  await expectAccessible(page);
});

test('an order that was written down becomes a ladder; its table is read back; everything of the school leaves as a zip', async ({
  page,
}) => {
  await signIn(page);
  await page.goto('/ladder/paste');
  await page.getByLabel('Our order').fill('s\nm, t | the\nth\nwhat now?\nai as in rain\n-ed');
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByText('One line could mean two things.')).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'what now?' })).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('Line 3: what th stands for').selectOption({ index: 1 });
  await page.getByLabel('Name of the ladder').fill('Our old order');
  await page.getByRole('button', { name: 'Make the ladder' }).click();
  await expect(page.getByRole('heading', { name: 'Kept aside' })).toBeVisible();
  await page.getByRole('link', { name: 'See the ladder' }).click();
  await expect(page.locator('.row-rung')).toHaveCount(5);

  const saving = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save as CSV' }).click();
  const path = await (await saving).path();
  const table = readFileSync(path, 'utf8').split('\r\n');
  [table[1], table[2]] = [table[2]!, table[1]!];
  await page.getByRole('button', { name: 'Read a file back' }).click();
  await page.getByLabel('CSV or JSON of the ladder').setInputFiles({
    name: 'ladder.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(table.join('\r\n')),
  });
  await expect(page.getByRole('heading', { name: 'What it changes' })).toBeVisible();
  await page.getByRole('button', { name: 'Read it back' }).click();
  await expect(page.locator('.row-rung').first()).toContainText('m t');

  await page.goto('/school');
  await expect(page.getByLabel('Name of the school')).toHaveValue('Fernhollow Primary');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Make the zip' }).click();
  const zipping = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Fetch the file' }).click();
  expect((await zipping).suggestedFilename()).toMatch(/^school-.*\.zip$/);
});
