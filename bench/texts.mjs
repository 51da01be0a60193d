// What texts cost: a page while it is typed in a browser (each letter a check of the whole page), and the same checks, a
// book and the shelf asked of the server, each beside a bare endpoint of the same server that asks the database once.
import { chromium } from 'playwright-core';

const [base, email, password] = process.argv.slice(2);
const TIMES = 24;
const SENTENCES = [
  'Sam and his dad went down to the shops in the rain.',
  'A strange green light was shining from the old boat house.',
  'They crept along the path and looked through the window.',
  'Inside was a fox with a lamp, mending a small red sail.',
  '“Come in,” said the fox, “but please shut the door.”',
];
const page300 = Array.from({ length: 28 }, (_, i) => SENTENCES[i % SENTENCES.length]).join(' ');
const book = Array.from({ length: 4_700 }, (_, i) => SENTENCES[i % SENTENCES.length]).join(' ');

const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
const page = await context.newPage();
await page.goto(`${base}/sign-in`);
await page.getByLabel('Email address').fill(email);
await page.getByLabel('Password').fill(password);
await page.getByRole('button', { name: 'Sign in' }).click();
await page.locator('.top .dropdown-toggle').waitFor();
let [address, headers] = ['', {}];
page.on('request', (r) => {
  if (r.url().endsWith('/texts/check')) [address, headers] = [r.url(), r.headers()];
});
await page.goto(`${new URL(page.url()).href.replace(/\/$/, '')}/texts`);
const field = page.getByRole('textbox', { name: 'The text', exact: true });
const checked = () => page.waitForResponse((r) => r.url().endsWith('/texts/check'));
await Promise.all([checked(), field.fill(page300)]);

const middle = (took) => took.sort((a, b) => a - b)[took.length >> 1];

/** Milliseconds of the middle of so many answers, the first ones left out: code is compiled with them. */
async function times(ask) {
  const took = [];
  for (let i = 0; i < TIMES + 8; i++) {
    const begun = performance.now();
    const answer = await ask(i);
    if (!answer.ok()) throw new Error(`${answer.url()}: ${answer.status()} ${(await answer.text()).slice(0, 200)}`);
    await answer.body();
    if (i >= 8) took.push(performance.now() - begun);
  }
  return middle(took);
}

const get = (path) => () => context.request.get(path.startsWith('http') ? path : `${base}${path}`);
const check = (text) => (i) =>
  context.request.post(address, {
    headers: { 'x-xsrf-token': headers['x-xsrf-token'] },
    data: { ...asked, text: `${text} ${'a'.repeat(i + 1)}` },
  });
const school = /\/api\/schools\/[^/]+/.exec(address)[0];
const groups = await (await context.request.get(`${base}${school}/groups`)).json();
const asked = { level: { groupId: groups[0].id }, told: [], namesTold: false, firstWords: [], bar: 100 };
const bare = await times(get('/bench/bare'));
console.log('| what | milliseconds | times the bare one |\n| --- | --- | --- |');
const row = (what, took) => console.log(`| ${what} | ${took.toFixed(1)} | ${(took / bare).toFixed(1)} |`);
row('a bare endpoint', bare);
row('a page of 300 words checked', await times(check(page300)));
row('three pages', await times(check(`${page300} ${page300} ${page300}`)));
row('a book of 50,000 words checked', await times(check(book)));
row('the shelf', await times(get(`${school}/books?bar=95`)));

// From a letter to the marks of what was typed, the pause after it left out.
const typed = [];
await field.press('End');
for (let i = 0; i < TIMES + 4; i++) {
  const answer = checked();
  await field.pressSequentially('a');
  await answer;
  const marks = await page.evaluate(
    () => performance.getEntriesByType('resource').findLast((e) => e.name.endsWith('/texts/check')).duration,
  );
  if (i >= 4) typed.push(marks);
}
row('a letter typed in a browser, until the answer is there', middle(typed));
await browser.close();
