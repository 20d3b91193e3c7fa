import { expect, test } from '@playwright/test';
import { signIn } from './workshop';

test('the bay’s week: parts that slip make a job late, it is planned anew, saved, dragged, and nothing promised is moved', async ({ page }) => {
  await signIn(page);
  await page.getByRole('link', { name: 'week', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'The bay’s week' })).toBeVisible();
  const sum = page.locator('.bench-head .sum');
  const block = (name: string) => page.locator('mx-week-board .block').filter({ hasText: name });
  const kept = () => expect(page.getByRole('status').filter({ hasText: 'all kept' })).toBeVisible();

  await test.step('jobs under way stand in two bays, those that are only planned are put in', async () => {
    await expect(block('Bellbird')).toBeVisible();
    for (const name of ['Stonefly', 'Lantern']) {
      await page.getByRole('button', { name: new RegExp(`^Put ${name}.* in$`) }).click();
      await expect(block(name)).toBeVisible();
    }
    await kept();
  });

  const late = page.locator('mx-week-board .block').filter({ hasText: 'Stonefly' });
  await test.step('its parts slip past its promise: it is late, and what would save it is said', async () => {
    await late.click();
    const job = page.getByRole('region', { name: 'The job that is looked at' });
    await expect(job.getByRole('heading')).toContainText('Stonefly');
    const day = job.getByPlaceholder('they are there');
    const on = new Date(Date.now() + 12 * 86_400_000);
    while (on.getDay() === 0 || on.getDay() === 6) on.setDate(on.getDate() - 1);
    await expect(late).not.toContainText('late');
    await day.click();
    const [weekday, month] = [on.toLocaleDateString('en-GB', { weekday: 'short' }), on.toLocaleDateString('en-US', { month: 'short' })];
    await day.fill(`${weekday} ${on.getDate()} ${month} ${on.getFullYear()}`);
    await day.press('Enter');
    const saving = page.getByRole('region', { name: 'What would save the week' }).getByText('Have the parts of Stonefly');
    await expect(saving).toBeVisible();
    await expect(sum).toContainText(/late|without a place/);
    await saving.getByRole('button', { name: 'Plan with it' }).click();
    await expect(late).toBeVisible();
    await expect(late).not.toContainText('late');
    await kept();
  });

  await test.step('a block that is dragged stays where it was put, whatever else is planned', async () => {
    const cell = (await page.locator('mx-week-board .cell').first().boundingBox())!;
    const [placed, none] = [late.filter({ hasText: 'promised there' }), page.getByText('It finds no place in these days.')];
    // Where the licensed electrician does not come within its days it finds none: which days those are depends on today.
    for (const days of [2, 1, -1, -2]) {
      const box = (await late.boundingBox())!;
      await page.mouse.move(box.x + 20, box.y + 20);
      await page.mouse.down();
      await page.mouse.move(box.x + 60, box.y + 22, { steps: 4 });
      await page.mouse.move(box.x + 20 + days * cell.width, box.y + 20, { steps: 8 });
      await page.mouse.up();
      await expect(placed.or(none).first()).toBeVisible();
      if (await placed.count()) break;
      await page.getByRole('button', { name: 'Let the plan choose' }).click();
      await expect(late).toBeVisible();
    }
    await expect(placed).toBeVisible();
    const there = await late.getAttribute('style');
    await kept();
    await page.getByRole('textbox', { name: 'Hours of work in a day' }).fill('9');
    await page.getByRole('textbox', { name: 'Hours of work in a day' }).press('Enter');
    await kept();
    await page.reload();
    await expect(late).toContainText('promised there');
    const start = (style: string | null): string =>
      /grid-area: ([^;]+)|grid-column: (\d+)/
        .exec(style ?? '')?.[0]
        .split('/')
        .slice(0, 2)
        .join('/') ?? '';
    expect(start(there)).toMatch(/\d/);
    expect(start(await late.getAttribute('style'))).toBe(start(there));
    await expect(block('Stonefly')).toHaveCount(1);
  });
});
