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
    await expect(page.locator('mx-live .answer')).toContainText(/starting battery, house battery \d+ Ah, panel 200 W/);
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
    const px = await page.locator('mx-line-diagram').evaluate((el) => Math.min(...[...el.querySelectorAll('text')].map((t) => parseFloat(getComputedStyle(t).fontSize) * t.getScreenCTM()!.a)));
    expect(px, `${job}: words as it opens`).toBeGreaterThanOrEqual(10);
  }
});

test('one click from ten answers to a drawn circuit, then loads behind switches, a hub board, and what was set by hand', async ({ page }) => {
  const troubles: string[] = [];
  page.on('pageerror', (error) => troubles.push(String(error)));
  await signIn(page);
  await page.keyboard.press('n');
  await page.getByRole('textbox', { name: 'Customer' }).fill('Saltbush Sketchers');
  await page.getByRole('button', { name: 'Open the job' }).click();

  await test.step('the whole job stands, drawn and without a stop', async () => {
    await expect(page.locator('.answers')).toContainText(/lean.*sound.*roomy/s);
    await page.getByRole('button', { name: 'Draft the whole job' }).click();
    await expect(page.locator('mx-line-diagram svg')).toBeVisible();
    await expect(page.locator('mx-line-diagram')).toContainText('fuse block');
    await expect(page.locator('mx-tell-tales')).toContainText(/\b0 to stop|nothing open/);
  });

  await test.step('two loads share a switch bank: one fuse in its feed, none in their tails', async () => {
    await stage(page, 'Loads');
    await page.getByRole('textbox', { name: 'Name of load' }).first().click();
    await choose(page, 'Wire starts at', 'a new switch bank');
    await page.getByRole('textbox', { name: 'Name of the switch bank' }).fill('bench switches');
    await page.getByRole('textbox', { name: 'Name of load' }).nth(1).click();
    await choose(page, 'Wire starts at', 'bench switches, switch bank');
    await expect(page.locator('mx-load-feed')).toContainText('With it: compressor fridge 50 L');
    await stage(page, 'Protection');
    await expect(page.locator('mx-fuses tbody tr').filter({ hasText: 'fuse of run' })).toHaveCount(2);
    await page.getByRole('link', { name: 'Line diagram' }).click();
    await expect(page.locator('mx-line-diagram')).toContainText(/bench\s*switches/);
  });

  await test.step('a hub board takes the place of block, shunt and disconnect', async () => {
    await stage(page, 'Supply');
    await page.getByRole('link', { name: 'What feeds it' }).click();
    await choose(page, 'Hub board', 'hub board 14 ways');
    await stage(page, 'Order');
    await expect(page.getByText('hub board 14 ways, 300 A, with main switch').first()).toBeVisible();
    await expect(page.getByText(/^fuse block \d+ ways/)).toHaveCount(0);
  });

  await test.step('a breaker for one direction is refused where both ends feed; what was set by hand can go back', async () => {
    await stage(page, 'Runs');
    await page.locator('tr[data-run="charger-bus"] button.name').click();
    await choose(page, 'Protected by', 'breaker, manual reset');
    await page.getByText('made for one direction').click();
    await expect(page.locator('mx-kept')).toContainText('a breaker, manual reset');
    await stage(page, 'Checks');
    await expect(page.getByText(/its breaker is made for one direction/).first()).toBeVisible();
    await stage(page, 'Runs');
    await page.getByRole('button', { name: /Take the draft’s breaker made for of/ }).click();
    await page.getByRole('button', { name: /Take the draft’s protected by of/ }).click();
    await expect(page.locator('mx-kept table')).toHaveCount(0);
  });
  expect(troubles).toEqual([]);
});
