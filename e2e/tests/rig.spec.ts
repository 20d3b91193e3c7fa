import { expect, test } from '@playwright/test';
import { allKept, choose, openJob, signIn, stage } from './workshop';

test('a second array with its own controller, and a battery that no list has', async ({ page }) => {
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

test('the supply is drawn: a box is added, an end carried to another one, a field changed beside it', async ({ page }) => {
  await signIn(page);
  await openJob(page, 'Gumnut Travelling Playgroup', 'Supply');
  await expect(page.locator('.answer')).toContainText(/Stands the trip\..*the loads take \d+/);

  await test.step('one press adds an array with its controller, and shows it', async () => {
    await page.getByRole('button', { name: 'Add an array with its own controller' }).click();
    await expect(page.locator('[data-thing="array"]')).toBeVisible();
    await expect(page.locator('[data-flow="array>regulator"]')).toHaveAttribute('class', /sun/);
  });

  await test.step('the roof’s end is carried to the new controller, and everything follows', async () => {
    const box = async (id: string): Promise<{ x: number; y: number; width: number; height: number }> => (await page.locator(`[data-thing="${id}"] rect.face`).boundingBox())!;
    const [panel, regulator] = [await box('panel'), await box('regulator')];
    await page.mouse.move(panel.x + panel.width + 6, panel.y + panel.height / 2);
    await page.mouse.down();
    await page.mouse.move(regulator.x + 20, regulator.y + 20, { steps: 6 });
    await page.mouse.up();
    await expect(page.locator('[data-flow="panel>regulator"]')).toBeAttached();
    await expect(page.getByLabel('What is chosen: Panel 120 W')).toBeVisible();
    await allKept(page);
  });

  await test.step('beside it stands what it is, and a count changes the picture', async () => {
    await page.locator('[data-thing="array"]').focus();
    await page.keyboard.press('Enter');
    await page.getByRole('textbox', { name: 'Count of second array, 160 W' }).fill('2');
    await expect(page.locator('[data-thing="array"]')).toContainText('Panels 320 W');
  });

  await test.step('undone step by step, it is as it was', async () => {
    await page.locator('h1').click();
    for (let i = 0; i < 3; i++) await page.keyboard.press('Control+z');
    await expect(page.locator('[data-thing="array"]')).toHaveCount(0);
    await expect(page.locator('[data-flow="panel>charger"]')).toBeAttached();
    await allKept(page);
  });
});
