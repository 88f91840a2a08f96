/** Rows grow with the browser's text size, as everything that is measured in rem; in px. */
const textScale =
  typeof document === 'undefined'
    ? 1
    : (Number.parseFloat(getComputedStyle(document.documentElement).fontSize) || 16) / 16;
export const ROW_HEIGHT = Math.round(32 * textScale);
