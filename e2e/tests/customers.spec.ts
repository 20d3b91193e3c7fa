import { expect, test } from '@playwright/test';
import { openCopy, signIn } from './workshop';

test('a customer is found by name, reached by phone, and their job opened from their page', async ({ page }) => {
  await signIn(page);
  await openCopy(page, 'Bellbird Ranges Mobile Vet', 'Curlew Ferries', 'Brief');
  await page.getByRole('link', { name: 'MERIDEX' }).click();
  await page.getByRole('link', { name: 'customers', exact: true }).click();
  await page.getByRole('searchbox', { name: 'Find a customer' }).fill('curlew');
  await page.getByRole('button', { name: /Curlew Ferries/ }).click();
  await expect(page.getByRole('heading', { name: 'Curlew Ferries' })).toBeVisible();
  await page.getByLabel('Email').fill('at the desk');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('alert')).toContainText('email');
  await page.getByLabel('Email').fill('');
  await page.getByLabel('Phone').fill('0000 555 303');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Kept: how Curlew Ferries is reached.' })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Phone')).toHaveValue('0000 555 303');
  await page.getByRole('link', { name: /^Open the job of/ }).click();
  await expect(page.getByRole('heading', { name: 'Brief' })).toBeVisible();
  await page.getByRole('link', { name: 'MERIDEX' }).click();
  await expect(page.getByRole('link', { name: 'Call Curlew Ferries' })).toHaveAttribute('href', 'tel:0000 555 303');
});
