import type { GlobalThemeOverrides } from 'naive-ui'
import type { Palette } from './palette'

/** Naive UI in our colours, at our sizes: its controls look like the rest of the page. */
export function naiveTheme(c: Palette): GlobalThemeOverrides {
  return {
    Table: {
      tdColor: 'transparent',
      thColor: 'transparent',
      tdColorModal: 'transparent',
      thColorModal: 'transparent',
      tdColorPopover: 'transparent',
      thColorPopover: 'transparent',
      borderColorModal: c.line,
      borderColorPopover: c.line,
      thTextColor: c.quiet,
      thFontWeight: '500',
      fontSizeSmall: '13px',
      borderRadius: '0',
    },
    // in the dark Naive UI leaves the edge of a field away: on panels of its own colour it would not be seen
    Input: { border: `1px solid ${c.line}`, borderDisabled: `1px solid ${c.line}` },
    InternalSelection: { border: `1px solid ${c.line}`, borderDisabled: `1px solid ${c.line}` },
    Checkbox: { border: `1px solid ${c.quiet}`, fontSizeSmall: '13px' },
    Radio: { fontSizeSmall: '13px', buttonHeightSmall: '26px', labelFontWeight: '400' },
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
      infoColorHover: c.slate,
      infoColorPressed: c.slate,
      errorColorHover: c.clay,
      errorColorPressed: c.clay,
      borderRadius: '6px',
      heightMedium: '32px',
      heightSmall: '28px',
    },
  }
}
