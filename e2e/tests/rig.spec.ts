import { expect, test } from '@playwright/test';
import { allKept, choose, openJob, signIn, stage } from './workshop';

test('a second array with its own controller, and a battery that no list has', async ({ page }) => {
  test.setTimeout(120_000);
  await signIn(page);
  await openJob(page, 'Stonefly Catchment Survey', 'Supply');
  await page.getByRole('link', { name: 'Feeds' }).click();

  await test.step('one press adds it, and says what it brings', async () => {
    await page.getByRole('button', { name: 'an array with its own controller' }).click();
    await expect(page.getByRole('listitem', { name: 'second array, 160 W' })).toContainText('its regulator passes 20 A');
    await allKept(page);
  });

  await test.step('it is wired and fused like everything else, also after the page was left', async () => {
    await page.reload();
    await stage(page, 'Runs');
    await expect(page.getByRole('row', { name: /Panels 160 W → solar controller/ })).toBeVisible();
    await expect(page.getByRole('row', { name: /Solar controller → bus bars/ })).toBeVisible();
  });

  await test.step('a data sheet typed once is offered where parts are chosen', async () => {
    await stage(page, 'Supply');
    await page.getByRole('link', { name: 'Feeds' }).click();
    await page.getByLabel('Name of the part').fill('attic battery 170 Ah');
    await page.getByRole('button', { name: 'Keep it, and offer it in this job' }).click();
    await expect(page.getByRole('alert')).toContainText('capacityAh: nothing came');
    await page.getByLabel('Capacity of the part').fill('170');
    await page.getByRole('button', { name: 'Keep it, and offer it in this job' }).click();
    await expect(page.getByRole('row', { name: /attic battery 170 Ah .* as it is now/ })).toBeVisible();
    await choose(page, 'House battery', 'attic battery 170 Ah');
    await expect(page.locator('.bench-head')).toContainText('170 Ah at 12 V');
    await allKept(page);
  });

  await test.step('taken out, it leaves nothing behind', async () => {
    await page.getByRole('button', { name: 'Take out second array, 160 W' }).click();
    await page.getByRole('button', { name: 'Take out solar controller' }).click();
    await expect(page.getByRole('listitem', { name: 'second array, 160 W' })).toHaveCount(0);
    await allKept(page);
  });
});
