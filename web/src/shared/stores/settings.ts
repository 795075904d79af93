import { defineStore } from 'pinia'
import { computed } from 'vue'
import { usualStrips } from '@sickle/core/engine'
import type { Mapping } from '@sickle/core/intake'
import { useServices } from '@/app/services'
import type { ThemeChoice } from '@/app/theme'
import { keptDocument } from './document'

/** Columns of the finds where the seller chose no others. */
export const usualColumns: readonly string[] = ['price', 'units', 'trend', 'sold', 'room', 'landed', 'profit', 'worth']

export interface Settings {
  theme: ThemeChoice
  sideFolded: boolean
  /** measures that have a strip above the finds, and columns of the finds, in order */
  strips: string[]
  columns: string[]
}

/** Small choices, and the mappings remembered for files of the same shape. */
export const useSettings = defineStore('settings', () => {
  const services = useServices()
  const usual = (): Settings => ({
    theme: 'light',
    sideFolded: false,
    strips: [...usualStrips],
    columns: [...usualColumns],
  })
  const settings = keptDocument<Settings>(services, 'settings', usual, (kept) => ({
    ...usual(),
    ...(kept as Partial<Settings>),
  }))
  const mappings = keptDocument<Record<string, { headings: string[]; mapping: Mapping }>>(
    services,
    'mappings',
    () => ({}),
  )
  return {
    value: computed(() => settings.value.value),
    load: () => Promise.all([settings.load(), mappings.load()]),
    change: (some: Partial<Settings>) => settings.set({ ...settings.value.value, ...some }),
    rememberedFor: (shape: string) => mappings.value.value[shape] ?? null,
    remember: (shape: string, headings: string[], mapping: Mapping) =>
      mappings.set({ ...mappings.value.value, [shape]: { headings, mapping } }),
  }
})
