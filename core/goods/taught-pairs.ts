import type { TitleForms } from './title-forms'
import type { WordLesson, WordPair } from './word-lessons'

/**
 * Forms that differ in nothing but words that are taught to mean the same, each pair once. Short titles share too little else to be found by
 * likeness.
 *
 * @param lessons what is in force @param among the forms that are looked through
 */
export function* taughtPairs(
  forms: TitleForms,
  lessons: readonly WordLesson[],
  among: Iterable<number> = forms.figuresOf.keys(),
): Generator<[number, number]> {
  const same = lessons.filter((l) => l.says === 'same')
  if (same.length === 0) return
  const byWord = new Map<number, WordLesson[]>()
  for (const lesson of same)
    for (const side of [lesson.these, lesson.those]) {
      const word = side[0] as number
      byWord.set(word, [...(byWord.get(word) ?? []), lesson])
    }
  const formOf = new Map<string, number>()
  const candidates: { form: number; others: string[] }[] = []
  for (const form of among) {
    const words = [...forms.wordIds.subarray(forms.starts[form], forms.starts[form + 1])]
    const its = new Set(words.flatMap((word) => byWord.get(word) ?? []))
    if (its.size === 0) continue
    const key = (ids: readonly number[]) => `${forms.figuresOf[form]} ${ids.join(' ')}`
    const others = saidOtherwise(words, [...its]).map(key)
    if (others.length === 0) continue
    formOf.set(key(words), form)
    candidates.push({ form, others })
  }
  for (const { form, others } of candidates)
    for (const key of others) {
      const other = formOf.get(key)
      if (other !== undefined && form < other) yield [form, other]
    }
}

/** Every way of saying a set of words with one exchange of words that mean the same. @param words ascending */
export function saidOtherwise(words: readonly number[], same: readonly WordPair[]): number[][] {
  const has = (some: readonly number[]) => some.every((id) => words.includes(id))
  const exchanged = (from: readonly number[], to: readonly number[]) =>
    [...new Set([...words.filter((id) => !from.includes(id)), ...to])].sort((x, y) => x - y)
  return same.flatMap(({ these, those }) => [
    ...(has(these) ? [exchanged(these, those)] : []),
    ...(has(those) ? [exchanged(those, these)] : []),
  ])
}
