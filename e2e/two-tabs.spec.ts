import { expect, test } from '@playwright/test'
import { bringIn, chooseFiles, findRow, ledgerRow, listingsCsv, textFile } from './steps'

test('of two tabs one writes and the other follows; either can take over, and nothing is lost', async ({ context }) => {
  const first = await context.newPage()
  await first.goto('/')
  await chooseFiles(first, textFile('market.csv', listingsCsv))
  await bringIn(first, { market: 'Marrowgate' })
  await expect(ledgerRow(first, 'market.csv')).toBeVisible()
  await first.goto('/finds')
  await expect(findRow(first, 'Balcony hook')).toBeVisible()

  const second = await context.newPage()
  await second.goto('/finds')
  await expect(second.getByText('Another tab has this workspace.')).toBeVisible()
  await findRow(first, 'Balcony hook').click()
  await first.keyboard.press('k')
  await expect(first.getByText('sheaf, 1 kept')).toBeVisible()
  await expect(findRow(second, 'Balcony hook')).toContainText('kept')

  // The one that follows changes nothing, and says why.
  await findRow(second, 'Kneeling').click()
  await second.keyboard.press('k')
  await expect(second.getByText(/this one only follows/)).toBeVisible()
  await expect(findRow(second, 'Kneeling')).not.toContainText('kept')

  await second.getByRole('button', { name: 'Work here' }).click()
  await expect(second.getByText('sheaf, 1 kept')).toBeVisible()
  await expect(first.getByText('Another tab has this workspace.')).toBeVisible()
  await findRow(second, 'Kneeling').click()
  await second.keyboard.press('k')
  await expect(second.getByText('sheaf, 2 kept')).toBeVisible()
  await expect(findRow(first, 'Kneeling')).toContainText('kept')

  // More data comes to the one that follows, too.
  await second.getByRole('link', { name: /^Gather/ }).click()
  await chooseFiles(second, textFile('more.csv', listingsCsv.replaceAll('Kneeling', 'Kneeling blue')))
  await bringIn(second, { market: 'Gavelhop' })
  await expect(ledgerRow(second, 'more.csv')).toBeVisible()
  await expect(findRow(first, 'Kneeling blue').first()).toBeVisible()

  // When the tab that writes goes, the other takes its place by itself.
  await second.close()
  await expect(first.getByText('sheaf, 2 kept')).toBeVisible()
})

test('a tab with an earlier Sickle that holds the workspace is told of at once; once it is closed, this one goes on', async ({
  context,
}) => {
  const older = await context.newPage()
  await older.goto('/demo/index.json')
  // as an earlier version left it open, and deaf to those that come after it
  await older.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const opening = indexedDB.open('sickle', 3)
        opening.onupgradeneeded = () => {
          for (const name of ['imports', 'scans']) opening.result.createObjectStore(name, { keyPath: 'id' })
          for (const name of ['columns', 'rejects', 'documents', 'snapshots', 'scanPages'])
            opening.result.createObjectStore(name)
        }
        opening.onsuccess = () => resolve()
      }),
  )
  const now = await context.newPage()
  await now.goto('/')
  await expect(now.getByRole('alert')).toHaveText(/A tab with an earlier Sickle holds this workspace\. Close it/)
  await older.close()
  await expect(now.getByRole('alert')).toHaveCount(0)
  await expect(now.getByRole('button', { name: 'Load the demo' })).toBeVisible()
})
