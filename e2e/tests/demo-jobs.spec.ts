import { expect, test } from '@playwright/test';
import { goTo, signIn, VIEWS } from './workshop';

const DEMO = ['Bellbird Ranges Mobile Vet', 'Two Creeks Bookmobile', 'Stonefly Catchment Survey', 'Cinderbush Orchard Bees', 'Lantern Street Cinema', 'Gumnut Travelling Playgroup'];

for (const customer of DEMO) {
  test(`every view of a demo job opens without trouble, with sensible figures: ${customer}`, async ({ page }) => {
    const troubles: string[] = [];
    page.on('pageerror', (error) => troubles.push(String(error)));
    page.on('console', (message) => message.type() === 'error' && troubles.push(message.text()));
    await signIn(page);
    const { lines } = (await (await page.request.get('/api/jobs')).json()) as { lines: { id: string; customer: string }[] };
    const job = lines.find((j) => j.customer === customer)!;
    await page.goto(`/jobs/${job.id}/${VIEWS[0]}`);
    for (const view of VIEWS) {
      await goTo(page, job.id, view);
      const text = await page.locator('main').innerText();
      expect(text, view).not.toMatch(/NaN|undefined|Infinity|\[object|null/);
      const sideways = await page.evaluate(() => document.documentElement.scrollWidth > document.documentElement.clientWidth);
      expect(sideways, `${view} scrolls sideways`).toBe(false);
    }
    const figures = await page.locator('mx-tell-tales b').allInnerTexts();
    expect(Number(figures[0])).toBeGreaterThan(10);
    expect(Number(figures[1])).toBeGreaterThan(0.5);
    expect(Number(figures[2])).toBeGreaterThan(1);
    expect(troubles).toEqual([]);
  });
}

test('the stages stay usable at a phone’s width', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page);
  const jobs = ((await (await page.request.get('/api/jobs')).json()) as { lines: { id: string; customer: string }[] }).lines;
  const vet = jobs.find((j) => j.customer.startsWith('Bellbird'))!;
  for (const stage of VIEWS) {
    await page.goto(`/jobs/${vet.id}/${stage}`);
    await expect(page.locator('.bench-head h1')).toBeVisible();
    const wide = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(wide, stage).toBeLessThanOrEqual(390);
  }
});
