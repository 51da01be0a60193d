// Prints the share of test code: lines that are neither blank nor a lone comment, generated code left out.
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';

const files = execFileSync('git', ['ls-files', '-co', '--exclude-standard', '--', '*.cs', '*.ts', '*.tsx', '*.mjs'], {
  encoding: 'utf8',
})
  .split('\n')
  .filter((f) => f && !/(^|\/)(Migrations|wwwroot)\/|schema\.d\.ts$/.test(f));
const lines = (file) =>
  readFileSync(file, 'utf8')
    .split('\n')
    .filter((l) => l.trim() && !/^\s*\/\//.test(l)).length;
const isTest = (file) => file.startsWith('tests/') || /\.test\.tsx?$/.test(file);
const total = files.reduce((sum, f) => sum + lines(f), 0);
const tests = files.filter(isTest).reduce((sum, f) => sum + lines(f), 0);
console.log(`Test code: ${tests} of ${total} lines, ${Math.round((100 * tests) / total)}%.`);
