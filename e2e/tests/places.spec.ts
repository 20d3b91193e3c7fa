import { readFile } from 'node:fs/promises';
import { expect, type Page, test } from '@playwright/test';
import { circlesIn, drawnIn, linesIn } from '../../server/src/testing/pdf';
import { allKept, openJob, signIn } from './workshop';

const CUSTOMER = 'Bellbird Ranges Mobile Vet';
const figures = async (page: Page, selector: string): Promise<number[]> => (await page.locator(selector).allTextContents()).map((t) => Number(t.replace(/[^\d.]/g, '')));
const sheet = (page: Page, name: string): Promise<void> => page.getByRole('link', { name, exact: true }).click();
const drag = async (page: Page, from: { x: number; y: number }, to: { x: number; y: number }): Promise<void> => {
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  for (let i = 1; i <= 8; i++) await page.mouse.move(from.x + ((to.x - from.x) * i) / 8, from.y + ((to.y - from.y) * i) / 8);
  await page.mouse.up();
};

test('place, route, drag, see the drop change, draft the board, and measure its drill template', async ({ page }) => {
  await signIn(page);
  await openJob(page, CUSTOMER, 'Places');
  await expect(page.locator('mx-vehicle-picture [data-view="plan"] .gear').first()).toBeVisible();

  // Drag the inverter over its face: its own cable follows while it moves, and one undo takes all of it back.
  await page
    .getByRole('region', { name: /Parts shelf/ })
    .getByRole('button', { name: /^inverter \d/ })
    .click();
  const typed = page.getByRole('button', { name: /^Take the length/ });
  await typed.click();
  await expect(typed).toHaveCount(0);
  const own = 'section.detail table.cables td.num';
  const before = await figures(page, own);
  const item = (await page.locator('mx-face-picture .gear.chosen').boundingBox())!;
  const face = (await page.locator('mx-face-picture .sheet').boundingBox())!;
  const at = { x: item.x + item.width / 2, y: item.y + item.height / 2 };
  await drag(page, at, { x: at.x < face.x + face.width / 2 ? face.x + face.width - item.width / 2 - 4 : face.x + item.width / 2 + 4, y: at.y });
  await expect.poll(() => figures(page, own)).not.toEqual(before);
  await page.keyboard.press('Control+z');
  await expect.poll(() => figures(page, own)).toEqual(before);

  // Out of the shelf on to the plan of the vehicle.
  const row = (await page.locator('.shelf tr', { hasText: /^\s*inverter \d/ }).boundingBox())!;
  const floor = (await page.locator('[data-view="plan"] .zone').nth(1).boundingBox())!;
  await drag(page, { x: row.x + 20, y: row.y + row.height / 2 }, { x: floor.x + floor.width / 2, y: floor.y + floor.height / 2 });
  await expect(page.locator('.shelf tr.chosen .zone')).not.toHaveText(/canopy/);
  await page.keyboard.press('Control+z');
  await expect(page.locator('.shelf tr.chosen .zone')).toHaveText(/canopy/);

  // Arrow keys and typed millimetres.
  const along = page.getByRole('textbox', { name: 'Along' });
  const u = Number(await along.inputValue());
  await page.locator('mx-face-picture .gear.chosen').focus();
  await page.keyboard.press('ArrowRight');
  await expect.poll(async () => Math.abs(Number(await along.inputValue()) - u)).toBe(10);
  await page.keyboard.press('Control+z');

  // A board from nothing.
  await sheet(page, 'The board');
  await page.getByRole('button', { name: 'no board' }).click();
  await page.getByRole('button', { name: 'Draft the board' }).click();
  await expect(page.locator('mx-face-picture .hole').first()).toBeAttached();
  await allKept(page);
  const holes = await page
    .locator('mx-face-picture circle.hole')
    .evaluateAll((all) => all.map((c) => ({ x: Number(c.getAttribute('cx')), y: Number(c.getAttribute('cy')), d: 2 * Number(c.getAttribute('r')) })));

  // What the printer gets, measured.
  const href = (await page.getByRole('link', { name: 'Drill template, PDF 1:1' }).getAttribute('href'))!;
  const pdf = await (await page.request.get(href)).body();
  const drawn = drawnIn(pdf);
  const sheets = new Set(drawn.map((p) => p.sheet)).size;
  expect(linesIn(drawn).filter((l) => Math.abs(l.lengthMm - 100) < 0.05)).toHaveLength(sheets);
  const first = circlesIn(drawn)
    .filter((c) => c.sheet === 1)
    .map((c) => ({ x: c.x - 10, y: 297 - c.y - 10, d: c.diameterMm }));
  for (const h of holes)
    expect(
      first.some((c) => Math.hypot(c.x - h.x, c.y - h.y) < 0.1 && Math.abs(c.d - h.d) < 0.1),
      `hole at ${h.x}, ${h.y}`,
    ).toBe(true);

  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'DXF' }).click()]);
  expect(await readFile((await download.path())!, 'utf8')).toContain('CIRCLE');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await allKept(page);
});

test('a run shows its way, takes another one, and says what it passes', async ({ page }) => {
  await signIn(page);
  await openJob(page, CUSTOMER, 'Runs');
  const length = page.getByRole('textbox', { name: 'Length of run 1', exact: true });
  await length.fill('');
  await length.press('Enter');
  await expect(page.locator('mx-vehicle-picture .run.chosen')).toBeVisible();
  await page.getByRole('button', { name: 'way', exact: true }).click();
  const legs = page.locator('mx-run-way .legs li');
  const before = await legs.allTextContents();
  await page.locator('mx-run-way .other').first().click();
  await expect.poll(() => legs.allTextContents()).not.toEqual(before);
  await page.keyboard.press('Control+z');
  await expect.poll(() => legs.allTextContents()).toEqual(before);
  await sheet(page, 'Ways and holes');
  await expect(page.locator('tbody tr').first()).toBeVisible();
  await sheet(page, 'Plugs and leads');
  await expect(page.locator('p.big')).toContainText('tested');
});

test('the vehicle’s own data: changed, kept for the next one, saved and read again', async ({ page }) => {
  await signIn(page);
  await openJob(page, CUSTOMER, 'Places');
  await sheet(page, 'The vehicle');
  const name = page.getByRole('textbox', { name: 'Name of the vehicle' });
  await name.fill('low canopy ute');
  await name.press('Tab');
  await page.getByRole('textbox', { name: 'Height of the vehicle' }).fill('1990');
  await page.getByRole('button', { name: 'Keep for the next one' }).click();
  await expect(page.getByRole('button', { name: 'low canopy ute' })).toBeVisible();
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Save as file' }).click()]);
  const text = await readFile((await download.path())!, 'utf8');
  await page.getByRole('button', { name: 'back to the shipped one' }).click();

  const read = page.getByLabel('Read a vehicle file');
  await read.setInputFiles({ name: 'torn.json', mimeType: 'application/json', buffer: Buffer.from(text.slice(0, 400)) });
  await expect(page.getByRole('alert')).toContainText('torn.json: The file is not JSON');
  await read.setInputFiles({ name: 'wrong.json', mimeType: 'application/json', buffer: Buffer.from(text.replace('"widthMm": ', '"widthMm": -')) });
  await expect(page.getByRole('alert')).toContainText('widthMm: from 1 mm is accepted; came -');
  await read.setInputFiles({ name: 'good.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  await expect(page.getByRole('textbox', { name: 'Height of the vehicle' })).toHaveValue('1990');
  await page.getByRole('button', { name: 'back to the shipped one' }).click();
  await allKept(page);
});
