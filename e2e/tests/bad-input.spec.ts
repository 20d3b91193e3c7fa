import { expect, test } from '@playwright/test';
import { choose, openJob, runRow, signIn, stage } from './workshop';

test('whatever is typed, the bench answers in words and stays standing', async ({ page }) => {
  const troubles: string[] = [];
  page.on('pageerror', (error) => troubles.push(String(error)));
  await signIn(page);
  await openJob(page, 'Bellbird Ranges Mobile Vet', 'Runs');
  const length = page.getByRole('textbox', { name: 'Length of run 4', exact: true });
  for (const bad of ['-1', '1e9', 'NaN', 'abc', '12V', '']) {
    await length.fill(bad);
    await expect(runRow(page, 'bus-inverter').getByRole('alert')).toContainText('from 0 to 200');
    await expect(length).toHaveValue(bad);
  }
  await length.fill('0');
  await stage(page, 'Checks');
  await expect(page.locator('main')).toContainText('has a length of 0 m');
  await stage(page, 'Runs');
  await page.getByRole('textbox', { name: 'Length of run 4', exact: true }).fill('150');
  await expect(runRow(page, 'bus-inverter').getByRole('img', { name: 'stop' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Length of run 4', exact: true }).fill('0.7');
  await expect(runRow(page, 'bus-inverter')).toContainText('mm²');

  await stage(page, 'Loads');
  await page.getByRole('textbox', { name: 'Draw of canopy lights' }).fill('0 W');
  await stage(page, 'Checks');
  await expect(page.locator('main')).toContainText(/canopy lights draws 0 W/i);
  await stage(page, 'Loads');
  await page.getByRole('textbox', { name: 'Draw of canopy lights' }).fill('24 W');

  await stage(page, 'Supply');
  await page.getByRole('link', { name: 'What feeds it' }).click();
  await choose(page, 'House battery', 'lithium battery 100 Ah');
  await stage(page, 'Checks');
  await expect(page.locator('main')).toContainText('the battery gives 100 A');
  await stage(page, 'Supply');
  await page.getByRole('link', { name: 'What feeds it' }).click();
  await choose(page, 'House battery', 'lithium battery 200 Ah');
  await expect(page.locator('main')).not.toContainText('NaN');
  expect(troubles).toEqual([]);
});

test('an address that is no job says so', async ({ page }) => {
  await signIn(page);
  await page.goto('/jobs/00000000-0000-4000-8000-000000000000/runs');
  await expect(page.locator('main')).toContainText('This job is not in your workshop.');
});

test('signing in is asked for, and leads back to where one was going', async ({ page }) => {
  await page.goto('/jobs/00000000-0000-4000-8000-000000000000/runs');
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await page.getByLabel('Password').fill('wrong');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('alert')).toContainText('do not belong together');
  await page.getByLabel('Password').fill('wirrabel');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page).toHaveURL(/\/jobs\/0000/);
});

test('ticks made while the server is away are kept and sent later', async ({ page, context }) => {
  await signIn(page);
  await openJob(page, 'Stonefly Catchment Survey', 'Fit');
  await context.setOffline(true);
  await page.locator('[data-step="safe-negative"]').check();
  await expect(page.locator('.bench-head')).toContainText('1 to send');
  await page.locator('[data-step="safe-panels"]').check();
  await context.setOffline(false);
  await expect(page.locator('.bench-head')).not.toContainText('to send');
  await page.reload();
  await expect(page.locator('[data-step="safe-negative"]')).toBeChecked();
  await expect(page.locator('[data-step="safe-panels"]')).toBeChecked();
});
