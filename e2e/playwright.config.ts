import { defineConfig } from '@playwright/test';

// Each worker has a server of its own.
const addresses = (process.env['MERIDEX_ADDRESSES'] ?? 'http://127.0.0.1:4200').split(' ');

export default defineConfig({
  testDir: './tests',
  // Nothing here measures speed: a slow machine that reloads the application gets the time it needs.
  timeout: 300_000,
  expect: { timeout: 60_000 },
  workers: addresses.length,
  reporter: [['list']],
  use: {
    baseURL: addresses[Number(process.env['TEST_PARALLEL_INDEX'] ?? 0)],
    viewport: { width: 1280, height: 800 },
    // Each test is a new browser: what the service worker keeps is fetched only where a test is about it.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--disable-dev-shm-usage'],
    },
  },
});
