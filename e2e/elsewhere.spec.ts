import { expect, test } from '@playwright/test'
import { bringIn, chooseFiles, go, textFile } from './steps'

const host = 'pictures.farholt.example'
const listings = `Item ID,Title,Seller,Price (EUR),Units sold last 30 days,Image
A1,Copper bird bath,Wren Works,24.00,40,https://${host}/1.png
A2,Oak ladle,Wren Works,12.00,30,https://elsewhere.example.org/2.png
`

test('pictures from elsewhere are off; once wanted, those of listed hosts are shown, and no others are asked for', async ({
  page,
}) => {
  const asked: string[] = []
  page.on('request', (r) => void asked.push(r.url()))
  await page.goto('/gather')
  await chooseFiles(page, textFile('pictures.csv', listings))
  await bringIn(page, { market: 'Farholt' })
  await go(page, 'Finds')
  const find = (title: string) => page.locator('.find').filter({ hasText: title })
  await expect(find('Copper bird bath')).toBeVisible()
  await expect(page.locator('.find img')).toHaveCount(0)
  expect(asked.filter((a) => a.includes('/api/pictures'))).toEqual([])

  await page.getByRole('link', { name: 'Settings' }).click()
  await page.getByRole('checkbox', { name: 'Show pictures that stand elsewhere' }).check()
  await expect(page.getByText(`They may come from ${host}.`)).toBeVisible()
  await go(page, 'Finds')
  await expect(find('Copper bird bath').locator('img')).toHaveAttribute('src', /^blob:/)
  await expect(find('Oak ladle').locator('img')).toHaveCount(0)
  await page.reload()
  await expect(find('Copper bird bath').locator('img')).toHaveAttribute('src', /^blob:/)
  const fetched = asked.filter((a) => a.includes('address='))
  // kept in this browser: after the reload it is not asked for again
  expect(fetched).toHaveLength(1)
  expect(
    asked.every((a) => a.startsWith('blob:') || a.startsWith('data:') || new URL(a).hostname === '127.0.0.1'),
  ).toBe(true)
})

test('the server refuses what is no public, listed host', async ({ page }) => {
  await page.goto('/gather')
  for (const [address, reason] of [
    ['http://127.0.0.1:4391/demo/pictures/mug-white.svg', 'its host is not among those that pictures may come from'],
    ['http://169.254.169.254/latest/meta-data', 'its host is not among those that pictures may come from'],
    [`http://${host}@127.0.0.1/`, 'it is no address of the web'],
    ['file:///etc/passwd', 'it is no address of the web'],
  ]) {
    const answer = await page.request.get(`/api/pictures?address=${encodeURIComponent(address ?? '')}`)
    expect([answer.status(), await answer.json()]).toEqual([422, { reason }])
  }
})
