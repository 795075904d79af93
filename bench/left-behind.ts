import type { Page } from '@playwright/test'
import { readFileSync, readdirSync } from 'node:fs'

/** The most memory any renderer process has held, MB. */
export function peakOfRenderers(): number {
  const peaks = readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .flatMap((pid) => {
      try {
        if (!readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('--type=renderer')) return []
        const line = /VmHWM:\s+(\d+) kB/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))
        return line ? [Number(line[1]) / 1000] : []
      } catch {
        return [] // it ended meanwhile
      }
    })
  return Math.max(0, ...peaks)
}

/** Columns at rest that belong to no import of the ledger. */
export async function orphans(page: Page): Promise<number> {
  return page.evaluate(
    () =>
      new Promise<number>((resolve, reject) => {
        const opening = indexedDB.open('sickle')
        opening.onerror = () => reject(new Error('the workspace does not open'))
        opening.onsuccess = () => {
          const tx = opening.result.transaction(['imports', 'columns'])
          const [imports, columns] = [tx.objectStore('imports').getAllKeys(), tx.objectStore('columns').getAllKeys()]
          tx.oncomplete = () => {
            const known = new Set(imports.result)
            resolve(columns.result.filter((key) => !known.has((key as [string])[0])).length)
          }
        }
      }),
  )
}
