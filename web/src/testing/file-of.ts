/** For tests: a file as the platform hands it over. */
export function fileOf(name: string, content: string | Uint8Array): File {
  const bytes = typeof content === 'string' ? new TextEncoder().encode(content) : content
  const part = (from: number, to: number) => ({ arrayBuffer: () => Promise.resolve(bytes.slice(from, to).buffer) })
  const stream = () => new ReadableStream({ start: (c) => (c.enqueue(bytes), c.close()) })
  return {
    name,
    size: bytes.length,
    lastModified: 1,
    slice: part,
    stream,
    arrayBuffer: part(0, bytes.length).arrayBuffer,
    text: () => Promise.resolve(new TextDecoder().decode(bytes)),
  } as unknown as File
}
