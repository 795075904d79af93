import { readFileSync } from 'node:fs'
import { findPackCount } from './pack-count'

/** A title with the pieces that a buyer gets by common sense, and what is read of it; null where it says nothing. */
export interface JudgedPack {
  language: string
  title: string
  truth: number | null
  read: number | null
}

const files = ['pack-titles-languages', 'pack-titles-more', 'pack-titles-third', 'pack-titles-fourth'].map(
  (name) => new URL(`./fixtures/${name}.tsv`, import.meta.url),
)

/**
 * Titles of eight languages and many trades that were labelled before the patterns were written, or changed. Every second one was kept aside.
 *
 * @param half 0 those the patterns were written by, 1 those kept aside
 */
export function judgedPacks(half: 0 | 1): JudgedPack[] {
  return files
    .map((file) => readFileSync(file, 'utf8').split('\n'))
    .flatMap((lines) => lines.filter((line) => line !== '' && !line.startsWith('#')).filter((_, i) => i % 2 === half))
    .map((line) => {
      const [language = '', label, title = ''] = line.split('\t')
      return { language, title, truth: label === '-' ? null : Number(label), read: findPackCount(title)?.count ?? null }
    })
}

/** Said or not, one is one. */
export const isReadRight = ({ truth, read }: JudgedPack) => (truth ?? 1) === (read ?? 1)
