import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { signIn, VIEWS } from './workshop';

for (const night of [false, true]) {
  test(`every view passes the automatic accessibility check, ${night ? 'night' : 'day'} view`, async ({ page }) => {
    test.setTimeout(420_000);
    await page.emulateMedia({ reducedMotion: 'reduce' });
    const found: string[] = [];
    const check = async (view: string): Promise<void> => {
      const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa']).analyze();
      for (const v of violations) found.push(`${view}: ${v.id}: ${v.nodes[0]!.target.join(' ')} (${v.nodes.length}): ${v.nodes[0]!.failureSummary?.split('\n')[1]?.trim()}`);
    };
    await page.goto('/sign-in');
    await page.evaluate((on) => localStorage.setItem('meridex.night', on ? 'yes' : 'no'), night);
    await page.goto('/sign-in');
    await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
    await check('sign-in');
    await signIn(page);
    await check('bay sheet');
    for (const page_ of ['parts', 'people']) {
      await page.goto(`/${page_}`);
      await expect(page.locator('.bench-head h1')).toBeVisible();
      await check(page_);
    }
    const { lines } = (await (await page.request.get('/api/jobs')).json()) as { lines: { id: string; customer: string }[] };
    const job = lines.find((l) => l.customer.startsWith('Lantern'))!;
    for (const stage of VIEWS) {
      await page.goto(`/jobs/${job.id}/${stage}`);
      await expect(page.locator('.bench-head h1')).toBeVisible();
      await check(stage);
    }
    expect(found).toEqual([]);
  });
}
