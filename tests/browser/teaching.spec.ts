import type { BrowserContext, Page } from '@playwright/test';
import {
  expect,
  expectAccessible,
  expectContrast,
  expectReadable,
  openLesson,
  openTeacher,
  signIn,
  test,
} from './app.js';

test('the class’s window and the teacher’s follow each other, and come back to the same place', async ({
  page,
  context,
}) => {
  await signIn(page);
  // No other test closes or changes the lesson of the Otters.
  await openLesson(page, 'Otters');
  await page.keyboard.press('b');
  const board = page.locator('.board');
  await expect(board).toBeVisible();
  const teacher = await openTeacher(page, context);
  await expect(teacher.getByRole('button', { name: 'On', exact: true })).toBeVisible();
  await expectAccessible(teacher);

  // From now on nothing is asked of the server.
  for (const window of [page, teacher]) await window.waitForLoadState('networkidle');
  const asked: string[] = [];
  for (const window of [page, teacher]) window.on('request', (r) => asked.push(r.url()));
  const place = () => page.locator('.board-stage').getAttribute('aria-label');
  const first = await place();
  await teacher.getByRole('button', { name: 'On', exact: true }).click();
  await expect.poll(place).not.toBe(first);
  await expect(board.locator('.board-grapheme')).toBeVisible();
  const shown = await board.locator('.board-grapheme').innerText();
  await expect(teacher.getByRole('region', { name: 'On the board' })).toContainText(shown);
  await teacher.getByRole('button', { name: 'Reveal' }).click();
  await expect(board.locator('.board-options')).toBeVisible();
  // The class's window leads as well.
  await expect(teacher.getByRole('button', { name: 'Reveal' })).toHaveClass(/btn-primary/);
  await page.keyboard.press(' ');
  await expect(teacher.getByRole('button', { name: 'Reveal' })).not.toHaveClass(/btn-primary/);
  await teacher.keyboard.press('x');
  await expect(board).toHaveClass(/board-blank/);
  await teacher.keyboard.press('x');
  await expect(board).not.toHaveClass(/board-blank/);
  const wobble = teacher.getByRole('region', { name: 'Wobbled' }).getByRole('button').first();
  await wobble.click();
  await expect(wobble).toHaveAttribute('aria-pressed', 'true');
  await expect(board.getByText('Wobbled')).toHaveCount(0);
  expect(asked).toEqual([]);

  const here = await place();
  await page.reload();
  await expect(board).toBeVisible();
  await expect.poll(place).toBe(here);
  await teacher.close();
  await page.bringToFront();
  const second = await openTeacher(page, context);
  await expect(second.getByRole('region', { name: 'Wobbled' }).getByRole('button').first()).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  // To Apply by a choice, to its end by key; then leaving begins anew.
  await second.getByLabel('Go to').selectOption({ index: 3 });
  await expect.poll(place).not.toBe(here);
  await page.keyboard.press('n');
  await expect(page.locator('.board-strip')).toBeVisible();
  await expectAccessible(page);
  for (let i = 0; i < 400 && !(await board.locator('.board-end').isVisible()); i++) await page.keyboard.press(' ');
  await expect(board.locator('.board-end')).toBeVisible();
  // What was marked while teaching is there when the lesson is closed.
  await page.getByRole('button', { name: 'Close the lesson' }).click();
  const closing = page.getByRole('dialog');
  await expect(closing.locator('.chip[aria-pressed="true"]')).toHaveCount(1);
  await closing.getByRole('button', { name: 'Cancel' }).click();
  // Left at its end, it begins anew.
  await page.goBack();
  await expect(board.locator('.board-end')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.locator('.part-apply')).toBeVisible();
  await page.keyboard.press('b');
  // By its number: another test may be changing the school's way, and with it how many slides there are.
  await expect.poll(async () => (await place())?.split(' of ')[0]).toBe(first?.split(' of ')[0]);
});

