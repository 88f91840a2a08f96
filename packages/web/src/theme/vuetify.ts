import 'vuetify/styles/core';
import { createVuetify } from 'vuetify';
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg';

/** Vuetify in our colours. The same values stand in tokens.css for our own components; a test holds them together. */
export const themeColors = {
  background: '#f7f3ea',
  surface: '#fffdf8',
  primary: '#b9431b',
  secondary: '#23262b',
  success: '#41682f',
  warning: '#7d5108',
  error: '#9f2d2b',
  'on-background': '#23262b',
  'on-surface': '#23262b',
  'on-primary': '#ffffff',
  'on-secondary': '#ffffff',
} as const;

export const vuetify = createVuetify({
  theme: { defaultTheme: 'zorvik', themes: { zorvik: { dark: false, colors: { ...themeColors }, variables: { 'high-emphasis-opacity': 1, 'medium-emphasis-opacity': 0.8 } } } },
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  defaults: {
    global: { ripple: false },
    VBtn: { variant: 'flat', height: 32, rounded: 'lg' },
    VTextField: { variant: 'outlined', density: 'compact', hideDetails: 'auto' },
    VTextarea: { variant: 'outlined', density: 'compact', hideDetails: 'auto' },
    VTooltip: { openDelay: 400, location: 'bottom' },
    VDialog: { maxWidth: 560 },
  },
});
