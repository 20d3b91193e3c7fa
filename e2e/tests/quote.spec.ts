import { expect, test } from '@playwright/test';
import { openJob, signIn } from './workshop';

test('a quote is made with a draft beside the plan, sent by its link, asked about and accepted on a phone, and the desk hears of it', async ({ page, browser }) => {
  await signIn(page);
  await openJob(page, 'Bellbird Ranges Mobile Vet', 'Order');
  await page.getByRole('link', { name: 'The quote' }).click();
  const cards = page.locator('mx-option-card');
  const total = async (n: number): Promise<number> => Number((await cards.nth(n).locator('.total').innerText()).replace(/[^\d.]/g, ''));
  await expect(cards).toHaveCount(1);
  await page.getByRole('button', { name: 'lean', exact: true }).click();
  await expect(cards).toHaveCount(2);
  const [planned, lean] = [await total(0), await total(1)];
  expect(lean).toBeGreaterThan(500);

  await test.step('a dearer hour makes a dearer quote, to the cent, and undo takes it back', async () => {
    const labour = cards.first().getByRole('row', { name: /Labour/ });
    const hours = Number(/Labour, ([\d.]+) h/.exec(await labour.innerText())![1]);
    const rate = page.getByRole('textbox', { name: 'Money for an hour of work' });
    const before = Number(await rate.inputValue());
    await rate.fill(String(before + 10));
    await rate.press('Enter');
    // Ten more an hour, and the tax of a tenth on it.
    await expect.poll(() => total(0)).toBeCloseTo(planned + 11 * hours, 2);
    await rate.blur();
    await page.keyboard.press('Control+z');
    await expect.poll(() => total(0)).toBe(planned);
  });

  const link = await test.step('its link is made once all is kept', async () => {
    await page.getByRole('button', { name: 'Make its link' }).click();
    return page.getByRole('textbox', { name: 'Link of the quote' }).inputValue();
  });

  const phone = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const theirs = await phone.newPage();
  await test.step('the customer reads it on a phone, signed in nowhere, and asks', async () => {
    await theirs.goto(link);
    await expect(theirs.getByRole('heading', { name: 'Quote for Bellbird Ranges Mobile Vet' })).toBeVisible();
    expect(await theirs.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    await theirs.getByRole('textbox', { name: 'Your name' }).fill('Robin from the clinic');
    await theirs.getByRole('textbox', { name: 'Or ask something first' }).fill('Does the centrifuge run while we drive?');
    await theirs.getByRole('button', { name: 'Ask the workshop' }).click();
    await expect(theirs.getByRole('status')).toContainText('with the workshop');
    await expect(page.locator('mx-comments')).toContainText('Does the centrifuge run while we drive?');
    await expect(page.locator('mx-comments')).toContainText('Robin from the clinic, by the quote’s link');
  });

  await test.step('one option is accepted by name', async () => {
    await theirs.getByRole('button', { name: 'Take “Lean”' }).click();
    await theirs.getByRole('button', { name: /^Accept “Lean” for/ }).click();
    await expect(theirs.getByRole('status')).toContainText('Lean was accepted by Robin from the clinic');
    await expect(page.getByRole('region', { name: 'Quotes that were sent' })).toContainText('Lean by Robin from the clinic');
    await expect(page.getByRole('link', { name: 'Take that draft under Supply' })).toBeVisible();
  });
  await phone.close();
});
