import { openDB } from 'idb'
import { Problem } from '@sickle/core/problem'
import { migrate } from './migrations'
import type { Database, Schema } from './schema'

export const databaseVersion = 5
export interface TabsInTheWay {
  onNewer?: () => void
  onBlocked?: () => void
}

/**
 * Opens the workspace in this browser, brought up from any earlier version of its form.
 *
 * @param tabs.onNewer called when another tab waits to bring the workspace up to a newer form: this one has to let go
 * @param tabs.onBlocked called when a tab of an older version holds the workspace: it has to be closed before this one can go on
 * @throws Problem 'storage-closed', 'storage-newer'
 */
export async function openDatabase(name = 'sickle', { onNewer, onBlocked }: TabsInTheWay = {}): Promise<Database> {
  try {
    const db: Database = await openDB<Schema>(name, databaseVersion, {
      upgrade(opened, from, _to, transaction) {
        migrate(opened, from, transaction).catch(() => {
          transaction.abort() // and the opening fails with it, the workspace left as it was
        })
      },
      blocking() {
        db.close()
        onNewer?.()
      },
      blocked: () => onBlocked?.(),
    })
    return db
  } catch (cause) {
    const newer = cause instanceof DOMException && cause.name === 'VersionError'
    throw new Problem(newer ? 'storage-newer' : 'storage-closed', {}, { cause })
  }
}
