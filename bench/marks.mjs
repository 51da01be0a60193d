// What a mark costs, and what a group's screen costs, with ten thousand, a million and ten million rows of evidence in
// one school, each beside a bare endpoint of the same server that asks the database once.
import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';

const [base, email, password, database] = process.argv.slice(2);
const SIZES = [10_000, 1_000_000, 10_000_000];
const CHILDREN = 400;
const TIMES = 60;
let cookie = '';

function sql(text) {
  const run = spawnSync('psql', ['-v', 'ON_ERROR_STOP=1', '-X', '-q', '-t', '-A', '-d', database, '-c', text], {
    encoding: 'utf8',
  });
  if (run.status !== 0) throw new Error(run.stderr);
  return run.stdout.trim();
}

async function send(path, method = 'GET', body = undefined, token = undefined) {
  const answer = await fetch(base + path, {
    method,
    headers: {
      cookie,
      ...(body ? { 'content-type': 'application/json' } : {}),
      ...(token ? { 'x-xsrf-token': token } : {}),
    },
    ...(body ? { body: JSON.stringify(body) } : {}),
  });
  for (const set of answer.headers.getSetCookie()) {
    const pair = set.split(';')[0];
    cookie = [...cookie.split('; ').filter((c) => c && !c.startsWith(`${pair.split('=')[0]}=`)), pair].join('; ');
  }
  const text = await answer.text();
  if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${text}`);
  return text ? JSON.parse(text) : null;
}

const token = async () => (await send('/api/antiforgery')).token;
await send('/api/session', 'POST', { email, password }, await token());
const mine = await token();
const school = sql('select school_id from groups limit 1');
const group = sql(`select id from groups where school_id = '${school}' and name = 'Kestrels'`);
const at = `/api/schools/${school}`;
const today = (await send(`${at}/groups`)).find((g) => g.id === group);
const lesson = await send(`${at}/groups/${group}/lessons/${today.lessonDate}`, 'PUT', undefined, mine);
const marking = await send(`${at}/lessons/${lesson.id}/marks`);

// A school of four hundred, so that ten million rows are years of all of them.
sql(`insert into children (school_id, child_id, name)
  select '${school}', gen_random_uuid(), 'Bo ' || n from generate_series(1, ${CHILDREN}) n`);

function grow(to) {
  const there = Number(sql('select count(*) from evidence'));
  sql(`insert into evidence (school_id, id, mark_id, lesson_id, group_id, child_id, day, target, skill, seen, source,
      word, place, written, as_spoken, made_at)
    select '${school}', gen_random_uuid(), gen_random_uuid(), l.ids[1 + n % array_length(l.ids, 1)],
      '${group}', c.ids[1 + (n * 7919) % array_length(c.ids, 1)], date '2026-11-20' - (n % 700)::int,
      t.all_of[1 + (n * 31) % array_length(t.all_of, 1)], 'Spelling', case when n % 9 = 0 then 'Wrong' else 'Right' end,
      'ByException', 'word' || n % 50, n % 4, '', false, now()
    from generate_series(1::bigint, ${to - there}) n,
      (select array_agg(id) ids from lessons where school_id = '${school}' and id <> '${lesson.id}') l,
      (select array_agg(child_id) ids from children where school_id = '${school}') c,
      (select array_agg(distinct target) all_of from memories where target like '%=%') t`);
  sql('analyze evidence');
}

const median = (all) => all.toSorted((a, b) => a - b)[Math.floor(all.length / 2)];
async function times(what) {
  const took = [];
  for (let i = 0; i < TIMES + 5; i++) {
    const from = performance.now();
    await what(i);
    if (i >= 5) took.push(performance.now() - from);
  }
  return median(took);
}

let place = 0;
const mark = () =>
  send(
    `${at}/lessons/${lesson.id}/marks`,
    'POST',
    {
      marks: [
        {
          id: randomUUID(),
          kind: 'read',
          childId: marking.children[place % marking.children.length].id,
          word: marking.words[Math.floor(place++ / marking.children.length) % marking.words.length].word,
          place: null,
          seen: 'right',
          written: null,
          verdicts: null,
          madeAt: new Date().toISOString(),
        },
      ],
    },
    mine,
  );

console.log('| rows of evidence | bare endpoint, ms | one mark, ms | to it | group today, ms | to it |');
console.log('| ---: | ---: | ---: | ---: | ---: | ---: |');
for (const size of SIZES) {
  grow(size);
  const bare = await times(() => send('/bench/bare'));
  const one = await times(mark);
  const screen = await times(() => send(`${at}/groups/${group}/memory`));
  const cell = (n) => n.toFixed(1);
  console.log(
    `| ${size.toLocaleString('en')} | ${cell(bare)} | ${cell(one)} | ${cell(one / bare)} | ${cell(screen)} | ${cell(screen / bare)} |`,
  );
}
