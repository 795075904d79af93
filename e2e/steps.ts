import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { expect, type Download, type Locator, type Page } from '@playwright/test'

/** A file for the file chooser, from text. */
export const textFile = (name: string, text: string | Buffer) => ({
  name,
  mimeType: 'application/octet-stream',
  buffer: Buffer.from(text),
})

export const sample = (name: string) => fileURLToPath(new URL(`../core/intake/fixtures/${name}`, import.meta.url))
export const fixture = (name: string) => fileURLToPath(new URL(`./fixtures/${name}`, import.meta.url))

/** Chooses from a select of Naive UI: opens it, and takes one of what it lists. */
export async function chooseOption(select: Locator, option: string | RegExp): Promise<void> {
  await select.click()
  await select.page().getByRole('option', { name: option, exact: true }).click()
}

/** Which of a few views is shown: the radio itself cannot be hit by a mouse, its label can. */
export const chooseView = (page: Page | Locator, group: string, view: string) =>
  page.getByRole('radiogroup', { name: group }).getByText(view, { exact: true }).click()

/** Chooses files with the drop field, by mouse. */
export async function chooseFiles(
  page: Page,
  files: string | string[] | ReturnType<typeof textFile> | ReturnType<typeof textFile>[],
): Promise<void> {
  const chooser = page.waitForEvent('filechooser')
  await page.getByRole('button', { name: /Drop files anywhere/ }).click()
  await (await chooser).setFiles(files)
}

/** Answers what is asked and brings the open file in. */
export async function bringIn(page: Page, answers: { market?: string; supplier?: string } = {}): Promise<void> {
  const review = page.getByRole('region', { name: 'Import' })
  await expect(review).toBeVisible()
  if (answers.market) await review.getByLabel('Market', { exact: true }).fill(answers.market)
  if (answers.supplier) await review.getByLabel('Supplier', { exact: true }).fill(answers.supplier)
  await review.getByRole('button', { name: 'Bring in' }).click()
}

/** The ledger's row of a file, once it is there. */
export function ledgerRow(page: Page, file: string) {
  return page.getByRole('region', { name: 'Ledger' }).getByRole('row').filter({ hasText: file })
}

/** What opens and closes is not judged halfway. */
export async function atRest(page: Page): Promise<void> {
  await page.waitForFunction(() => document.getAnimations().every((a) => a.playState !== 'running'))
}

/** A text once it says the same three looks running. */
export async function settledText(locator: Locator): Promise<string> {
  const seen: string[] = []
  const isSame = async () => {
    seen.push((await locator.textContent()) ?? '')
    return seen.length > 2 && new Set(seen.slice(-3)).size === 1
  }
  await expect.poll(isSame, { intervals: [250] }).toBe(true)
  return seen.at(-1) ?? ''
}

export async function loadDemo(page: Page): Promise<void> {
  await page.goto('/')
  await page.getByRole('button', { name: 'Load the demo' }).click()
  await page.waitForURL('**/finds', { timeout: 200_000 })
  await expect(page.getByRole('row').nth(1)).toBeVisible()
}

export const findRow = (page: Page, title: string) =>
  page.getByRole('grid', { name: 'Items' }).getByRole('row').filter({ hasText: title })

export async function textOf(download: Download): Promise<string> {
  return readFileSync(await download.path(), 'utf8').replace(/^\ufeff/, '')
}

/** Tabs on (or back) until the focused element has this name. */
export async function tabTo(page: Page, name: string | RegExp, key: 'Tab' | 'Shift+Tab' = 'Tab'): Promise<void> {
  for (let i = 0; i < 120; i++) {
    await page.keyboard.press(key)
    const label = await page.evaluate(() => {
      const e = document.activeElement as HTMLElement | null
      return e?.getAttribute('aria-label') ?? e?.textContent?.trim() ?? ''
    })
    if (typeof name === 'string' ? label === name : name.test(label)) return
  }
  throw new Error(`no element named ${name} is reached by Tab`)
}

