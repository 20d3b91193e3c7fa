import { expect, test } from '@playwright/test';
import { allKept, choose, signIn, stage } from './workshop';

test('a camper behind a ute: a rig of its own, charged by its engine', async ({ page }) => {
  await signIn(page);
  const tabs = page.getByRole('navigation', { name: 'Vehicles of the job' });

  await test.step('a new job, and a second vehicle in it', async () => {
    await page.keyboard.press('n');
    await page.getByRole('textbox', { name: 'Customer' }).fill('Driftwood Reading Room');
    await page.getByRole('button', { name: 'Open the job' }).click();
    await page.getByRole('link', { name: 'More vehicles' }).click();
    await expect(tabs).toHaveCount(0);
    await choose(page, 'Kind of the new vehicle', 'camper');
    await page.getByLabel('Name, if it has one').fill('book camper');
    await page.getByRole('button', { name: 'Add it to the job' }).click();
    await expect(tabs.getByRole('button', { name: /book camper charged by the dual-cab ute/ })).toBeVisible();
    await expect(page.getByRole('listitem', { name: /plug: engine of the dual-cab ute/ })).toBeVisible();
    await allKept(page);
  });

  await test.step('it is drafted by its own ten answers, behind the engine of the other', async () => {
    await tabs.getByRole('button', { name: /book camper/ }).click();
    await page.getByRole('link', { name: 'Ten answers' }).click();
    await page.getByRole('button', { name: 'Draft the whole job' }).click();
    await expect(page.getByRole('heading', { name: 'Protection', level: 1 })).toBeVisible();
    await allKept(page);
    await stage(page, 'Runs');
    await expect(page.getByRole('row', { name: /Starting battery → charger/ })).toBeVisible();
    await expect(page.locator('mx-trunk')).toContainText('camper');
  });

  await test.step('the other knows of it: both want amps of one alternator', async () => {
    await tabs.getByRole('button', { name: /^dual-cab ute/ }).click();
    await stage(page, 'Supply');
    await page.getByRole('link', { name: 'What feeds it' }).click();
    await expect(page.getByLabel('Other chargers on the alternator')).not.toHaveValue('0');
  });

  await test.step('a second rig in the ute lies round the first, and goes again', async () => {
    await stage(page, 'Brief');
    await page.getByRole('link', { name: 'More vehicles' }).click();
    await page.getByRole('button', { name: 'Add a rig to it' }).click();
    await expect(tabs.getByRole('button', { name: /second rig in the dual-cab ute/ })).toHaveAttribute('aria-current', 'true');
    await stage(page, 'Places');
    await expect(page.locator('mx-vehicle-picture .beside').first()).toBeVisible();
    await stage(page, 'Brief');
    await page.getByRole('link', { name: 'More vehicles' }).click();
    await page.getByRole('button', { name: /^Take out .*second rig/ }).click();
    await expect(tabs.getByRole('button', { name: /second rig/ })).toHaveCount(0);
    await allKept(page);
  });

  await test.step('all of it is there after the page was left, and goes as it came', async () => {
    await page.reload();
    await stage(page, 'Brief');
    await page.getByRole('link', { name: 'More vehicles' }).click();
    await expect(page.getByRole('row', { name: /book camper/ })).toBeVisible();
    await page.getByRole('button', { name: 'Take out book camper' }).click();
    await expect(tabs).toHaveCount(0);
    await page.getByRole('button', { name: /^Undo / }).click();
    await expect(tabs.getByRole('button', { name: /book camper/ })).toBeVisible();
    await allKept(page);
  });
});
