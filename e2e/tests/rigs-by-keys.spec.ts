import { expect, type Locator, test, type Page } from '@playwright/test';
import { allKept, signIn } from './workshop';

/** Tabs on until a field has the focus, as a hand on the keys does. */
async function tabTo(page: Page, field: Locator, most = 120): Promise<void> {
  for (let i = 0; i < most; i++) {
    if (await field.evaluate((e) => e.contains(document.activeElement))) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`no Tab leads to ${field}`);
}

/** Chooses by what is typed into a select. */
async function chooseByKeys(page: Page, name: string, words: string): Promise<void> {
  const select = page.locator(`nz-select[aria-label="${name}"]`);
  await tabTo(page, select);
  await page.keyboard.press('ArrowDown');
  const active = page.locator('.ant-select-item-option-active');
  await expect(active).toBeVisible();
  // A key acts a frame later: whoever presses on at once runs past the entry.
  for (let i = 0; i < 60; i++) {
    const now = await active.innerText();
    if (now.includes(words)) break;
    await page.keyboard.press('ArrowDown');
    await expect(active).not.toHaveText(now);
  }
  await expect(active).toContainText(words);
  await page.keyboard.press('Enter');
}

/** Finds or does something by its words. */
async function find(page: Page, words: string, takes: RegExp): Promise<void> {
  await page.keyboard.press('/');
  await page.keyboard.type(words);
  await expect(page.locator('nz-auto-option.ant-select-item-option-active')).toContainText(takes);
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Find or do')).toHaveValue('');
}

test('from nothing, by keys alone: a camper with one charger for vehicle, sun and mains, and unlike panels in parallel', async ({ page }) => {
  await signIn(page);

  await test.step('a new job and its ten answers', async () => {
    await page.keyboard.press('n');
    await expect(page.getByRole('textbox', { name: 'Customer' })).toBeFocused();
    await page.keyboard.type('Curlew Point Surf Camp');
    await expect(page.getByRole('textbox', { name: 'Customer' })).toHaveValue('Curlew Point Surf Camp');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Brief', level: 1 })).toBeVisible();
    await chooseByKeys(page, 'Vehicle', 'camper');
    await chooseByKeys(page, 'Use; ticks its usual loads', 'weekends');
    await tabTo(page, page.getByRole('button', { name: 'Draft the whole job' }));
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Protection', level: 1 })).toBeVisible();
    await allKept(page);
  });

  await test.step('the usual charger and its panel go, one for all three comes, with panels of two sizes', async () => {
    const takeOut = async (): Promise<void> => {
      await tabTo(page, page.getByLabel(/^What is chosen/).getByRole('button', { name: 'take out' }));
      await page.keyboard.press('Enter');
    };
    await find(page, 'supply array', /Supply: first array/);
    await expect(page.getByLabel(/^What is chosen: Panel/)).toBeFocused();
    await takeOut();
    await find(page, 'supply charger', /Supply: .*charger/i);
    await takeOut();
    await find(page, 'add sun and mains', /Add a charger for vehicle, sun and mains/);
    await expect(page.getByLabel(/^What is chosen/)).toBeFocused();
    await find(page, 'add array beside', /Add an array beside/);
    await expect(page.locator('[data-thing^="array"]')).toHaveCount(1);
    await find(page, 'add array beside', /Add an array beside/);
    await expect(page.locator('[data-thing^="array"]')).toHaveCount(2);
    await chooseByKeys(page, 'Part of second array, 160 W', 'roof panel 130 W');
    await expect(page.locator('[data-thing="array-2"]')).toContainText('130 W');
    await allKept(page);
  });

  await test.step('every run has its size; nothing is left to stop', async () => {
    await page.keyboard.press('Escape');
    await page.keyboard.press('5');
    await expect(page.getByRole('heading', { name: 'Runs', level: 1 })).toBeVisible();
    await expect(page.locator('main')).not.toContainText('no size');
    await page.keyboard.press('7');
    await expect(page.getByRole('heading', { name: 'Checks', level: 1 })).toBeVisible();
    await expect(page.locator('mx-tell-tales')).toContainText(/\b0 to stop|nothing open/);
  });
});
