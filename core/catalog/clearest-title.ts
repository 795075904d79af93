/** The most typical title: the one whose words most of the others have too; the shorter of equals. Shouting counts only where all do. */
export function clearestTitle(titles: readonly string[]): string {
  const [first = '', ...others] = titles
  if (others.every((t) => t === first)) return first
  const calm = titles.filter((t) => t !== t.toUpperCase())
  const list = calm.length > 0 ? calm : titles
  const words = wordsOf(list)
  let [best, most] = ['', -1]
  list.forEach((title, i) => {
    const typical = meanOf(words[i] as Word[])
    const isBetter = typical > most + 1e-9 || (typical > most - 1e-9 && title.length < best.length)
    if (isBetter) [best, most] = [title, typical]
  })
  return best
}

/** How many of the titles have a word, and the last of them that does. */
interface Word {
  titles: number
  last: number
}

/** The words of each title, each once. */
function wordsOf(titles: readonly string[]): Word[][] {
  const met = new Map<string, Word>()
  return titles.map((title, i) => {
    const words: Word[] = []
    for (const text of title.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []) {
      let word = met.get(text)
      if (!word) met.set(text, (word = { titles: 0, last: -1 }))
      if (word.last === i) continue
      word.titles++
      word.last = i
      words.push(word)
    }
    return words
  })
}

function meanOf(words: readonly Word[]): number {
  let sum = 0
  for (const word of words) sum += word.titles
  return words.length === 0 ? 0 : sum / words.length
}
