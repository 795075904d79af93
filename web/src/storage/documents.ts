import { Problem } from '@sickle/core/problem'
import { firstFault } from '@sickle/core/schema'
import { plain } from './plain'
import { guardWrite } from './guard-write'
import type { Database, Schema } from './schema'
import { documentForms, type DocumentName, type PartChanges } from './document-forms'
import { isSound, sealed } from './seal'

/**
 * A small document as it rests, brought up to this version's form; null where there is none.
 *
 * @throws Problem 'document-spoilt' where it, or a part of it, is not as it was kept, or no such document
 */
export async function readDocument(db: Database, name: DocumentName): Promise<unknown> {
  const { label, now, schema } = documentForms[name]
  const tx = db.transaction(['documents', 'parts'])
  const [kept, keys, parts] = await Promise.all([
    tx.objectStore('documents').get(name),
    tx.objectStore('parts').getAllKeys(partsOf(name)),
    tx.objectStore('parts').getAll(partsOf(name)),
  ])
  if (kept === undefined) return null
  const isWhole =
    isSound(['documents', name], kept) && parts.every((part, i) => isSound(['parts', ...(keys[i] ?? [])], part))
  if (!isWhole) throw new Problem('document-spoilt', { name: label, what: 'were changed' })
  const byKey = new Map(parts.map((part, i) => [keys[i]?.[1] ?? '', part.value]))
  const value = now(kept.inParts ? joined(name, kept.value, byKey) : kept.value)
  const fault = firstFault(schema, value)
  if (fault)
    throw new Problem('document-spoilt', { name: label, what: `do not fit: ${fault.where || 'it'} ${fault.what}` })
  return value
}

/** @throws Problem 'document-spoilt' */
function joined(name: DocumentName, head: unknown, parts: ReadonlyMap<string, unknown>): unknown {
  const { label, inParts } = documentForms[name]
  const fits = inParts && firstFault(inParts.headSchema, head) === null
  const value = fits ? inParts.join(head as never, parts) : null
  if (value === null) throw new Problem('document-spoilt', { name: label, what: 'are not all there' })
  return value
}

/** What has to be written of a document in parts; null where it rests in one piece. @param resting as it rests, where that is known */
export function changesOf(name: DocumentName, value: unknown, resting: unknown): PartChanges | null {
  return documentForms[name].inParts?.changes(value as never, resting as never) ?? null
}

/**
 * Writes a document as plain data; reactive wrappers are taken off.
 *
 * @param resting the document as it rests: of one in parts only those are written that are other objects (default: nothing is known)
 */
export async function writeDocument(
  db: Database,
  name: DocumentName,
  value: unknown,
  resting: unknown = null,
): Promise<void> {
  await guardWrite(async () => {
    const tx = db.transaction(['documents', 'parts'], 'readwrite')
    await putDocument({ documents: tx.objectStore('documents'), parts: tx.objectStore('parts') }, name, value, resting)
    await tx.done
  })
}

/** The two stores that documents rest in, of one transaction. */
export interface DocumentStores {
  documents: { put: (record: Schema['documents']['value'], key: string) => Promise<unknown> }
  parts: {
    put: (record: Schema['parts']['value'], key: Schema['parts']['key']) => Promise<unknown>
    delete: (key: Schema['parts']['key'] | IDBKeyRange) => Promise<void>
  }
}

/** The same within a transaction of the caller's. */
export async function putDocument(
  { documents, parts }: DocumentStores,
  name: DocumentName,
  value: unknown,
  resting: unknown = null,
): Promise<void> {
  const changes = changesOf(name, value, resting)
  if (!changes) return void (await documents.put(sealed(['documents', name], { value: plain(value) }), name))
  if (resting === null) void parts.delete(partsOf(name))
  for (const key of changes.gone) void parts.delete([name, key])
  for (const [key, part] of changes.put)
    void parts.put(sealed(['parts', name, key], { value: plain(part) }), [name, key])
  await documents.put(sealed(['documents', name], { value: plain(changes.head), inParts: true as const }), name)
}

/** A document that cannot be read makes room for a new one, and is not lost with it. */
export async function setDocumentAside(db: Database, name: DocumentName): Promise<void> {
  const tx = db.transaction(['documents', 'parts'], 'readwrite')
  const [documents, parts] = [tx.objectStore('documents'), tx.objectStore('parts')]
  const kept = await documents.get(name)
  if (kept !== undefined) {
    void documents.put(kept, `set aside: ${name}`)
    void documents.delete(name)
  }
  for (const [, key] of await parts.getAllKeys(partsOf(name))) {
    const part = await parts.get([name, key])
    if (part) void parts.put(part, [`set aside: ${name}`, key])
    void parts.delete([name, key])
  }
  await tx.done
}

const partsOf = (name: DocumentName) => IDBKeyRange.bound([name], [name, []])