/** The lesson of the Otters of the day after tomorrow, with a word chain in it; and the words of the chain. */
async function openChain(page: Page): Promise<string[]> {
  await openLesson(page, 'Otters');
  for (let day = 0; day < 2; day++) {
    const before = page.url();
    await page.getByRole('link', { name: /Day after/ }).click();
    await expect(page).not.toHaveURL(before);
    await expect(page.locator('.part-apply')).toBeVisible();
  }
  const chain = page.locator('[data-activity="practise-chain"]');
  if ((await chain.count()) === 0) {
    await page.getByRole('button', { name: 'Add an activity to Practise' }).click();
    await page.locator('[data-offer="word-chain"]').getByRole('button').click();
  }
  await expect(chain).toBeVisible();
  return chain.locator('.marked-word > .visually-hidden').allInnerTexts();
}

/** The first place at which a word differs from the one before. */
const changedAt = (from: string, to: string) => {
  const at = [...to].findIndex((letter, i) => letter !== from[i]);
  return at < 0 ? to.length : at;
};

async function goTo(page: Page, what: string) {
  const there = page.locator('.board').locator(what);
  for (let i = 0; i < 300 && !(await there.count()); i++) await page.keyboard.press(' ');
  await expect(there.first()).toBeVisible();
}

test.describe('with fingers, a mouse and keys', () => {
  test.use({ hasTouch: true });

  test('a chain is solved with tiles, and words come out from under a shade', async ({ page }) => {
    await signIn(page);
    const words = await openChain(page);
    expect(words.length).toBeGreaterThan(2);
    await page.keyboard.press('b');
    const board = page.locator('.board');
    // Words under a shade, one let out at a time.
    await goTo(page, '.board-word');
    await page.keyboard.press('l');
    const shaded = board.locator('.board-shaded');
    const all = await shaded.count();
    expect(all).toBeGreaterThan(1);
    await page.keyboard.press(' ');
    await expect(shaded).toHaveCount(all - 1);
    await page.keyboard.press('ArrowUp');
    await expect(shaded).toHaveCount(all);
    await page.keyboard.press('l');

    await goTo(page, '.board-row');
    await expectAccessible(page);
    const tile = (letter: string) => board.locator('.board-tray button').getByText(letter, { exact: true });
    const place = (at: number) => board.locator('.board-row button').nth(at);
    const made = board.locator('.board-made');
    const solve = async (from: string, to: string, replace: (at: number, letter: string) => Promise<void>) => {
      await expect(made).toHaveCount(0);
      const at = changedAt(from, to);
      if (from.length === to.length) await replace(at, to[at]!);
      else if (from.length < to.length) await tile(to[at]!).dragTo(board.locator(`[data-drop="g${at}"]`));
      else {
        await page.keyboard.press(`${at + 1}`);
        await page.keyboard.press('Delete');
      }
      await expect(made).toBeVisible();
    };
    // A mouse drags a tile to its place.
    await solve(words[0]!, words[1]!, (at, letter) => tile(letter).dragTo(place(at)));
    // Keys lay another one there, and the right one again.
    const [last] = [...words[1]!].reverse();
    for (const letter of [words[1]![0]!, last!]) {
      await page.keyboard.press(`${words[1]!.length}`);
      await page.keyboard.press(letter);
      await expect(place(words[1]!.length - 1)).toHaveText(letter);
    }
    await expect(made).toBeVisible();
    // On to the next word, which a finger makes.
    for (let i = 0; i < 3; i++) await page.keyboard.press(' ');
    await solve(words[1]!, words[2]!, async (at, letter) => {
      await place(at).tap();
      await tile(letter).tap();
    });
    // What was laid is there when one comes back to it.
    await page.reload();
    await expect(made).toBeVisible();
  });
});

/** The two windows go through the lesson that is open, to its end by turns, and are never apart. */
async function teachToTheEnd(page: Page, context: BrowserContext) {
  await page.keyboard.press('b');
  const board = page.locator('.board');
  await expect(board).toBeVisible();
  const teacher = await openTeacher(page, context);
  await expect(teacher.getByRole('button', { name: 'On', exact: true })).toBeVisible();
  const place = () => page.locator('.board-stage').getAttribute('aria-label');
  let steps = 0;
  for (; steps < 400 && !(await board.locator('.board-end').isVisible()); steps++) {
    await expectReadable(page);
    if (steps % 5 === 0) await expectContrast(page);
    if (steps % 7 === 0) {
      const before = await board.innerHTML();
      await teacher.getByRole('button', { name: 'On', exact: true }).click();
      await expect.poll(() => board.innerHTML()).not.toBe(before);
    } else await page.keyboard.press(' ');
  }
  expect(steps).toBeGreaterThan(8);
  await expect(board.locator('.board-end')).toBeVisible();
  await expect(teacher.locator('.teacher strong').first()).toHaveText('The end');
  expect(await place()).toMatch(/^(\d+) of \1$/);
  await teacher.close();
  await page.bringToFront();
  await page.keyboard.press('Escape');
}

