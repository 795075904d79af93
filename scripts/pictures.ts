// Takes a picture of every main view from the demo data into docs/screenshots. Run: npm run pictures (after npm run build)
import { spawn } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { chromium, type Page } from '@playwright/test'

const port = 4398
const out = fileURLToPath(new URL('../docs/screenshots/', import.meta.url))
const server = spawn(process.execPath, ['server/dist/main.js'], {
  env: { ...process.env, SICKLE_PORT: String(port) },
  stdio: ['ignore', 'pipe', 'inherit'],
})
await new Promise((resolve) => server.stdout.once('data', resolve))
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
})
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
page.setDefaultTimeout(300_000)

async function shot(name: string): Promise<void> {
  await page.mouse.move(640, 778)
  await page.waitForTimeout(500)
  await page.screenshot({ path: `${out}${name}.png` })
  console.log(name)
}
const open = (stage: string) => page.getByRole('link', { name: new RegExp(`^${stage}`) }).click()
const look = () => page.getByRole('region', { name: 'Close look' }).getByRole('heading').first().waitFor()

/** How many are kept, held and dropped, as the bar below says it. */
const decided = (p: Page) => p.getByText(/^sheaf, /).textContent()
async function decide(p: Page, words: string, key: string): Promise<void> {
  await p.getByRole('textbox', { name: 'Search' }).fill(words)
  await p.waitForTimeout(1200)
  await p.locator('.find').first().click()
  await look()
  await p.waitForTimeout(400)
  const before = await decided(p)
  await p.keyboard.press(key)
  while ((await decided(p)) === before) await p.waitForTimeout(50)
}

/** What is posted, who shows it, and what is advertised. */
async function social(): Promise<void> {
  await page.goto(`http://127.0.0.1:${port}/finds/posted`)
  await page.getByRole('table', { name: 'Clips and lives' }).waitFor()
  await page.getByText('Took more').click()
  await shot('posted')
  await page.goto(`http://127.0.0.1:${port}/rivals/creators`)
  await page.getByText('and show mine not yet').click()
  for (const row of [1, 3]) {
    await page.getByRole('table', { name: 'Creators' }).getByRole('row').nth(row).getByRole('button').click()
    await page.getByRole('button', { name: 'Write to …' }).click()
  }
  await shot('creators')
  await page.getByRole('button', { name: 'Dark theme' }).click()
  await page.goto(`http://127.0.0.1:${port}/finds/ads`)
  await page.getByRole('table', { name: 'Advertisements' }).getByRole('row').nth(1).getByRole('button').first().click()
  await page.getByRole('complementary', { name: /^The ad / }).waitFor()
  await shot('ads')
}

/** Three suppliers are asked, two answer, and the page of one is opened. */
async function quotes(): Promise<void> {
  await page.getByRole('link', { name: 'Ask for quotes …' }).click()
  await page.getByRole('button', { name: /^Note \d+ quotes as asked/ }).click()
  for (const text of [
    '10 pcs: 6.90 EUR\n50 pcs: 6.20 EUR\nShipping: 12 EUR\nDelivery time: 6-8 days\nSample: 9 EUR',
    'Price 7,10 EUR per piece, 6,40 EUR from 20 pieces. Free shipping, delivery within 14 days.',
  ]) {
    await page.getByRole('button', { name: 'Note the answer' }).first().click()
    await page.getByRole('textbox', { name: 'The answer, pasted' }).fill(text)
    await page.getByRole('dialog').getByRole('button', { name: 'Note the answer' }).click()
    await page.getByRole('dialog').waitFor({ state: 'hidden' })
  }
  await page.getByRole('button', { name: 'Sample ordered' }).first().click()
  await page.waitForTimeout(600)
  await shot('quotes')
  await page.getByRole('table').getByRole('link').first().click()
  await page.getByRole('table', { name: 'What it has that sells' }).waitFor()
  await shot('supplier')
  await open('Supply')
  await page.getByRole('complementary', { name: 'The offer' }).waitFor()
}

