import { expect, fromAccount, openLesson, signIn, test } from './app.js';

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
