// How much script each page fetches when it is opened first, in kB: what the built files import, followed from the
// entry.
import { readdirSync, readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';

const assets = new URL('../src/BoldLadder.Web/wwwroot/assets/', import.meta.url);
const files = readdirSync(assets).filter((f) => f.endsWith('.js'));
const source = Object.fromEntries(files.map((f) => [f, readFileSync(new URL(f, assets), 'utf8')]));
const named = (name) => files.find((f) => f.startsWith(`${name}-`));

function reached(roots, found = new Set()) {
  for (const file of roots.filter((f) => f && !found.has(f))) {
    found.add(file);
    reached(
      [...source[file].matchAll(/(?:from|import)\s*["']\.\/([\w.-]+\.js)["']/g)].map((m) => m[1]),
      found,
    );
  }
  return found;
}

const entry = named('index');
const pages = {
  'sign in': ['SignInPage'],
  board: ['BoardRoot'],
  groups: ['root', 'GroupsPage'],
  lesson: ['root', 'LessonPage'],
  week: ['root', 'WeekPage'],
  ladder: ['root', 'LadderPage'],
};
for (const [page, roots] of Object.entries(pages)) {
  const all = [...reached([entry, ...roots.map(named)])];
  const kB = (of) => Math.round(all.reduce((sum, f) => sum + of(source[f]), 0) / 1000);
  console.log(
    `${page.padEnd(8)} ${String(kB((s) => Buffer.byteLength(s))).padStart(4)} kB, ${kB((s) => gzipSync(s).length)} kB compressed`,
  );
}
