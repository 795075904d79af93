import { defineStore } from 'pinia'
import { computed } from 'vue'
import { usualStrips } from '@sickle/core/engine'
import { forgetColumn, nothingLearned, type Learned, type LearnedColumn } from '@sickle/core/intake'
import type { DecimalMark } from '@sickle/core/money'
import { useServices } from '@/app/services'
import type { ThemeChoice } from '@/app/theme'
import { keptDocument } from './document'

/** Columns of the finds where the seller chose no others. */
export const usualColumns: readonly string[] = ['price', 'units', 'trend', 'sold', 'room', 'landed', 'profit', 'worth']

export interface Settings {
  theme: ThemeChoice
  /** how the seller writes numbers */
  decimal: DecimalMark
  sideFolded: boolean
  /** measures that have a strip above the finds, and columns of the finds, in order */
  strips: string[]
  columns: string[]
}

/** Small choices, and what the seller has taught the intake. */
export const useSettings = defineStore('settings', () => {
  const services = useServices()
  const usual = (): Settings => ({
    theme: 'light',
    decimal: '.',
    sideFolded: false,
    strips: [...usualStrips],
    columns: [...usualColumns],
  })
  const settings = keptDocument<Settings>(services, 'settings', usual, (kept) => ({
    ...usual(),
    ...(kept as Partial<Settings>),
  }))
  const learned = keptDocument<Learned>(services, 'mappings', () => nothingLearned, learnedOf)
  return {
    value: computed(() => settings.value.value),
    load: () => Promise.all([settings.load(), learned.load()]),
    change: (some: Partial<Settings>) => settings.set({ ...settings.value.value, ...some }),
    learned: computed(() => learned.value.value),
    learn: (next: Learned) => learned.set(next),
    forget: (column: LearnedColumn) => learned.set(forgetColumn(learned.value.value, column)),
    forgetFile: (shape: string) => {
      const { [shape]: _gone, ...files } = learned.value.value.files
      return learned.set({ ...learned.value.value, files })
    },
  }
})

/**
 * What was learned, as it rests. Earlier versions kept whole mappings, our own guesses among them: of those only the names of
 * markets and suppliers are taken over, which nobody but the seller can have said.
 */
export function learnedOf(stored: unknown): Learned {
  const now = (stored ?? {}) as Partial<Learned>
  if (Array.isArray(now.columns)) return { columns: now.columns, files: now.files ?? {} }
  const kept = (stored ?? {}) as Record<string, { mapping?: { market?: unknown; supplier?: unknown } }>
  const files: Learned['files'] = {}
  for (const [shape, { mapping }] of Object.entries(kept)) {
    const { market, supplier } = mapping ?? {}
    const answers = { ...(typeof market === 'string' && { market }), ...(typeof supplier === 'string' && { supplier }) }
    if (Object.keys(answers).length > 0) files[shape] = { ...answers, file: 'an earlier file' }
  }
  return { columns: [], files }
}
