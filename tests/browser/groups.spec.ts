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
