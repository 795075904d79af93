import { keepsScans } from '@sickle/core/scan/store-contract'
import { openDatabase } from './database'
import { scanStore } from './scan-store'
import { addScan } from './scans'

let n = 0
keepsScans(async () => {
  const db = await openDatabase(`scan-store-${n++}`)
  return { store: scanStore(db, 1), add: (scan) => addScan(db, scan) }
})
