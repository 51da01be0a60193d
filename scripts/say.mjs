// Says every message of the catalogue that has values, as the front end does: for the test that holds the server's
// reader to the same sentences.
import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { IntlMessageFormat } from 'intl-messageformat';

const text = new URL('../text/', import.meta.url);
const read = (file) => JSON.parse(readFileSync(new URL(file, text), 'utf8'));
const british = Object.assign(
  {},
  ...readdirSync(fileURLToPath(new URL('en-GB', text))).map((file) => read(`en-GB/${file}`)),
);
const samples = [0, 1, 2, 1234, 'ship', 'none', 'undefined'];

const said = [];
for (const [language, messages] of [
  ['en-GB', british],
  ['en-US', read('en-US.json')],
]) {
  for (const [key, message] of Object.entries(messages)) {
    const names = new Set([...message.matchAll(/\{([A-Za-z0-9]+)(?=[},])/g)].map((m) => m[1]));
    const plural = new Set([...message.matchAll(/\{([A-Za-z0-9]+), plural/g)].map((m) => m[1]));
    for (const sample of names.size === 0 ? [] : samples) {
      const values = Object.fromEntries(
        [...names].map((name) => [name, plural.has(name) && typeof sample === 'string' ? 3 : sample]),
      );
      said.push({ language, key, values, sentence: String(new IntlMessageFormat(message, language).format(values)) });
    }
  }
}
console.log(JSON.stringify(said));