try {
  await page.goto(`http://127.0.0.1:${port}/`)
  await page.getByRole('button', { name: 'Load the demo' }).waitFor()
  await page.getByRole('button', { name: 'Load the demo' }).click()
  await page.waitForURL('**/finds')
  await page.locator('.find .title').first().waitFor()
  const name = page.getByRole('button', { name: /^First sheaf/ })
  await name.click()
  await page.getByText('New sheaf …').click()
  await page.getByLabel('Name of the sheaf').fill('Spring balcony')
  await page.getByRole('button', { name: 'Make' }).click()
  for (const [words, key] of [
    ['railing planter 60', 'k'],
    ['watering spikes', 'k'],
    ['herb trough', 'k'],
    ['robin mug', 'k'],
    ['sowing calendar', 'k'],
    ['bee hotel', 'h'],
    ['suet block', 'd'],
  ] as const)
    await decide(page, words, key)
  await page.getByRole('textbox', { name: 'Search' }).fill('')
  await page.getByRole('button', { name: /^Proven, worth listing/ }).click()
  await page.waitForTimeout(400)
  await page.locator('.find').nth(2).click()
  await look()
  await shot('finds')
  await page.keyboard.press('Escape')
  await open('Demand')
  await page.locator('.icicle .cell').nth(1).click()
  await page.locator('.field .label').nth(2).click()
  await page.locator('.term h2').waitFor()
  await shot('demand')
  await page.getByRole('button', { name: /^To / }).click()
  await page
    .getByRole('button', { name: /items in Finds$/ })
    .first()
    .click()
  await page.waitForURL('**/finds')
  await page.locator('.find').first().dblclick()
  await page.getByRole('region', { name: 'Answers' }).getByRole('table').first().waitFor()
  await shot('look')
  await open('Gather')
  await shot('gather')
  await open('Rivals')
  await page.getByLabel('Search stores').fill('sprig')
  await page.getByRole('grid', { name: 'Stores' }).getByRole('row').nth(1).click()
  await page.getByRole('region', { name: /^Store / }).waitFor()
  await page.getByLabel('Search stores').fill('')
  await shot('rivals')
  await page.getByRole('button', { name: /^Open whole/ }).click()
  await page.getByRole('table', { name: 'Gaps' }).waitFor()
  await shot('store')
  await page.keyboard.press('Escape')
  for (const name of ['feather', 'gorse', 'fennel works', 'harbour wall', 'larkspur']) {
    await page.getByLabel('Search stores').fill(name)
    await page.getByRole('grid', { name: 'Stores' }).getByRole('checkbox').first().check()
  }
  await page.getByLabel('Search stores').fill('')
  await page.getByRole('radiogroup', { name: 'View of Rivals' }).getByText('Pool').click()
  await page.getByRole('radiogroup', { name: 'View of the pool' }).getByText('Proven items').click()
  await page.getByRole('table', { name: 'Proven items' }).waitFor()
  await shot('pool')
  await open('Supply')
  await page.getByRole('region', { name: 'Match desk' }).getByRole('listitem').nth(2).waitFor()
  await page.keyboard.press('n')
  await page.waitForTimeout(600)
  await page.keyboard.press('s')
  await shot('supply')
  await quotes()
  await open('Margin')
  await page.locator('.markets button').first().click()
  await shot('margin')
  await open('Sheaves')
  await page
    .getByLabel(/^Reason for/)
    .first()
    .fill('sells everywhere, room left')
  await page
    .getByLabel(/^Reason for/)
    .first()
    .press('Enter')
  await shot('sheaves')
  await open('Clearing')
  await page.getByRole('radiogroup', { name: 'Which items' }).getByText('Found in Finds').click()
  await page.getByRole('radiogroup', { name: 'Which answers' }).getByText('may not be listed').click()
  await page.waitForTimeout(500)
  await shot('clearing')
  await open('Launch')
  await page.getByRole('button', { name: /^Draft 5 kept/ }).click()
  // One of them is in the catalogue of mine.
  await page.getByRole('button', { name: 'Draft them too' }).click()
  await page.waitForTimeout(5600)
  await shot('launch')
  await page.getByRole('link', { name: 'Settings' }).click()
  await shot('settings')
  await open('Today')
  await page.getByRole('region', { name: 'Rising' }).getByRole('button').first().waitFor()
  await shot('today')
  await social()
} finally {
  await browser.close()
  server.kill()
}
