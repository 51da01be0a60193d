import { expect, expectAccessible, fromAccount, openLesson, signIn, test } from './app.js';

test('our school’s way is seen at once on a sample, and on every screen once it is saved', async ({ page }) => {
  await signIn(page);
  await page.getByRole('link', { name: 'Our school’s way' }).click();
  const sample = page.locator('.style-sample');
  await expect(sample).toHaveAttribute('data-marks', 'trays');
  await page.getByLabel('a cut between graphemes').check();
  await expect(sample).toHaveAttribute('data-marks', 'cuts');
  await page.getByLabel('plain letters with a key word').check();
  await expect(sample).not.toContainText('/k eɪ k/');
  await page.getByLabel('Apply', { exact: true }).fill('Use it');
  await page.getByRole('button', { name: 'Save our way' }).click();
  await expect(page.getByText('Saved. Every screen follows.')).toBeVisible();
  await expect(page.locator('html')).toHaveAttribute('data-marks', 'cuts');
  await page.goto('/ladder');
  await page.getByRole('button', { name: /^Rung \d+, sh,/ }).click();
  await expect(page.locator('.rung-panel')).toContainText('“sh” as in');
  await page.goto('/');
  await page.getByRole('link', { name: 'Open lesson for Otters' }).click();
  await expect(page.getByRole('heading', { name: 'Use it' })).toBeVisible();

  await page.goto('/style');
  await page.getByLabel('a tray under each grapheme').check();
  await page.getByLabel('phonetic signs').check();
  await page.getByLabel('Apply', { exact: true }).fill('');
  await page.getByRole('button', { name: 'Save our way' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-marks', 'trays');
});

test.describe('the calendar', () => {
  test.use({ expectedErrors: [/422/] });

  test('says what can’t be, and the ladder follows what can', async ({ page }) => {
    await signIn(page);
    await page.goto('/ladder');
    await page.getByLabel('Dates for').selectOption('Otters');
    await expect(page.getByText('Today · Otters comes to this next')).toBeVisible();
    await expect(page.locator('.rail-gap', { hasText: 'Review day' }).first()).toBeVisible();
    await page.goto('/calendar');
    for (const day of ['Mon', 'Tue', 'Wed', 'Thu', 'Fri']) await page.getByLabel(day).first().uncheck();
    await page.getByRole('button', { name: 'Save calendar' }).click();
    await expect(page.getByRole('alert')).toContainText('Choose at least one weekday with lessons.');
    for (const day of ['Mon', 'Tue', 'Wed', 'Thu', 'Fri']) await page.getByLabel(day).first().check();
    await page.getByRole('button', { name: 'Save calendar' }).click();
    await expect(page.getByText('Saved. All dates follow it.')).toBeVisible();
  });
});

test('a lead writes how the school teaches a sound, a teacher reads it', async ({ page }) => {
  await signIn(page);
  await page.goto('/ladder');
  await page
    .getByRole('button', { name: /^Rung \d+, ch,/ })
    .first()
    .click();
  await page.getByRole('button', { name: /how we teach ch/ }).click();
  await page.getByLabel('Memory phrase').fill('chickens in the chest');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.locator('.rung-panel')).toContainText('chickens in the chest');
  await fromAccount(page, 'Sign out');
  await signIn(page, 'otters');
  await page.goto('/ladder?version=draft');
  await page
    .getByRole('button', { name: /^Rung \d+, ch,/ })
    .first()
    .click();
  await expect(page.locator('.rung-panel')).toContainText('chickens in the chest');
  await expect(page.getByRole('button', { name: /^Edit/ })).toHaveCount(0);
  await expect(page.locator('.rung-grip')).toHaveCount(0);
});

test('the mat and the words for a day print on a page each', async ({ page }) => {
  await signIn(page);
  for (const group of ['Otters', 'Badgers']) {
    await page.goto('/');
    await page.locator('.group', { hasText: group }).getByRole('link', { name: 'Mat and words' }).click();
    await expect(page.getByRole('heading', { name: `${group} so far` })).toBeVisible();
    await expect(page.locator('.mat-new').first()).toBeVisible();
    const pdf = await page.pdf({ preferCSSPageSize: true, printBackground: true, tagged: true });
    expect(pdf.toString('latin1').match(/\/Type\s*\/Page\b(?!s)/g)).toHaveLength(2);
  }
});

test('a review day looks back and teaches nothing new', async ({ page }) => {
  await signIn(page);
  await openLesson(page, 'Kestrels');
  for (let i = 0; i < 5 && !(await page.getByRole('heading', { level: 1 }).textContent())?.includes('Friday'); i++) {
    const before = page.url();
    await page.getByRole('link', { name: /Day after/ }).click();
    await expect(page).not.toHaveURL(before);
    await expect(page.getByRole('heading', { name: 'Apply' })).toBeVisible();
    if (await page.getByText('Review day').count()) break;
  }
  await expect(page.getByText('Review day').first()).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Teach', exact: true })).toHaveCount(0);
  await expect(page.getByRole('heading', { name: 'Practise' })).toBeVisible();
});

test.describe('when the server goes away in the middle of a save', () => {
  test.use({ expectedErrors: [/Failed to load resource/] });

  test('what was typed stays, and saving once more saves it', async ({ page }) => {
    await signIn(page);
    await page.goto('/calendar');
    const name = page.getByLabel('Name').first();
    await expect(name).toBeVisible();
    const kept = await name.inputValue();
    await page.route('**/calendar', (route) =>
      route.request().method() === 'POST' ? route.abort() : route.continue(),
    );
    await name.fill('Autumn');
    await page.getByRole('button', { name: 'Save calendar' }).click();
    await expect(page.getByRole('alert')).toContainText('can’t be reached');
    await expect(name).toHaveValue('Autumn');
    await page.unroute('**/calendar');
    await page.getByRole('button', { name: 'Save calendar' }).click();
    await expect(page.getByText('Saved.')).toBeVisible();
    await name.fill(kept);
    await page.getByRole('button', { name: 'Save calendar' }).click();
    await expect(page.getByText('Saved.')).toBeVisible();
  });
});

test.describe('when two leads save the same page', () => {
  test.use({ expectedErrors: [/409/] });

  test('the second is told, keeps what was typed, and may lay it over knowingly', async ({
    page,
    browser,
    baseURL,
  }) => {
    await signIn(page);
    await page.goto('/style');
    const label = page.locator('#label-double');
    await expect(label).toBeVisible();
    const other = await browser.newPage({ ...(baseURL ? { baseURL } : {}) });
    await signIn(other, 'deputy');
    await other.goto('/style');
    await other.locator('#label-double').fill('twin');
    await other.getByRole('button', { name: 'Save our way' }).click();
    await expect(other.getByRole('status')).toContainText('Saved');

    await label.fill('pair');
    await page.getByRole('button', { name: 'Save our way' }).click();
    await expect(page.getByRole('alert')).toContainText('Someone saved this after you opened it');
    await expect(label).toHaveValue('pair');
    await page.getByRole('button', { name: /^Keep mine/ }).click();
    await page.getByRole('button', { name: 'Save our way' }).click();
    await expect(page.getByRole('status')).toContainText('Saved');
    await label.fill('');
    await page.getByRole('button', { name: 'Save our way' }).click();
    await expect(page.getByRole('status')).toContainText('Saved');
    await other.close();
  });
});

test.describe('when what is sent is too large', () => {
  test.use({ expectedErrors: [/413/] });

  test('one sentence says so', async ({ page }) => {
    await signIn(page);
    await page.route('**/calendar', (route) =>
      route.request().method() === 'POST' ? route.continue({ postData: 'x'.repeat(300_000) }) : route.continue(),
    );
    await page.goto('/calendar');
    await page.getByLabel('Name').first().fill('Autumn');
    await page.getByRole('button', { name: 'Save calendar' }).click();
    await expect(page.getByRole('alert')).toContainText('too large');
    await expect(page.getByLabel('Name').first()).toHaveValue('Autumn');
  });
});

test('each setting of our school’s way is seen in the lesson, on the board, on paper and in what to say', async ({
  page,
}) => {
  await signIn(page);
  await page.goto('/style');
  await page.getByLabel('learn by heart: say, spell by letter names, write').check();
  await page.getByLabel('blend two, add the third').check();
  await page.getByLabel(/^Names of the four writing lines/).fill('sky, grass, ground, root');
  await page.getByLabel('I do', { exact: true }).fill('2');
  for (const chunk of ['e=e n=n', 'o=ɒ g=g', 'i=ɪ g=g', 'e=e t=t']) {
    await page.getByLabel(/^Sounds of the chunk/).fill(chunk);
    await page.getByRole('button', { name: 'Add chunk' }).click();
  }
  await page.getByRole('button', { name: 'Save our way' }).click();
  await expect(page.getByText('Saved. Every screen follows.')).toBeVisible();
  await page.goto('/ladder');
  await page
    .getByRole('button', { name: /^Rung \d+, g,/ })
    .first()
    .click();
  await page.getByRole('button', { name: /how we teach g/ }).click();
  await page.getByLabel('Key word').fill('gate');
  await page.getByLabel('Memory phrase').fill('the goat at the gate');
  await page.getByLabel('Mouth cue').fill('Tongue back, let go.');
  await page.getByLabel('Forming the letters').fill('Round, up, down, hook.');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.locator('.rung-panel')).toContainText('the goat at the gate');

  await openLesson(page, 'Otters');
  const row = (id: string) => page.locator(`[data-activity="${id}"]`);
  for (const [part, name, id] of [
    ['Revisit', 'Our chunks', 'revisit-chunk-cards'],
    ['Teach', 'Watch my mouth', 'teach-mouth-cue'],
    ['Teach', 'Our phrase for it', 'teach-memory-phrase'],
  ] as const) {
    if (await row(id).count()) continue;
    await page.getByRole('button', { name: `Add an activity to ${part}` }).click();
    await page.getByRole('button', { name: `Add ${name}` }).click();
    await expect(row(id)).toBeVisible();
  }
  const seen = async () => {
    await expect(page.getByText('/g/ as in gate').first()).toBeVisible();
    await expect(page.getByText('Tongue back, let go.')).toBeVisible();
    await expect(page.getByText('the goat at the gate')).toBeVisible();
    await expect(page.getByText('Round, up, down, hook.')).toBeVisible();
    await expect(page.getByText('sky, grass, ground, root')).toBeVisible();
    await expect(page.getByText('s · o')).toBeVisible();
    await expect(page.getByText(/^Blend: \S · \S\S → \S\S\S$/)).toBeVisible();
    await expect(page.getByText('I do 2').first()).toBeVisible();
    await expect(page.locator('.run-chunk').first()).toBeVisible();
  };
  await expect(row('revisit-chunk-cards')).toContainText('en');
  await seen();
  await page.keyboard.press('s');
  await expect(page.getByText('Add one sound at a time.')).toBeVisible();
  await expect(page.getByText(/each child’s own booklet/)).toBeVisible();
  await page.keyboard.press('p');
  await expect(page.locator('.sheet')).toBeVisible();
  await seen();
  await page.keyboard.press('Escape');

  await openLesson(page, 'Otters');
  await page.keyboard.press('b');
  const board = page.locator('.board');
  await expect(board).toBeVisible();
  const found = new Set<string>();
  for (let i = 0; i < 400 && !(await board.innerText()).includes('The end'); i++) {
    await page.keyboard.press('r');
    for (const what of ['gate', 'Tongue back', 'goat at the gate', 'hook', 'grass', 's · o', 'I do'])
      if ((await board.innerText()).includes(what)) found.add(what);
    if (await board.locator('.board-steps', { hasText: /^\S · \S\S → \S\S\S$/ }).count()) found.add('blended');
    if (await board.locator('.run-chunk').count()) found.add('chunk');
    await page.keyboard.press(' ');
  }
  expect([...found].sort()).toEqual(
    ['I do', 'Tongue back', 'blended', 'chunk', 'gate', 'goat at the gate', 'grass', 'hook', 's · o'].sort(),
  );

  await page.goto('/style');
  await page.getByLabel('decode what is regular, point at the tricky part').check();
  await page.getByLabel(/^Names of the four writing lines/).fill('');
  await page.getByLabel('I do', { exact: true }).fill('1');
  await page.getByLabel('sound by sound', { exact: true }).check();
  for (const chunk of ['en', 'og', 'ig', 'et']) await page.getByRole('button', { name: `Take ${chunk} off` }).click();
  await page.getByRole('button', { name: 'Save our way' }).click();
  await expect(page.getByText('Saved. Every screen follows.')).toBeVisible();
});

