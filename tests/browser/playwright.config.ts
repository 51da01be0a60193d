import { defineConfig } from '@playwright/test';

const port = process.env['BOLD_PORT'] ?? '5080';

export default defineConfig({
  testDir: '.',
  outputDir: '../../.run/browser-results',
  snapshotPathTemplate: '../stored/papers/printed/{arg}{ext}',
  workers: 2,
  fullyParallel: false,
  forbidOnly: true,
  retries: 0,
  // Generous: a loaded machine is slow, not wrong.
  timeout: 120_000,
  expect: { timeout: 20_000 },
  reporter: [['list'], ['json']],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    // What a test makes of the network must reach the page; the test of the board without network lets it keep things.
    serviceWorkers: 'block',
    screenshot: 'only-on-failure',
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
        // A microphone that beeps.
        '--use-fake-device-for-media-stream',
        '--use-fake-ui-for-media-stream',
      ],
    },
  },
  webServer: {
    command: `dotnet "${process.env['BOLD_APP']}/BoldLadder.Web.dll" --urls http://127.0.0.1:${port}`,
    cwd: process.env['BOLD_APP'],
    url: `http://127.0.0.1:${port}/health`,
    reuseExistingServer: false,
  },
});
