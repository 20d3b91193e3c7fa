import { expect, test } from '@playwright/test';
import { allKept, choose, openCopy, runRow, signIn, stage } from './workshop';

test('a second bank and a selector of their own for the chargers, from the picture to the states and the list of parts', async ({ page }) => {
  await signIn(page);
  await openCopy(page, 'Bellbird Ranges Mobile Vet', 'Sandpiper Flat Kennels', 'Supply');
  const flow = page.locator('mx-supply-flow');

  await test.step('the bank comes with a selector in the place of the switch', async () => {
    await page.getByRole('link', { name: 'The flow' }).click();
    await page.getByRole('button', { name: 'Add a second bank behind a selector' }).click();
    await expect(flow.locator('.box').filter({ hasText: 'Second battery' })).toContainText('behind the selector');
    await expect(page.locator('mx-selectors')).toContainText('battery selector 1-2-both-off 500 A');
    await expect(page.getByRole('button', { name: 'Add a second bank behind a selector' })).toHaveCount(0);
  });

  await test.step('the chargers get one of their own', async () => {
    await choose(page, 'Charging selector', 'battery selector 1-2-both-off 500 A');
    await expect(flow.locator('.box').filter({ hasText: 'Second battery' })).toContainText('used, charged by turns');
    await allKept(page);
    await stage(page, 'Runs');
    await expect(runRow(page, 'charger-bus')).toContainText('charging bar');
    await expect(runRow(page, 'second-bus')).toContainText('Second battery → bus bars');
  });

  await test.step('one bank gives to the loads while the other takes the charge', async () => {
    await stage(page, 'Protection');
    await page.getByRole('link', { name: 'Line diagram' }).click();
    await choose(page, 'State', 'driving, loads on one bank, charge into the other');
    await expect(page.locator('main p.answer')).toContainText(/the bank in use gives .* · the other one takes 40\.0 A/);
    await choose(page, 'charge into', 'the bank in use');
    await expect(page.locator('main p.answer')).not.toContainText('the other one');
    await page.getByRole('link', { name: 'What stays live' }).click();
    await expect(page.getByRole('row', { name: /charging bar/ }).first()).toContainText(/battery/);
  });

  await test.step('both selectors and their links are on the list, and one is again enough', async () => {
    await stage(page, 'Order');
    await page.getByRole('link', { name: 'Parts and cuts' }).click();
    await expect(page.getByRole('row', { name: /battery selector 1-2-both-off 500 A/ }).first()).toContainText('2');
    await expect(page.locator('mx-order')).toContainText('charging selector → both studs of the load selector');
    await stage(page, 'Supply');
    await page.getByRole('link', { name: 'The flow' }).click();
    await flow.locator('.box').filter({ hasText: 'Second battery' }).click();
    await page.getByRole('button', { name: 'take out' }).click();
    await expect(flow).not.toContainText('Second battery');
    await expect(page.locator('mx-selectors')).toHaveCount(0);
    await allKept(page);
  });
});
