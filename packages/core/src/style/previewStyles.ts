import { schemes, type Scheme } from '../schema/style.ts';
import { schemeConditions } from './printRules.ts';

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

/** A style sheet as it is in one colour scheme, whichever somebody has chosen for the window that shows it. */
export function inScheme(css: string, scheme: Scheme): string {
  return schemes.reduce(
    (so, one) => so.replaceAll(schemeConditions[one], one === scheme ? '(min-width:0)' : '(max-width:0)'),
    css,
  );
}
