import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, expectAccessible, openLesson, signIn, startServer, test } from './app.js';

test.use({ expectedErrors: [/INTERNET_DISCONNECTED/] });

const PHONE = { width: 390, height: 800 };

test('a class is marked on a phone without network, and what was missed comes back and says why', async ({
  page,
  context,
}) => {
  await signIn(page);
  await openLesson(page, 'Kestrels');
  await page.setViewportSize(PHONE);
  await page.getByRole('link', { name: 'Mark', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Mark Kestrels' })).toBeVisible();
  await expectAccessible(page);

  // Nothing is lost while the server is away, not even with the page gone.
  await context.setOffline(true);
  const children = page.locator('.mark-children > li > button:not([disabled])');
  const words = await page.locator('.mark-words button').count();
  let taps = 0;
  for (let i = 0; i < 4; i++) {
    await children.nth(i).click();
    await page.locator('.mark-graphemes button').first().click();
    taps += 2;
  }
  for (let w = 0; w < words; w++) {
    await page.getByRole('button', { name: 'The rest is right: next word' }).click();
    taps++;
  }
  expect(taps).toBe(8 + words);
  await expect(page.getByText(/kept on this device/)).toBeVisible();
  const marks = page.url();
  await page.close();
  await context.setOffline(false);
  const again = await context.newPage();
  await again.setViewportSize(PHONE);
  await again.goto(marks);
  await expect(again.getByText('All marks are kept.')).toBeVisible();
  await expect(again.locator('.mark-words button', { hasText: '✓' })).toHaveCount(words);

  await again.getByRole('link', { name: 'Group today' }).click();
  await expect(again.getByRole('heading', { name: 'What comes back next' })).toBeVisible();
  await expect(again.getByText(/children had it wrong last time/).first()).toBeVisible();
  await expect(again.getByRole('heading', { name: 'Who wobbles on what' })).toBeVisible();
  await expectAccessible(again);
});

/** What a hand takes for a tap, finding its place with it, in seconds. */
const TAP = 2.5;

test('a class of thirty takes under two minutes, and neither a killed server nor a closed browser loses a mark', async ({
  baseURL,
}, info) => {
  expect(baseURL).toBeDefined();
  test.setTimeout(240_000);
  const home = mkdtempSync(join(tmpdir(), 'bold-'));
  const { launchOptions, viewport, locale } = info.project.use;
  /** The same browser, opened again: what its pages kept is there, who was signed in is not. */
  const browser = (): Promise<BrowserContext> =>
    chromium.launchPersistentContext(home, {
      ...launchOptions,
      viewport: viewport ?? null,
      locale: locale ?? 'en-GB',
      serviceWorkers: 'block',
    });
  const marking = async (context: BrowserContext, base: string): Promise<Page> => {
    const page = await context.newPage();
    await page.goto(`${base}/sign-in`);
    await signIn(page);
    return page;
  };
  let server = await startServer();
  const { base } = server;
  let context = await browser();
  let page = await marking(context, base);
  await page.getByRole('link', { name: 'Children', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Kestrels' })).toBeVisible();
  const others = await page.getByRole('region', { name: 'Kestrels' }).locator('[data-child]').count();
  await page.getByRole('link', { name: 'Take children in' }).click();
  const names = Array.from({ length: 30 - others }, (_, i) => `Wim ${String.fromCharCode(65 + i)}`);
  await page.getByLabel('Names, one a line').fill(names.join('\n'));
  await page.getByLabel('Group').selectOption({ label: 'Kestrels' });
  await page.getByRole('button', { name: 'Show what would happen' }).click();
  await page.getByRole('button', { name: 'Take them in' }).click();
  await expect(page.getByText(`${names.length} children taken in`)).toBeVisible();
  await page.getByRole('link', { name: 'Groups', exact: true }).click();
  await page.getByRole('link', { name: 'Open lesson for Kestrels' }).click();
  await page.setViewportSize(PHONE);
  await page.getByRole('link', { name: 'Mark', exact: true }).click();
  const children = page.locator('.mark-children > li > button');
  await expect(children).toHaveCount(30);

  await server.kill();
  const words: string[] = [];
  let taps = 0;
  for (let w = 0; w < 5; w++) {
    words.push((await page.locator('.mark-words button[aria-pressed="true"]').innerText()).replace(/[^a-z']/g, ''));
    for (const child of names.slice(2 * (w % 4), 2 * (w % 4) + 2)) {
      await children.filter({ hasText: child }).click();
      await page.locator('.mark-graphemes button').first().click();
      taps += 2;
    }
    await page.getByRole('button', { name: 'The rest is right: next word' }).click();
    taps++;
  }
  expect(taps * TAP).toBeLessThan(120);
  await expect(page.getByText('15 marks are kept on this device and will be sent.')).toBeVisible();
  await context.close();

  server = await startServer(Number(new URL(base).port));
  context = await browser();
  page = await marking(context, base);
  await expect(page.getByText(/kept on this device/)).toHaveCount(0);
  await page.getByRole('link', { name: 'Open lesson for Kestrels' }).click();
  const marks = page.waitForResponse((r) => r.url().endsWith('/marks') && r.request().method() === 'GET');
  await page.getByRole('link', { name: 'Mark', exact: true }).click();
  const { children: there, seen } = (await (await marks).json()) as {
    children: { id: string; name: string }[];
    seen: { childId: string; word: string; seen: string; source: string }[];
  };
  // Each miss that was made is there once, and so is all that was right.
  const wims = new Set(there.filter((c) => names.includes(c.name)).map((c) => c.id));
  const missed = seen.filter((s) => wims.has(s.childId) && s.seen === 'wrong' && words.includes(s.word));
  expect(new Set(missed.map((s) => `${s.childId} ${s.word}`)).size).toBe(10);
  for (const word of words)
    await expect(page.locator('.mark-words button', { hasText: word }).first()).toContainText('✓');
  await context.close();
  await server.kill();
  rmSync(home, { recursive: true });
});
