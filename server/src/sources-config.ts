import { readFileSync } from 'node:fs'
import { checked, listOf, record, text } from '@sickle/core/schema'
import { knobsSchema, usualKnobs, type StandinKnobs } from './knobs'

/** A source that the server may ask: a real service by its base address, or the stand-in that ships with Sickle. */
export type SourceConfig =
  | { id: string; name: string; base: string; token: string | null }
  | { id: string; name: string; standin: Partial<StandinKnobs> }

const shipped: SourceConfig[] = [{ id: 'farholt', name: 'Farholt (stand-in)', standin: usualKnobs }]

/** A source as the configuration writes it. */
interface Entry {
  id: string
  name: string
  base?: string
  tokenEnv?: string
  standin?: Partial<StandinKnobs>
}

const isAddress = (v: string | undefined) => v === undefined || (URL.canParse(v) && isPlainAddress(new URL(v)))
const isPlainAddress = ({ protocol, username, password, search, hash }: URL) =>
  /^https?:$/.test(protocol) && username + password + search + hash === ''

const entrySchema = record({
  id: text(40).matches(/^[a-z0-9-]+$/, 'must be lower-case letters, digits and hyphens'),
  name: text(80),
  base: text(500)
    .optional()
    .test('address', 'must be an http or https address, without name, password or question', isAddress),
  tokenEnv: text(80).optional().matches(/^\w+$/, 'must name a variable'),
  standin: knobsSchema.optional().default(undefined),
}).test('one-of-both', 'must have a base, or be a standin', (v) => {
  const { base, standin } = v as Partial<Entry>
  return (base === undefined) !== (standin === undefined)
})

const sourcesSchema = listOf(entrySchema, 100)

/**
 * Reads the configuration of sources: a JSON file named by SICKLE_SOURCES, `[{ "id", "name", "base", "tokenEnv" }]`. A token is
 * never in the file: `tokenEnv` names the variable that holds it. Without a file there is the stand-in alone.
 *
 * @throws Error that says what is wrong, and where
 */
export function readSources(env: Record<string, string | undefined>): readonly SourceConfig[] {
  const path = env.SICKLE_SOURCES
  if (!path) return Object.freeze(shipped)
  let json: unknown
  try {
    json = JSON.parse(readFileSync(path, 'utf8'))
  } catch (cause) {
    throw new Error(`SICKLE_SOURCES: ${path} cannot be read as JSON`, { cause })
  }
  const wrong = (reason: string) => new Error(`SICKLE_SOURCES: ${path}: ${reason}`)
  const entries = checked<Entry[]>(sourcesSchema, json, wrong)
  const twice = entries.find((e, at) => entries.findIndex((o) => o.id === e.id) !== at)
  if (twice) throw wrong(`two sources have the id ${twice.id}`)
  return Object.freeze(entries.map((entry) => sourceOf(entry, env, wrong)))
}

function sourceOf(
  { id, name, base, tokenEnv, standin }: Entry,
  env: Record<string, string | undefined>,
  wrong: (reason: string) => Error,
): SourceConfig {
  if (base === undefined) return { id, name, standin: standin ?? {} }
  if (tokenEnv !== undefined && !env[tokenEnv]) throw wrong(`the variable ${tokenEnv} of source ${id} is not set`)
  return { id, name, base: base.replace(/\/$/, ''), token: tokenEnv === undefined ? null : (env[tokenEnv] ?? null) }
}
