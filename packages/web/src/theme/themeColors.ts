/**
 * Our colours for Vuetify, in both themes. The same values are in tokens.css for our own components; a test
 * keeps them equal.
 */
export const themeColors = {
  light: {
    background: '#f1f4f2',
    surface: '#fcfdfc',
    primary: '#6d2a63',
    secondary: '#1c2a2e',
    success: '#41682f',
    warning: '#7d5108',
    error: '#9f2d2b',
    'on-background': '#1c2a2e',
    'on-surface': '#1c2a2e',
    'on-primary': '#ffffff',
    'on-secondary': '#ffffff',
  },
  dark: {
    background: '#151c1e',
    surface: '#1b2426',
    primary: '#8c3f80',
    secondary: '#e4ebe9',
    success: '#96c684',
    warning: '#e2b766',
    error: '#f09d98',
    'on-background': '#e4ebe9',
    'on-surface': '#e4ebe9',
    'on-primary': '#ffffff',
    'on-secondary': '#151c1e',
  },
} as const;
