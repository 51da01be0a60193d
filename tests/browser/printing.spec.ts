import type { Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, openLesson, signIn, test } from './app.js';

/** The page as its own print makes it. */
const printed = (page: Page, path?: string) =>
  page.pdf({ preferCSSPageSize: true, tagged: true, printBackground: true, ...(path && { path }) });

/** How many pages a PDF file has. */
const pagesOf = (file: Buffer) => (file.toString('latin1').match(/\/Type ?\/Page\b(?!s)/g) ?? []).length;

test('a week goes to paper: as many pages as promised, and what is in the box stays out', async ({ page }) => {
  await signIn(page);
  await page.getByRole('link', { name: 'Week', exact: true }).click();
  await page.getByRole('link', { name: 'Print the week' }).click();
  const count = page.getByRole('status').first();
  await expect(count).toContainText(/on \d+ pages\./);
  const promised = Number(/on (\d+) pages/.exec((await count.textContent())!)![1]);
  expect(promised).toBeGreaterThan(3);
  const file = await printed(page);
  expect(pagesOf(file)).toBe(promised);
  expect(file.toString('latin1')).toContain('/MarkInfo');

  const cards = async () => Number(/^(\d+) cards/.exec((await count.textContent())!)![1]);
  const before = await cards();
  const tick = page.getByRole('checkbox', { checked: false }).first();
  const name = (await tick.getAttribute('id'))!.split('-').pop()!;
  await tick.click();
  await expect.poll(cards).toBeLessThan(before);
  const box = page.locator('section', { has: page.getByRole('heading', { name: 'In the box, so not printed' }) });
  await box.getByRole('checkbox', { name, exact: true }).click();
  await expect.poll(cards).toBe(before);
});

test('one lesson goes to whoever takes it, as one printing and as files', async ({ page }) => {
  await signIn(page);
  await openLesson(page, 'Kestrels');
  await page.getByRole('link', { name: 'For paper' }).click();
  await expect(page.locator('.paper')).toBeVisible();
  expect(pagesOf(await printed(page))).toBe(1);
  await page.getByLabel('About').selectOption('words of my own');
  await page.getByLabel('Words, with spaces').fill('ship chat thin moth rich xyzzy');
  await page.getByRole('button', { name: 'Use these words' }).click();
  await expect(page.getByText('Left out, we don’t know how they are read: xyzzy')).toBeVisible();
  await page.getByRole('combobox', { name: 'Sheet' }).selectOption('Read and mark');
  await expect(page.locator('.paper')).toContainText('moth');

  await page.getByRole('link', { name: 'Whole lesson' }).click();
  await expect(page.locator('.sheet')).toBeVisible();
  const sides = await page.locator('.leaf').count();
  const sheets = await page.locator('.paper').count();
  expect(pagesOf(await printed(page))).toBe(1 + sheets + sides);

  await page.getByRole('link', { name: 'Files' }).click();
  const download = page.waitForEvent('download');
  await page.locator('li', { hasText: 'Slides (PPTX)' }).getByRole('link', { name: 'Get the file' }).click();
  expect((await download).suggestedFilename()).toMatch(/^Kestrels-.*-slides\.pptx$/);
});

const deep = process.env['BOLD_DEEP'] === '1';
const PAPERS = join(import.meta.dirname, '../stored/papers');

for (const paper of ['a4', 'letter'] as const)
  test(`every kind of sheet prints whole on ${paper}, as it did before`, async ({ page }) => {
    test.skip(!deep, 'the deep run has the tools to look into PDF files');
    test.setTimeout(600_000);
    await signIn(page);
    await openLesson(page, 'Kestrels');
    const address = page.url().replace('/lessons/', '/printing/');
    const kinds = readdirSync(PAPERS).filter((f) => f.endsWith('.json'));
    expect(kinds.length).toBeGreaterThan(12);
    const wanted = kinds.map((k) => k.replace('.json', ''));
    await page.route(/\/groups\/[^/]+\/sheets\//, async (route) => {
      const last = new URL(route.request().url()).pathname.split('/').pop()!;
      const isList = /^\d{4}-/.test(last);
      await route.fulfill({
        json: isList
          ? { groupName: 'Wrens', date: '2026-11-24', rungLabel: 'x', kinds: wanted, withoutAnswers: [], leftOut: [] }
          : JSON.parse(readFileSync(join(PAPERS, `${last}.json`), 'utf8')),
      });
    });
    for (const kind of wanted)
      for (const answers of paper === 'a4' ? ['', '&answers=1'] : ['']) {
        await page.goto(`${address}?sheet=${kind}${answers}`);
        await expect(page.locator('.paper')).toBeVisible();
        await page.evaluate((p) => (document.documentElement.dataset['paper'] = p), paper);
        await page.evaluate(() => document.fonts.ready);
        const file = test.info().outputPath(`${kind}.pdf`);
        await printed(page, file);
        look(`${kind} on ${paper}`, file, paper === 'a4' ? [595, 842] : [612, 792]);
        if (paper === 'a4') {
          const text = execFileSync('pdftotext', ['-layout', file, '-'])
            .toString()
            .replace(/[ \f]+/g, ' ')
            .replace(/\n\s*/g, '\n');
          expect(text).toMatchSnapshot(`${kind}${answers ? '-answers' : ''}.txt`);
        }
      }
  });

