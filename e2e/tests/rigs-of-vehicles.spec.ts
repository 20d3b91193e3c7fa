import { expect, test, type Page } from '@playwright/test';
import { allKept, choose, signIn, stage } from './workshop';

const show = (page: Page, thing: string): Promise<void> => page.locator(`[data-thing="${thing}"]`).click();
const takeOut = (page: Page): Promise<void> =>
  page
    .getByLabel(/^What is chosen/)
    .getByRole('button', { name: 'take out' })
    .click();

async function draft(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Draft the whole job' }).click();
  await expect(page.getByRole('heading', { name: 'Protection', level: 1 })).toBeVisible();
  await allKept(page);
}

async function newJob(page: Page, customer: string): Promise<void> {
  await page.keyboard.press('n');
  await page.getByRole('textbox', { name: 'Customer' }).fill(customer);
  await page.getByRole('button', { name: 'Open the job' }).click();
}

test('from nothing: a 24 V truck with a 12 V house side, and a caravan behind it charged by plug and by mains lead', async ({ page }) => {
  await signIn(page);
  const tabs = page.getByRole('navigation', { name: 'Vehicles of the job' });

  await test.step('the truck by its ten answers, with 230 V for a lead', async () => {
    await newJob(page, 'Plover Flat Geology');
    await choose(page, 'Vehicle', 'light truck');
    await choose(page, 'House side', '12 V');
    await choose(page, 'Use; ticks its usual loads', 'remote work');
    await choose(page, 'Plugged in at outlets', '2.0 kW');
    await draft(page);
  });

  await test.step('the roof on a controller of its own, of another kind', async () => {
    await stage(page, 'Supply');
    await show(page, 'panel');
    await takeOut(page);
    await page.getByRole('button', { name: 'Add an array with its own controller' }).click();
    await page.locator('[data-thing]').filter({ hasText: 'Solar controller' }).click();
    await choose(page, 'Part of solar controller', 'PWM controller 60 A');
    await page.locator('[data-thing="array"]').click();
    await page.getByRole('textbox', { name: /^Count of .*array/ }).fill('4');
    await expect(page.locator('[data-thing="array"]')).toContainText('640 W');
    await allKept(page);
  });

  await test.step('the caravan, towed and charged through a plug, drafted by its own answers', async () => {
    await stage(page, 'Brief');
    await page.getByRole('link', { name: 'More vehicles' }).click();
    await choose(page, 'Kind of the new vehicle', 'caravan');
    await page.getByRole('button', { name: 'Add it to the job' }).click();
    await tabs.getByRole('button', { name: /caravan/ }).click();
    await page.getByRole('link', { name: 'Ten answers' }).click();
    await choose(page, 'Use; ticks its usual loads', 'living aboard');
    await draft(page);
    await expect(page.locator('mx-tell-tales')).toContainText(/\b0 to stop|nothing open/);
  });

  await test.step('a mains lead from the truck’s inverter into the caravan’s inlet', async () => {
    await stage(page, 'Brief');
    await page.getByRole('link', { name: 'More vehicles' }).click();
    await choose(page, 'What it carries', 'mains');
    await page.getByRole('button', { name: 'Join them' }).click();
    await expect(page.getByRole('listitem', { name: /^mains lead: / })).toBeVisible();
    await expect(page.getByRole('table')).toContainText('caravan');
    await allKept(page);
  });

  await test.step('both know of it: the truck’s outlet is a load, and each vehicle has its runs and its place in the order', async () => {
    await tabs.getByRole('button', { name: /truck/ }).first().click();
    await stage(page, 'Loads');
    await expect(page.locator('mx-loads')).toContainText(/lead|outlet/i);
    await stage(page, 'Runs');
    await expect(page.locator('main')).not.toContainText('no size');
    await stage(page, 'Order');
    await expect(page.locator('main')).toContainText('caravan');
  });
});

test('from nothing: a van with an all-in-one unit, whose inputs are its own and whose heater hangs on its posts', async ({ page }) => {
  await signIn(page);
  await newJob(page, 'Heron Lane Bindery');
  await choose(page, 'Vehicle', 'van');
  await choose(page, 'Use; ticks its usual loads', 'touring');
  await choose(page, 'Plugged in at outlets', '1.6 kW');
  await draft(page);

  await test.step('the separate boxes go, the unit comes with what is inside it', async () => {
    await stage(page, 'Supply');
    for (const box of ['inverter:use', 'charger']) {
      await show(page, box);
      await takeOut(page);
    }
    await show(page, 'house');
    await choose(page, (await page.locator('nz-select[aria-label^="Part of house battery"]').getAttribute('aria-label'))!, 'power unit');
    await expect(page.locator('[data-flow="starting>unit-charger"]')).toBeAttached();
    await expect(page.locator('.bench-head')).toContainText('Ah at 12 V');
    await allKept(page);
  });

  await test.step('every run has its size, and the order has one unit and no inverter beside it', async () => {
    await stage(page, 'Runs');
    await expect(page.locator('main')).not.toContainText('no size');
    await stage(page, 'Order');
    await expect(page.locator('main')).toContainText('power unit');
    await expect(page.getByText(/^inverter \d/)).toHaveCount(0);
  });
});
