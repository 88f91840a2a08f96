import { inScheme, paletteOf, valueOfName, type Scheme, type SiteDocument } from '@zorvik/core';

/**
 * A delivered style sheet as pictures show it: in the colour scheme that is looked at. In the dark, the stand-in for
 * the site’s own page is dark, too.
 */
export function schemeShown(document: SiteDocument, css: string, scheme: Scheme): string {
  if (document.site.hasDark !== true) return css;
  const shown = inScheme(css, scheme);
  if (scheme === 'light') return shown;
  const [paper, ink] = ['paper', 'ink'].map((role) => valueOfName(paletteOf(document), role, 'dark') ?? '');
  return `${shown}:root:has(main),.cell{background:${paper}}main h1{color:${ink}}main i{background:#fff2}`;
}
