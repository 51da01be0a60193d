// Five thousand children out of a CSV: the look at it, and the job that takes them in, each beside a request for nothing.
const [base, email, password] = process.argv.slice(2);
const ROWS = 5000;
let cookie = '';
let token = '';

async function send(path, method = 'GET', body) {
  const answer = await fetch(base + path, {
    method,
    headers: {
      cookie,
      ...(method === 'GET' ? {} : { 'x-xsrf-token': token, 'content-type': 'application/json' }),
    },
    ...(body ? { body: JSON.stringify(body) } : {}),
  });
  for (const set of answer.headers.getSetCookie()) {
    const pair = set.split(';')[0];
    cookie = [...cookie.split('; ').filter((c) => c && !c.startsWith(`${pair.split('=')[0]}=`)), pair].join('; ');
  }
  const text = await answer.text();
  if (!answer.ok) throw new Error(`${path}: ${answer.status} ${text}`);
  return text ? JSON.parse(text) : null;
}
const timed = async (what) => {
  const began = performance.now();
  await what();
  return performance.now() - began;
};
const signIn = async () => (token = (await send('/api/antiforgery')).token);

await signIn();
const school = (await send('/api/session', 'POST', { email, password })).schools[0].id;
await signIn();
const at = `/api/schools/${school}`;
const letters = 'abcdefghijklmnopqrstuvwxyz';
const name = (i) => `${letters[i % 26].toUpperCase()}${letters[((i / 26) % 26) | 0]}${letters[(i / 676) | 0]}`;
const csv = `first name,last name\n${Array.from({ length: ROWS }, (_, i) => `${name(i)},Lane\n`).join('')}`;
const file = { content: Buffer.from(csv).toString('base64'), isList: false, columns: null, groupId: null, groups: [] };

const nothing = [];
for (let i = 0; i < 50; i++) nothing.push(await timed(() => send('/health')));
const rest = nothing.sort((a, b) => a - b)[25];
await send(`${at}/children/imports/look`, 'POST', file);
const look = await timed(() => send(`${at}/children/imports/look`, 'POST', file));
let seen = 0;
const whole = await timed(async () => {
  const id = crypto.randomUUID();
  await send(`${at}/children/imports`, 'POST', { id, file, choices: [] });
  for (;;) {
    const job = (await send(`${at}/jobs`)).find((j) => j.id === id);
    if (job.endedAt) {
      if (job.state !== 'done' || job.done !== ROWS) throw new Error(JSON.stringify(job));
      break;
    }
    if (job.done > 0) seen++;
    await new Promise((later) => setTimeout(later, 100));
  }
});
const line = (what, ms) => `| ${what} | ${ms.toFixed(ms < 100 ? 1 : 0)} | ${(ms / rest).toFixed(0)} |`;
console.log('| five thousand rows of CSV | ms | beside a request for nothing |');
console.log('| --- | ---: | ---: |');
console.log(line('a request for nothing (/health), median', rest));
console.log(line('the look at what would come of it', look));
console.log(line(`all taken in, by a job that was seen on its way ${seen} times`, whole));
