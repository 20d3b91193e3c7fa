import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { allKept, openCopy, signIn, stage } from './workshop';

test('a tank sender, a relay that it closes and what keeps the starting battery up are added, led, drawn, fitted and labelled', async ({ page }) => {
  await signIn(page);
  await openCopy(page, 'Bellbird Ranges Mobile Vet', 'Spoonbill Reach Vet', 'Supply');

  await test.step('a maintainer stands in the flow, and the engine cranks for ever', async () => {
    await page.getByRole('button', { name: 'Add what keeps the starting battery up' }).click();
    await expect(page.locator('mx-supply-flow')).toContainText('Maintainer');
    await expect(page.locator('mx-supply-flow')).toContainText('for the starting battery');
  });

  await test.step('a sender brings its display along; a relay switches a load while there is water', async () => {
    await page.getByRole('link', { name: 'Meters and switching' }).click();
    await page.getByRole('button', { name: 'Add a tank sender' }).click();
    await expect(page.locator('.rows li')).toHaveCount(3);
    await page.getByRole('button', { name: 'Add a relay unit that switches loads' }).click();
    const relays = page.getByRole('listitem', { name: 'relay unit, four outputs of 10 A' });
    await relays.locator('nz-select[aria-label$=" switches"]').click();
    await page.locator('nz-option-item').nth(1).click();
    await page.keyboard.press('Escape');
    await relays.locator('nz-select[aria-label$=" closes by itself"]').click();
    await page.locator('nz-option-item').filter({ hasText: 'by itself, above' }).click();
    await expect(relays).toContainText('At');
    await allKept(page);
  });

  await test.step('what each output does stands in the settings, the leads in Fit', async () => {
    await page.getByRole('link', { name: 'Settings and watching' }).click();
    await expect(page.locator('mx-sheets')).toContainText(/while fresh water is above 10\.0 %/);
    await stage(page, 'Fit');
    await expect(page.locator('mx-fit')).toContainText(/Lead \d+: lay fresh water → remote unit/);
  });

  await test.step('every core, fuse and lead has its label, as CSV and as a PDF', async () => {
    await stage(page, 'Order');
    await page.getByRole('link', { name: 'Labels' }).click();
    const said = await page.locator('mx-labels .answer').textContent();
    const count = Number(/(\d+)\s+labels/.exec(said!)![1]);
    await expect(page.locator('mx-labels svg.page rect')).toHaveCount(count);
    const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'CSV for a label printer' }).click()]);
    expect(
      readFileSync(await file.path(), 'utf8')
        .trimEnd()
        .split('\r\n').length,
    ).toBe(count + 1);
    const href = await page.getByRole('link', { name: 'Print them, PDF' }).getAttribute('href');
    const pdf = await page.request.get(href!);
    expect([pdf.status(), (await pdf.body()).subarray(0, 5).toString()]).toEqual([200, '%PDF-']);
  });
});
