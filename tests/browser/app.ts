import { AxeBuilder } from '@axe-core/playwright';
import { test as base, expect, type BrowserContext, type Page } from '@playwright/test';
import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';

export { expect };

type Who = 'lead' | 'otters' | 'others' | 'deputy';

/** The demo school's accounts, as they were printed when it was loaded. */
export function accountOf(who: Who): { email: string; password: string } {
  const rows = readFileSync(process.env['BOLD_ACCOUNTS'] ?? '.run/demo-accounts.tsv', 'utf8').split('\n');
  const [, email = '', password = ''] = (rows[['lead', 'otters', 'others', 'deputy'].indexOf(who)] ?? '').split('\t');
  return { email, password };
}

export async function signIn(page: Page, who: Who = 'lead') {
  const { email, password } = accountOf(who);
  if (new URL(page.url(), 'http://x').pathname !== '/sign-in') await page.goto('/sign-in');
  await page.getByLabel('Email address').fill(email);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(account(page)).toBeVisible();
}

/** Opens the account's menu and chooses from it. */
export async function fromAccount(page: Page, item: string) {
  await account(page).click();
  await page.getByRole('button', { name: item, exact: true }).click();
  // The page leaves for the door by itself: going there at the same time would end one of the two.
  if (item.startsWith('Sign out')) await page.waitForURL(/\/sign-in/);
}

const account = (page: Page) => page.locator('.top .dropdown-toggle');

/** A port that is free just now, for a server of a test's own. */
export const freePort = () =>
  new Promise<number>((done) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => done(port));
    });
  });

/** A server of a test's own on the shared school: where it is, and how it is killed. */
export async function startServer(port?: number): Promise<{ base: string; kill: () => Promise<void> }> {
  const base = `http://127.0.0.1:${port ?? (await freePort())}`;
  const app = process.env['BOLD_APP']!;
  const server = spawn('dotnet', [`${app}/BoldLadder.Web.dll`, '--urls', base], { cwd: app, stdio: 'ignore' });
  await expect(async () => expect((await fetch(`${base}/health`)).ok).toBe(true)).toPass({ timeout: 60_000 });
  const ended = new Promise<void>((done) => server.once('exit', () => done()));
  return {
    base,
    kill: () => {
      server.kill('SIGKILL');
      return ended;
    },
  };
}

/** All that stands on the board is told from its ground from afar: 7 to 1 (WCAG 2.2, 1.4.6). */
export async function expectContrast(page: Page) {
  const { violations } = await new AxeBuilder({ page })
    .include('.board')
    .options({ runOnly: ['color-contrast-enhanced'] })
    .analyze();
  expect(violations.flatMap((v) => v.nodes.map((n) => `${n.html} ${n.failureSummary}`))).toEqual([]);
}

/** Nothing serious that axe finds on the page as it stands. */
export async function expectAccessible(page: Page) {
  // From its top: what happens to lie half under a bar that stays counts as a small target.
  await page.evaluate(() => window.scrollTo(0, 0));
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
    .analyze();
  const serious = violations.filter((v) => v.impact === 'serious' || v.impact === 'critical');
  expect(serious.map((v) => `${v.id}: ${v.nodes.map((n) => n.html).join(' ')}`)).toEqual([]);
}

export async function openLesson(page: Page, group: string) {
  await page.goto('/');
  await page.getByRole('link', { name: `Open lesson for ${group}` }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(group);
  // By its place, not its name: another test may be renaming the parts.
  await expect(page.locator('.part-apply')).toBeVisible();
}

/** The teacher's window by its key. One of its name that is just being closed takes the first try. */
export async function openTeacher(page: Page, context: BrowserContext): Promise<Page> {
  let opened: Page | null = null;
  await expect(async () => {
    const window = context.waitForEvent('page', { timeout: 3000 });
    await page.keyboard.press('t');
    opened = await window;
  }).toPass();
  return opened!;
}

/**
 * A test fails on any request off this machine, any console error and any uncaught exception, unless it says which it
 * expects.
 */
export const test = base.extend<{ expectedErrors: RegExp[]; watched: undefined }>({
  expectedErrors: [[], { option: true }],
  watched: [
    async ({ page, expectedErrors }, use) => {
      const wrong: string[] = [];
      page.on('request', (r) => {
        const host = new URL(r.url()).hostname;
        if (!r.url().startsWith('data:') && host !== '127.0.0.1') wrong.push(`request to ${r.url()}`);
      });
      page.on('console', (m) => {
        if (m.type() === 'error' && !expectedErrors.some((e) => e.test(m.text()))) wrong.push(`console: ${m.text()}`);
      });
      page.on('pageerror', (e) => wrong.push(`exception: ${e.message}`));
      await use(undefined);
      expect(wrong).toEqual([]);
    },
    { auto: true },
  ],
});

/**
 * What children read on the board stands within the screen, and its letters are over 6% of the screen high: they are
 * 0.73 of the size of the face. A crossword's boxes and the tray of everything taught are smaller.
 */
export async function expectReadable(page: Page) {
  const wrong = await page.evaluate(() => {
    const least = (0.06 * window.innerHeight) / 0.73;
    const content = document.querySelector('.board-content');
    const found: string[] = [];
    for (const element of content?.querySelectorAll('.literacy, .literacy *') ?? []) {
      const text = [...element.childNodes].filter((n) => n.nodeType === Node.TEXT_NODE && n.textContent?.trim());
      if (
        text.length === 0 ||
        element.closest('svg, .crossword-clues, .board-tray-many, .board-aside, .visually-hidden')
      )
        continue;
      const what = element.textContent?.slice(0, 20);
      const size = parseFloat(getComputedStyle(element).fontSize);
      if (size < least && !element.closest('.board-tick, .board-more'))
        found.push(`${what} is ${size.toFixed(0)} px, not ${least.toFixed(0)}`);
      const box = element.getBoundingClientRect();
      if (element.closest('button')) {
        const target = element.closest('button')!.getBoundingClientRect();
        if (target.width < 47.5 || target.height < 47.5) found.push(`${what} is too small to touch`);
      }
      if (box.left < -1 || box.top < -1 || box.right > window.innerWidth + 1 || box.bottom > window.innerHeight + 1)
        found.push(`${what} runs out of the screen`);
    }
    return found;
  });
  expect(wrong).toEqual([]);
}
