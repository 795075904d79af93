export type Encoding = 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252'

/**
 * Names the encoding of a text file from its first bytes: a byte order mark, zeros in every second byte, valid UTF-8,
 * else Windows-1252 (WHATWG Encoding names). `atEnd` says the bytes are the whole file.
 */
export function detectEncoding(bytes: Uint8Array, atEnd = true): Encoding {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le'
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be'
  const probe = Math.min(bytes.length, 2000)
  let even = 0
  let odd = 0
  for (let i = 0; i < probe; i++) {
    if (bytes[i] !== 0) continue
    if (i % 2) odd++
    else even++
  }
  if (odd > probe * 0.2 && even < probe * 0.05) return 'utf-16le'
  if (even > probe * 0.2 && odd < probe * 0.05) return 'utf-16be'
  try {
    new TextDecoder('utf-8', { fatal: true }).decode(bytes, { stream: !atEnd })
    return 'utf-8'
  } catch (e) {
    if ((e as Error).name === 'TypeError') return 'windows-1252'
    throw e
  }
}

/** Does this look like a program's data, not like text? Zero bytes outside UTF-16, or many control characters. */
export function looksBinary(bytes: Uint8Array): boolean {
  const probe = Math.min(bytes.length, 4000)
  if (probe === 0) return false
  const encoding = detectEncoding(bytes.subarray(0, probe), false)
  if (encoding.startsWith('utf-16')) return false
  let odd = 0
  for (let i = 0; i < probe; i++) {
    const b = bytes[i] as number
    if (b === 0) return true
    if (b < 9 || (b > 13 && b < 32 && b !== 27)) odd++
  }
  return odd / probe > 0.02
}
