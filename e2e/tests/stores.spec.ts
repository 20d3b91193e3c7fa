import { expect, test } from '@playwright/test';
import { allKept, choose, openCopy, signIn } from './workshop';

/** As a supplier's program writes it: capitals, packs, a comma before the cents, a price that nobody says. */
const LIST = [
  'Stock No;Description;Pack;Nett price',
  'C16R;BATTERY CABLE 16MM2 RED;30 m;123,00',
  'F15;BLADE FUSE 15A;50;22,00',
  'MS5;MAIN SWITCH 500A;1;111,00',
  'INV;INVERTER 1600W;1;689,00',
  'P200;ROOF PANEL 200W;1;POA',
].join('\r\n');

test('a supplier’s list prices a job, its parts are ordered for their days, and the shelf gives what it has', async ({ page }) => {
  await signIn(page);

  await test.step('the list is taken in, with what is wrong in it said', async () => {
    await page.getByRole('link', { name: 'stores' }).click();
    await page.getByRole('button', { name: 'Take in a price list' }).click();
    await page.locator('mx-new-list input[type=file]').setInputFiles({ name: 'list.csv', mimeType: 'text/csv', buffer: Buffer.from(LIST) });
    await expect(page.locator('mx-new-list')).toContainText('row 6: price: “POA”; an amount above 0');
    await page.getByLabel('Supplier').fill('Quandong Trade Counter');
    await page.getByRole('button', { name: 'Keep 4 prices' }).click();
    await expect(page.getByRole('region', { name: 'Price lists' })).toContainText('Quandong Trade Counter');
  });

  await page.goto('/');
  await openCopy(page, 'Bellbird Ranges Mobile Vet', 'Saltbush Flats Farrier', 'Order');
  await page.getByRole('link', { name: 'Prices', exact: true }).click();
  const total = page.locator('mx-prices .big');

  await test.step('what is found in it takes the place of planning prices', async () => {
    await expect(total).toContainText('no supplier was asked yet');
    await choose(page, 'Whose prices', 'Quandong Trade Counter');
    await expect(page.getByRole('row', { name: /main switch 500 A/ })).toContainText('$111.00');
    await page.getByRole('button', { name: /^Take \d prices?/ }).click();
    await expect(total).toContainText(/with \d of \d+ lines at the prices of Quandong Trade Counter, the rest at planning prices/);
  });

  await test.step('what is on the shelf was counted where it was met, and is taken off it', async () => {
    await page.getByRole('link', { name: 'Buying' }).click();
    await page.getByRole('button', { name: 'main switch 500 A' }).click();
    await page.getByRole('textbox', { name: 'On the shelf of main switch 500 A' }).fill('3');
    await page.getByRole('textbox', { name: 'On the shelf of main switch 500 A' }).press('Tab');
    await page.getByRole('checkbox', { name: 'Order all that is left' }).uncheck();
    await page.getByRole('checkbox', { name: 'Order main switch 500 A' }).check();
    await page.getByRole('button', { name: 'Off the shelf: 1 line' }).click();
    await expect(page.locator('tr[data-line]').filter({ hasText: 'main switch 500 A' })).toContainText('2 pc');
  });

  await test.step('the rest comes from the simulated supplier, each for its day', async () => {
    await page.getByRole('link', { name: 'Prices', exact: true }).click();
    await choose(page, 'Whose prices', 'the simulated supplier');
    await page.getByRole('button', { name: 'Ask what it has today' }).click();
    await page.getByRole('button', { name: /^Order them: all here by/ }).click();
    await page.getByRole('link', { name: 'Buying' }).click();
    await expect(page.locator('mx-buying .big')).toContainText(/All is ordered\..*on their way, the last by/);
    await allKept(page);
  });

  await test.step('the stores know it', async () => {
    await page.goto('/stores');
    await expect(page.getByRole('row', { name: /main switch 500 A/ }).getByRole('textbox')).toHaveValue(/^2/);
    await page.getByRole('button', { name: 'Put away the list of Quandong Trade Counter' }).click();
    await expect(page.getByRole('region', { name: 'Price lists' })).not.toContainText('Quandong');
  });
});
