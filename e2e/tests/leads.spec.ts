import { expect, test } from '@playwright/test';
import { allKept, choose, openCopy, signIn, stage } from './workshop';

test('a second battery in one vehicle is fed from the first over a lead, and let go again', async ({ page }) => {
  await signIn(page);
  await openCopy(page, 'Bellbird Ranges Mobile Vet', 'Sandpiper Flat Vet', 'Brief');
  const tabs = page.getByRole('navigation', { name: 'Vehicles of the job' });
  const flow = page.locator('mx-supply-flow');

  await test.step('a rig beside the first, drafted by its own ten answers', async () => {
    await page.getByRole('link', { name: 'More vehicles' }).click();
    await page.getByRole('button', { name: 'Add a rig to it' }).click();
    await expect(tabs.getByRole('button', { name: /second rig/ })).toHaveAttribute('aria-current', 'true');
    await page.getByRole('link', { name: 'Ten answers' }).click();
    await page.getByRole('button', { name: 'Draft the whole job' }).click();
    await expect(page.getByRole('heading', { name: 'Protection', level: 1 })).toBeVisible();
    await allKept(page);
  });

  await test.step('its charger is fed from the bank of the first: one choice beside the picture', async () => {
    await stage(page, 'Supply');
    await page.getByRole('link', { name: 'The flow' }).click();
    await expect(flow).toContainText('Alternator');
    await flow
      .locator('.box')
      .filter({ hasText: /^\s*Charger/ })
      .first()
      .click();
    await page.locator('nz-select[aria-label$=" fed from"]').click();
    await page.locator('nz-option-item').filter({ hasText: 'by a lead' }).click();
    await expect(flow).toContainText('The other battery');
    await expect(flow).not.toContainText('Alternator');
    await expect(tabs.getByRole('button', { name: /DC lead from the/ })).toBeVisible();
    await allKept(page);
  });

  await test.step('the lead has its outlet among the loads of the other, its run, plugs and cable', async () => {
    await stage(page, 'Runs');
    await expect(page.getByRole('row', { name: /Inlet of the lead → charger/ })).toBeVisible();
    await stage(page, 'Brief');
    await page.getByRole('link', { name: 'More vehicles' }).click();
    const lead = page.getByRole('listitem', { name: /^DC lead:/ });
    await expect(lead).toContainText('in use 0–24 h');
    await lead.getByLabel('Loose cable of the lead').fill('3');
    await lead.getByLabel('Loose cable of the lead').press('Tab');
    await choose(page, 'Plugs of the lead', '175 A');
    await allKept(page);
    await stage(page, 'Order');
    await page.getByRole('link', { name: 'Parts and cuts' }).click();
    await expect(page.locator('mx-order')).toContainText('loose lead into the charger');
    await tabs.getByRole('button').first().click();
    await stage(page, 'Loads');
    await expect(page.locator('mx-loads')).toContainText('lead to the');
  });

  await test.step('taken away, the charger hangs on the sun alone, until it is fed from the engine', async () => {
    await stage(page, 'Brief');
    await page.getByRole('link', { name: 'More vehicles' }).click();
    await page.getByRole('button', { name: /^Take away DC lead/ }).click();
    await expect(page.getByRole('listitem', { name: /^DC lead:/ })).toHaveCount(0);
    await tabs.getByRole('button', { name: /second rig/ }).click();
    await stage(page, 'Supply');
    await page.getByRole('link', { name: 'The flow' }).click();
    await expect(flow).not.toContainText('The other battery');
    await flow
      .locator('.box')
      .filter({ hasText: /^\s*Charger/ })
      .first()
      .click();
    await page.locator('nz-select[aria-label$=" fed from"]').click();
    await page.locator('nz-option-item').filter({ hasText: 'the engine’s side' }).click();
    await expect(flow).toContainText('Alternator');
    await allKept(page);
  });
});

test('a charger is fed from another box, which then charges no bank itself, and from the engine again', async ({ page }) => {
  await signIn(page);
  await openCopy(page, 'Bellbird Ranges Mobile Vet', 'Sandpiper Flat Smithy', 'Supply');
  const flow = page.locator('mx-supply-flow');
  await page.getByRole('link', { name: 'The flow' }).click();
  for (const nth of ['Second charger', 'Third charger']) {
    await page.locator('mx-supply-flow, main').getByText('vehicle charger', { exact: true }).click();
    await expect(flow.locator('.box').filter({ hasText: nth })).toBeVisible();
  }
  const third = flow.locator('.box').filter({ hasText: 'Third charger' });
  await third.click();
  await page.locator('nz-select[aria-label$=" fed from"]').click();
  await page.locator('nz-option-item').filter({ hasText: 'for it alone' }).click();
  await expect(flow).toContainText('holds 13.8 V');
  await stage(page, 'Runs');
  const between = page.getByRole('row', { name: /Second charger → third charger/ });
  await expect(between).toContainText('–');
  await stage(page, 'Supply');
  await page.getByRole('link', { name: 'Settings and watching' }).click();
  await expect(page.getByRole('main')).toContainText('power supply, 13.8 V');
  await page.getByRole('link', { name: 'The flow' }).click();
  await third.click();
  await page.locator('nz-select[aria-label$=" fed from"]').click();
  await page.locator('nz-option-item').filter({ hasText: 'the engine’s side' }).click();
  await expect(flow).not.toContainText('holds 13.8 V');
  await allKept(page);
});
