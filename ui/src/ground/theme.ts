import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'

const REMEMBERED = 'dobbin.theme'
const DARK = matchMedia('(prefers-color-scheme: dark)')

export type ThemeName = 'light' | 'dark'

/** Vuetify's names for the colors of tokens.css; only what its components use. */
export const vuetify = createVuetify({
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  defaults: {
    VBtn: { variant: 'text', rounded: 'lg' },
    VTextField: { variant: 'outlined', density: 'compact', hideDetails: 'auto' },
    VTooltip: { openDelay: 400 },
  },
  theme: {
    defaultTheme: firstTheme(),
    themes: {
      light: {
        dark: false,
        colors: {
          background: '#F6F1E7',
          surface: '#FFFDF9',
          'on-surface': '#1E2A32',
          'on-background': '#1E2A32',
          primary: '#B23E28',
          success: '#2C6B4D',
          warning: '#7A4E07',
          error: '#B23E28',
        },
      },
      dark: {
        dark: true,
        colors: {
          background: '#16191C',
          surface: '#1F2428',
          'on-surface': '#EEE7DA',
          'on-background': '#EEE7DA',
          primary: '#F08066',
          'on-primary': '#16191C',
          success: '#7CC39C',
          warning: '#E9B65B',
          error: '#F08066',
        },
      },
    },
  },
})

export function toggleTheme(): void {
  const name: ThemeName = vuetify.theme.global.current.value.dark ? 'light' : 'dark'
  void vuetify.theme.change(name)
  localStorage.setItem(REMEMBERED, name)
}

function firstTheme(): ThemeName {
  return chosen() ?? (DARK.matches ? 'dark' : 'light')
}

function chosen(): ThemeName | null {
  const name = localStorage.getItem(REMEMBERED)
  return name === 'light' || name === 'dark' ? name : null
}

/** Where nobody has chosen, the colors are those of the system, also when that changes. */
DARK.addEventListener('change', () => void vuetify.theme.change(firstTheme()))
