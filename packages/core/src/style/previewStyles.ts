/** The states that a pointer or a key brings about, and by what they are forced where they are only looked at. */
const forcedBy = {
  ':hover': 'hover',
  ':focus-visible': 'focus',
  ':focus-within': 'focus-within',
  ':focus': 'focus',
  ':active': 'pressed',
} as const;
const PSEUDO = /:(?:hover|focus-visible|focus-within|focus|active)(?![\w-])/g;
const FORCED = /:is\((:(?:hover|focus-visible|focus-within|focus|active)),\[data-zv-state~=[\w-]+\]\)/g;

/**
 * A delivered style sheet for looking at: states that a pointer or a key brings about also hold for elements that have
 * them in `data-zv-state`. Without that, it is the same byte by byte (`deliveredStyles`).
 */
export function previewStyles(css: string): string {
  return css.replaceAll(
    PSEUDO,
    (pseudo) => `:is(${pseudo},[data-zv-state~=${forcedBy[pseudo as keyof typeof forcedBy]}])`,
  );
}

/** The style sheet that a preview was made of. */
export function deliveredStyles(preview: string): string {
  return preview.replaceAll(FORCED, '$1');
}
