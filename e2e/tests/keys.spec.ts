import { expect, test } from '@playwright/test';
import { openJob, runRow, signIn } from './workshop';

test('the desk works by keys alone', async ({ page }) => {
  await signIn(page);
  await expect(page.locator('tbody tr').first()).toBeVisible();
  await page.keyboard.press('j');
  await page.keyboard.press('j');
  await expect(page.locator('tbody tr.chosen')).toHaveCount(1);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('navigation', { name: 'Stages of the job' })).toBeVisible();

  for (const [key, heading] of [
    ['2', 'Loads'],
    ['3', 'Supply'],
    ['5', 'Runs'],
    ['6', 'Protection'],
    ['0', 'Prove'],
    ['1', 'Brief'],
  ] as const) {
    await page.keyboard.press(key);
    await expect(page.getByRole('heading', { name: heading, level: 1, exact: true })).toBeVisible();
  }

  await page.keyboard.press('?');
  await expect(page.locator('.ant-modal')).toContainText('next finding');
  await page.keyboard.press('Escape');
  await expect(page.locator('.ant-modal')).toHaveCount(0);

  await page.keyboard.press('f');
  await expect(page.getByRole('heading', { name: 'Checks' })).toBeVisible();
  await expect(page.locator('button.row.chosen')).toHaveCount(1);

  await page.keyboard.press('/');
  await page.keyboard.type('inverter');
  await page.locator('nz-auto-option').filter({ hasText: 'Bus bars → inverter' }).click();
  await expect(page.getByRole('heading', { name: 'Runs' })).toBeVisible();
  await expect(runRow(page, 'bus-inverter')).toHaveClass(/chosen/);

  await page.keyboard.press('d');
  await expect(page.locator('html')).toHaveAttribute('data-view', 'night');
  await page.keyboard.press('d');
});

test('undo and redo by keys, across stages', async ({ page }) => {
  await signIn(page);
  await openJob(page, 'Cinderbush Orchard Bees', 'Runs');
  const length = page.getByRole('textbox', { name: 'Length of run 2', exact: true });
  await length.fill('4.4');
  await length.press('Enter');
  await length.blur();
  await page.keyboard.press('Control+z');
  await expect(length).toHaveValue('3.1');
  await page.keyboard.press('Control+y');
  await expect(length).toHaveValue('4.4');
  await page.keyboard.press('Control+z');
  await expect(length).toHaveValue('3.1');
});

test('what is asked under a bonnet is answered by keys, on the bay sheet as in a job', async ({ page }) => {
  await signIn(page);
  await expect(page.locator('tbody tr').first()).toBeVisible();
  await page.getByLabel('Find or do').fill('40 A 6 m');
  await page.keyboard.press('Enter');
  const answer = page.getByRole('dialog', { name: 'Answer' });
  await expect(answer).toContainText('16 mm², 60 A fuse, 0.58 V lost, 4.8 %');
  await answer.getByRole('button', { name: '45 °C air' }).click();
  await expect(answer.getByRole('button', { name: '70 °C engine bay' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(answer).toHaveCount(0);

  await openJob(page, 'Bellbird Ranges Mobile Vet', 'Loads');
  const loads = page.locator('mx-loads tbody tr');
  await expect(loads.first()).toBeVisible();
  const before = await loads.count();
  await page.getByLabel('Find or do').fill('fridge 45 W 33 %');
  await page.keyboard.press('Enter');
  await answer.getByRole('button', { name: 'Put it into this job' }).click();
  await expect(answer).toContainText('fridge 45 W stands under Loads');
  await expect(loads).toHaveCount(before + 1);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Undo / }).click();
  await expect(loads).toHaveCount(before);
});
