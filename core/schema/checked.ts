import { ValidationError, type Schema } from 'yup'

/** What a value fails by: where it stands in the document ('' for the whole), and what is wanted there. */
export interface Fault {
  where: string
  what: string
}

/** The first fault of a value by a schema, by its path; null where it has none. Nothing is cast: a text that looks like a number is none. */
export function faultOf(schema: Schema, value: unknown): { path: string; message: string } | null {
  try {
    schema.validateSync(value, { strict: true, abortEarly: true })
    return null
  } catch (thrown) {
    if (!(thrown instanceof ValidationError)) throw thrown
    return { path: thrown.path ?? '', message: thrown.message }
  }
}

/**
 * The first fault, in words.
 *
 * @example firstFault(record({ rate: ratio() }), { rate: -1 }) // { where: 'rate', what: 'must be from 0 to 100 %' }
 */
export function firstFault(schema: Schema, value: unknown): Fault | null {
  const fault = faultOf(schema, value)
  return fault && { where: inWords(fault.path), what: fault.message }
}

/**
 * The value, known to be what the schema says.
 *
 * @param refuse makes the error from the fault in one phrase, such as "percent of line 2 must be from 0 to 100 %"
 */
export function checked<T>(schema: Schema, value: unknown, refuse: (reason: string) => Error): T {
  const fault = firstFault(schema, value)
  if (fault) throw refuse(`${fault.where || 'it'} ${fault.what}`)
  return value as T
}

/** 'lines[1].ratio' → 'percentage of line 2' */
function inWords(path: string): string {
  const words: string[] = []
  for (const [, quoted, at, name] of path.matchAll(/\["([^"]*)"\]|\[(\d+)\]|([^.[\]"]+)/g)) {
    const list = words.at(-1)
    if (at !== undefined && list !== undefined) words[words.length - 1] = `${singular(list)} ${Number(at) + 1}`
    else words.push(at === undefined ? (quoted ?? spaced(name ?? '')) : `entry ${Number(at) + 1}`)
  }
  return words.reverse().join(' of ')
}

/** 'postageOutE4' → 'postage out': units in the names of fields are for the code. */
const spaced = (name: string) =>
  name
    .replace(/(?:E4|Ratio)$/, '')
    .replace(/^ratio$/, 'percentage')
    .replace(/[a-z](?=[A-Z])/g, '$& ')
    .toLowerCase()

const singular = (list: string) => list.replace(/ves$/, 'f').replace(/s$/, '')
