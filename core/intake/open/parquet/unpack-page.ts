import { Gunzip } from 'fflate'
import { Decompress } from 'fzstd'
import { snappyUncompress } from 'hyparquet'

/** Unpacks a page to exactly the size that its header says. @throws Error with the reason */
export function unpackPage(packed: Uint8Array, size: number, codec: string): Uint8Array {
  switch (codec) {
    case 'UNCOMPRESSED':
      if (packed.length !== size) throw new Error('a page has another size than it says')
      return packed
    case 'SNAPPY': {
      const out = new Uint8Array(size)
      snappyUncompress(packed, out)
      return out
    }
    case 'GZIP':
      return pieces(size, (take) => new Gunzip((piece) => take(piece)).push(packed, true))
    case 'ZSTD':
      return pieces(size, (take) => void new Decompress((piece) => take(piece)).push(packed, true))
    default:
      throw new Error(`its pages are packed with ${codec}, which is not read; write it with Snappy, gzip or zstd`)
  }
}

/** What comes in pieces, stopped as soon as it is more than was said. */
function pieces(size: number, run: (take: (piece: Uint8Array) => void) => void): Uint8Array {
  const out = new Uint8Array(size)
  let at = 0
  run((piece) => {
    if (at + piece.length > size) throw new Error('a page unpacks to more than it says')
    out.set(piece, at)
    at += piece.length
  })
  if (at !== size) throw new Error('a page unpacks to less than it says')
  return out
}
