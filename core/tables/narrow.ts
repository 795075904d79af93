/** Numbers at rest: as narrow as they fit without loss. */
export type NarrowNumbers = Float64Array | Int32Array | Int16Array | Int8Array

/** Codes at rest. */
export type NarrowCodes = Int32Array | Int16Array

/** The least number of a type stands for unknown. */
const forms = [
  { make: Int8Array, unknown: -0x80 },
  { make: Int16Array, unknown: -0x8000 },
  { make: Int32Array, unknown: -0x80000000 },
] as const

/** Whole numbers go into the narrowest integers that hold them all, NaN as the least of the type; others stay as they are. */
export function narrowNumbers(values: Float64Array): NarrowNumbers {
  let most = 0
  for (let i = 0; i < values.length; i++) {
    const value = values[i] as number
    if (Number.isNaN(value)) continue
    if (value !== (value | 0) || Object.is(value, -0)) return values
    if (value > most) most = value
    else if (-value > most) most = -value
  }
  const form = forms.find((f) => most < -f.unknown)
  if (!form) return values
  const narrow = new form.make(values.length)
  for (let i = 0; i < values.length; i++) {
    const value = values[i] as number
    narrow[i] = Number.isNaN(value) ? form.unknown : value
  }
  return narrow
}

export function widenNumbers(values: NarrowNumbers): Float64Array {
  // by width rather than by class, which differs between realms
  const form = forms.find((f) => f.make.BYTES_PER_ELEMENT === values.BYTES_PER_ELEMENT)
  if (!form) return values as Float64Array
  const wide = new Float64Array(values.length)
  for (let i = 0; i < values.length; i++) {
    const value = values[i] as number
    wide[i] = value === form.unknown ? NaN : value
  }
  return wide
}

export function narrowCodes(codes: Int32Array, words: number): NarrowCodes {
  return words <= 0x8000 ? Int16Array.from(codes) : codes
}

export function widenCodes(codes: NarrowCodes): Int32Array {
  return codes.BYTES_PER_ELEMENT === 4 ? (codes as Int32Array) : Int32Array.from(codes)
}
