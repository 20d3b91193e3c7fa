import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { choose, openCopy, signIn, stage } from './workshop';

test('a job is saved as a file, opened from it, copied, deleted and taken back', async ({ page }) => {
  await signIn(page);
  const settle = (customer: string) => page.getByRole('button', { name: `State and day of ${customer}` }).click();
  await settle('Cinderbush Orchard Bees');
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Save as a file' }).click()]);
  const path = await download.path();
  const { design } = JSON.parse(readFileSync(path, 'utf8')) as { design: { brief: { customer: string; plate: string } } };
  expect(design.brief.customer).toBe('Cinderbush Orchard Bees');
  await page.keyboard.press('Escape');

  await page.getByRole('button', { name: /^New job/ }).click();
  await page.getByRole('button', { name: 'a job file' }).click();
  await page.getByLabel('Job file', { exact: true }).setInputFiles({ name: 'bees.json', mimeType: 'application/json', buffer: readFileSync(path) });
  await expect(page.getByText('bees.json can be read.')).toBeVisible();
  await page.getByLabel('Customer').fill('Spinifex Track Care');
  await page.getByRole('button', { name: 'Open the job' }).click();
  await expect(page.getByRole('textbox', { name: 'Plate' })).toHaveValue(design.brief.plate);

  await page.goto('/');
  await settle('Spinifex Track Care');
  await page.getByRole('button', { name: 'Copy', exact: true }).click();
  await page.getByLabel('Customer').fill('Spinifex Track Care, second ute');
  await page.getByRole('button', { name: 'Open the job' }).click();
  await expect(page.getByRole('textbox', { name: 'Plate' })).toHaveValue('');

  await page.goto('/');
  await settle('Spinifex Track Care, second ute');
  await page.getByRole('button', { name: 'Delete', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Open Spinifex Track Care, second ute' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByRole('link', { name: 'Open Spinifex Track Care, second ute' })).toBeVisible();
});

test('a job is made a template: it stands aside, and the next job begins from it', async ({ page }) => {
  await signIn(page);
  await openCopy(page, 'Cinderbush Orchard Bees', 'Usual flatbed', 'Loads');
  await page.goto('/');
  await page.getByRole('button', { name: 'State and day of Usual flatbed' }).click();
  await choose(page, 'State of the job', 'template');
  await expect(page.getByText('A template is no job')).toBeVisible();
  await page.getByRole('button', { name: 'Set it' }).click();
  await expect(page.getByRole('link', { name: 'Open Usual flatbed' })).toHaveCount(0);
  await page.getByRole('button', { name: '1 template' }).click();
  await expect(page.getByRole('link', { name: 'Open Usual flatbed' })).toBeVisible();
  await page.getByRole('button', { name: 'Back to the jobs' }).click();
  await page.getByRole('button', { name: /^New job/ }).click();
  await page.getByLabel('Customer').fill('Saltbush Fencing');
  await page.getByRole('button', { name: 'a template' }).click();
  await page.getByRole('button', { name: 'Open the job' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await stage(page, 'Loads');
  // What the template must run is there, by name.
  await expect(page.getByRole('button', { name: /^Take .* off$/ }).first()).toBeVisible();
});
