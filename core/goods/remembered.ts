/** A reading of texts that is made once for each: titles say the same few thousand things over and over. Those of files without end are not kept. */
export function remembered<T extends object | string | number | boolean | null>(
  read: (text: string) => T,
  most = 200_000,
): (text: string) => T {
  const known = new Map<string, T>()
  return (text) => {
    const before = known.get(text)
    if (before !== undefined) return before
    if (known.size >= most) known.clear()
    const said = read(text)
    known.set(text, said)
    return said
  }
}
