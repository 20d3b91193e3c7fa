import { expect, test } from '@playwright/test';
import { allKept, openCopy, signIn, stage } from './workshop';

test('thin runs that go the same way become one cable: sized, bought and pulled as one, and one undo takes it back', async ({ page }) => {
  await signIn(page);
  await openCopy(page, 'Two Creeks Bookmobile', 'Mistletoe Lane Library', 'Runs');
  await page.getByRole('link', { name: 'Multi-cores' }).click();
  await expect(page.getByText('Every run has cables of its own.')).toBeVisible();
  await page.getByRole('button', { name: 'One cable for 4 runs' }).click();
  await expect(page.getByRole('img', { name: /cores: 4 feeds/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /1 feed 9/ })).toBeVisible();

  await test.step('a fourth run goes by itself again: one choice', async () => {
    await page.locator('nz-select[aria-label^="Runs of"] .ant-select-selection-item-remove').last().click();
    await expect(page.getByRole('img', { name: /cores: 3 feeds/ })).toBeVisible();
    await allKept(page);
  });
  await test.step('it is one line, one cut and one step', async () => {
    await stage(page, 'Order');
    await page.getByRole('link', { name: 'Parts and cuts' }).click();
    await expect(page.getByRole('row', { name: /cable \d+-core .* sheathed/ }).first()).toBeVisible();
    await stage(page, 'Fit');
    await expect(page.getByText(/Runs 9, 10, 11: pull .* cable, \d+-core/).first()).toBeAttached();
  });
  await test.step('two undos, and every run has cables of its own', async () => {
    await page.getByRole('button', { name: /^Undo/ }).click();
    await page.getByRole('button', { name: /^Undo/ }).click();
    await stage(page, 'Runs');
    await page.getByRole('link', { name: 'Multi-cores' }).click();
    await expect(page.getByText('Every run has cables of its own.')).toBeVisible();
    await allKept(page);
  });
});