/** Three goods on one market, and two of them at a supplier; small enough to work out by hand. */
export const listingsCsv = `Item ID,Title,Seller,Price (EUR),Shipping,Units sold last 30 days,Rating,Reviews,Category
A1,"Balcony hook 4-pack, black",Hedge End Co.,12.90,0.00,40,4.6,120,Garden/Hooks
A2,"Balcony hook black, pack of 4",Quay Perch,11.50,1.49,22,4.4,60,Garden/Hooks
A3,"Hanging bird bath, copper, 26 cm",Sill Life,24.00,0.00,15,4.8,31,Garden/Birds
A4,"Bird bath hanging 26cm copper",Tern & Trowel,23.50,2.95,9,4.1,12,Garden/Birds
A5,"Kneeling pad 45 x 28 cm, grey",Sill Life,9.00,0.00,3,3.9,5,Garden/Tools
`
export const offersCsv = `Ref,Description,Unit price (EUR),Min. qty,Delivery,Lead time
S1,Balcony hook black,0.80,1,0.00,5 days
S2,"Hanging bird bath, copper, 26 cm",8.00,1,3.00,7 days
`
/**
 * Worked by hand, with a fee of 12 % + 0.30 and no tax:
 * hooks: lowest delivered 12.90 (A1; A2 is 12.99) → 12.89; goods 4 × 0.80 = 3.20; fee 1.5468 + 0.30 → 1.85; profit 7.84
 * bird bath: lowest 24.00 (A4 is 26.45) → 23.99; goods 8.00, delivery 3.00; fee 2.8788 + 0.30 → 3.18; profit 9.81
 */
export const byHand = {
  hooks: { price: '12.89', profit: '7.84', margin: 7.84 / 12.89 },
  bath: { price: '23.99', profit: '9.81', margin: 9.81 / 23.99 },
}

/** Three goods and their offers in a fresh workspace, standing at Finds. */
export async function small(page: Page): Promise<void> {
  await page.goto('/')
  await chooseFiles(page, [textFile('market.csv', listingsCsv), textFile('supplier.csv', offersCsv)])
  await bringIn(page, { market: 'Marrowgate' })
  await expect(page.getByRole('heading', { name: 'supplier.csv' })).toBeVisible()
  await bringIn(page, { supplier: 'Sill Mill' })
  await expect(ledgerRow(page, 'supplier.csv')).toBeVisible()
  await go(page, 'Finds')
  await expect(page.getByText('of 3 items')).toBeVisible()
}

export const look = (page: Page) => page.getByRole('region', { name: 'Close look' })
export const go = (page: Page, stage: string) => page.getByRole('link', { name: new RegExp(`^${stage}`) }).click()

/** Looks at an item and decides it. */
export async function decide(page: Page, words: string, how: RegExp): Promise<void> {
  await findRow(page, words).click()
  await expect(look(page).getByRole('heading', { level: 2 })).toContainText(new RegExp(words, 'i'))
  await look(page).getByRole('button', { name: how }).click()
}

/** Types into a field and presses Enter. */
export async function fill(page: Page, label: string, text: string): Promise<void> {
  await page.getByLabel(label, { exact: true }).fill(text)
  await page.getByLabel(label, { exact: true }).press('Enter')
}

/** Limits by a figure from a value on, through the field of another limit. */
export async function limitBy(page: Page, figure: string, from: string, to = ''): Promise<void> {
  await page.getByRole('button', { name: 'Another limit' }).click()
  await page.getByRole('combobox', { name: 'Limit by' }).click()
  await page.keyboard.type(figure)
  await page.getByRole('option', { name: figure, exact: true }).click()
  await page.getByRole('textbox', { name: `${figure} from` }).fill(from)
  if (to !== '') await page.getByRole('textbox', { name: `${figure} to` }).fill(to)
  await page.keyboard.press('Enter')
}
