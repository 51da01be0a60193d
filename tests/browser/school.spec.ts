import { expect, openLesson, signIn, test } from './app.js';

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
  await page.getByRole('button', { name: 'Sign out' }).click();
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