for (const [day, group, room, size] of [
  ['a review day', 'Badgers', 'dark', { width: 1024, height: 768 }],
  ['a day with something new', 'Kestrels', 'bright', { width: 3840, height: 2160 }],
] as const) {
  test(`both windows through ${day} in a ${room} room, readable from the back at ${size.width} pixels`, async ({
    page,
    context,
  }) => {
    test.slow();
    await signIn(page);
    await page.evaluate(
      (isDark) => localStorage.setItem('bold.board', JSON.stringify({ isLeft: isDark, isDark })),
      room === 'dark',
    );
    await openLesson(page, group);
    if (day === 'a review day') {
      while (!(await page.getByRole('heading', { level: 1 }).innerText()).includes('Friday')) {
        const before = page.url();
        await page.getByRole('link', { name: /Day after/ }).click();
        await expect(page).not.toHaveURL(before);
        await expect(page.locator('.part-apply')).toBeVisible();
      }
    }
    await page.setViewportSize(size);
    await teachToTheEnd(page, context);
  });
}

test.describe('every other kind of day', () => {
  test.skip(process.env['BOLD_DEEP'] !== '1', 'A whole lesson each: with ./test --deep.');
  test.setTimeout(600_000);

  test('both windows through it to its end', async ({ page, context }) => {
    await signIn(page);
    const dates = await datesOfANewGroup(page);
    for (const [kind, at] of Object.entries({
      'few words': dates.planned['m=m o=ɒ'],
      'another spelling of a sound': dates.planned['ck=k'],
      'another sound of a spelling': dates.planned['th=ð'],
      'a word pattern': dates.planned['suffix-ing'],
      'a check': dates.quiet['check-day'],
      'the first day after a break': dates.quiet['return-day'],
    })) {
      await test.step(kind, async () => {
        expect(at, kind).toBeTruthy();
        await page.goto(`/groups/${dates.group}/lessons/${at}`);
        await expect(page.locator('.part-apply')).toBeVisible();
        await teachToTheEnd(page, context);
        await expect(page.locator('.part-apply')).toBeVisible();
      });
    }
  });
});

/** A group of its own at the foot of the ladder, and the day of each rung, and the first quiet day of each kind. */
async function datesOfANewGroup(page: Page) {
  return page.evaluate(async () => {
    const read = async (path: string) => (await fetch(path)).json();
    const { schools } = await read('/api/session');
    const school = `/api/schools/${schools[0].id}`;
    const ladders: { id: string; name: string; latestVersion: number }[] = await read(`${school}/ladders`);
    const ladder = ladders.find((l) => l.name === 'Fernhollow letters first')!;
    const group = crypto.randomUUID();
    await fetch(`${school}/groups`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': (await read('/api/antiforgery')).token },
      body: JSON.stringify({
        id: group,
        name: 'Every day',
        ladderId: ladder.id,
        nextRung: null,
        lessonMinutes: 15,
        lessonDays: null,
        people: [],
      }),
    });
    const { groups } = await read(`${school}/ladders/${ladder.id}/versions/${ladder.latestVersion}/dates`);
    const found = groups.find((g: { groupId: string }) => g.groupId === group);
    const quiet = Object.fromEntries(
      [...found.quiet].reverse().map((q: { kind: string; date: string }) => [q.kind, q.date]),
    );
    return { group, planned: found.planned as Record<string, string>, quiet: quiet as Record<string, string> };
  });
}

