import { execFileSync } from 'node:child_process';
import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './chromium.ts';

/** A free port, found once for the run: the workers, which read this file too, are told by the environment. */
function freePort(): string {
  const find =
    "const s = require('node:net').createServer().listen(0, '127.0.0.1', () => { console.log(s.address().port); s.close(); })";
  return execFileSync(process.execPath, ['-e', find], { encoding: 'utf8' }).trim();
}
process.env['AMPLE_TEST_PORT'] ??= freePort();
const PORT = process.env['AMPLE_TEST_PORT'];

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  timeout: 120_000,
  // A busy machine draws late; what is waited for is the same.
  expect: { timeout: 20_000 },
  fullyParallel: true,
  workers: 2,
  retries: 0,
  reporter: [['list']],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    acceptDownloads: true,
    // Where lengths are in centimetres unless one chooses otherwise.
    locale: 'en-GB',
    // Only the test of working without the server wants one: it would fetch the whole app for each of the others.
    serviceWorkers: 'block',
    launchOptions: CHROMIUM,
  },
  webServer: {
    command: 'node --import tsx server/main.ts',
    cwd: '..',
    url: `http://127.0.0.1:${PORT}/api/health`,
    env: { PORT, BUREAU_PACE: '700', NAMES: 'sewing.test' },
    reuseExistingServer: false,
  },
});
