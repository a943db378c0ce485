import { defineConfig, devices } from '@playwright/test';

// Each worker has a Lustrum of its own, so that no test sees what another one writes.
const lustrums = (process.env['LUSTRUM_URL'] ?? 'http://127.0.0.1:8420').split(' ');
const mine = Number(process.env['TEST_PARALLEL_INDEX'] ?? 0) % lustrums.length;

export default defineConfig({
  testDir: '../tests/browser',
  outputDir: '../var/browser',
  workers: lustrums.length,
  // Longer than any of them takes beside other work: only what never comes waits so long.
  timeout: 300_000,
  expect: { timeout: 30_000 },
  use: {
    baseURL: lustrums[mine],
    actionTimeout: 30_000,
    // What answers from the device itself is looked at where a test goes offline.
    serviceWorkers: 'block',
    trace: 'off',
    // What slides in and out is drawn sixty times a second, and looked at by nobody here.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: '/usr/bin/chromium-headless-shell',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--in-process-gpu',
        '--disable-software-rasterizer',
        '--disable-quic',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  projects: [{ name: 'desk', use: { ...devices['Desktop Chrome'], viewport: { width: 1280, height: 800 } } }],
});
