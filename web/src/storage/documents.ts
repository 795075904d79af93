import { Problem } from '@sickle/core/problem'
import { firstFault } from '@sickle/core/schema'
import { plain } from './plain'
import { guardWrite } from './database'
import type { Database } from './schema'
import { documentForms, type DocumentName } from './document-forms'
import { isSound, sealed } from './seal'

/**
 * A small document as it rests, brought up to this version's form; null where there is none.
 *
 * @throws Problem 'document-spoilt' where it is not as it was kept, or no such document
 */
export async function readDocument(db: Database, name: DocumentName): Promise<unknown> {
  const kept = await db.get('documents', name)
  if (kept === undefined) return null
  const { label, now, schema } = documentForms[name]
  if (!isSound(['documents', name], kept)) throw new Problem('document-spoilt', { name: label, what: 'were changed' })
  const value = now(kept.value)
  const fault = firstFault(schema, value)
  if (fault)
    throw new Problem('document-spoilt', { name: label, what: `do not fit: ${fault.where || 'it'} ${fault.what}` })
  return value
}

/** Writes a document as plain data; reactive wrappers are taken off. */
export async function writeDocument(db: Database, name: DocumentName, value: unknown): Promise<void> {
  await guardWrite(() => db.put('documents', sealed(['documents', name], { value: plain(value) }), name))
}

/** A document that cannot be read makes room for a new one, and is not lost with it. */
export async function setDocumentAside(db: Database, name: DocumentName): Promise<void> {
  const tx = db.transaction('documents', 'readwrite')
  const kept = await tx.store.get(name)
  if (kept !== undefined) {
    void tx.store.put(kept, `set aside: ${name}`)
    void tx.store.delete(name)
  }
  await tx.done
}
