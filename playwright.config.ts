import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: 'e2e',
  testMatch: '*.test.ts',
  // Told as flaky when it passes then: a race to be looked for, and no reason to hold everything else up.
  retries: 1,
  // A server each; the machine has two cores.
  workers: 2,
  // What hangs is told by what it waits for; how long a whole test takes is a matter of the machine.
  timeout: 600_000,
  expect: { timeout: 60_000 },
  reporter: process.env.E2E_JSON ? [['list'], ['json', { outputFile: process.env.E2E_JSON }]] : [['list']],
  outputDir: 'test-results',
  use: {
    viewport: { width: 1280, height: 800 },
    screenshot: 'only-on-failure',
    // What a service worker fetches, a test cannot hold up: only the tests of it have one.
    serviceWorkers: 'block',
    actionTimeout: 60_000,
    navigationTimeout: 60_000,
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--headless',
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync'
      ]
    }
  }
});