test('a calendar program is given an address with the lessons, until one ends it', async ({ page }) => {
  await signIn(page);
  await page.goto('/calendar');
  await page.getByLabel('Group', { exact: true }).selectOption('Otters');
  await page.getByLabel('Lessons begin at').fill('09:10');
  await page.getByRole('button', { name: 'Make an address' }).click();
  const address = await page.getByLabel('Address of the calendar').inputValue();
  await expectAccessible(page);
  const calendar = await page.request.get(address);
  expect(calendar.headers()['content-type']).toContain('text/calendar');
  const events = await calendar.text();
  expect(events).toContain('SUMMARY:Otters: ');
  expect(events).toContain('DTSTART:20261124T091000Z');
  await page.getByRole('button', { name: 'End the address for Otters' }).click();
  await expect(page.getByText('at 09:10')).toHaveCount(0);
  expect((await page.request.get(address)).status()).toBe(404);
});

test('our school’s way leaves as a file, and what it would change is said before it comes back', async ({ page }) => {
  await signIn(page);
  await page.goto('/style');
  const saved = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Our way as a file' }).click();
  const file = await (await saved).path();
  await page.getByLabel('Teach', { exact: true }).fill('Meet it');
  await page.getByRole('button', { name: 'Save our way' }).click();
  await expect(page.getByText('Saved. Every screen follows.')).toBeVisible();
  await page.getByRole('button', { name: 'Read a way from a file' }).click();
  await page.getByLabel('File of a school’s way').setInputFiles(file);
  await expect(page.getByRole('dialog').getByRole('listitem')).toHaveText(['Our own words']);
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Read it in' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.getByLabel('Teach', { exact: true })).toHaveValue('');
});
