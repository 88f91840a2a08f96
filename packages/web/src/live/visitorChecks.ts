import { focusPath } from './focusPath.ts';

/** What visitors may use, or have set, that only the page itself can answer for. */
export const visitorModes = ['touch', 'keyboard', 'forcedColours', 'lessMotion'] as const;
/** See `visitorModes`. */
export type VisitorMode = (typeof visitorModes)[number];

/** What fails for such visitors. */
export const visitorFaults = ['small', 'back', 'current', 'mask', 'shape', 'colours', 'moves'] as const;
/** See `visitorFaults`. */
export type VisitorFault = (typeof visitorFaults)[number];

/** Something that fails for some visitors. */
export interface VisitorFinding {
  readonly mode: VisitorMode;
  readonly fault: VisitorFault;
  /** What it is about: the text of a link, or the name of a menu. */
  readonly name: string;
}

/** Names are cut behind so many signs. */
const MOST = 60;
const FACES = 'nav.zv li>:is(a,span,button)';

/**
 * Runs a page for visitors who touch, use keys, have colours of their own, or want less motion. `blocks`: parts of the
 * page with something open in each; `wear`: shows a style sheet in it. What is found in several blocks is told once.
 * O(elements).
 */
export function visitorFindings(
  blocks: readonly Element[],
  css: string,
  wear: (css: string) => void,
): VisitorFinding[] {
  const found = blocks.flatMap(pressed);
  wear(asForced(css));
  found.push(...inForcedColours(blocks));
  wear(asStill(css));
  found.push(...withLessMotion(blocks));
  wear(css);
  const once = new Map(found.map((one) => [`${one.fault} ${one.name}`, one]));
  return [...once.values()];
}

/** Media queries that always hold, and never. */
const [ALWAYS, NEVER] = ['(min-width:0)', '(max-width:0)'];

/** A style sheet as in a browser with forced colours (CSS Color Adjustment 1, 3). */
export function asForced(css: string): string {
  return css
    .replaceAll(/\(forced-colors\s*(?::\s*active\s*)?\)/g, ALWAYS)
    .replaceAll(/\(forced-colors\s*:\s*none\s*\)/g, NEVER);
}

/** A style sheet as in a browser whose visitor wants less motion (Media Queries 5, 11.1). */
export function asStill(css: string): string {
  return css
    .replaceAll(/\(prefers-reduced-motion\s*(?::\s*reduce\s*)?\)/g, ALWAYS)
    .replaceAll(/\(prefers-reduced-motion\s*:\s*no-preference\s*\)/g, NEVER);
}

/** An open drawer keeps the focus within it. */
function pressed(block: Element): VisitorFinding[] {
  return focusPath(block.querySelector('.zv-drawer[open]') ?? block).flatMap(
    ({ element, isSmall, isBack }): VisitorFinding[] => [
      ...(isSmall ? [{ mode: 'touch', fault: 'small', name: nameOf(element) } as const] : []),
      ...(isBack ? [{ mode: 'keyboard', fault: 'back', name: nameOf(element) } as const] : []),
    ],
  );
}

function inForcedColours(blocks: readonly Element[]): VisitorFinding[] {
  const finding = (fault: VisitorFault, name: string): VisitorFinding => ({
    mode: 'forcedColours',
    fault,
    name,
  });
  const current = blocks.flatMap((block) =>
    [...block.querySelectorAll('nav.zv')].flatMap((nav) =>
      facesByDepth(nav).some((face) => !isTold(face))
        ? [finding('current', nav.getAttribute('aria-label') ?? '')]
        : [],
    ),
  );
  const others = seenIn(blocks).flatMap((element): VisitorFinding[] => {
    const style = getComputedStyle(element);
    if (hasMask(element)) return [finding('mask', nameOf(element))];
    if (isOwnColour(style)) return [finding('colours', nameOf(element))];
    const isButton = element.matches('.zv-button,.zv-action-link') && alphaOf(style.backgroundColor) > 0;
    return isButton && style.borderTopStyle === 'none' ? [finding('shape', nameOf(element))] : [];
  });
  return [...current, ...others];
}

