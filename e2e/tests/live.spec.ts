import { expect, test } from '@playwright/test';
import { allKept, openJob, signIn, stage } from './workshop';

test('two in one job: each sees where the other is, and what the other keeps, without loading anything again', async ({ page, browser, baseURL }) => {
  await signIn(page);
  await openJob(page, 'Bellbird Ranges Mobile Vet', 'Fit');

  const phone = await browser.newContext({ baseURL: baseURL!, viewport: { width: 390, height: 844 }, serviceWorkers: 'block' });
  const other = await phone.newPage();
  await signIn(other);
  await openJob(other, 'Bellbird Ranges Mobile Vet', 'Runs');
  await expect(page.getByRole('status', { name: 'Who else is in the job' })).toContainText('owner is at Runs');
  await expect(other.getByRole('status', { name: 'Who else is in the job' })).toContainText('owner is at Fit');

  await test.step('what one keeps the other has', async () => {
    await stage(page, 'Brief');
    await page.getByRole('textbox', { name: 'Plate' }).fill('BRV 99');
    await allKept(page);
    await expect(other.locator('mx-trunk')).toContainText('BRV 99');
  });

  await test.step('what one says of a run the other reads at that run', async () => {
    await other.locator('tr[data-run="start-charger"]').getByRole('button').click();
    await other.getByRole('textbox', { name: 'Say something of run 1' }).fill('is the fuse in reach of the bonnet latch?');
    await other.getByRole('button', { name: 'Say it' }).click();
    await stage(page, 'Runs');
    await page.locator('tr[data-run="start-charger"]').getByRole('button').click();
    await expect(page.locator('mx-comments')).toContainText('is the fuse in reach of the bonnet latch?');
    await page.getByRole('button', { name: 'done with' }).click();
    await expect(other.locator('mx-comments')).toContainText('done with, says owner');
  });

  await test.step('a step ticked under the vehicle is ticked at the desk', async () => {
    await stage(other, 'Fit');
    await stage(page, 'Fit');
    const sum = page.locator('.bench-head .sum');
    const done = Number(/^(\d+) of/.exec(await sum.innerText())![1]);
    await other.locator('label.step.now').click();
    await expect(sum).toContainText(new RegExp(`^${done + 1} of`));
  });

  await test.step('a photo taken at a step is seen at the desk, small and large', async () => {
    const step = other.locator('.item.now');
    // The page itself makes a picture, as a camera would.
    const picture = await other.evaluate(() => {
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [1800, 1200];
      canvas.getContext('2d')!.fillRect(200, 200, 900, 500);
      return canvas.toDataURL('image/jpeg').split(',')[1]!;
    });
    await step.locator('input[type=file]').setInputFiles({ name: 'gland.jpg', mimeType: 'image/jpeg', buffer: Buffer.from(picture, 'base64') });
    await allKept(other);
    const small = page.locator('.item.now').getByRole('button', { name: /^Photo of / });
    await small.click();
    const large = page.getByRole('dialog').getByRole('img', { name: /^Photo of / });
    await expect.poll(() => large.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBe(1600);
    const theirs = other.locator('.item.now').getByRole('button', { name: /^Photo of / });
    await page.getByRole('button', { name: 'take it away' }).click();
    await expect(theirs).toHaveCount(0);
    await page.getByRole('button', { name: 'Bring it back' }).click();
    await expect(theirs).toHaveCount(1);
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
  });

  await test.step('who leaves is seen no more', async () => {
    await phone.close();
    await expect(page.getByRole('status', { name: 'Who else is in the job' })).not.toContainText('is at');
  });
});
