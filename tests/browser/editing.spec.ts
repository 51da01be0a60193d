import type { Page } from '@playwright/test';
import { expect, signIn, test } from './app.js';

/** A ladder of the test's own, so that tests don't meet in one draft. */
async function newLadder(page: Page, name: string, from: RegExp = /^Letters first/) {
  await page.goto('/ladder');
  await page.getByRole('button', { name: 'New ladder' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name', { exact: true }).fill(name);
  await dialog.getByRole('radio', { name: from }).check();
  await dialog.getByRole('button', { name: 'Make the ladder' }).click();
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
  await expect(page.locator('.version-tag')).toContainText('Draft');
}

const rung = (page: Page, label: string) => page.getByRole('button', { name: new RegExp(`^Rung \\d+, ${label},`) });
const order = (page: Page) =>
  page.locator('.row-rung').evaluateAll((rows) => rows.map((r) => r.getAttribute('data-rung')));
const label = (page: Page, number: number) =>
  page
    .locator('.row-rung')
    .nth(number - 1)
    .locator('.rung-label');

test('a rung that is dragged makes the whole ladder answer, and stays where it is let go', async ({ page }) => {
  await signIn(page);
  await newLadder(page, 'Dragged');
  const before = await order(page);
  const from = page.locator('.row-rung').nth(13);
  const to = page.locator('.row-rung').nth(9);
  await from.scrollIntoViewIfNeeded();
  const counts = await page.locator('.row-rung .rung-count').allTextContents();
  const grip = (await from.locator('.rung-grip').boundingBox())!;
  const target = (await to.boundingBox())!;
  await page.mouse.move(grip.x + 8, grip.y + 12);
  await page.mouse.down();
  await page.mouse.move(grip.x + 8, grip.y - 20, { steps: 5 });
  await page.mouse.move(target.x + 200, target.y + 15, { steps: 10 });
  await expect(page.locator('.trial')).toHaveAttribute('data-ready', 'true');
  await expect(page.locator('.trial')).toContainText('Trying a place for f');
  await expect(page.locator('.trial')).toContainText('words come earlier');
  await expect(page.locator('.rung-count.changed').first()).toBeVisible();
  expect(await page.locator('.row-rung .rung-count').allTextContents()).not.toEqual(counts);
  expect(await order(page)).toEqual(before);
  await page.mouse.up();
  await expect.poll(() => order(page)).not.toEqual(before);
  await expect(label(page, 10)).toHaveText('f');
  await expect(page.locator('.version-tag')).toContainText('one difference');
  expect(await page.locator('.row-rung .rung-count').allTextContents()).not.toEqual(counts);
});

test('a tricky word is dragged to another rung', async ({ page }) => {
  await signIn(page);
  await newLadder(page, 'Tricky moved');
  const chip = page.locator('.tricky-chip', { hasText: /^the$/ });
  const target = page.locator('.row-rung').nth(10);
  const a = (await chip.boundingBox())!;
  const b = (await target.boundingBox())!;
  await page.mouse.move(a.x + 10, a.y + 10);
  await page.mouse.down();
  await page.mouse.move(a.x + 10, a.y + 30, { steps: 4 });
  await page.mouse.move(b.x + 600, b.y + 15, { steps: 8 });
  await expect(page.locator('.trial')).toContainText('Trying “the”');
  await page.mouse.up();
  await expect(target.locator('.tricky-chip', { hasText: /^the$/ })).toBeVisible();
});

test('a broken rule is named on its rung, the best place mends it, and one key takes that back', async ({ page }) => {
  await signIn(page);
  await newLadder(page, 'Broken');
  await expect(page.getByText('No rung has a warning.')).toBeVisible();
  await rung(page, 'i-e').click();
  await page.keyboard.press('Control+x');
  await page.locator('.row-rung').nth(1).locator('.rung').click();
  await page.keyboard.press('Control+v');
  await rung(page, 'i-e').click();
  const panel = page.locator('.rung-panel');
  await expect(panel).toContainText('i-e /aɪ/ comes before its part i /ɪ/. Teach i /ɪ/ first.');
  await expect(page.locator('.row-rung', { hasText: 'i-e' }).locator('.flag-warning')).toBeVisible();
  await expect(panel.getByRole('button', { name: /Try this move/ })).toBeVisible();
  await page.keyboard.press('m');
  await expect(page.getByText('No rung has a warning.')).toBeVisible();
  await page.keyboard.press('u');
  await expect(panel).toContainText('Teach i /ɪ/ first.');
});

test('ten steps are undone and done again', async ({ page }) => {
  await signIn(page);
  await newLadder(page, 'Ten steps');
  const orders = [await order(page)];
  for (let i = 0; i < 10; i++) {
    await page
      .locator('.row-rung')
      .nth(20 + i)
      .locator('.rung')
      .click();
    await page.keyboard.press('Alt+ArrowUp');
    await page.keyboard.press('Enter');
    await expect.poll(() => order(page)).not.toEqual(orders[i]);
    await expect(page.locator('.trial')).toHaveCount(0);
    orders.push(await order(page));
  }
  for (let i = 9; i >= 0; i--) {
    await page.keyboard.press('u');
    await expect.poll(() => order(page)).toEqual(orders[i]);
  }
  await expect(page.getByRole('button', { name: /^Undo/ })).toBeDisabled();
  for (let i = 1; i <= 10; i++) {
    await page.keyboard.press('y');
    await expect.poll(() => order(page)).toEqual(orders[i]);
  }
});

test.describe('two leads at once', () => {
  test.use({ expectedErrors: [/409/] });

  test('what does not touch is merged, what does is shown from both sides', async ({ page, browser }) => {
    await signIn(page);
    await newLadder(page, 'Shared');
    const address = page.url();
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
    const other = await context.newPage();
    await other.goto(new URL('/sign-in', address).href);
    await signIn(other, 'deputy');
    await other.goto(address);
    await expect(other.locator('.rung-grip').first()).toBeVisible();

    const carry = async (who: Page, name: string, key: string) => {
      await rung(who, name).click();
      await who.keyboard.press(key);
      await who.keyboard.press('Enter');
      await expect(who.locator('.trial')).toHaveCount(0);
    };
    await carry(other, 'sh', 'Alt+ArrowDown');
    await expect(other.locator('.version-tag')).toContainText('one difference');
    await carry(page, 'w', 'Alt+ArrowDown');
    await expect(page.locator('.version-tag')).toContainText('2 differences');

    await carry(other, 'oi', 'Alt+ArrowUp');
    await expect(page.locator('.version-tag')).toContainText('2 differences');
    await carry(page, 'oi', 'Alt+ArrowDown');
    const conflict = page.locator('.conflict');
    await expect(conflict).toContainText('What Iris Calder did');
    await expect(conflict).toContainText('oi moved from rung');
    await expect(conflict).toContainText('moved: oi');
    await expect(page.locator('.version-tag')).toContainText('3 differences');
    await conflict.getByRole('button', { name: 'Leave it as it is' }).click();
    await expect(conflict).toHaveCount(0);
    expect(await order(page)).toEqual(
      await other
        .reload()
        .then(() => other.locator('.rung-grip').first().waitFor())
        .then(() => order(other)),
    );
    await context.close();
  });
});

test('a blank ladder is filled, split, joined, named and published by keyboard alone', async ({ page }) => {
  test.slow();
  await signIn(page);
  await newLadder(page, 'From nothing', /^An empty ladder/);
  await expect(page.getByText('There is nothing on this ladder yet. Add its first rung.')).toBeVisible();
  const add = async (what: string, option: RegExp) => {
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('searchbox').fill(what);
    await expect(dialog.getByRole('button', { name: option })).toBeVisible();
    await dialog.getByRole('button', { name: option }).press('Enter');
  };
  await page.keyboard.press('a');
  await add('m', /^m for \/m\//);
  await add('a', /^a for \/æ\//);
  await page.getByRole('dialog').getByRole('button', { name: 'Add the rung' }).press('Enter');
  await expect(page.getByText('This ladder has one rung.')).toBeVisible();
  await expect(label(page, 1)).toHaveText('m a');
  await page.keyboard.press('a');
  await add('t', /^t for \/t\//);
  await page.getByRole('dialog').getByRole('button', { name: 'Add the rung' }).press('Enter');
  await expect(label(page, 2)).toHaveText('t');
  await page.locator('.rung').first().press('ArrowUp');
  await page.locator('.rung').first().focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Split in two' }).press('Enter');
  await expect(page.locator('.row-rung')).toHaveCount(3);
  await page.locator('.rung').first().press('Enter');
  await page.getByRole('button', { name: 'Join with the next' }).press('Enter');
  await expect(page.locator('.row-rung')).toHaveCount(2);
  await page.getByRole('button', { name: 'Review day after' }).press('Enter');
  await expect(label(page, 2)).toHaveText('Review day');
  await page.locator('.rung').first().press('Enter');
  await page.getByLabel('Put a tricky word here').fill('the');
  await page.getByLabel('Put a tricky word here').press('Enter');
  await expect(page.locator('.row-rung').first().locator('.tricky-chip')).toHaveText('the');
  await page.getByRole('button', { name: 'Rename' }).press('Enter');
  await page.getByRole('textbox', { name: 'Name of this stretch' }).fill('The very start');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: /The very start/ })).toBeVisible();
  await page.locator('.rung').nth(1).press('Delete');
  await expect(page.locator('.row-rung')).toHaveCount(2);
  await expect(label(page, 2)).toHaveText('t');
  await page.keyboard.press('u');
  await expect(page.locator('.row-rung')).toHaveCount(3);

  await page.keyboard.press('p');
  await page.getByLabel(/Name for the history/).fill('First try');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.locator('.version-tag')).toContainText('the same as version 1');
  await page.keyboard.press('h');
  await expect(page.getByRole('dialog')).toContainText('Version 1: First try');
});

test('the tricky words are listed with where they become readable, and suggestions are taken with a number', async ({
  page,
}) => {
  await signIn(page);
  await newLadder(page, 'Suggested', /^Short vowels first/);
  await page.keyboard.press('t');
  const panel = page.locator('.rung-panel');
  await expect(panel.getByRole('row', { name: /^the / })).toBeVisible();
  await rung(page, 'l').click();
  await page.keyboard.press('Control+x');
  await rung(page, 'sh').click();
  await page.keyboard.press('Control+v');
  await expect(page.getByText(/rungs have a warning|One rung has a warning/)).toBeVisible();
  await page.getByRole('button', { name: 'Suggested moves' }).click();
  await expect(panel.locator('.suggestions li').first()).toContainText('l: from rung', { timeout: 60_000 });
  await page.keyboard.press('1');
  await expect(page.getByText('No rung has a warning.')).toBeVisible();
  await page.keyboard.press('u');
  await expect(page.getByText(/rungs have a warning|One rung has a warning/)).toBeVisible();
});

test('a hundred and fifty rungs stay readable, and all of them can be reached by keyboard', async ({ page }) => {
  await signIn(page);
  await newLadder(page, 'Long', /^Sounds first/);
  expect(await page.locator('.row-rung').count()).toBeGreaterThanOrEqual(150);
  await page.getByLabel('Compare with').selectOption('Fernhollow letters first');
  await expect(page.locator('.curve-other')).toHaveCount(124);
  await page.getByLabel('Compare with').selectOption('no other');
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
  const heights = await page
    .locator('.row-rung')
    .evaluateAll((rows) => rows.map((r) => r.getBoundingClientRect().height));
  expect(Math.min(...heights)).toBeGreaterThanOrEqual(40);
  expect(Math.max(...heights)).toBeLessThan(70);
  await page.locator('.rung').last().click();
  await page.keyboard.press('Alt+ArrowUp');
  await page.keyboard.press('Escape');
  await page.keyboard.press('ArrowUp');
  await expect(page.locator('.rung').nth((await page.locator('.rung').count()) - 2)).toBeFocused();
});
