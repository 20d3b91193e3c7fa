import { expect, test } from '@playwright/test';
import { allKept, openCopy, signIn, stage } from './workshop';

test('parts are ordered, come and go back; a plan that changes says what is missing and what is to spare', async ({ page }) => {
  await signIn(page);
  await openCopy(page, 'Gumnut Travelling Playgroup', 'Marram Grass Playgroup', 'Order');
  const answer = page.locator('mx-buying .big');

  await test.step('all but one line from a supplier, that one off the shelf', async () => {
    await page.getByRole('link', { name: 'Buying' }).click();
    await expect(answer).toContainText(/(\d+) of \1 lines to order/);
    await page.locator('tr[data-line]').first().getByRole('checkbox').uncheck();
    await page.getByRole('textbox', { name: 'From' }).fill('Wirrabel Auto Parts');
    await page.getByRole('button', { name: /^Ordered: \d+ lines/ }).click();
    await expect(answer).toContainText(/^\s*1 of \d+ lines to order/);
    await page.getByRole('button', { name: 'Off the shelf' }).click();
    await expect(answer).toContainText(/All is ordered/);
  });

  await test.step('it comes', async () => {
    await page
      .getByRole('button', { name: /^Here: / })
      .first()
      .click();
    await page.getByRole('button', { name: 'All of it has come' }).click();
    await expect(answer).toHaveText(/Everything is here/);
    await allKept(page);
    await page.reload();
    await expect(answer).toHaveText(/Everything is here/);
  });

  await test.step('a load more wants parts more; the load taken away leaves them to spare', async () => {
    await stage(page, 'Loads');
    await page
      .getByRole('button', { name: /^Take .* off$/ })
      .first()
      .click();
    await stage(page, 'Order');
    await page.getByRole('link', { name: 'Buying' }).click();
    const spare = page.getByRole('region', { name: 'What the plan wants no more' });
    await expect(spare).toContainText('here: back to who sold it');
    const rows = await spare.getByRole('row').count();
    await spare
      .getByRole('button', { name: /^On to the shelf: / })
      .first()
      .click();
    await expect(spare.getByRole('row')).toHaveCount(rows - 1);
    await page.getByRole('button', { name: /^Undo/ }).click();
    await expect(spare.getByRole('row')).toHaveCount(rows);
    await allKept(page);
  });
});
