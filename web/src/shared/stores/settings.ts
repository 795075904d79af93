import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { Mapping } from '@sickle/core/intake'
import { useServices } from '@/app/services'
import type { ThemeChoice } from '@/app/theme'
import { keptDocument } from './document'

export interface Settings {
  theme: ThemeChoice
  sideFolded: boolean
}

/** Small choices, and the mappings remembered for files of the same shape. */
export const useSettings = defineStore('settings', () => {
  const services = useServices()
  const settings = keptDocument<Settings>(services, 'settings', () => ({
    theme: 'light',
    sideFolded: false,
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