test('what is drawn stays with its slide, over a reload, until it is taken back', async ({ page }) => {
  await signIn(page);
  await openChain(page);
  await page.keyboard.press('b');
  const board = page.locator('.board');
  await goTo(page, '.board-grapheme');
  const draw = async () => {
    await page.mouse.move(300, 300);
    await page.mouse.down();
    await page.mouse.move(500, 420, { steps: 6 });
    await page.mouse.up();
  };
  const lines = board.locator('.board-ink > *');
  const position = () => page.locator('.board-stage').getAttribute('aria-label');
  const here = await position();
  await page.keyboard.press('d');
  await draw();
  await page.keyboard.press('h');
  await draw();
  await expect(lines).toHaveCount(2);
  // Drawing went nowhere; the next slide is clean, a page over this one too.
  expect(await position()).toBe(here);
  await page.keyboard.press(' ');
  await expect(lines).toHaveCount(0);
  await page.keyboard.press('Backspace');
  await expect(lines).toHaveCount(2);
  await page.keyboard.press('w');
  await expect(board.locator('.board-page')).toBeVisible();
  await expect(lines).toHaveCount(0);
  await page.reload();
  await expect(board.locator('.board-page')).toBeVisible();
  await page.keyboard.press('w');
  await expect(lines).toHaveCount(2);
  await page.keyboard.press('z');
  await expect(lines).toHaveCount(1);
  // The eraser takes what it comes near; then the pen is laid down, and a click goes on again.
  await page.keyboard.press('e');
  await draw();
  await expect(lines).toHaveCount(0);
  await page.keyboard.press('Escape');
  await page.mouse.click(640, 400);
  await expect.poll(position).not.toBe(here);
  // The tools behind one button do the same.
  await page.getByRole('button', { name: 'Pen and pages' }).click();
  await page.getByRole('button', { name: 'Dark room' }).click();
  await expect(board).toHaveClass(/board-dark/);
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Dark room' }).click();
});

test('a phone leads the board by a code, sees the answer, and is out when the lesson is over', async ({
  page,
  browser,
}) => {
  await signIn(page);
  await openChain(page);
  await page.keyboard.press('b');
  const board = page.locator('.board');
  await expect(board).toBeVisible();
  await page.keyboard.press('m');
  const shown = board.locator('.board-code strong');
  await expect(shown).toHaveText(/^\d{3} \d{3}$/);
  const pocket = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, locale: 'en-GB' });
  const phone = await pocket.newPage();
  await phone.goto('/remote');
  await expectAccessible(phone);
  // A code that opens nothing says what to do.
  await phone.getByLabel('Code on the board').fill((await shown.innerText()) === '000 000' ? '111111' : '000000');
  await phone.getByRole('button', { name: 'Lead the board' }).tap();
  await expect(phone.getByRole('alert')).toContainText('Press M at the board');
  await phone.getByLabel('Code on the board').fill(await shown.innerText());
  await phone.getByRole('button', { name: 'Lead the board' }).tap();
  const on = phone.getByRole('button', { name: 'On', exact: true });
  await expect(on).toBeVisible();
  await expect(shown).toHaveCount(0);
  await expectAccessible(phone);
  await on.tap();
  await expect(board.locator('.board-grapheme')).toBeVisible();
  await expect(phone.getByRole('region', { name: 'On the board' })).toContainText(
    await board.locator('.board-grapheme').innerText(),
  );
  await phone.getByRole('button', { name: 'Reveal' }).tap();
  await expect(board.locator('.board-options')).toBeVisible();
  // The board leads as well, and the phone comes back after a reload, without the code.
  await page.keyboard.press(' ');
  await expect(phone.getByRole('button', { name: 'Reveal' })).not.toHaveClass(/btn-primary/);
  const here = await page.locator('.board-stage').getAttribute('aria-label');
  await phone.reload();
  await on.tap();
  await expect.poll(() => page.locator('.board-stage').getAttribute('aria-label')).not.toBe(here);
  // At its end the board is left, and the phone with it.
  await phone.getByLabel('Go to').selectOption({ index: 5 });
  for (let i = 0; i < 400 && !(await board.locator('.board-end').isVisible()); i++) await page.keyboard.press(' ');
  await page.keyboard.press('Escape');
  await expect(phone.getByRole('alert')).toContainText('The lesson is over');
  await pocket.close();
});

