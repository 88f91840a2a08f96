import { escapeHtml } from '../base/escape.ts';

/** Outlines of our own in a square of 24 by 24, drawn with lines, for kinds of part that have an icon. */
export const glyphs = {
  close:
    'M6.400 5 12 10.600 17.600 5 19 6.400 13.400 12l5.600 5.600-1.400 1.400-5.600-5.600L6.400 19 5 17.600 10.600 12 5 6.400Z',
  account: 'M12 4a4 4 0 1 1 0 8 4 4 0 0 1 0-8Zm0 10c4.4 0 8 2.2 8 5v1H4v-1c0-2.8 3.6-5 8-5Z',
  basket: 'M8 9V7a4 4 0 0 1 8 0v2h4l-1.4 11H5.4L4 9Zm2 0h4V7a2 2 0 0 0-4 0Z',
  phone:
    'M6 3h4l1.5 4.5L9 9.5a12 12 0 0 0 5.5 5.5l2-2.5L21 14v4c0 1.700-1.300 3-3 3C10.300 21 3 13.700 3 6c0-1.700 1.300-3 3-3Z',
  email: 'M3 5h18v14H3Zm9 7.500 7-5.500H5Zm0 2L5 9v8h14V9Z',
  postal:
    'M12 2a7 7 0 0 1 7 7c0 5-7 13-7 13S5 14 5 9a7 7 0 0 1 7-7Zm0 4.500a2.500 2.500 0 1 0 0 5 2.500 2.500 0 0 0 0-5Z',
  hours: 'M12 3a9 9 0 1 1 0 18 9 9 0 0 1 0-18Zm1 4h-2v6l4.500 2.700 1-1.700-3.500-2Z',
} as const;

/** An outline as a picture that says nothing by itself. */
export function glyphOf(path: string): string {
  return `<svg class="zv-glyph" viewBox="0 0 24 24" aria-hidden="true"><path d="${escapeHtml(path)}"/></svg>`;
}
