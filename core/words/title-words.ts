const word = /\d+(?:[.,]\d+)?(?: ?(?:mm|cm|m|ml|l|g|kg|in|ft)(?![\p{L}\p{N}]))?|[\p{L}][\p{L}\p{N}'’-]*/gu
const small = new Set('a an and the of for with in on to by x'.split(' '))

/**
 * The words of a title and the pairs of neighbours among them, each once: case folded, figures whole with their unit.
 *
 * @example titleWords('Herb Trough, 50 cm') // ['herb', 'trough', '50cm', 'herb trough', 'trough 50cm']
 */
export function titleWords(title: string): string[] {
  const words = (title.toLowerCase().match(word) ?? []).map((w) => (/^\d/.test(w) ? w.replace(' ', '') : w))
  const pairs = words.slice(1).map((w, i) => [words[i] as string, w] as const)
  return [
    ...new Set([
      ...words.filter((w) => !small.has(w)),
      ...pairs.filter((pair) => pair.every((w) => !small.has(w))).map((pair) => pair.join(' ')),
    ]),
  ]
}
