// The list of components that ship with the app, out of the lock files, as CycloneDX 1.6:
//   node scripts/components.mjs          writes docs/components.cdx.json
//   node scripts/components.mjs --check  fails when that file is not what the lock files say
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';

const FILE = 'docs/components.cdx.json';
const read = (path) => JSON.parse(readFileSync(new URL(`../${path}`, import.meta.url), 'utf8'));
const hex = (base64) => Buffer.from(base64, 'base64').toString('hex');
const known = new Map();

function add(kind, name, version, sha512, license) {
  const purl = `pkg:${kind}/${name.replace('@', '%40')}@${version}`;
  known.set(purl, {
    type: 'library',
    name,
    version,
    purl,
    ...(license ? { licenses: [{ expression: license }] } : {}),
    hashes: [{ alg: 'SHA-512', content: hex(sha512) }],
  });
}

for (const project of readdirSync(new URL('../src', import.meta.url))) {
  const lock = read(`src/${project}/packages.lock.json`);
  for (const packages of Object.values(lock.dependencies)) {
    for (const [name, one] of Object.entries(packages)) {
      if (one.type !== 'Project') add('nuget', name, one.resolved, one.contentHash);
    }
  }
}
for (const [path, one] of Object.entries(read('package-lock.json').packages)) {
  const name = path.split('node_modules/').at(-1);
  if (path.includes('node_modules/') && !one.dev && !one.link && !one.optional)
    add('npm', name, one.version, one.integrity.replace(/^sha512-/, ''), one.license);
}

const document = {
  bomFormat: 'CycloneDX',
  specVersion: '1.6',
  version: 1,
  metadata: { component: { type: 'application', name: 'Bold Ladder' } },
  components: [...known.values()].sort((a, b) => (a.purl < b.purl ? -1 : 1)),
};
const written = `${JSON.stringify(document, null, 2)}\n`;
const at = new URL(`../${FILE}`, import.meta.url);
if (process.argv.includes('--check')) {
  let kept = '';
  try {
    kept = readFileSync(at, 'utf8');
  } catch {
    // A file that is not there is not what the lock files say.
  }
  if (kept !== written) {
    console.error(`${FILE} is not what the lock files say. Run: node scripts/components.mjs`);
    process.exit(1);
  }
} else {
  writeFileSync(at, written);
  console.log(`${known.size} components`);
}
