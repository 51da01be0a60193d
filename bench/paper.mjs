// What paper costs: a week's pack of all groups, the slides of a lesson, the sheets of a day, each asked anew of a server
// that keeps no answers, beside a bare endpoint of the same server that asks the database once; and the week's pack in a
// browser, from the press to all its pages there.
import { chromium } from 'playwright-core';

const [base, email, password] = process.argv.slice(2);
const TIMES = 12;
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
const page = await context.newPage();
await page.goto(`${base}/sign-in`);
await page.getByLabel('Email address').fill(email);
await page.getByLabel('Password').fill(password);
await page.getByRole('button', { name: 'Sign in' }).click();
await page.locator('.top .dropdown-toggle').waitFor();
let school = '';
page.on('request', (r) => (school = /schools\/([0-9a-f-]{36})\//.exec(r.url())?.[1] ?? school));
await page.getByRole('link', { name: 'Week', exact: true }).click();
await page.getByRole('link', { name: 'Print the week' }).waitFor();
const get = (path) => context.request.get(`${base}${path}`);
const week = await (await get(`/api/schools/${school}/weeks`)).json().catch(() => null);
const groups = week?.groups ?? (await (await get(`/api/schools/${school}/groups`)).json());
const group = groups[0].groupId ?? groups[0].id;
const monday = (await page.getByRole('link', { name: 'Print the week' }).getAttribute('href')).match(
  /\d{4}-\d\d-\d\d/,
)[0];
const lesson = week?.groups[0].days.find((d) => d.status !== null)?.date ?? monday;

/** Milliseconds of the middle of so many answers, the first two left out: code is compiled with them. */
async function middle(path) {
  const took = [];
  for (let i = 0; i < TIMES + 2; i++) {
    const begun = performance.now();
    const answer = await get(path);
    if (answer.status() !== 200) throw new Error(`${path}: ${answer.status()} ${(await answer.text()).slice(0, 200)}`);
    await answer.body();
    if (i > 1) took.push(performance.now() - begun);
  }
  return took.sort((a, b) => a - b)[TIMES >> 1];
}

const bare = await middle('/bench/bare');
const of = `/api/schools/${school}/groups/${group}`;
console.log('| what | milliseconds | times the bare one |\n| --- | --- | --- |');
console.log(`| a bare endpoint | ${bare.toFixed(1)} | 1 |`);
for (const [what, path] of [
  [`a week's pack for ${groups.length} groups`, `/api/schools/${school}/packs/${monday}`],
  ['a lesson as slides (PPTX)', `${of}/files/${lesson}/slides.pptx`],
  ['a lesson’s plan (DOCX)', `${of}/files/${lesson}/plan.docx`],
  ['which sheets a day has', `${of}/sheets/${lesson}`],
  ['cards of all that was taught', `${of}/cards/${lesson}`],
]) {
  const took = await middle(path);
  console.log(`| ${what} | ${took.toFixed(1)} | ${(took / bare).toFixed(1)} |`);
}
const begun = performance.now();
await page.getByRole('link', { name: 'Print the week' }).click();
await page.locator('.print-only .card-face').first().waitFor({ state: 'attached' });
const shown = performance.now() - begun;
const file = await page.pdf({ preferCSSPageSize: true, tagged: true });
const printed = performance.now() - begun;
const pages = (file.toString('latin1').match(/\/Type ?\/Page\b(?!s)/g) ?? []).length;
console.log(
  `\nIn a browser the week's pack is there ${(shown / 1000).toFixed(1)} s after the press, its ${pages} pages are a PDF file after ${(printed / 1000).toFixed(1)} s.`,
);
await browser.close();
