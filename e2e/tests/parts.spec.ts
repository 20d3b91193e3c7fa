import { expect, test } from '@playwright/test';
import { choose, openJob, signIn } from './workshop';

test('a shipped part is found, copied as one’s own with another figure, offered in a job, and retired', async ({ page }) => {
  const troubles: string[] = [];
  page.on('pageerror', (error) => troubles.push(String(error)));
  await signIn(page);
  await page.getByRole('link', { name: 'parts', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Parts', level: 1 })).toBeVisible();

  await test.step('found by what its plate says', async () => {
    await page.getByRole('searchbox', { name: 'Find a part' }).fill('agm 135');
    await expect(page.locator('tbody tr')).toHaveCount(1);
    await expect(page.getByRole('region', { name: /^Data sheet of/ })).toContainText('135 Ah');
  });

  await test.step('copied, changed, kept', async () => {
    await page.getByRole('button', { name: 'Copy it as our own' }).click();
    await page.getByRole('textbox', { name: 'Name of the part' }).fill('shed battery 140 Ah');
    await page.getByRole('textbox', { name: 'Capacity of the part' }).fill('140');
    await page.getByRole('textbox', { name: 'Outside of the part' }).fill('330 × 172');
    await expect(page.locator('.ant-modal')).toContainText('three figures in mm');
    await page.getByRole('textbox', { name: 'Outside of the part' }).fill('330 × 220 × 172');
    await page.getByRole('button', { name: 'Keep it for the workshop' }).click();
    await expect(page.getByRole('status').filter({ hasText: 'shed battery 140 Ah is kept' })).toBeVisible();
    await page.getByRole('button', { name: 'our own', exact: true }).click();
    await expect(page.getByRole('button', { name: 'shed battery 140 Ah' })).toBeVisible();
  });

  await test.step('offered in a job', async () => {
    await page.goto('/');
    await openJob(page, 'Cinderbush Orchard Bees', 'Supply');
    await page.getByRole('link', { name: 'What feeds it' }).click();
    await choose(page, 'House battery', 'shed battery 140 Ah');
    await expect(page.locator('.bench-head')).toContainText('140 Ah');
    await page.getByRole('button', { name: /^Undo/ }).click();
    await page.getByRole('button', { name: /^Undo/ }).click();
  });

  await test.step('retired', async () => {
    await page.goto('/parts');
    await page.getByRole('searchbox', { name: 'Find a part' }).fill('shed battery');
    await page.getByRole('button', { name: 'retire', exact: true }).click();
    await expect(page.locator('tr.retired')).toContainText('shed battery 140 Ah');
  });
  expect(troubles).toEqual([]);
});
