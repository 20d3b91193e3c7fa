import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';

// Takes the pictures that README shows, from the demo data of a running Meridex: node e2e/screenshots.mjs [address]
const address = process.argv[2] ?? 'http://127.0.0.1:4200';
const folder = join(import.meta.dirname, '../docs/screenshots');
const VIEWS = [
  ['brief', 'Two Creeks', 'brief/vehicle'],
  ['loads', 'Bellbird', 'loads'],
  ['drafts', 'Stonefly', 'supply/drafts', { wait: 2500 }],
  ['supply', 'Gumnut', 'supply/flow'],
  ['trip', 'Stonefly', 'supply/trip', { wait: 6000 }],
  ['places', 'Two Creeks', 'places/where'],
  ['care', 'Cinderbush', 'look-after/care'],
  ['runs', 'Bellbird', 'runs/cables'],
  ['protection', 'Lantern', 'protection/fuses'],
  ['diagram', 'Bellbird', 'protection/diagram', { wait: 2500, state: 'driving, loads on', press: 'full window' }],
  ['mains', 'Gumnut', 'checks/mains'],
  ['checks', 'Lantern', 'checks'],
  ['order', 'Bellbird', 'order/parts'],
  ['quote', 'Bellbird', 'order/quote', { wait: 1500, press: 'lean' }],
  ['find', 'Bellbird', 'prove/find', { wait: 3000, night: true }],
  ['prove-phone', 'Gumnut', 'prove', { phone: true }],
  ['fit-phone', 'Bellbird', 'fit', { phone: true }],
];

mkdirSync(folder, { recursive: true });
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update'] });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const shot = async (name) => {
  await page.mouse.move(0, 0);
  await page.waitForTimeout(700);
  await page.screenshot({ path: join(folder, `${name}.png`) });
};
await page.goto(`${address}/sign-in`);
await page.getByLabel('Password').fill('wirrabel');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.waitForSelector('table.sheet');
await shot('bay-sheet');
await page.goto(`${address}/week`);
await page.waitForSelector('mx-week-board .block');
await page.locator('mx-week-board .block').first().click();
await shot('week');
const { lines } = await (await page.request.get(`${address}/api/jobs`)).json();
for (const [name, customer, stage, { phone = false, night = false, wait = 0, state = '', press = '' } = {}] of VIEWS) {
  await page.setViewportSize(phone ? { width: 390, height: 844 } : { width: 1280, height: 800 });
  await page.evaluate((on) => localStorage.setItem('meridex.night', on ? 'yes' : 'no'), night);
  await page.goto(`${address}/jobs/${lines.find((l) => l.customer.startsWith(customer)).id}/${stage}`);
  await page.waitForSelector('.bench-head');
  await page.waitForTimeout(wait);
  if (state) {
    await page.locator('nz-select[aria-label="State"]').click();
    await page.locator('nz-option-item').filter({ hasText: state }).first().click();
    await page.waitForTimeout(1500);
  }
  if (press) await page.getByRole('button', { name: press }).click();
  await shot(name);
}
await browser.close();
