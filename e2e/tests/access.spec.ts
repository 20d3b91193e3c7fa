import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { goTo, signIn, VIEWS } from './workshop';

test('every view passes the automatic accessibility check, by day and by night', async ({ page }) => {
  test.setTimeout(600_000);
  await page.emulateMedia({ reducedMotion: 'reduce' });
  const found: string[] = [];
  const check = async (view: string): Promise<void> => {
    for (const light of ['day', 'night']) {
      // As the theme does it: one look at both without loading the view twice.
      await page.evaluate((l) => (document.documentElement.dataset['view'] = l), light);
      // Colours that change by a transition are looked at when it is over.
      await page.waitForTimeout(400);
      const look = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] });
      // By night nothing differs but the colours.
      const { violations } = await (light === 'day' ? look.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'best-practice']) : look.withRules(['color-contrast'])).analyze();
      for (const v of violations) found.push(`${view} by ${light}: ${v.id}: ${v.nodes[0]!.target.join(' ')} (${v.nodes.length}): ${v.nodes[0]!.failureSummary?.split('\n')[1]?.trim()}`);
    }
    await page.evaluate(() => (document.documentElement.dataset['view'] = 'day'));
  };
  await page.goto('/sign-in');
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await check('sign-in');
  await signIn(page);
  await check('bay sheet');
  for (const page_ of ['week', 'customers', 'parts', 'stores', 'people', 'workshop']) {
    await page.goto(`/${page_}`);
    await expect(page.locator('.bench-head h1')).toBeVisible();
    await check(page_);
  }
  const { lines } = (await (await page.request.get('/api/jobs')).json()) as { lines: { id: string; customer: string }[] };
  const job = lines.find((l) => l.customer.startsWith('Lantern'))!;
  await page.goto(`/jobs/${job.id}/${VIEWS[0]}`);
  for (const stage of VIEWS) {
    await goTo(page, job.id, stage);
    await check(stage);
  }
  await goTo(page, job.id, 'order/quote');
  await page.getByRole('button', { name: 'Make its link' }).click();
  await page.goto(await page.getByRole('textbox', { name: 'Link of the quote' }).inputValue());
  await expect(page.locator('mx-option-card')).toBeVisible();
  await check('a quote as its customer has it');
  expect(found).toEqual([]);
});
