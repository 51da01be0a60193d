// Adds up the results of the test runners in a folder and prints the closing line: N passed, N failed.
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const folder = process.argv[2];
let [passed, failed] = [0, Number(process.argv[3] ?? 0)];
for (const file of existsSync(folder) ? readdirSync(folder, { recursive: true }) : []) {
  const path = join(folder, String(file));
  if (path.endsWith('.trx')) {
    const counters = /<Counters [^>]*passed="(\d+)" failed="(\d+)"/.exec(readFileSync(path, 'utf8'));
    passed += Number(counters[1]);
    failed += Number(counters[2]);
  } else if (path.endsWith('vitest.json')) {
    const result = JSON.parse(readFileSync(path, 'utf8'));
    passed += result.numPassedTests;
    failed += result.numFailedTests;
  } else if (path.endsWith('playwright.json')) {
    const { stats } = JSON.parse(readFileSync(path, 'utf8'));
    passed += stats.expected;
    failed += stats.unexpected + stats.flaky;
  }
}
console.log(`${passed} passed, ${failed} failed`);
process.exitCode = failed > 0 || passed === 0 ? 1 : 0;
