import { expect, test } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import { allKept, openJob, signIn, stage } from './workshop';

const PORT = 4390;
const MAIN = join(process.cwd(), '../server/dist/main.js');
const WEB = join(process.cwd(), '../web/dist/browser');
const database = process.env['MERIDEX_TEST_DATABASES']?.split(' ')[Number(process.env['TEST_PARALLEL_INDEX'] ?? 0)];

let running: ChildProcess | null = null;

test.afterEach(() => {
  running?.kill('SIGKILL');
});

function serve(): Promise<ChildProcess> {
  const child = spawn(process.execPath, [MAIN], { env: { ...process.env, MERIDEX_DATABASE_URL: database, MERIDEX_PORT: String(PORT), MERIDEX_WEB: WEB }, stdio: ['ignore', 'pipe', 'inherit'] });
  running = child;
  return new Promise((resolve, reject) => {
    child.once('exit', () => reject(new Error('the server ended while starting')));
    child.stdout!.on('data', (data: Buffer) => data.toString().includes('listening') && resolve(child));
  });
}

test.use({ baseURL: `http://127.0.0.1:${PORT}`, serviceWorkers: 'allow' });

test('a server killed while someone types loses nothing', async ({ page, context }) => {
  test.skip(!database, 'run by npm test, which names the database');
  const server = await serve();
  await signIn(page);
  await openJob(page, 'Stonefly Catchment Survey', 'Brief');
  await page.getByRole('textbox', { name: 'Plate' }).fill('KEPT 1');
  await allKept(page);

  server.kill('SIGKILL');
  await page.getByRole('textbox', { name: 'Plate' }).fill('KEPT 2');
  await expect(page.getByRole('status').filter({ hasText: 'kept on this tablet' })).toBeVisible();

  await serve();
  await allKept(page);
  await page.getByRole('textbox', { name: 'Notes' }).fill('typed, then the browser was closed');
  await page.waitForTimeout(50);
  await page.close();

  const again = await context.newPage();
  await again.goto('/');
  await openJob(again, 'Stonefly Catchment Survey', 'Brief');
  await expect(again.getByRole('textbox', { name: 'Plate' })).toHaveValue('KEPT 2');
  await expect(again.getByRole('textbox', { name: 'Notes' })).toHaveValue('typed, then the browser was closed');
});

test('two people in one job: different edits merge, the same one shows both values', async ({ browser }) => {
  test.skip(!database, 'run by npm test, which names the database');
  await serve();
  const pages = await Promise.all([browser.newContext(), browser.newContext()].map(async (c) => (await c).newPage()));
  const [one, two] = [pages[0]!, pages[1]!];
  for (const page of pages) {
    await page.goto(`http://127.0.0.1:${PORT}/`);
    await signIn(page);
    await openJob(page, 'Gumnut Travelling Playgroup', 'Brief');
  }
  await one.getByRole('textbox', { name: 'Plate' }).fill('ONE 1');
  await allKept(one);
  await two.getByRole('textbox', { name: 'Notes' }).fill('from the other bench');
  await allKept(two);
  await expect(two.getByRole('textbox', { name: 'Plate' })).toHaveValue('ONE 1');

  await one.reload();
  await expect(one.getByRole('textbox', { name: 'Notes' })).toHaveValue('from the other bench');
  // With signal the other would see it before typing.
  await two.context().setOffline(true);
  await one.getByRole('textbox', { name: 'Plate' }).fill('MINE');
  await allKept(one);
  await two.getByRole('textbox', { name: 'Plate' }).fill('THEIRS');
  await two.context().setOffline(false);
  await expect(two.locator('.clash')).toContainText('MINE');
  await expect(two.locator('.clash')).toContainText('THEIRS');
  await two.getByRole('button', { name: 'Put mine' }).click();
  await allKept(two);
  await one.reload();
  await expect(one.getByRole('textbox', { name: 'Plate' })).toHaveValue('THEIRS');
});

