import { expect, test } from '@playwright/test';
import { choose, openJob, signIn, stage } from './workshop.js';

const JOBS = ['Bellbird Ranges Mobile Vet', 'Lantern', 'Bees', 'Playgroup', 'Survey', 'Bookmobile'];

test('the circuit: drawn, switched from state to state, on paper, and what stays live', async ({ page }) => {
  await signIn(page);
  await openJob(page, 'Bellbird Ranges Mobile Vet', 'Protection');

  await test.step('the diagram draws itself and lights what is selected', async () => {
    await page.getByRole('link', { name: 'Line diagram' }).click();
    await expect(page.locator('mx-line-diagram svg')).toBeVisible();
    await page.locator('mx-line-diagram path.reach[data-run="bus-inverter"]').dispatchEvent('click');
    await expect(page.locator('.picked')).toContainText('Bus bars → inverter');
    await expect(page.locator('path.line.feed.chosen').first()).toBeVisible();
  });

  await test.step('any state shows its volts and amps', async () => {
    await choose(page, 'State', 'parked, everything on');
    await expect(page.getByRole('status').filter({ hasText: 'the bank gives' })).toBeVisible();
    await choose(page, 'engine', 'cruise');
    await expect(page.getByRole('status').filter({ hasText: 'charger gives all' })).toBeVisible();
    await choose(page, 'main switch', 'open');
    await expect(page.getByText('no cable helps')).toBeVisible();
    await choose(page, 'loads', 'off');
    await expect(page.getByRole('status').filter({ hasText: 'the bank rests at' })).toBeVisible();
  });

  await test.step('the same in words, and on paper', async () => {
    await page.getByText('The same as a table').click();
    await expect(page.locator('details.twin tbody tr')).toHaveCount(11);
    const pdf = await page.request.get((await page.getByRole('link', { name: 'PDF' }).getAttribute('href'))!);
    expect(pdf.headers()['content-type']).toContain('application/pdf');
    expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
    const save = page.waitForEvent('download');
    await page.getByRole('button', { name: 'SVG' }).click();
    expect((await save).suggestedFilename()).toBe('bellbird-ranges-mobile-vet-line-diagram.svg');
  });

  await test.step('what stays live', async () => {
    await page.getByRole('link', { name: 'What stays live' }).click();
    await expect(page.locator('mx-live .answer')).toContainText(/starting battery, house battery \d+ Ah, panels 200 W/);
  });
});

test('no words of any demo diagram lie on one another, measured in the browser', async ({ page }) => {
  await signIn(page);
  for (const job of JOBS) {
    await page.goto('/');
    await page
      .getByRole('link', { name: new RegExp(`Open .*${job}`) })
      .first()
      .click();
    await stage(page, 'Protection');
    await page.getByRole('link', { name: 'Line diagram' }).click();
    await expect(page.locator('mx-line-diagram svg')).toBeVisible();
    const met = await page.locator('mx-line-diagram').evaluate((el) => {
      const boxes = [...el.querySelectorAll<SVGGElement>('.words')].map((g) => ({ what: g.textContent ?? '', box: g.getBoundingClientRect() })).filter((b) => b.box.width > 0);
      const meet = (a: DOMRect, b: DOMRect): boolean => a.left < b.right - 1 && b.left < a.right - 1 && a.top < b.bottom - 1 && b.top < a.bottom - 1;
      return boxes.flatMap((a, i) => boxes.slice(i + 1).flatMap((b) => (meet(a.box, b.box) ? [`${a.what} / ${b.what}`] : [])));
    });
    expect(met, job).toEqual([]);
  }
});