test('the school’s voice is recorded, listened to, played on the board, and shown as a cue without', async ({
  page,
}) => {
  await signIn(page);
  await openLesson(page, 'Otters');
  const lesson = page.url();
  await page.goto('/voices');
  await expect(page.getByRole('heading', { name: 'Our voices' })).toBeVisible();
  await expectAccessible(page);
  // What the board was given to play is counted.
  await page.addInitScript(() => {
    const start = AudioBufferSourceNode.prototype.start;
    AudioBufferSourceNode.prototype.start = function (this: AudioBufferSourceNode, ...at) {
      document.documentElement.dataset['played'] = String(Number(document.documentElement.dataset['played'] ?? 0) + 1);
      return start.apply(this, at);
    };
  });
  const record = async (what: string) => {
    await page.getByRole('button', { name: `Record ${what}`, exact: true }).click();
    const stop = page.getByRole('button', { name: `Stop recording ${what}`, exact: true });
    await expect(stop).toBeVisible();
    // Long enough for a beep of the simulated microphone.
    await page.waitForTimeout(1500);
    await stop.click();
    await expect(page.getByRole('button', { name: `Listen to ${what}`, exact: true })).toBeVisible();
  };
  await record('/g/');
  await expect(page.getByText('1 of 44 sounds are recorded.')).toBeVisible();
  const played = () => page.evaluate(() => Number(document.documentElement.dataset['played'] ?? 0));
  await page.reload();
  await page.getByRole('button', { name: 'Listen to /g/', exact: true }).click();
  await expect.poll(played).toBe(1);

  // Today's card is said by the school; one that was not recorded is shown as a cue.
  await page.goto(`${lesson}/board`);
  await page.waitForLoadState('networkidle');
  const board = page.locator('.board');
  const shown = () => board.locator('.board-grapheme').innerText();
  for (let i = 0; i < 300 && !((await board.locator('.board-grapheme').count()) && (await shown()) === 'g'); i++)
    await page.keyboard.press('ArrowRight');
  await page.keyboard.press('v');
  await expect.poll(played).toBe(1);
  await expect(board.locator('.board-cue')).toHaveCount(0);
  for (let i = 0; i < 300 && !((await board.locator('.board-grapheme').count()) && (await shown()) !== 'g'); i++)
    await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('v');
  await expect(board.locator('.board-cue')).toBeVisible();
  await page.goto('/voices');
  await page.getByRole('button', { name: 'Delete the recording of /g/' }).click();
  await expect(page.getByText('0 of 44 sounds are recorded.')).toBeVisible();
});

test.describe('with a picture opened by itself', () => {
  // A browser asks for an icon of what has no page.
  test.use({ expectedErrors: [/404/] });

  test('a picture of the school’s own with a script in it is made harmless and shown', async ({ page }) => {
    const ran: string[] = [];
    page.on('dialog', (d) => {
      ran.push(d.message());
      void d.dismiss();
    });
    await signIn(page);
    await page.goto('/words/lamp');
    const own = page.getByRole('region', { name: 'Your school’s own picture' });
    await own.getByLabel('Bring a picture').setInputFiles({
      name: 'lamp.svg',
      mimeType: 'image/svg+xml',
      buffer: Buffer.from(
        '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9" onload="alert(1)"><script>alert(2)</script>' +
          '<circle cx="4" cy="4" r="4" fill="#f5c400"/></svg>',
      ),
    });
    await own.getByLabel('Whose it is, and on what terms you have it').fill('Drawn by Maya, ours');
    await own.getByRole('button', { name: 'Use this picture' }).click();
    const picture = own.locator('img');
    await expect(picture).toBeVisible();
    await expect(own).toContainText('Drawn by Maya, ours');
    await expectAccessible(page);
    const address = await picture.getAttribute('src');
    await page.goto(address!);
    await expect(page.locator('circle')).toHaveCount(1);
    await expect(page.locator('script')).toHaveCount(0);
    await page.goto('/words/lamp');
    await own.getByRole('button', { name: 'Delete' }).click();
    await expect(picture).toHaveCount(0);
    expect(ran).toEqual([]);
  });
});
