import { darkTheme, type GlobalThemeOverrides } from 'naive-ui'
import { computed, ref, watchEffect } from 'vue'
import type { ThemeChoice } from '@/storage/settings-form'

const light = {
  paper: '#FBF8F1',
  panel: '#FFFFFF',
  ink: '#1F2A24',
  quiet: '#5C6559',
  line: '#E4DDCC',
  moss: '#1E6B5C',
  mossHover: '#248070',
  wheat: '#C98A1B',
  clay: '#A8482B',
  slate: '#3C5A78',
}
const dark = {
  paper: '#171C19',
  panel: '#1F2622',
  ink: '#E9EBE4',
  quiet: '#A3AD9F',
  line: '#38423B',
  moss: '#6FC4AE',
  mossHover: '#83D4BF',
  wheat: '#DFA742',
  clay: '#E58E72',
  slate: '#93B6D8',
}

function overrides(c: typeof light): GlobalThemeOverrides {
  return {
    common: {
      fontFamily: "'IBM Plex Sans', system-ui, sans-serif",
      fontSize: '14px',
      lineHeight: '1.4',
      bodyColor: c.paper,
      cardColor: c.panel,
      modalColor: c.panel,
      popoverColor: c.panel,
      inputColor: c.panel,
      textColorBase: c.ink,
      textColor1: c.ink,
      textColor2: c.ink,
      textColor3: c.quiet,
      placeholderColor: c.quiet,
      borderColor: c.line,
      dividerColor: c.line,
      primaryColor: c.moss,
      primaryColorHover: c.mossHover,
      primaryColorPressed: c.moss,
      primaryColorSuppl: c.moss,
      warningColor: c.wheat,
      errorColor: c.clay,
      infoColor: c.slate,
      borderRadius: '6px',
      heightMedium: '32px',
      heightSmall: '28px',
    },
  }
}

/** The theme, kept as the user's choice; it sets both Naive UI and the page's own colours. */
export function useTheme(initial: ThemeChoice = 'light') {
  const choice = ref<ThemeChoice>(initial)
  watchEffect(() => {
    document.documentElement.dataset.theme = choice.value
  })
  return {
    choice,
    naive: computed(() => (choice.value === 'dark' ? darkTheme : null)),
    overrides: computed(() => overrides(choice.value === 'dark' ? dark : light)),
  }
}
