const RIGHT_TO_LEFT = new Set(['ar', 'arc', 'ckb', 'dv', 'fa', 'he', 'ps', 'sd', 'ug', 'ur', 'yi']);

/** The way a language is written, by its tag (BCP 47). */
export function directionOf(language: string): 'ltr' | 'rtl' {
  return RIGHT_TO_LEFT.has(language.split('-')[0]?.toLowerCase() ?? '') ? 'rtl' : 'ltr';
}
