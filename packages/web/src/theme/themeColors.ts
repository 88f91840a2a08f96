/** Our colours for Vuetify. The same values stand in tokens.css for our own components; a test holds them together. */
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
