/**
 * A readable title from the last part of an address: `sow-in-autumn.html` gives "Sow in autumn".
 * Percent-encoding is undone where it is sound; an address that says nothing readable gives null.
 */
export function titleFromSlug(slug: string): string | null {
  const words = decoded(slug)
    .replace(/\.(?:html?|php|aspx?|jsp)$/i, '')
    .replaceAll(/[-_+\s\p{Cc}]+/gu, ' ')
    .trim()
    .normalize('NFC');
  if (words === '') return null;
  const [first = '', ...rest] = words;
  return `${first.toLocaleUpperCase('en')}${rest.join('')}`;
}

function decoded(slug: string): string {
  try {
    return decodeURIComponent(slug);
  } catch {
    // A stray % is no encoding: the text is meant as it stands.
    return slug;
  }
}