/** One entry of each level of a menu that is seen: what is true of it is true of the others. */
function facesByDepth(nav: Element): readonly Element[] {
  const byDepth = new Map<number, Element>();
  for (const face of nav.querySelectorAll(FACES)) {
    if (face.hasAttribute('aria-label') || !face.checkVisibility()) continue;
    let depth = 0;
    for (
      let at = face.closest('li');
      at !== null && nav.contains(at);
      at = at.parentElement?.closest('li') ?? null
    )
      depth += 1;
    if (!byDepth.has(depth)) byDepth.set(depth, face);
  }
  return [...byDepth.values()];
}

/** What is not a colour, and so survives where colours are forced. */
const SURVIVES = [
  'text-decoration-line',
  'text-decoration-style',
  'text-decoration-thickness',
  'font-weight',
  'font-style',
  'font-size',
  'text-transform',
  'outline-style',
  'outline-width',
  ...['top', 'right', 'bottom', 'left'].flatMap((side) => [`border-${side}-width`, `border-${side}-style`]),
];

/** Whether an entry of the current page is told from others without colours of the site. */
function isTold(face: Element): boolean {
  const was = face.getAttribute('aria-current');
  face.removeAttribute('aria-current');
  const plain = survivingLook(face);
  face.setAttribute('aria-current', 'page');
  const current = survivingLook(face);
  if (was === null) face.removeAttribute('aria-current');
  else face.setAttribute('aria-current', was);
  return plain !== current;
}

function survivingLook(face: Element): string {
  return [null, '::before', '::after']
    .map((pseudo) => {
      const style = getComputedStyle(face, pseudo);
      const hasBox = pseudo === null || !['none', 'normal'].includes(style.content);
      if (!hasBox) return '';
      const colours =
        style.getPropertyValue('forced-color-adjust') === 'none' ? style.backgroundColor + style.color : '';
      return SURVIVES.map((name) => style.getPropertyValue(name)).join() + colours;
    })
    .join('|');
}

/** Whether it is painted through a mask: its colour becomes that of what is behind it. */
function hasMask(element: Element): boolean {
  return [null, '::before', '::after'].some((pseudo) => {
    const style = getComputedStyle(element, pseudo);
    if (pseudo !== null && ['none', 'normal'].includes(style.content)) return false;
    return style.maskImage !== 'none' && style.getPropertyValue('forced-color-adjust') !== 'none';
  });
}

/** Somebody's CSS keeps it from being forced. Pictures in the text do that by themselves. */
function isOwnColour(style: CSSStyleDeclaration): boolean {
  return style.getPropertyValue('forced-color-adjust') === 'none' && style.display !== 'inline';
}

/** What moves something, and is not just another colour. */
const MOVING =
  /^(?:all|transform|translate|scale|rotate|inset.*|top|left|right|bottom|width|height|.*-size|margin.*|padding.*|grid.*|max-.*|min-.*)$/;

function withLessMotion(blocks: readonly Element[]): VisitorFinding[] {
  return seenIn(blocks).flatMap((element): VisitorFinding[] => {
    const moves = [null, '::before', '::after'].some((pseudo) => {
      const style = getComputedStyle(element, pseudo);
      const isAnimated = style.animationName !== 'none' && hasTime(style.animationDuration);
      const properties = style.transitionProperty.split(', ');
      return isAnimated || (hasTime(style.transitionDuration) && properties.some((one) => MOVING.test(one)));
    });
    return moves ? [{ mode: 'lessMotion', fault: 'moves', name: nameOf(element) }] : [];
  });
}

/** Less than this is not seen as motion, in s: style sheets use it instead of none, so that events still come. */
const UNSEEN = 0.02;

function hasTime(durations: string): boolean {
  return durations.split(', ').some((one) => Number.parseFloat(one) > UNSEEN);
}

function seenIn(blocks: readonly Element[]): Element[] {
  return blocks.flatMap((block) => [...block.querySelectorAll('*')].filter((one) => one.checkVisibility()));
}

function alphaOf(colour: string): number {
  const [, , , alpha = '1'] = colour.match(/[\d.]+/g) ?? ['0', '0', '0', '0'];
  return Number(alpha);
}

/** The text of something, else what it is called for those who do not see it, else what it is in. */
function nameOf(element: Element): string {
  const own = element.getAttribute('aria-label') ?? element.textContent.replaceAll(/\s+/g, ' ').trim();
  if (own !== '') return own.slice(0, MOST);
  const around = element.parentElement;
  return around === null || around.matches('section') ? element.tagName.toLowerCase() : nameOf(around);
}
