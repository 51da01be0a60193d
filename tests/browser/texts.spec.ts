import { expect, expectAccessible, openLesson, signIn, test } from './app.js';

const STORY =
  'Sam had a red cap. The cap was on a sofa. A big dog ran up and took the cap! Mother was cross. ' +
  'Sam crept up to the dog. Then the dog wandered off. Sam got the cap back. Mother was glad.';

test('a story is pasted, reworded, taught towards, kept, read on Friday and printed as a little book', async ({
  page,
}) => {
  await signIn(page);
  await page.getByRole('navigation', { name: 'Main' }).getByRole('link', { name: 'Texts' }).click();
  await page.getByLabel('Who reads it').selectOption({ label: 'Badgers, today' });
  const field = page.getByRole('textbox', { name: 'The text' });
  await field.fill(STORY);
  const standing = page.locator('.text-standing');
  await expect(standing.getByRole('button')).toHaveCount(3);
  await expectAccessible(page);

  for (const word of ['sofa', 'wandered']) {
    await standing.getByRole('button', { name: word, exact: true }).click();
    await expect(page.getByRole('heading', { name: word, level: 2 })).toBeVisible();
    await page.locator('section[aria-live] .btn-outline-primary.literacy').first().click();
    await expect(standing.getByRole('button', { name: word, exact: true })).toHaveCount(0);
  }
  await expect(field).not.toHaveValue(/sofa|wandered/);
  await standing.getByRole('button', { name: 'Mother', exact: true }).click();
  await page.getByRole('button', { name: 'Teach it first' }).first().click();
  await expect(page.getByText('100%').last()).toBeVisible();
  await expect(page.getByText('Taught first: mother')).toBeVisible();

  await page.getByLabel('Title', { exact: true }).fill('The red cap');
  await page.getByLabel('Questions to ask, a line each').fill('Who took the cap?');
  await page.getByRole('button', { name: 'Keep in our texts' }).click();
  await expect(page).toHaveURL(/\/texts\/own\/[0-9a-f-]+$/);
  await page.reload();
  await page.getByRole('button', { name: 'As it was before' }).click();
  await expect(field).toHaveValue(STORY);

  await page.goto('/');
  await openLesson(page, 'Badgers');
  await page.goto(page.url().replace('2026-11-24', '2026-11-27'));
  await page.getByRole('button', { name: 'Add an activity to Apply' }).click();
  await page.getByLabel('Read one of our texts').first().selectOption({ label: 'The red cap' });
  const read = page.locator('[data-activity*="read-text"]');
  await expect(read).toContainText('The red cap');
  await expect(read).toContainText('Sam crept up to the dog.');
  await expect(page.locator('.part-teach')).toContainText('mother');
  await expect(page.locator('.problem')).toHaveCount(0);

  await page.goto(page.url().replace('/lessons/', '/printing/') + '/booklets');
  await page.getByLabel('Booklet').selectOption({ label: 'Little book' });
  await expect(page.locator('.book-page').filter({ hasText: 'Sam crept up to the dog.' }).first()).toBeVisible();
});

test.describe('when a file is refused', () => {
  test.use({ expectedErrors: [/422/] });

  test('a file of another kind says what to take instead, and nothing is lost', async ({ page }) => {
    await signIn(page);
    await page.goto(`${new URL(page.url()).pathname.replace(/\/$/, '')}/texts`);
    const field = page.getByRole('textbox', { name: 'The text' });
    await field.fill('A cat sat.');
    const file = page.getByLabel('Open a file');
    await file.setInputFiles({ name: 'a.pdf', mimeType: 'application/pdf', buffer: Buffer.from('%PDF-1.7 x') });
    await expect(page.getByRole('alert')).toContainText('A PDF keeps the look of pages');
    await expect(field).toHaveValue('A cat sat.');
    await file.setInputFiles({ name: 'a.txt', mimeType: 'text/plain', buffer: Buffer.from('A pup ran.') });
    await expect(field).toHaveValue('A pup ran.');
  });
});

test('a book is put on the shelf, found for a group, taken home and brought back', async ({ page }) => {
  await signIn(page);
  await page.goto(`${new URL(page.url()).pathname.replace(/\/$/, '')}/texts/books`);
  await page.getByRole('button', { name: 'Add a book' }).first().click();
  await page.getByLabel('Title', { exact: true }).fill('Ten tin men');
  await page.getByLabel('Copies', { exact: true }).fill('4');
  await page
    .getByLabel('Its words, typed or pasted by you')
    .fill('Ten tin men sat. A tin cat ran. Ten tin men got up.');
  await page.getByRole('button', { name: 'Add a book' }).last().click();
  await page.getByLabel('Group', { exact: true }).selectOption({ label: 'Otters' });
  await page.getByLabel('Which').selectOption({ label: 'now' });
  await page.getByRole('button', { name: 'Ten tin men' }).click();
  const book = page.getByRole('region', { name: 'Ten tin men' });
  await expect(book.getByRole('button', { name: /Read .*: the words/ }).first()).toBeVisible();
  await expectAccessible(page);
  await book.getByRole('button', { name: 'Take home' }).first().click();
  await expect(book).toContainText('took 4 copies home');
  await book.getByRole('button', { name: 'It is back' }).click();
  await expect(book).toContainText('back Tuesday 24 November');
});
