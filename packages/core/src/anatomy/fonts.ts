/** A family of fonts that can be chosen without sending a file. */
export interface FontFamily {
  readonly name: string;
  /** The CSS `font-family`, without what stands in for it while it loads. */
  readonly css: string;
}

/** Families that visitors have already: what each system has, and then what comes closest. */
export const systemFonts = {
  ui: { name: 'System', css: 'system-ui,sans-serif' },
  neutral: { name: 'Neutral sans', css: '"Helvetica Neue",Helvetica,Arial,"Liberation Sans",sans-serif' },
  humanist: {
    name: 'Humanist sans',
    css: 'Seravek,"Gill Sans Nova",Ubuntu,Calibri,"DejaVu Sans",sans-serif',
  },
  geometric: { name: 'Geometric sans', css: 'Avenir,Corbel,"URW Gothic","Century Gothic",sans-serif' },
  'old-style': {
    name: 'Old-style serif',
    css: '"Iowan Old Style","Palatino Linotype","URW Palladio L",P052,serif',
  },
  transitional: {
    name: 'Transitional serif',
    css: 'Charter,"Bitstream Charter","Sitka Text",Cambria,"Liberation Serif",serif',
  },
  slab: { name: 'Slab serif', css: 'Rockwell,"Rockwell Nova","Roboto Slab","DejaVu Serif",serif' },
  mono: {
    name: 'Monospaced',
    css: 'ui-monospace,"Cascadia Code",Menlo,Consolas,"DejaVu Sans Mono",monospace',
  },
} as const satisfies Record<string, FontFamily>;
/** See `systemFonts`. */
export type SystemFont = keyof typeof systemFonts;

/** How values of tokens call them. */
export const fontNames: readonly string[] = Object.keys(systemFonts).map((name) => `system:${name}`);

/** The family that a value of a token names; null: none that we know. */
export function fontOf(value: string): FontFamily | null {
  const [, name = ''] = /^system:(.+)$/.exec(value) ?? [];
  return Object.hasOwn(systemFonts, name) ? systemFonts[name as SystemFont] : null;
}
