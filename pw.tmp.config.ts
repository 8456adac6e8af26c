import { defineConfig } from '@playwright/test';

const home = process.env.QUILL_TEST_HOME ?? '.quill-test';

export default defineConfig({
  testDir: 'tests/browser',
  // Long enough for a machine that others slow down; a test that fails has waited in vain all the same.
  timeout: 300_000,
  expect: { timeout: 30_000 },
  workers: 1,
  retries: 0,
  forbidOnly: true,
  outputDir: `${home}/results`,
  reporter: [['list'], ['json', { outputFile: `${home}/browser.json` }]],
  globalSetup: './tests/browser/global-setup.ts',
  use: {
    viewport: { width: 1280, height: 800 },
    trace: 'off',
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
