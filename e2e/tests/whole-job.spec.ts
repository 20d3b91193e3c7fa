import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { allKept, choose, runRow, signIn, stage } from './workshop';

test('a new job from its brief to the pack on paper', async ({ page }) => {
  const troubles: string[] = [];
  page.on('pageerror', (error) => troubles.push(String(error)));
  await signIn(page);

  await test.step('a new job', async () => {
    await page.keyboard.press('n');
    await page.getByRole('textbox', { name: 'Customer' }).fill('Mallee Seed Library');
    await page.getByRole('button', { name: 'Open the job' }).click();
    await expect(page.getByRole('heading', { name: 'Brief' })).toBeVisible();
    await page.getByRole('link', { name: 'Vehicle and trip' }).click();
  });

  await test.step('brief: numbers with units, and refusals that name the field', async () => {
    await page.getByRole('textbox', { name: 'Plate' }).fill('MSL 19');
    await choose(page, 'Vehicle kind', '4x4 wagon');
    await page.getByLabel('Alternator', { exact: true }).fill('12V');
    await expect(page.getByRole('alert')).toContainText('Alternator: “12V” is not taken');
    await page.getByLabel('Alternator', { exact: true }).fill('220 A');
    await expect(page.getByRole('alert')).toHaveCount(0);
    await page.getByRole('textbox', { name: 'Driven a day' }).fill('1,5 h');
    await page.getByRole('textbox', { name: 'Payload left' }).fill('350');
    await expect(page.locator('mx-tell-tales')).toContainText('Payload left');
  });

  await test.step('loads: pasted, refused in part, and edited in place', async () => {
    await stage(page, 'Loads');
    await page.getByRole('button', { name: 'Paste a list' }).click();
    await page.getByLabel('Load list').fill('seed fridge\t45 W\t40 %\tall day\nbench lights\t20 W\t3 h\tevening\nlabel printer\tloud');
    await page.getByRole('button', { name: 'Take these loads' }).click();
    await expect(page.getByRole('alert')).toContainText('label printer');
    await expect(page.getByLabel('Load list')).toHaveValue('label printer\tloud');
    await page.getByLabel('Load list').fill('label printer\t60 W\t1 h\tdaytime\t230 V');
    await page.getByRole('button', { name: 'Take these loads' }).click();
    await expect(page.locator('mx-loads tbody tr')).toHaveCount(3);
    const before = await page.locator('mx-tell-tales a').first().innerText();
    await page.getByRole('textbox', { name: 'Draw of seed fridge' }).fill('65 W');
    await expect(page.locator('mx-tell-tales a').first()).not.toHaveText(before);
    await page.getByRole('textbox', { name: 'Draw of seed fridge' }).fill('much');
    await expect(page.getByRole('alert')).toContainText('such as 55 W or 4.5 A');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('textbox', { name: 'Draw of seed fridge' })).toHaveValue('65 W');
  });

  await test.step('supply: from the catalogue, with the isolation decision and its reason', async () => {
    await stage(page, 'Supply');
    await page.getByRole('link', { name: 'What feeds it' }).click();
    await choose(page, 'House battery', 'lithium battery 120 Ah');
    await choose(page, 'DC-DC charger', 'DC-DC charger 25 A, dual input');
    await choose(page, 'Panel', 'roof panel 160 W');
    await choose(page, 'Inverter', 'inverter 300 W');
    await expect(page.locator('.decision')).toContainText('Advised: DC-DC charger');
    await expect(page.locator('.reasons')).toContainText('alternator varies its volts');
    await page.getByRole('link', { name: 'The trip' }).click();
    await expect(page.locator('mx-trip-band canvas')).toBeVisible();
  });

  await test.step('runs: drafted, and everything follows a typed length', async () => {
    await stage(page, 'Runs');
    const row = runRow(page, 'start-charger');
    await expect(row).toContainText('Starting battery → charger');
    await row.getByRole('button').click();
    const size = row.locator('td').nth(4);
    await page.getByRole('textbox', { name: 'Length of run 1', exact: true }).fill('2');
    await expect(size).toContainText('mm²');
    const thin = Number.parseFloat(await size.innerText());
    await page.getByRole('textbox', { name: 'Length of run 1', exact: true }).fill('9,5 m');
    await expect.poll(async () => Number.parseFloat(await size.innerText())).toBeGreaterThan(thin);
    await expect(page.locator('mx-run-detail mx-fuse-window svg')).toHaveAttribute('aria-label', /window from/);
    await expect(page.locator('mx-run-detail')).toContainText('drop decides');
    await page.locator('mx-run-detail').getByRole('button', { name: /why/ }).click();
    await expect(page.locator('.why').first()).toBeVisible();
    await expect(page.locator('.ant-drawer-body')).toContainText('9.5 m');
    await expect(page.locator('.ant-drawer-body')).toContainText('typed');
    await page.keyboard.press('Escape');
    await expect(page.locator('.ant-drawer')).toHaveCount(0);
    const fixed = page.getByLabel('Size', { exact: true });
    await fixed.fill('6mm');
    await expect(page.getByRole('alert')).toContainText('Which one?');
    await fixed.fill('6 B&S');
    await expect(size).toContainText('13.3');
    // What is typed while the size before it is still being worked out may be set back once.
    await expect(async () => {
      await fixed.fill('');
      await expect(fixed).toHaveValue('', { timeout: 2000 });
    }).toPass();
    await expect(size).not.toContainText('13.3');
    await expect.poll(async () => Number.parseFloat(await size.innerText())).toBeGreaterThan(thin);
  });

  await test.step('protection and checks', async () => {
    await stage(page, 'Protection');
    await expect(page.locator('mx-fuses tbody tr').filter({ hasText: 'house battery' }).first()).toContainText('holds');
    await stage(page, 'Checks');
    await page.getByRole('link', { name: /Open: the 230 V side is not signed/ }).click();
    const leaveOut = page.getByRole('button', { name: 'None of it is part of this job' });
    await leaveOut.click();
    await expect(page.getByRole('alert')).toContainText('Reason: nothing typed');
    await page.getByRole('textbox', { name: /^Reason/ }).fill('another firm, booked for Friday');
    await leaveOut.click();
    await expect(page.getByRole('region', { name: 'Not part of this job' })).toContainText('booked for Friday');
  });

  await test.step('order, as CSV', async () => {
    await stage(page, 'Order');
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Parts list, CSV' }).click();
    const file = await download;
    expect(file.suggestedFilename()).toBe('mallee-seed-library-parts.csv');
    const text = readFileSync((await file.path())!, 'utf8');
    expect(text).toContain('lithium battery 120 Ah');
    expect(text.split('\r\n').length).toBeGreaterThan(20);
  });

  await test.step('fit, ticked and kept', async () => {
    await stage(page, 'Fit');
    await page.locator('[data-step="safe-negative"]').check();
    await page.locator('[data-step="safe-panels"]').check();
    await expect(page.locator('.bench-head')).toContainText('2 of');
  });

  await test.step('prove: a good reading, a bad one and an impossible one', async () => {
    await stage(page, 'Prove');
    for (const key of ['1', '3', '.', '2', '8']) await page.locator('.keys').getByRole('button', { name: key, exact: true }).click();
    await page.getByRole('button', { name: 'Keep and go on' }).click();
    await expect(page.locator('[data-row="house-rest"]')).toContainText('agrees');
    const fridge = page.locator('button.row').filter({ hasText: /seed fridge/i });
    await fridge.click();
    await page.getByLabel('Reading', { exact: true }).last().fill('12.1');
    await page.keyboard.press('Enter');
    await expect(fridge).toContainText('off by');
    await expect(fridge).toContainText('measure across the fuse holder');
    await fridge.click();
    await page.getByLabel('Reading', { exact: true }).last().fill('14.2');
    await page.keyboard.press('Enter');
    await expect(fridge).toContainText('impossible');
  });

  await test.step('the pack', async () => {
    await stage(page, 'Hand over');
    await allKept(page);
    const href = await page.getByRole('link', { name: 'Open the pack as PDF' }).getAttribute('href');
    const pdf = await page.request.get(href!);
    expect(pdf.headers()['content-type']).toBe('application/pdf');
    expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
  });

  await test.step('undo takes back the last edit, and a reload shows all that was kept', async () => {
    await stage(page, 'Brief');
    await page.getByRole('textbox', { name: 'Plate' }).fill('WRONG');
    await page.getByRole('button', { name: /^Undo plate/ }).click();
    await expect(page.getByRole('textbox', { name: 'Plate' })).toHaveValue('MSL 19');
    await allKept(page);
    await page.reload();
    await expect(page.getByRole('textbox', { name: 'Plate' })).toHaveValue('MSL 19');
    await stage(page, 'Prove');
    await expect(page.locator('[data-row="house-rest"]')).toContainText('13.28');
    await stage(page, 'Fit');
    await expect(page.locator('[data-step="safe-negative"]')).toBeChecked();
  });
  expect(troubles).toEqual([]);
});
