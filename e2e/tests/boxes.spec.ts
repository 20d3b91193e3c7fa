import { expect, test } from '@playwright/test';
import { circlesIn, drawnIn } from '../../server/src/testing/pdf';
import { allKept, openCopy, signIn } from './workshop';

test('a box is built round a battery, cut from its drawing, and checked by the steps of the build', async ({ page }) => {
  await signIn(page);
  await openCopy(page, 'Two Creeks Bookmobile', 'Paperbark Story Bus', 'Places');
  await page
    .getByRole('region', { name: /Parts shelf/ })
    .getByRole('button', { name: /^house battery/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'box it' }).click();
  await page.getByRole('button', { name: 'Build it' }).click();
  await allKept(page);

  await page.getByRole('link', { name: 'Boxes', exact: true }).click();
  const box = page.getByRole('region', { name: /^box of the house battery/ });
  await expect(box.getByRole('img', { name: /544 by 244 mm: 0 glands, 0 vents, 14 screws/ })).toBeVisible();
  await expect(box.getByRole('row', { name: /Isolator outside the box/ })).toContainText('outside');
  const held = box.getByRole('row', { name: /Vent that opens outwards only/ });
  await expect(held.locator('svg[aria-label="holds"]')).toHaveCount(0);

  const drawn = await page.request.get((await box.getByRole('link', { name: 'Sheets, PDF 1:1' }).getAttribute('href'))!);
  const circles = circlesIn(drawnIn(await drawn.body()));
  expect(circles.filter((c) => Math.abs(c.diameterMm - 20) < 0.05).length, 'the vent, on every tile that shows it').toBeGreaterThan(0);

  await held.getByRole('link', { name: 'in Fit' }).click();
  await expect(page.getByRole('heading', { name: 'Fit', level: 1 })).toBeVisible();
  await expect(page.getByText(/Fit the one-way vent of the box of the house battery/).first()).toBeAttached();
});
