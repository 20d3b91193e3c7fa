import { expect, test } from '@playwright/test';
import { catalogueOf, type Design, faultBook } from '@meridex/core';
import { openJob, signIn } from './workshop';

/** Hidden in a demo job: what the customer says, and the name of the cause. */
const HIDDEN = [
  { fault: 'blown:load-l1', says: /does nothing/ },
  { fault: 'no-trigger:charger', says: 'Nothing comes in on the road' },
  { fault: 'open:disconnect', says: 'Everything is dark' },
  { fault: 'dark:panel', says: 'no charge from the sun' },
];

test('hidden faults are found by what is measured, each in eight tests or fewer; and one is found to learn by', async ({ page }) => {
  const troubles: string[] = [];
  page.on('pageerror', (error) => troubles.push(String(error)));
  await signIn(page);
  await openJob(page, 'Bellbird Ranges Mobile Vet', 'Prove');
  const job = new URL(page.url()).pathname.split('/')[2]!;
  const { design } = (await (await page.request.get(`/api/jobs/${job}/design`)).json()) as { design: Design };
  const book = faultBook(design, catalogueOf(design))!;
  await page.getByRole('link', { name: 'Find the fault' }).click();
  const next = page.getByRole('region', { name: 'What to measure next' });
  const found = page.getByRole('region', { name: 'The likeliest cause' });
  await expect(next).toBeVisible();

  for (const { fault, says } of HIDDEN)
    await test.step(fault, async () => {
      const name = book.faults.find((f) => f.id === fault)!.name;
      await page.locator('nz-select[aria-label="What the customer says"]').click();
      await page.locator('nz-option-item').filter({ hasText: says }).first().click();
      await page.keyboard.press('Escape');
      for (let tests = 0; tests < 8; tests++) {
        await expect(next.or(found).first()).toBeVisible();
        if (await found.isVisible()) break;
        const words = await next.getByRole('heading').innerText();
        const probe = book.probes.find((p) => p.words === words)!;
        const taken = await page.getByRole('button', { name: /^Take out the reading/ }).count();
        await next.getByRole('textbox').fill(probe.predicted[fault]!.toFixed(2));
        await next.getByRole('button', { name: 'Keep the reading' }).click();
        await expect(page.getByRole('button', { name: /^Take out the reading/ })).toHaveCount(taken + 1);
        await expect(next.getByRole('heading', { name: words, exact: true })).toHaveCount(0);
      }
      await expect(found).toContainText(name);
      await page.getByRole('button', { name: 'Begin anew' }).click();
      await expect(found).toHaveCount(0);
    });

  await test.step('one is hidden, measured with the simulated meter, named wrongly, then given up and shown', async () => {
    await page.getByRole('link', { name: 'Learn to find' }).click();
    await expect(page.getByText('A fault is hidden in this rig')).toBeVisible();
    await page
      .getByRole('button', { name: /^Measure: / })
      .first()
      .click();
    await expect(page.locator('mx-learn tbody tr')).toHaveCount(1);
    await page.getByRole('button', { name: 'give up' }).click();
    await expect(page.getByRole('status').filter({ hasText: 'Given up' })).toBeVisible();
    await page.getByRole('button', { name: 'Another one' }).click();
    await expect(page.getByText('Riddle 2')).toBeVisible();
  });
  expect(troubles).toEqual([]);
});
