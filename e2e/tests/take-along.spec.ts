import { expect, test } from '@playwright/test';
import { openJob, signIn, stage } from './workshop';

test('jobs that were taken along open without signal, though they were never opened here', async ({ page, context }) => {
  await signIn(page);
  await page.getByRole('searchbox', { name: 'Find among the jobs' }).fill('survey');
  await page.getByRole('button', { name: /^Keep the 1 jobs? shown on this device/ }).click();
  await expect(page.getByRole('status').filter({ hasText: '1 job kept on this device' })).toBeVisible();

  await context.setOffline(true);
  await openJob(page, 'Stonefly Catchment Survey', 'Fit');
  await expect(page.getByRole('status').filter({ hasText: 'no signal: as kept here' })).toBeVisible();
  await page.getByRole('button', { name: 'by kind of work' }).click();
  await expect(page.locator('label.step').first()).toBeVisible();
  await stage(page, 'Runs');
  await expect(page.locator('tr[data-run]').first()).toBeVisible();
  await context.setOffline(false);
});
