// What screens cost the server: requests of sixteen connections at once, each beside a bare endpoint of the same server
// that asks the database once.
import { Agent, request as plain } from 'node:http';

const [base, email, password, how] = process.argv.slice(2);
const url = new URL(base);
const CONNECTIONS = 16;
const SECONDS = 6;
const WARM_UP = 4;
const agent = new Agent({ keepAlive: true, maxSockets: CONNECTIONS });
let cookie = '';

/** What nobody reads comes packed, as a browser has it, and is not put together. */
function send(path, { method = 'GET', body, headers = {}, reads = true } = {}) {
  return new Promise((resolve, reject) => {
    const asked = plain(
      {
        host: url.hostname,
        port: url.port,
        path,
        method,
        agent,
        headers: {
          cookie,
          ...(reads ? {} : { 'accept-encoding': 'gzip' }),
          ...(body ? { 'content-type': 'application/json' } : {}),
          ...headers,
        },
      },
      (answer) => {
        const parts = [];
        answer.on('data', (part) => reads && parts.push(part));
        answer.on('end', () =>
          resolve({
            status: answer.statusCode,
            set: answer.headers['set-cookie'] ?? [],
            text: Buffer.concat(parts).toString(),
          }),
        );
      },
    );
    asked.on('error', reject);
    asked.end(body);
  });
}

const jar = (answer) => {
  for (const one of answer.set) {
    const pair = one.split(';')[0];
    cookie = [...cookie.split('; ').filter((c) => c && !c.startsWith(`${pair.split('=')[0]}=`)), pair].join('; ');
  }
  return answer;
};

const token = JSON.parse(jar(await send('/api/antiforgery')).text).token;
const signed = jar(
  await send('/api/session', {
    method: 'POST',
    body: JSON.stringify({ email, password }),
    headers: { 'x-xsrf-token': token },
  }),
);
const school = JSON.parse(signed.text).schools[0].id;
const api = `/api/schools/${school}`;
const groups = JSON.parse((await send(`${api}/groups`)).text);
const first = groups[0];

async function perSecond(path) {
  const check = await send(path);
  if (check.status !== 200) throw new Error(`${path}: ${check.status} ${check.text.slice(0, 200)}`);
  let done = 0;
  let until = Date.now() + WARM_UP * 1000;
  const worker = async () => {
    while (Date.now() < until) {
      await send(path, { reads: false });
      done++;
    }
  };
  await Promise.all(Array.from({ length: CONNECTIONS }, worker));
  done = 0;
  until = Date.now() + SECONDS * 1000;
  await Promise.all(Array.from({ length: CONNECTIONS }, worker));
  return done / SECONDS;
}

const rows = [
  ['a bare endpoint with one query', '/bench/bare'],
  ['a stored lesson', `${api}/groups/${first.id}/lessons/${first.lessonDate}`],
  ['a published ladder', `${api}/ladders/${first.ladderId}/versions/${first.ladderVersion}`],
  ['the groups', `${api}/groups`],
  ['two weeks', `${api}/weeks?weeks=2`],
];
console.log(`| of sixteen connections at once, ${how} | requests a second | cost, beside the bare endpoint |`);
console.log('| --- | ---: | ---: |');
// Once to warm the server up, then each; the bare endpoint before and after the others, the faster counts.
for (const [, path] of rows) await perSecond(path);
const rates = [];
for (const [, path] of [...rows, rows[0]]) rates.push(await perSecond(path));
const bare = Math.max(rates[0], rates.pop());
rates[0] = bare;
rows.forEach(([name], i) => console.log(`| ${name} | ${Math.round(rates[i])} | ${(bare / rates[i]).toFixed(1)} |`));
agent.destroy();
