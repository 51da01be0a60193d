import type { Page } from '@playwright/test';
import { accountOf, expect, expectAccessible, openLesson, signIn, test } from './app.js';

const fitsTheWidth = (page: Page) => page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth);

/** Every page, each looked at by axe at the usual size and on a small laptop at 125%. */
test('every page is accessible and fits a small laptop', async ({ page }) => {
  test.slow();
  const look = async () => {
    await expectAccessible(page);
    await page.setViewportSize({ width: 1024, height: 614 });
    expect(await fitsTheWidth(page), page.url()).toBe(true);
    await page.setViewportSize({ width: 1280, height: 800 });
  };
  await page.goto('/sign-in');
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await look();
  await signIn(page);
  await expect(page.getByRole('heading', { name: 'Otters' })).toBeVisible();
  await look();
  await page.goto('/ladder');
  await page.locator('.rung').nth(34).click();
  await expect(page.locator('.rung-words li').first()).toBeVisible();
  await look();
  await openLesson(page, 'Otters');
  await page.locator('.tile').first().getByRole('button').first().click();
  await look();
  await page.keyboard.press('c');
  await expect(page.getByRole('dialog')).toBeVisible();
  await look();
  await page.keyboard.press('Escape');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('Open the board');
  await look();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.keyboard.press('p');
  await expect(page.locator('.sheet')).toBeVisible();
  await look();
  await page.goBack();
  await page.keyboard.press('b');
  for (let i = 0; i < 5; i++) {
    await look();
    await page.keyboard.press(' ');
  }
  for (const address of ['/week?weeks=2', '/words/ship?with=sh', '/templates', '/audit', '/calendar', '/style']) {
    await page.goto(address);
    await expect(page.locator('h1')).toBeVisible();
    await expect(page.locator('.week, .word-panel, .slots, .audit, .settings').first()).toBeVisible();
    await look();
  }
  await openLesson(page, 'Otters');
  await page.keyboard.press('g');
  await expect(page.locator('.gather')).toBeVisible();
  await look();
  const printing = page.url().replace('/gather/', '/printing/');
  for (const [what, shown] of [
    ['sheets', '.paper'],
    ['cards', '.card-face'],
    ['booklets?booklet=sounds', '.book-page'],
    ['home', '.home'],
    ['wall', '.poster'],
    ['pack', '.card-face'],
    ['files', 'text=Slides (PPTX)'],
  ] as const) {
    await page.goto(`${printing}/${what}`);
    await expect(page.locator(shown).first()).toBeVisible();
    await look();
  }
  await page.goto('/about');
  await expect(page.getByText('not yet been read by a qualified teacher')).toBeVisible();
  await look();
  await page.goto('/nowhere');
  await expect(page.getByText('no page at this address')).toBeVisible();
  await look();
});

test('the lesson prints on one page', async ({ page }) => {
  await signIn(page);
  for (const group of ['Otters', 'Badgers']) {
    await openLesson(page, group);
    await page.keyboard.press('p');
    await expect(page.locator('.sheet')).toBeVisible();
    for (const saying of [false, true]) {
      if (saying) await page.getByLabel('What to say').click();
      await expect(page.getByLabel('What to say')).toBeChecked({ checked: saying });
      const pdf = await page.pdf({ preferCSSPageSize: true, printBackground: true, tagged: true });
      expect(pdf.toString('latin1').match(/\/Type\s*\/Page\b(?!s)/g)).toHaveLength(1);
    }
  }
});

test('on a phone the pages a teacher carries about fit, and every place is in the menu', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/sign-in');
  await page.getByLabel('Email address').fill(accountOf('lead').email);
  await page.getByLabel('Password').fill(accountOf('lead').password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  for (const place of ['Week', 'Ladder', 'Calendar', 'Our school’s way', 'Groups']) {
    await page.getByRole('button', { name: 'Menu' }).click();
    await page.getByRole('link', { name: place, exact: true }).click();
    await expect(page.getByRole('link', { name: place, exact: true })).toBeHidden();
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    expect(await fitsTheWidth(page), place).toBe(true);
  }
  await page.getByRole('link', { name: 'Open lesson for Otters' }).click();
  await expect(page.locator('.part-apply')).toBeVisible();
  expect(await fitsTheWidth(page)).toBe(true);
  await expectAccessible(page);
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('link', { name: 'What to gather' }).click();
  await expect(page.locator('.gather')).toBeVisible();
});

test('on a small laptop the navigation is one line', async ({ page }) => {
  await page.setViewportSize({ width: 1024, height: 614 });
  await signIn(page);
  const tops = await page
    .locator('.places a, .who')
    .evaluateAll((links) => links.map((l) => l.getBoundingClientRect().bottom));
  expect(Math.max(...tops) - Math.min(...tops)).toBeLessThan(16);
});