test('two pages of one device, an edit left at once, and undo after a reload', async ({ page, context }) => {
  test.skip(!database, 'run by npm test, which names the database');
  await serve();
  await page.goto(`http://127.0.0.1:${PORT}/`);
  await signIn(page);
  await openJob(page, 'Stonefly Catchment Survey', 'Brief');
  const other = await context.newPage();
  await other.goto('/');
  await openJob(other, 'Stonefly Catchment Survey', 'Brief');
  // Both pages have no signal while they are worked on.
  await context.setOffline(true);
  await page.getByRole('textbox', { name: 'Plate' }).fill('TAB 1');
  await page.getByRole('textbox', { name: 'Plate' }).press('Tab');
  await other.getByRole('textbox', { name: 'Notes' }).fill('from the other page');
  await other.getByRole('textbox', { name: 'Notes' }).press('Tab');
  await expect(page.getByRole('status').filter({ hasText: 'kept on this tablet' })).toBeVisible();
  await context.setOffline(false);
  await allKept(page);
  await allKept(other);

  // Left for the bay sheet within half a second: it is sent from there.
  await page.getByRole('textbox', { name: 'Plate' }).fill('LEFT AT ONCE');
  await page.getByRole('link', { name: 'MERIDEX' }).click();
  await expect(page.getByText('to send')).toHaveCount(0);
  await other.reload();
  await expect(other.getByRole('textbox', { name: 'Plate' })).toHaveValue('LEFT AT ONCE');
  await expect(other.getByRole('textbox', { name: 'Notes' })).toHaveValue('from the other page');

  await openJob(page, 'Stonefly Catchment Survey', 'Brief');
  await page.reload();
  await page.getByRole('button', { name: /^Undo / }).click();
  await expect(page.getByRole('textbox', { name: 'Plate' })).not.toHaveValue('LEFT AT ONCE');
  await allKept(page);
});

test('a clash is asked again after a reload, only the clashing value goes, and a sign-in that ended is given in place', async ({ browser }) => {
  test.skip(!database, 'run by npm test, which names the database');
  await serve();
  const contexts = await Promise.all([browser.newContext(), browser.newContext()]);
  const pages = await Promise.all(contexts.map((c) => c.newPage()));
  const [one, two] = [pages[0]!, pages[1]!];
  for (const page of pages) {
    await page.goto(`http://127.0.0.1:${PORT}/`);
    await signIn(page);
    await openJob(page, 'Bellbird Ranges Mobile Vet', 'Brief');
  }
  await contexts[1]!.setOffline(true);
  await two.getByRole('textbox', { name: 'Plate' }).fill('MINE');
  await two.getByRole('textbox', { name: 'Notes' }).fill('mine alone');
  await expect(two.getByRole('status').filter({ hasText: 'kept on this tablet' })).toBeVisible();
  await one.getByRole('textbox', { name: 'Plate' }).fill('THEIRS');
  await allKept(one);
  await contexts[1]!.setOffline(false);
  await expect(two.locator('.clash')).toContainText('brief › plate is THEIRS now, yours MINE');
  await two.reload();
  await expect(two.locator('.clash')).toContainText('brief › plate is THEIRS now, yours MINE');
  await two.getByRole('button', { name: 'Keep theirs' }).click();
  await allKept(two);
  await expect(two.getByRole('textbox', { name: 'Plate' })).toHaveValue('THEIRS');
  await expect(two.getByRole('textbox', { name: 'Notes' })).toHaveValue('mine alone');

  await contexts[1]!.clearCookies();
  await two.getByRole('textbox', { name: 'Plate' }).fill('SIGNED IN AGAIN');
  await two.getByLabel(/^Password of/).fill('wirrabel');
  await two.getByRole('button', { name: 'Sign in' }).click();
  await allKept(two);
  await one.reload();
  await expect(one.getByRole('textbox', { name: 'Plate' })).toHaveValue('SIGNED IN AGAIN');
  await expect(one.getByRole('textbox', { name: 'Notes' })).toHaveValue('mine alone');
});

test('without signal the page is loaded again, all stages open, and what is done is sent when the server is back', async ({ page }) => {
  test.skip(!database, 'run by npm test, which names the database');
  const server = await serve();
  await page.goto(`http://127.0.0.1:${PORT}/`);
  await signIn(page);
  await openJob(page, 'Bellbird Ranges Mobile Vet', 'Fit');
  await expect(page.locator('label.step.now')).toBeVisible();
  await stage(page, 'Brief');
  await page.evaluate(async () => void (await navigator.serviceWorker.ready));
  await page.reload();
  server.kill('SIGKILL');
  await page.reload();
  await expect(page.getByRole('status').filter({ hasText: 'no signal: as kept here' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Plate' }).fill('NO SIGNAL');
  for (const name of ['Supply', 'Places', 'Runs', 'Protection', 'Checks', 'Order', 'Hand over', 'Look after']) await stage(page, name);
  await stage(page, 'Fit');
  await page.locator('label.step.now').click();
  await page.reload();
  await expect(page.getByRole('status').filter({ hasText: 'kept on this tablet, 2 to send' })).toBeVisible();
  await serve();
  await allKept(page);
  await page.reload();
  await stage(page, 'Brief');
  await expect(page.getByRole('textbox', { name: 'Plate' })).toHaveValue('NO SIGNAL');
});
