import { expect, test, type Page } from '@playwright/test';
import { allKept, choose, signIn, stage } from './workshop';

/** An entry by its whole words, where others begin alike. */
async function pick(page: Page, field: string, entry: string): Promise<void> {
  await page.locator(`nz-select[aria-label="${field}"]`).click();
  await page
    .locator('nz-option-item')
    .filter({ hasText: new RegExp(`^\\s*${entry}\\s*$`) })
    .click();
}

const press = (page: Page, thing: string): Promise<void> => page.getByRole('button', { name: `Add ${thing}` }).click();
const show = (page: Page, thing: string): Promise<void> => page.locator(`[data-thing="${thing}"]`).click();
const takeOut = (page: Page): Promise<void> =>
  page
    .getByLabel(/^What is chosen/)
    .getByRole('button', { name: 'take out' })
    .click();

test('from nothing: a ute with a roof array and a portable one on controllers of their own, 400 Ah, 3 kW and fans', async ({ page }) => {
  await signIn(page);

  await test.step('a new job, ten answers, one press', async () => {
    await page.keyboard.press('n');
    await page.getByRole('textbox', { name: 'Customer' }).fill('Kestrel Ridge Drilling');
    await page.getByRole('button', { name: 'Open the job' }).click();
    await choose(page, 'Use; ticks its usual loads', 'remote work');
    await choose(page, 'Plugged in at outlets', '3.0 kW');
    await page.getByRole('button', { name: 'Draft the whole job' }).click();
    await expect(page.getByRole('heading', { name: 'Protection', level: 1 })).toBeVisible();
    await allKept(page);
  });

  await test.step('a charger without a sun input, two batteries, and the roof on a controller of its own', async () => {
    await stage(page, 'Supply');
    await show(page, 'charger');
    await pick(page, 'Part of charger', 'DC-DC charger 25 A');
    await show(page, 'panel');
    await takeOut(page);
    await press(page, 'an array with its own controller');
    await expect(page.locator('[data-flow="array>regulator"]')).toBeAttached();
    await show(page, 'house');
    await pick(page, 'Part of house battery 560 Ah', 'lithium battery 200 Ah');
    await expect(page.locator('.bench-head')).toContainText('400 Ah at 12 V');
    await allKept(page);
  });

  await test.step('a portable array on a second controller, of another size', async () => {
    await press(page, 'an array with its own controller');
    await expect(page.locator('[data-flow="array-2>regulator-2"]')).toBeAttached();
    await show(page, 'regulator-2');
    await pick(page, 'Part of second solar controller', 'MPPT controller 30 A');
    await show(page, 'array-2');
    await takeOut(page);
    await press(page, 'a portable panel');
    await pick(page, 'portable panel’s socket joined to', 'MPPT controller 30 A');
    await expect(page.locator('[data-flow="array-2>regulator-2"]')).toBeAttached();
    await allKept(page);
  });

  await test.step('fans where it gets warm, one of them blowing in behind a filter', async () => {
    await stage(page, 'Places');
    await page.getByRole('link', { name: 'Weight, heat, service' }).click();
    await page
      .getByRole('button', { name: /^Fit fans in the/ })
      .first()
      .click();
    await page
      .getByRole('textbox', { name: /^Blown into the/ })
      .first()
      .fill('200');
    await expect(page.getByText('its fans do').first()).toBeVisible();
    await allKept(page);
  });

  await test.step('every run has its size, all of it is drawn, and the order has it', async () => {
    await stage(page, 'Runs');
    await expect(page.getByRole('row', { name: /Portable panel.* → second solar controller/i })).toBeVisible();
    await expect(page.locator('main')).not.toContainText('no size');
    await stage(page, 'Protection');
    await page.getByRole('link', { name: 'Line diagram' }).click();
    await expect(page.locator('mx-line-diagram .symbol.regulator')).toHaveCount(2);
    await stage(page, 'Order');
    await expect(page.getByText(/fan 200 m³\/h/)).toBeVisible();
    await expect(page.getByText('MPPT controller 30 A')).toBeVisible();
  });
});

test.describe('under a bonnet', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('from nothing, by thumb: a tiny trailer with one AGM battery, charged from what tows it', async ({ page }) => {
    await signIn(page);

    await test.step('a new job and its ten answers', async () => {
      await page.getByRole('button', { name: /^New job/ }).click();
      await page.getByRole('textbox', { name: 'Customer' }).fill('Pelican Spit Canoes');
      await page.getByRole('button', { name: 'Open the job' }).click();
      await choose(page, 'Vehicle', 'camper');
      await choose(page, 'Use; ticks its usual loads', 'weekends');
      await page.getByRole('button', { name: 'Draft the whole job' }).click();
      await expect(page.getByRole('heading', { name: 'Protection', level: 1 })).toBeVisible();
      await allKept(page);
    });

    await test.step('one lead-acid battery, and no panels yet', async () => {
      await stage(page, 'Supply');
      await show(page, 'panel');
      await takeOut(page);
      await show(page, 'house');
      await choose(page, (await page.locator('nz-select[aria-label^="Part of house battery"]').getAttribute('aria-label'))!, 'AGM battery 100 Ah');
      await expect(page.locator('.bench-head')).toContainText('100 Ah at 12 V');
      await allKept(page);
    });

    await test.step('nothing runs over the side of the screen, and each stage has its answer', async () => {
      for (const name of ['Places', 'Runs', 'Protection', 'Checks', 'Order', 'Fit']) {
        await stage(page, name);
        expect(await page.evaluate(() => document.documentElement.scrollWidth), name).toBeLessThanOrEqual(390);
      }
      await expect(page.locator('label.step').first()).toBeVisible();
    });
  });
});
