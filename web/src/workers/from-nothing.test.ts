import { noCorrections, plainRules } from '@sickle/core/catalog'
import { openDatabase } from '@/storage/database'
import { listImports, removeImport } from '@/storage/imports'
import { byHandE4, bringAll, testBench } from '@/testing/workbench'
import type { CallContext } from './channel'
import { EngineState } from './engine-state'

const bench = testBench()
const settled = { rules: plainRules('EUR'), corrections: noCorrections }
const context: CallContext = { signal: new AbortController().signal, progress: () => undefined }
const profitsOf = async (state: EngineState) =>
  Promise.all(['Marrowgate/A1', 'Marrowgate/A3'].map(async (key) => (await state.engine?.itemOf(key))?.best?.profitE4))

test('what comes in where nothing stood stands as if it had always been there, also once all went away again', async () => {
  const state = new EngineState()
  let news = 0
  const load = () => state.load(context, settled, () => void news++)
  expect(await load()).toMatchObject({ items: 0, listings: 0 })
  for (let time = 0; time < 2; time++) {
    news = 0
    await bringAll(bench)
    // 5 listings of 3 goods
    expect(await load()).toMatchObject({ items: 3, listings: 5 })
    expect([news, await profitsOf(state)]).toEqual([1, [byHandE4.hooks, byHandE4.bath]])
    const db = await openDatabase()
    for (const { id } of await listImports(db)) await removeImport(db, id)
    db.close()
    expect(await load()).toMatchObject({ items: 0, listings: 0 })
  }
})
