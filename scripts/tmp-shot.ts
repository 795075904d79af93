import { spawn } from 'node:child_process'
import { chromium } from '@playwright/test'
import { existsSync } from 'node:fs'
const port = 4399
const server = spawn(process.execPath, ['server/dist/main.js'], { env: { ...process.env, SICKLE_PORT: String(port) }, stdio: ['ignore', 'pipe', 'inherit'] })
await new Promise((r) => server.stdout.once('data', r))
const fresh = !existsSync('/tmp/shot/profile') || process.env.FRESH === '1'
const context = await chromium.launchPersistentContext('/tmp/shot/profile', { executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'], viewport: { width: 1280, height: 800 } })
const page = context.pages()[0] ?? (await context.newPage())
page.on('console', (m) => m.type() === 'error' && console.log('console:', m.text().slice(0, 300)))
page.on('pageerror', (e) => console.log('error:', String(e).slice(0, 400)))
page.setDefaultTimeout(60000)
try {
  await page.goto(`http://127.0.0.1:${port}/`)
  if (fresh) { await page.getByRole('button', { name: 'Load the demo' }).click(); await page.waitForURL('**/finds'); await page.locator('.find .title').first().waitFor() }
  const { default: run } = await import(process.argv[2]!)
  await run(page, (name: string) => page.screenshot({ path: `/tmp/shot/${name}.png` }))
} catch (e) { console.log('FAILED', String(e).slice(0, 600)); await page.screenshot({ path: '/tmp/shot/failed.png' }) }
finally { await context.close(); server.kill() }
process.exit(0)
