import { Problem, stopIfCancelled } from '../problem'
import { crc32 } from './crc32'
import { placeOf, type ArchiveSource, type Damaged, type ZipEntry } from './zip-entries'

/** bytes of the archive that are unpacked at once: even the tightest packing (about 1 : 1032) makes 34 MB of them */
const piece = 32_768

/**
 * Unpacks an entry piece by piece, with the platform's own inflate: however much is packed in it, no more than a piece's worth stands
 * in memory, and no worker is started. Read to its end, it must come to the sum that the archive keeps of it.
 *
 * @returns pieces of it, with the share of the entry that is read
 * @throws what `broken` makes; Problem 'cancelled'
 */
export async function* unpackEntry(
  file: ArchiveSource,
  entry: ZipEntry,
  broken: Damaged,
  signal?: AbortSignal,
): AsyncGenerator<{ bytes: Uint8Array; done: number }> {
  let sum = 0
  for await (const piece of unpackedPieces(file, entry, broken, signal)) {
    sum = crc32(piece.bytes, sum)
    yield piece
  }
  if (sum !== entry.sum) throw broken(`${entry.name} was changed: its sum does not fit`)
}

async function* unpackedPieces(
  file: ArchiveSource,
  entry: ZipEntry,
  broken: Damaged,
  signal?: AbortSignal,
): AsyncGenerator<{ bytes: Uint8Array; done: number }> {
  const { from, to } = await placeOf(file, entry, broken)
  let at = from
  const next = async (size: number) => {
    const bytes = new Uint8Array(await file.slice(at, Math.min(to, at + size)).arrayBuffer())
    at += bytes.length
    return bytes
  }
  const done = () => (to === from ? 1 : (at - from) / (to - from))
  if (!entry.isDeflated) {
    while (at < to) {
      stopIfCancelled(signal)
      yield { bytes: await next(1 << 20), done: done() }
    }
    return
  }
  const packed = new ReadableStream<Uint8Array<ArrayBuffer>>(
    {
      async pull(controller) {
        if (at >= to) return controller.close()
        controller.enqueue(await next(piece))
      },
    },
    { highWaterMark: 1 },
  )
  const reader = packed.pipeThrough(new DecompressionStream('deflate-raw')).getReader()
  try {
    for (;;) {
      stopIfCancelled(signal)
      const { value, done: isDone } = await reader.read()
      if (isDone) return
      yield { bytes: value, done: done() }
    }
  } catch (cause) {
    if (cause instanceof Problem) throw cause
    throw broken(`${entry.name} cannot be unpacked`)
  } finally {
    await reader.cancel().catch(() => undefined)
  }
}
