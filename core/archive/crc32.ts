/** CRC-32 of one byte, for every byte (polynomial 0xEDB88320). */
const table = Int32Array.from({ length: 256 }, (_, byte) => {
  let sum = byte
  for (let bit = 0; bit < 8; bit++) sum = sum & 1 ? (sum >>> 1) ^ 0xedb88320 : sum >>> 1
  return sum
})

/**
 * The check sum that zip archives keep of each entry (ISO/IEC 3309, as in PKWARE's APPNOTE 4.4.7), carried on over pieces.
 *
 * @param before what the pieces so far came to; 0 at the beginning
 * @example crc32(new TextEncoder().encode('123456789')) // 0xcbf43926
 */
export function crc32(bytes: Uint8Array, before = 0): number {
  let sum = ~before
  for (let i = 0; i < bytes.length; i++) sum = (table[(sum ^ (bytes[i] as number)) & 0xff] as number) ^ (sum >>> 8)
  return ~sum >>> 0
}
