import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { allKept, openCopy, signIn, stage } from './workshop';

test('a vehicle leaves: its care is counted from that day, ticked, and taken along as a calendar; a fix says beforehand what it would change', async ({ page }) => {
  await signIn(page);
  await openCopy(page, 'Cinderbush Orchard Bees', 'Quandong Lane Apiary', 'Look after');

  await test.step('nothing can be ticked before it has left', async () => {
    await expect(page.locator('mx-care')).toContainText('It has not left yet');
    await expect(page.locator('mx-care .tick input').first()).toBeDisabled();
  });

  await test.step('from today on', async () => {
    await page.locator('nz-date-picker input').click();
    await page.locator('.ant-picker-today-btn').click();
    await expect(page.locator('mx-care')).not.toContainText('It has not left yet');
    await expect(page.locator('mx-care .next')).toContainText('Re-tighten the 24 bolted joints');
    await page.locator('[data-care="care-joints-1"] input').check();
    await expect(page.locator('mx-care .next')).not.toContainText('Re-tighten');
    await allKept(page);
    await page.reload();
    await expect(page.locator('[data-care="care-joints-1"] input')).toBeChecked();
  });

  await test.step('as a calendar file', async () => {
    const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Calendar file' }).click()]);
    expect(file.suggestedFilename()).toBe('quandong-lane-apiary-care.ics');
    const text = readFileSync(await file.path(), 'utf8');
    expect(text).toContain('BEGIN:VCALENDAR');
    expect(text.match(/RRULE:FREQ=MONTHLY/g)!.length).toBe(text.match(/BEGIN:VEVENT/g)!.length);
  });

  await test.step('a press says what it would change, and then does it', async () => {
    await stage(page, 'Checks');
    await page.locator('button.row').filter({ hasText: 'blade fuses of the fuse block' }).click();
    const would = page.locator('mx-would-change');
    await expect(would).toContainText('ends this finding');
    const parts = would.locator('dt', { hasText: /^Parts$/ });
    await expect(parts).toBeVisible();
    await page.getByRole('button', { name: /^Take the cartridge fuse board/ }).click();
    await expect(page.locator('button.row').filter({ hasText: 'blade fuses of the fuse block' })).toHaveCount(0);
  });
});
