import { expect, test } from '@playwright/test';
import { allKept, choose, openJob, signIn, stage } from './workshop';

test('from ten answers to three drafts to a chosen one, and its trip', async ({ page }) => {
  const troubles: string[] = [];
  page.on('pageerror', (error) => troubles.push(String(error)));
  await signIn(page);
  await page.keyboard.press('n');
  await page.getByRole('textbox', { name: 'Customer' }).fill('Ironbark Choir');
  await page.getByRole('button', { name: 'Open the job' }).click();

  await test.step('ten answers, with the drafts worked out while they are given', async () => {
    await expect(page.locator('.intake > li')).toHaveCount(10);
    await choose(page, 'Vehicle', 'van');
    await choose(page, 'Use; ticks its usual loads', 'remote work');
    await choose(page, 'Region', 'Stonefly');
    await choose(page, 'Month', 'July');
    await page.getByRole('textbox', { name: 'Hours on a travel day' }).fill('30');
    await expect(page.getByRole('alert')).toContainText('from 0 to 24');
    await page.getByRole('textbox', { name: 'Hours on a travel day' }).fill('2,5 h');
    await page.getByRole('checkbox', { name: 'kettle' }).check();
    await page.getByRole('textbox', { name: 'Volume of compressor fridge' }).fill('80');
    await page.getByRole('checkbox', { name: 'never off: satellite modem' }).check();
    await expect(page.locator('.answers')).toContainText(/lean.*sound.*roomy/s);
    await page.getByRole('button', { name: 'Take these answers' }).click();
  });

  await test.step('three drafts, each with days, cost, kilograms and what gives out first; one is taken', async () => {
    const cards = page.locator('mx-draft-card');
    await expect(cards).toHaveCount(3);
    for (const card of await cards.all()) await expect(card).toContainText(/days alone.*kg.*Gives out first/s);
    const prices = await page.locator('mx-draft-card dd.figure:first-of-type').allInnerTexts();
    const [lean, , roomy] = prices.map((p) => Number(p.replace(/[^\d.]/g, '')));
    expect(lean).toBeLessThan(roomy!);
    await expect(cards.nth(1)).toContainText('chosen');
    await page.getByRole('button', { name: 'Take the roomy draft' }).click();
  });

  await test.step('a thousand trips, what helps, and a slider', async () => {
    await expect(page.locator('.say')).toContainText(/In (\d+ of )?1000 trips/);
    await expect(page.locator('.best')).toContainText(/helps most|Nothing/);
    await expect(page.locator('main')).toContainText(/battery dead/);
    const key = page.locator('p.key').first();
    await page.getByRole('slider', { name: 'More battery' }).fill('2');
    await expect(key).toContainText('→');
    await page.getByRole('button', { name: 'As it is' }).click();
    await expect(key).not.toContainText('→');
  });

  await test.step('the runs stand, and everything is kept', async () => {
    await allKept(page);
    await stage(page, 'Runs');
    await expect(page.locator('tr[data-run="start-charger"]')).toContainText('mm²');
    await page.reload();
    await stage(page, 'Loads');
    await expect(page.getByRole('textbox', { name: 'Name of load' }).first()).toHaveValue('compressor fridge 80 L');
  });
  expect(troubles).toEqual([]);
});

test('more trips run on the server, and stop when told to', async ({ page }) => {
  await signIn(page);
  await openJob(page, 'Stonefly Catchment Survey', 'Supply');
  await page.getByRole('link', { name: 'The trip' }).click();
  await page.getByRole('button', { name: 'Run 10000 trips on the server' }).click();
  await expect(page.getByRole('progressbar', { name: 'Trips done on the server' })).toBeVisible();
  await expect(page.locator('mx-long-trips')).toContainText(/[1-9]\d* of 10000/);
  await page.getByRole('button', { name: 'Stop the server’s trips' }).click();
  await expect(page.locator('mx-long-trips')).toContainText('stopped early: In');
  await page.reload();
  await expect(page.locator('mx-long-trips')).toContainText('stopped early');
});

test('hours are drawn by dragging on the day, and a load comes from the library', async ({ page }) => {
  await signIn(page);
  await openJob(page, 'Bellbird Ranges Mobile Vet', 'Loads');
  await page.keyboard.press('l');
  await page.getByRole('textbox', { name: 'Find a load' }).fill('diesel');
  await page.getByRole('button', { name: 'Add diesel heater' }).click();
  await page.keyboard.press('Escape');
  await expect(page.locator('mx-library-drawer .ant-drawer-open')).toHaveCount(0);
  await expect(page.locator('tr.chosen input').first()).toHaveValue('diesel heater');
  const start = page.getByRole('slider', { name: 'Start of the hours of diesel heater' }).last();
  // Waits until nothing lies over it and it stands still.
  await start.hover();
  const from = (await start.boundingBox())!;
  await page.mouse.down();
  await page.mouse.move(from.x - 40, from.y + 4, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByRole('textbox', { name: 'When: diesel heater' })).toHaveValue(/^0–6, 20|^0–6, 21/);
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('textbox', { name: 'When: diesel heater' })).toHaveValue('night');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('textbox', { name: 'When: diesel heater' })).toHaveCount(0);
});

test('what comes out is asked what else it did', async ({ page }) => {
  await signIn(page);
  await openJob(page, 'Bellbird Ranges Mobile Vet', 'Brief');
  await page.getByRole('link', { name: 'In the vehicle already' }).click();
  await page.getByRole('button', { name: 'Add gear' }).click();
  await page.getByRole('textbox', { name: /Name of gear/ }).fill('old power box');
  await page.getByRole('checkbox', { name: 'charges from mains' }).check();
  await choose(page, 'Verdict on old power box', 'remove');
  await expect(page.locator('mx-existing')).toContainText('charges from mains: nothing yet');
  await stage(page, 'Checks');
  await expect(page.locator('main')).toContainText('Old power box comes out, and nothing takes over: charges from mains.');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(page.locator('main')).not.toContainText('Old power box comes out');
});