test('cards, booklets, posters and home sheets print whole', async ({ page }) => {
  test.skip(!deep, 'the deep run has the tools to look into PDF files');
  test.setTimeout(600_000);
  await signIn(page);
  await openLesson(page, 'Kestrels');
  const address = page.url().replace('/lessons/', '/printing/');
  const file = test.info().outputPath('paper.pdf');
  // As long a phrase as a school may write, on every card that has one to show.
  await page.route(/\/groups\/[^/]+\/cards\//, async (route) => {
    const cards = await (await route.fetch()).json();
    for (const card of cards.cards)
      for (const side of [card.front, card.back])
        if (side && side.says.length > 0) side.phrase = 'a child and a chick chat in the church choir loft on Sunday';
    await route.fulfill({ json: cards });
  });
  for (const [what, width, height, pages] of [
    ['cards?source=taught', 595, 842, null],
    ['cards?kind=words&size=table', 595, 842, null],
    ['cards?kind=sounds&source=taught&size=wall', 595, 842, null],
    ['cards?kind=tiles&source=taught&copies=3', 595, 842, null],
    ['booklets', 842, 595, null],
    ['booklets?booklet=tricky', 842, 595, null],
    ['booklets?booklet=sounds', 842, 595, 4],
    ['home', 595, 842, 1],
    ['home?large=1', 595, 842, 1],
    ['wall', 595, 842, 1],
    ['wall?poster=a3', 842, 1191, 1],
    ['wall?poster=tiled', 595, 842, 4],
  ] as const) {
    await page.goto(`${address}/${what}`);
    await expect(page.locator('.leaf, .paper').first()).toBeVisible();
    await page.evaluate(() => document.fonts.ready);
    await printed(page, file);
    look(what, file, [width, height], pages ?? (await page.locator('.leaf').count()), what.includes('tiled'));
    // A letter never stands over the edge of its card or page.
    const over = await page
      .locator('.card-place, .book-page')
      .evaluateAll((places) =>
        places
          .filter((p) => p.scrollWidth > p.clientWidth + 1 || p.scrollHeight > p.clientHeight + 1)
          .map((p) => p.textContent),
      );
    expect(over, what).toEqual([]);
  }
});

/** So many pages, tagged, with all its fonts in it, and no letter outside of what a printer reaches. */
function look(what: string, file: string, [width, height]: [number, number], pages = 1, isCut = false) {
  const info = execFileSync('pdfinfo', [file]).toString();
  expect(info).toMatch(/Tagged: +yes/);
  expect(Number(/Pages: +(\d+)/.exec(info)![1]), what).toBe(pages);
  const size = /Page size: +([\d.]+) x ([\d.]+)/.exec(info)!;
  expect([Math.round(Number(size[1])), Math.round(Number(size[2]))]).toEqual([width, height]);
  const fonts = execFileSync('pdffonts', [file]).toString().trim().split('\n').slice(2);
  expect(fonts.length).toBeGreaterThan(0);
  for (const font of fonts) expect(font).toMatch(/ yes (yes|no) +(yes|no) +\d+ +\d+$/);
  // What is put together of four pages goes on over the edge.
  if (isCut) return;
  const boxes = execFileSync('pdftotext', ['-bbox', file, '-']).toString();
  for (const [, left, top, right, bottom] of boxes.matchAll(
    /<word xMin="([\d.-]+)" yMin="([\d.-]+)" xMax="([\d.-]+)" yMax="([\d.-]+)"/g,
  )) {
    expect(Number(left), what).toBeGreaterThan(14);
    expect(Number(top), what).toBeGreaterThan(8);
    expect(Number(right), what).toBeLessThan(width - 14);
    expect(Number(bottom), what).toBeLessThan(height - 8);
  }
}
