import { expect, test, type Page } from '@playwright/test'
import { loadDemo } from './steps'

/** Drops a file on the page, as from the desktop. */
const drop = (page: Page, name: string, type: string, address: string | null) =>
  page.evaluate(
    async ([name, type, address]) => {
      const content = address === null ? 'no picture' : await (await fetch(address as string)).blob()
      const data = new DataTransfer()
      data.items.add(new File([content], name as string, { type: type as string }))
      for (const kind of ['dragenter', 'dragover', 'drop'])
        document.body.dispatchEvent(new DragEvent(kind, { dataTransfer: data, bubbles: true }))
    },
    [name, type, address],
  )

test('a dropped picture finds the items and offers that show it; what is no picture is told', async ({ page }) => {
  await loadDemo(page)
  const mine = await page.locator('.find img').first().getAttribute('src')
  await drop(page, 'goods.svg', 'image/svg+xml', mine)
  const found = page.getByRole('dialog', { name: 'What looks like it' })
  const first = found.getByRole('listitem').first()
  await expect(first).toContainText('1.00')
  // by shape and shade: one in another colour is as like
  const shape = /pictures\/([a-z]+)-/.exec(mine ?? '')?.[1] ?? ''
  await expect(first.locator('img')).toHaveAttribute('src', new RegExp(`/${shape}-`))
  await expect(first).toContainText('offers')
  await first.getByRole('button').first().click()
  await expect(found).toHaveCount(0)
  await expect(page).toHaveURL(/\/finds\/item\//)
  await drop(page, 'goods.png', 'image/png', null)
  await expect(found.getByRole('alert')).toHaveText('This file cannot be read as a picture.')
})
