import { existsSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { defineConfig } from '@playwright/test'

const chromium = [
  process.env.CHROMIUM,
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
].find((p) => p && existsSync(p))
const port = process.env.SICKLE_E2E_PORT ?? '4391'

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  // Generous, since machines of a shared host can be slow tenfold; speed is measured by bench/, not here.
  timeout: 400_000,
  expect: { timeout: Number(process.env.SICKLE_E2E_WAIT_MS ?? 60_000) },
  // A test that passes at the second try has failed.
  retries: 0,
  workers: 2,
  fullyParallel: false,
  reporter: [['list'], ['json', { outputFile: process.env.SICKLE_E2E_JSON ?? '../test-results/e2e.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    acceptDownloads: true,
    // A button that still moves into its place is missed by a mouse that is faster than any hand.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: chromium,
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
  webServer: {
    command: 'node server/dist/main.js',
    cwd: fileURLToPath(new URL('..', import.meta.url)),
    url: `http://127.0.0.1:${port}/demo/index.json`,
    env: { SICKLE_PORT: port, SICKLE_PICTURES: 'standin' },
    timeout: 240_000,
    reuseExistingServer: false,
  },
})
