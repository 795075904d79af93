import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { folder } from './bundle'

/** What was worked out of a program before, or now: the same program does the same. */
export async function kept<T>(program: string, workOut: () => Promise<T>): Promise<T> {
  const known = join(folder, 'kept', `${createHash('sha256').update(program).digest('hex')}.json`)
  if (existsSync(known)) return JSON.parse(readFileSync(known, 'utf8')) as T
  const made = await workOut()
  mkdirSync(join(folder, 'kept'), { recursive: true })
  writeFileSync(known, JSON.stringify(made))
  return made
}
