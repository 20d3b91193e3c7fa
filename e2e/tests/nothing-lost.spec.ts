import { expect, test } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import { allKept, openJob, signIn } from './workshop';

const PORT = 4390;
const MAIN = join(process.cwd(), '../server/dist/main.js');
const WEB = join(process.cwd(), '../web/dist/browser');
const database = process.env['MERIDEX_TEST_DATABASE'];

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

test.use({ baseURL: `http://127.0.0.1:${PORT}` });

test('a server killed while someone types loses nothing', async ({ page, context }) => {
  test.skip(!database, 'run by npm test, which names the database');
  const server = await serve();
  await signIn(page);
  await openJob(page, 'Stonefly Catchment Survey', 'Brief');
  await page.getByRole('textbox', { name: 'Plate' }).fill('KEPT 1');
  await allKept(page);

  server.kill('SIGKILL');
  await page.getByRole('textbox', { name: 'Plate' }).fill('KEPT 2');
  await expect(page.getByRole('status').filter({ hasText: 'kept on this tablet' })).toBeVisible({ timeout: 10_000 });

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
  await one.getByRole('textbox', { name: 'Plate' }).fill('MINE');
  await allKept(one);
  await two.getByRole('textbox', { name: 'Plate' }).fill('THEIRS');
  await expect(two.locator('.clash')).toContainText('MINE');
  await expect(two.locator('.clash')).toContainText('THEIRS');
  await two.getByRole('button', { name: 'Put mine' }).click();
  await allKept(two);
  await one.reload();
  await expect(one.getByRole('textbox', { name: 'Plate' })).toHaveValue('THEIRS');
});
