/** how an answer names the item it speaks of: '2.', '2)', 'Item 2:', at the beginning of a line */
const numbered =
  /^\s*(?:(?:item|position|pos|artikel|article|artículo|articolo|pozycja|artigo)\.?\s?)?(\d{1,3})\s?[.):]\s*(?=\S|$)/iu

/**
 * One answer to several items, apart by the numbers they were asked under. What stands before the first number is said of all.
 *
 * @param count items that were asked about
 * @returns of each item what was said of it; null where nothing was. The whole text for each where it has no such numbers.
 */
export function splitAnswers(text: string, count: number): (string | null)[] {
  if (count === 1) return [text]
  const parts: (string[] | null)[] = Array.from({ length: count }, () => null)
  const before: string[] = []
  let here: string[] = before
  let last = 0
  for (const line of text.split('\n')) {
    const n = Number(numbered.exec(line)?.[1])
    // numbers that go back are of another list, such as the questions of one item
    if (n > last && n <= count) {
      last = n
      here = parts[n - 1] = []
      here.push(line.replace(numbered, ''))
    } else here.push(line)
  }
  if (last === 0) return parts.map(() => text)
  return parts.map((lines) => (lines === null ? null : [...lines, ...before].join('\n').trim()))
}
