// Measures, in the real browser, how long each answer of a drag takes on a ladder of 150 rungs: from the asking to the
// picture. Used by bench/run.
// Usage: node bench/drag.mjs ADDRESS EMAIL PASSWORD
import { chromium } from '@playwright/test';

const [address, email, password] = process.argv.slice(2);
const median = (numbers) => [...numbers].sort((a, b) => a - b)[Math.floor(numbers.length / 2)];
const at = (numbers, share) => [...numbers].sort((a, b) => a - b)[Math.floor((numbers.length - 1) * share)];

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(`${address}/sign-in`);
await page.getByLabel('Email address').fill(email);
await page.getByLabel('Password').fill(password);
await page.getByRole('button', { name: 'Sign in' }).click();
await page.locator('.top .dropdown-toggle').waitFor();
await page.goto(`${address}/ladder`);
await page.getByRole('button', { name: 'New ladder' }).click();
await page.getByRole('dialog').getByLabel('Name', { exact: true }).fill('Measured');
await page.getByRole('radio', { name: /^Sounds first/ }).check();
await page.getByRole('button', { name: 'Make the ladder' }).click();
await page.locator('.rung-grip').first().waitFor();
const trips = await page.evaluate(async () => {
  const times = [];
  for (let i = 0; i < 40; i++) {
    const start = performance.now();
    await (await fetch('/health')).text();
    times.push(performance.now() - start);
  }
  return times;
});
// What is asked for beside the drag is done before it is measured.
await page.locator('.row-rung .rung').nth(80).click();
await page.waitForTimeout(3000);
for (let i = 0; i < 45; i++) {
  await page.keyboard.press(i < 5 ? 'Alt+ArrowDown' : 'Alt+ArrowUp');
  await page.locator('.trial[data-ready="true"]').waitFor();
  await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
}
const asked = await page.evaluate(() => performance.getEntriesByName('trial').map((m) => m.duration));
const answers = asked.slice(5);
await browser.close();
const [trip, answer] = [median(trips), median(answers)];
console.log('| in the browser, a ladder of 152 rungs | ms | times a request for nothing |');
console.log('| --- | ---: | ---: |');
console.log(`| a request for nothing (/health), median | ${trip.toFixed(1)} | 1.0 |`);
console.log(
  `| the answer for a place tried, median of ${answers.length} | ${answer.toFixed(1)} | ${(answer / trip).toFixed(1)} |`,
);
console.log(
  `| the slowest but one in twenty | ${at(answers, 0.95).toFixed(1)} | ${(at(answers, 0.95) / trip).toFixed(1)} |`,
);
