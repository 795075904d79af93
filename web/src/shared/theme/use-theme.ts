import { darkTheme } from 'naive-ui'
import { computed, ref, watchEffect } from 'vue'
import type { ThemeChoice } from '@/storage/settings-form'
import { naiveTheme } from './naive-theme'
import { applyPalette, palettes } from './palette'

/** The theme, kept as the user's choice; it sets both Naive UI and the page's own colours. */
export function useTheme(initial: ThemeChoice = 'light') {
  const choice = ref<ThemeChoice>(initial)
  watchEffect(() => {
    document.documentElement.dataset.theme = choice.value
    applyPalette(document.documentElement, palettes[choice.value])
  })
  return {
    choice,
    naive: computed(() => (choice.value === 'dark' ? darkTheme : null)),
    overrides: computed(() => naiveTheme(palettes[choice.value])),
  }
}
