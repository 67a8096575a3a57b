import { defineConfig } from '@playwright/test';
import { launchOptions } from './chromium.ts';

const port = Number(process.env['E2E_PORT'] ?? 4748);
const root = new URL('..', import.meta.url).pathname;

export default defineConfig({
  testDir: '.',
  outputDir: '../.data/e2e-results',
  reporter: [['list'], ['json']],
  workers: 1,
  timeout: 240_000,
  expect: { timeout: 45_000 },
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    colorScheme: 'light',
    launchOptions,
  },
  webServer: {
    command: 'node --enable-source-maps server/dist/main.js',
    cwd: root,
    url: `http://127.0.0.1:${port}/api/health`,
    env: { PORT: String(port), DATABASE_URL: process.env['DATABASE_URL'] ?? '', SOUNDING_ROOT: root },
    reuseExistingServer: false,
    timeout: 120_000,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 5000 },
  },
});
