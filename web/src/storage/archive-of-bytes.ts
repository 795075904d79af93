import type { ArchiveSource } from '@sickle/core/archive'

/** Bytes as a file that is read by pieces: the in-memory twin of the browser's File, for tests. */
export function archive(bytes: Uint8Array, name = 'x.sickle'): ArchiveSource {
  return {
    name,
    size: bytes.length,
    slice: (from, to) => ({ arrayBuffer: () => Promise.resolve(bytes.slice(from, to).buffer) }),
  }
}
