import { Problem } from '@sickle/core/problem'

/** Runs a write; a full disk becomes a Problem and, as every write is one transaction, changes nothing. */
export async function guardWrite<T>(write: () => Promise<T>): Promise<T> {
  try {
    return await write()
  } catch (cause) {
    if (cause instanceof DOMException && cause.name === 'QuotaExceededError')
      throw new Problem('storage-full', {}, { cause })
    throw cause
  }
}
