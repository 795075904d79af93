import { plain } from '../shared/plain'
import { guardWrite, type Database } from './database'

/** Names of the small documents of a workspace. All of them together with the imports are the workspace. */
export const documentNames = [
  'settings',
  'rules',
  'corrections',
  'sheaves',
  'cuts',
  'drafts',
  'mappings',
  'prices',
  'looks',
  'trail',
  'judgements',
  'cutRuns',
] as const
export type DocumentName = (typeof documentNames)[number]

export async function readDocument<T>(db: Database, name: DocumentName): Promise<T | null> {
  return ((await db.get('documents', name)) as T | undefined) ?? null
}

/** Writes a document as plain data; reactive wrappers are taken off. */
export async function writeDocument(db: Database, name: DocumentName, value: unknown): Promise<void> {
  await guardWrite(() => db.put('documents', plain(value), name))
}
