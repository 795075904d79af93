import { readFileSync } from 'node:fs'
import { usualKnobs, type StandinKnobs } from './standin-source'

/** A source that the server may ask: a real service by its base address, or the stand-in that ships with Sickle. */
export type SourceConfig =
  | { id: string; name: string; base: string; token: string | null }
  | { id: string; name: string; standin: Partial<StandinKnobs> }

const shipped: SourceConfig[] = [{ id: 'farholt', name: 'Farholt (stand-in)', standin: usualKnobs }]

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
  if (!Array.isArray(json)) throw new Error(`SICKLE_SOURCES: ${path} must hold a list of sources`)
  return Object.freeze(json.map((entry, at) => sourceOf(entry, at, env)))
}

function sourceOf(entry: unknown, at: number, env: Record<string, string | undefined>): SourceConfig {
  const { id, name, base, tokenEnv, standin } = (entry ?? {}) as Record<string, unknown>
  const wrong = (what: string) => new Error(`SICKLE_SOURCES: source ${at + 1}: ${what}`)
  if (typeof id !== 'string' || !/^[a-z0-9-]{1,40}$/.test(id))
    throw wrong('id must be lower-case letters, digits and hyphens')
  if (typeof name !== 'string' || name === '') throw wrong('name is missing')
  if (standin !== undefined) return { id, name, standin: standin as Partial<StandinKnobs> }
  if (typeof base !== 'string' || !URL.canParse(base) || !/^https?:$/.test(new URL(base).protocol))
    throw wrong('base must be an http or https address')
  if (tokenEnv !== undefined && typeof tokenEnv !== 'string') throw wrong('tokenEnv must name a variable')
  if (tokenEnv !== undefined && !env[tokenEnv]) throw wrong(`the variable ${tokenEnv} is not set`)
  return { id, name, base: base.replace(/\/$/, ''), token: tokenEnv === undefined ? null : (env[tokenEnv] ?? null) }
}
