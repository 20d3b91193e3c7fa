import { expect, type Locator, type Page } from '@playwright/test';

/** Every view of a job: the stages, with the sheets of those that have some. */
export const VIEWS = [
  'brief/talk',
  'brief/vehicle',
  'brief/vehicles',
  'brief/existing',
  'loads',
  'supply/flow',
  'supply/drafts',
  'supply/feeds',
  'supply/trip',
  'supply/meters',
  'supply/sheets',
  'places/where',
  'places/board',
  'places/boxes',
  'places/burden',
  'places/vehicle',
  'runs/cables',
  'runs/ways',
  'runs/multi-cores',
  'runs/plugs',
  'protection/fuses',
  'protection/diagram',
  'protection/live',
  'checks/findings',
  'checks/mains',
  'order/parts',
  'order/prices',
  'order/buying',
  'order/labels',
  'order/quote',
  'fit',
  'prove/readings',
  'prove/find',
  'prove/learn',
  'hand-over',
  'look-after/care',
  'look-after/history',
];

/** Signs in with the shown demo account. */
export async function signIn(page: Page): Promise<void> {
  await page.goto('/');
  // The page learns from the server whose address the demo has.
  await expect(page.getByLabel('Address')).toHaveValue(/@/);
  await page.getByLabel('Password').fill('wirrabel');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: 'Bay sheet' })).toBeVisible();
}

export async function stage(page: Page, name: string): Promise<void> {
  await page.getByRole('navigation', { name: 'Stages of the job' }).getByRole('link', { name }).first().click();
  await expect(page.getByRole('heading', { name, level: 1, exact: true })).toBeVisible();
}

/** Goes to a view of the open job as people do, by its stage in the trunk and the tab of its sheet, without loading the page anew. */
export async function goTo(page: Page, job: string, view: string): Promise<void> {
  const stageOf = view.split('/')[0]!;
  await page.locator(`mx-trunk a[href^="/jobs/${job}/${stageOf}"]`).click();
  if (view !== stageOf) await page.locator(`mx-sheet-tabs a[href="/jobs/${job}/${view}"]`).click();
  await expect(page).toHaveURL(new RegExp(`/jobs/${job}/${view}$`));
  await expect(page.locator('.bench-head h1')).toBeVisible();
}

/** Opens one of the demo jobs at a stage. */
export async function openJob(page: Page, customer: string, stageName: string): Promise<void> {
  await page.getByRole('link', { name: `Open ${customer}` }).click();
  await stage(page, stageName);
}

/** A copy of a job for one path alone, open at a stage: what others look at stays as it is. */
export async function openCopy(page: Page, customer: string, as: string, stageName: string): Promise<void> {
  const { lines } = (await (await page.request.get('/api/jobs')).json()) as { lines: { id: string; customer: string }[] };
  const from = lines.find((l) => l.customer === customer)!.id;
  const made = await page.request.post('/api/jobs', { data: { customer: as, promisedOn: null, from }, headers: { origin: new URL(page.url()).origin } });
  expect(made.status()).toBe(201);
  await page.reload();
  await openJob(page, as, stageName);
}

/** Waits until the strip says that everything is kept. */
export async function allKept(page: Page): Promise<void> {
  await expect(page.getByRole('status').filter({ hasText: /all kept/ })).toBeVisible();
}

/** Chooses an entry of one of the select fields. */
export async function choose(page: Page, field: string, entry: string): Promise<void> {
  const [select, list] = [page.locator(`nz-select[aria-label="${field}"]`), page.locator('nz-option-item')];
  // A list that is still opening may take no click: it is over when the list has closed.
  await expect(async () => {
    if (!(await list.count())) await select.click();
    await list.filter({ hasText: entry }).first().click({ timeout: 5_000 });
    await expect(list).toHaveCount(0, { timeout: 5_000 });
  }).toPass();
}

export const runRow = (page: Page, id: string): Locator => page.locator(`tr[data-run="${id}"]`);
