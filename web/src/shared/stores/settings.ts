import { defineStore } from 'pinia'
import { computed } from 'vue'
import { forgetColumn, nothingLearned, type Learned, type LearnedColumn } from '@sickle/core/intake'
import { useServices } from '@/services/services'
import { usualSettings, type Settings } from '@/storage/settings-form'
import { keptDocument } from './document'

/** Small choices, and what the seller has taught the intake. */
export const useSettings = defineStore('settings', () => {
  const services = useServices()
  const settings = keptDocument<Settings>(services, 'settings', usualSettings)
  const learned = keptDocument<Learned>(services, 'mappings', () => nothingLearned)
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
