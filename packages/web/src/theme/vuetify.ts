import 'vuetify/styles/core';
import { createVuetify } from 'vuetify';
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg';
import { themeColors } from './themeColors.ts';

const variables = { 'high-emphasis-opacity': 1, 'medium-emphasis-opacity': 0.8 };

export const vuetify = createVuetify({
  theme: {
    defaultTheme: 'light',
    themes: {
      light: { dark: false, colors: { ...themeColors.light }, variables },
      dark: { dark: true, colors: { ...themeColors.dark }, variables },
    },
  },
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
