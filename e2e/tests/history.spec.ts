import { expect, test } from '@playwright/test';
import { allKept, openJob, signIn, stage } from './workshop';

test('every change is told, compared, looked at and brought back', async ({ page }) => {
  await signIn(page);
  await openJob(page, 'Two Creeks Bookmobile', 'Brief');
  const days = page.getByRole('textbox', { name: 'Days', exact: true });
  const was = await days.inputValue();
  await days.fill('9');
  await days.press('Tab');
  await allKept(page);
  await page.getByRole('textbox', { name: 'Plate' }).fill('AFTER 1');
  await allKept(page);

  await stage(page, 'Look after');
  await page.getByRole('link', { name: 'Every change' }).click();
  await expect(page.locator('tr.chosen')).toContainText('plate');
  await page.getByRole('button', { name: 'trip' }).first().click();
  await expect(page.getByRole('cell', { name: 'Brief trip, days' })).toBeVisible();
  await expect(page.locator('.changes tbody tr').first()).toContainText(/trip, days.*9/);

  await page.getByRole('button', { name: 'Look at it' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'You look at revision 2' })).toBeVisible();
  await stage(page, 'Brief');
  await expect(page.getByRole('textbox', { name: 'Plate' })).not.toHaveValue('AFTER 1');
  await page.getByRole('textbox', { name: 'Plate' }).fill('NOT NOW');
  await expect(page.getByRole('alert').filter({ hasText: 'You look at revision 2' })).toBeVisible();
  await page.getByRole('button', { name: 'Back to now' }).click();
  await expect(page.getByRole('textbox', { name: 'Plate' })).toHaveValue('AFTER 1');

  await stage(page, 'Look after');
  await page.getByRole('link', { name: 'Every change' }).click();
  await page.getByRole('button', { name: 'job opened' }).click();
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await allKept(page);
  await expect(page.locator('table').first()).toContainText('revision 1 brought back');
  await stage(page, 'Brief');
  await expect(days).toHaveValue(was);
  await page.getByRole('button', { name: /^Undo revision 1/ }).click();
  await expect(days).toHaveValue('9');
  await allKept(page);
});
