import { expect, signIn, test } from './app.js';

test('the ladder shows its rungs, a chosen rung its words with their graphemes', async ({ page }) => {
  await signIn(page);
  await page.getByRole('link', { name: 'Ladder', exact: true }).click();
  await expect(page.locator('.rung').first()).toBeVisible();
  expect(await page.locator('.rung').count()).toBeGreaterThan(100);
  await expect(page.getByText('Otters next')).toBeVisible();
  await expect(page.getByText('No rung has a warning.')).toBeVisible();
  const shares = await page.locator('.row-rung .rung-share').allTextContents();
  const numbers = shares.map((s) => Number(/(\d+)%/.exec(s)![1]));
  expect(numbers).toEqual([...numbers].sort((a, b) => a - b));
  expect(numbers.at(-1)).toBeGreaterThan(80);

  await page.getByRole('button', { name: /^Rung \d+, sh,/ }).click();
  const panel = page.locator('.rung-panel');
  await expect(panel.getByRole('heading', { name: /^Rung \d+: sh$/ })).toBeVisible();
  await expect(panel.getByRole('row', { name: /sh says/ })).toContainText('%');
  const shop = panel.locator('li', { hasText: 'shop' }).first();
  await expect(shop.locator('.run')).toHaveText(['sh', 'o', 'p']);
  const all = await panel.locator('.rung-words li').count();
  await panel.getByLabel(/Known at five only/).check();
  expect(await panel.locator('.rung-words li').count()).toBeLessThan(all);
  await panel.getByLabel(/Known at five only/).uncheck();
  await panel.getByRole('searchbox').fill('fi');
  await expect(panel.locator('.rung-words li')).toHaveCount(1);
  await panel.getByRole('searchbox').fill('');
  await panel.getByLabel('Word pattern').selectOption('CVC');
  await expect(panel.locator('.rung-words li', { hasText: 'shop' })).toHaveCount(1);
  await expect(panel.locator('.rung-words li', { hasText: 'ash' }).filter({ hasNotText: /[a-z]ash/ })).toHaveCount(0);
  await panel.getByLabel('Word pattern').selectOption('');
  await panel.getByLabel('Where in the word').selectOption('end');
  await expect(panel.locator('.rung-words li', { hasText: 'fish' }).first()).toBeVisible();
  await expect(panel.locator('.rung-words li', { hasText: 'shop' })).toHaveCount(0);
  await panel.getByLabel('Where in the word').selectOption('');
  await panel.getByRole('searchbox').fill('zzz');
  await expect(panel).toContainText('None of these words');
});

test('the arrow keys climb the ladder', async ({ page }) => {
  await signIn(page);
  await page.goto('/ladder');
  await page.locator('.rung').nth(5).click();
  await page.keyboard.press('ArrowDown');
  await expect(page.locator('.rung').nth(6)).toBeFocused();
  await expect(page.locator('.rung-panel h2')).toContainText('Rung 7');
  await expect(page).toHaveURL(/rung=/);
});
