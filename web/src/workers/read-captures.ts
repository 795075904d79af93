import type { Capture } from '@sickle/core/records'
import { auditImport, loadSound } from '../storage/imports'
import type { Database, ImportEntry } from '../storage/schema'

/** What was read of the imports that rest, each once in a sitting, and which of them are set aside. */
export class ReadCaptures {
  readonly #captures = new Map<string, Capture[]>()
  /** imports that are not as they were kept, and what is wrong with them */
  readonly #spoilt = new Map<string, string>()

  get spoilt(): ReadonlyMap<string, string> {
    return this.#spoilt
  }

  /** Captures of some imports, but of those set aside; what was not read yet is. */
  async of(db: Database, entries: readonly ImportEntry[]): Promise<Capture[]> {
    const { captures, spoilt } = await loadSound(db, entries, this.#captures)
    for (const [id, read] of captures) {
      this.#captures.set(id, read)
      this.#spoilt.delete(id)
    }
    for (const [id, what] of spoilt) this.#spoilt.set(id, what)
    return [...captures.values()].flat()
  }

  /** The ledger without what is set aside; what it does not hold any more is forgotten. */
  sound(ledger: readonly ImportEntry[]): ImportEntry[] {
    const ids = new Set(ledger.map((e) => e.id))
    for (const known of [this.#captures, this.#spoilt])
      for (const id of [...known.keys()]) if (!ids.has(id)) known.delete(id)
    return ledger.filter((e) => !this.#spoilt.has(e.id))
  }

  /**
   * Looks through what rests and was not read in this sitting. What is found is read anew when it is asked for next.
   *
   * @returns whether anything is not as it was kept that is not set aside yet
   */
  async audit(db: Database, ledger: readonly ImportEntry[]): Promise<boolean> {
    let isNews = false
    for (const entry of ledger) {
      if (this.#captures.has(entry.id) || (await auditImport(db, entry)) === null) continue
      isNews ||= !this.#spoilt.has(entry.id)
    }
    return isNews
  }
}
