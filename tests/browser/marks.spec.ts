import { expect, expectAccessible, openLesson, signIn, test } from './app.js';

test.use({ expectedErrors: [/INTERNET_DISCONNECTED/] });

const PHONE = { width: 390, height: 800 };

test('a class is marked on a phone without network, and what was missed comes back and says why', async ({
  page,
  context,
}) => {
  await signIn(page);
  await openLesson(page, 'Kestrels');
  await page.setViewportSize(PHONE);
  await page.getByRole('link', { name: 'Mark', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Mark Kestrels' })).toBeVisible();
  await expectAccessible(page);

  // Nothing is lost while the server is away, not even with the page gone.
  await context.setOffline(true);
  const children = page.locator('.mark-children > li > button:not([disabled])');
  const words = await page.locator('.mark-words button').count();
  let taps = 0;
  for (let i = 0; i < 4; i++) {
    await children.nth(i).click();
    await page.locator('.mark-graphemes button').first().click();
    taps += 2;
  }
  for (let w = 0; w < words; w++) {
    await page.getByRole('button', { name: 'The rest is right: next word' }).click();
    taps++;
  }
  expect(taps).toBe(8 + words);
  await expect(page.getByText(/kept on this device/)).toBeVisible();
  const marks = page.url();
  await page.close();
  await context.setOffline(false);
  const again = await context.newPage();
  await again.setViewportSize(PHONE);
  await again.goto(marks);
  await expect(again.getByText('All marks are kept.')).toBeVisible();
  await expect(again.locator('.mark-words button', { hasText: '✓' })).toHaveCount(words);

  await again.getByRole('link', { name: 'Group today' }).click();
  await expect(again.getByRole('heading', { name: 'What comes back next' })).toBeVisible();
  await expect(again.getByText(/children had it wrong last time/).first()).toBeVisible();
  await expect(again.getByRole('heading', { name: 'Who wobbles on what' })).toBeVisible();
  await expectAccessible(again);
});
