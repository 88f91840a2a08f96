import type { AreaFacts } from '../resolve/resolveFrame.ts';
import type { ResolvedPart } from '../resolve/resolved.ts';
import { inMedium, looks, rule, type Rule } from '../style/rule.ts';
import type { FrameLook } from './frameLook.ts';
import { foldOf } from './fold.ts';
import { foldRules, stepRules } from './foldRules.ts';

/** How wide a drawer is where nobody said it, in px. */
const USUAL_DRAWER = 360;
/** How wide a vertical header is where nobody said it, in px. */
const USUAL_VERTICAL = 240;

/** What the areas of a frame need of the style sheet for the way they behave, where they do. */
export function areaRules({ parts, areas, does }: FrameLook): Rule[] {
  const { header, side, drawer } = areas;
  const hasDrawer = parts.some(({ kind }) => kind === 'menuButton');
  const folds = parts.flatMap((part) =>
    // Where no area is known, one that usually folds is assumed.
    part.shown === undefined ? [] : (foldOf(hasDrawer ? 'drawer' : 'page', part) ?? []),
  );
  return [
    ...sideRules(side),
    ...(does.has('sticky') || does.has('returns') ? sticky : []),
    ...(does.has('lower') ? lower : []),
    ...(header.vertical === undefined ? [] : verticalRules(header)),
    ...(does.has('overlaid') ? overlay : []),
    ...(hasDrawer ? drawerRules(drawer) : []),
    ...arrangements(parts),
    ...(folds.length === 0 ? [] : foldRules),
    ...(folds.some(({ pattern }) => pattern === 'stepIn') ? stepRules : []),
  ];
}

/** The side area: a width of its own, and folded on narrow screens. */
function sideRules({ areaWidth, isUnfolded }: AreaFacts): Rule[] {
  return [
    rule(
      '.zv-section',
      'display:none;box-sizing:border-box;inline-size:100%;align-items:center;justify-content:space-between;cursor:pointer;text-align:start',
    ),
    ...(areaWidth === undefined
      ? []
      : [rule('.zv-side', `inline-size:${areaWidth}px;max-inline-size:100%`, { medium: 'wider' })]),
    ...(isUnfolded === true
      ? []
      : [
          ...inMedium('narrowScripted', [
            rule('.zv-section', 'display:flex', { weight: 1 }),
            rule('.zv-section::after', 'content:"";rotate:45deg;flex:none'),
            rule('.zv-section[aria-expanded=true]::after', 'rotate:calc(45deg + var(--_turn))'),
            // Until the script has started, it opens for the pointer and the focus.
            rule('.zv-section[aria-expanded=false]~.zv-section-content', 'display:none'),
            rule('.zv-side:not([data-zv-on]):is(:hover,:focus-within)>.zv-section-content', 'display:block', {
              weight: 2,
            }),
          ]),
          looks('sectionButton', 'sectionArrow'),
        ]),
  ];
}

/** It stays in sight, unless that would take more than a third of the screen's height. */
const sticky: readonly Rule[] = [
  // What the page scrolls to, such as what gets the focus, stops below the header.
  rule(
    ':where(html):has(.zv-sticky:where(.zv-header))',
    'scroll-padding-block-start:var(--zv-header-size,5rem)',
  ),
  ...inMedium('tall', [
    rule('.zv-sticky', 'position:sticky;inset-block-start:0'),
    rule(
      '.zv-side.zv-sticky',
      'align-self:start;inset-block-start:var(--zv-header-size,0px);max-block-size:calc(100vh - var(--zv-header-size,0px));overflow:auto',
    ),
  ]),
  rule('.zv-side.zv-sticky', 'position:static', { medium: 'narrow', weight: 1 }),
  rule('.zv-header.zv-sticky.zv-let-go', 'position:static', { weight: 1 }),
  rule('.zv-header.zv-returns.zv-away', 'translate:0 -100%'),
  rule('.zv-sticky', 'position:static', { medium: 'print', weight: 3 }),
  rule('.zv-returns', 'transition:translate var(--_come-back,.2s)'),
  // What has the focus is in sight at once.
  rule('.zv-header.zv-returns:focus-within', 'translate:none;transition:none', { weight: 1 }),
];

/** Lower once scrolled: what is inside shrinks; the box in the flow does not, since the script keeps its height. */
const lower: readonly Rule[] = [
  rule('.zv-lower.zv-scrolled>.zv-band', 'padding-block:0', { weight: 1, isLate: true }),
  rule('.zv-lower.zv-scrolled .zv-logo img', 'max-block-size:2rem;inline-size:auto', { weight: 2 }),
];

/** It lies over the content, and is transparent until it is scrolled or something in it is open. */
const overlay: readonly Rule[] = [
  rule('.zv-overlaid', 'background-clip:padding-box'),
  rule('.zv-overlaid', 'position:absolute;inset-block-start:0;inset-inline:0', { weight: 1 }),
  rule('.zv-header.zv-overlaid.zv-sticky[data-zv-on]:not(.zv-let-go)', 'position:fixed', {
    medium: 'tall',
    weight: 1,
  }),
];

/** A column at the side of wide and medium screens: zones are its top, middle and bottom. */
function verticalRules({ areaWidth = USUAL_VERTICAL, vertical = 'start', isCentred }: AreaFacts): Rule[] {
  const edge = `inset-inline-${vertical}`;
  const beside = vertical === 'start' ? 'inset-inline-start' : 'inset-inline-end';
  return inMedium('vertical', [
    // The page makes room for it, so it lies over nothing.
    rule(':where(body):has(.zv-vertical)', `padding-inline-${vertical}:${areaWidth}px`),
    rule(
      '.zv-vertical',
      `box-sizing:border-box;display:flex;flex-direction:column;position:absolute;inset-block-start:0;inset-inline:auto;${edge}:0;inline-size:${areaWidth}px;min-block-size:100vh`,
      { weight: 2 },
    ),
    rule('.zv-header.zv-vertical.zv-sticky', 'position:fixed;block-size:100vh;overflow:auto', { weight: 3 }),
    rule(
      '.zv-header.zv-vertical.zv-over-content',
      'background:var(--_paper);--zv-ink:inherit;--zv-tint:inherit;--zv-accent:inherit',
      { weight: 6, isLate: true },
    ),
    rule('.zv-vertical.zv-over-content>.zv-band', '--zv-ink:inherit;--zv-tint:inherit;--zv-accent:inherit', {
      isLate: true,
      weight: 6,
    }),
    rule('.zv-vertical>.zv-band', 'display:flex'),
    rule('.zv-vertical>.zv-band:last-child', 'flex:1'),
    rule(
      '.zv-vertical .zv-band-content',
      'display:flex;flex-direction:column;flex:1;justify-content:space-between;align-items:stretch;padding-inline:1rem;min-inline-size:0',
      { weight: 1 },
    ),
    rule('.zv-vertical .zv-zone', 'flex-flow:column nowrap;align-items:stretch;justify-content:start', {
      weight: 1,
    }),
    ...(isCentred === true
      ? [
          rule('.zv-centred .zv-zone', 'align-items:center;text-align:center', { weight: 2 }),
          rule('.zv-centred li>:is(a,span,button)', 'justify-content:center;text-align:center', {
            weight: 2,
          }),
        ]
      : []),
    rule('.zv-vertical .zv-bar', 'position:static', { weight: 2 }),
    rule('.zv-vertical .zv-bar', 'margin-inline:0', { isLate: true }),
    rule('.zv-vertical .zv-bar>ul', 'flex-direction:column'),
    rule('.zv-vertical .zv-bar>ul>li', 'position:static;flex:none', { weight: 3 }),
    rule('.zv-vertical .zv-bar>ul>li>button::after', `rotate:${vertical === 'start' ? '-45deg' : '135deg'}`, {
      weight: 3,
    }),
    rule('[dir=rtl] .zv-bar>ul>li>button::after', `rotate:${vertical === 'start' ? '135deg' : '-45deg'}`, {
      weight: 4,
    }),
    // What a bar opens stands beside the column, as high as the screen.
    rule(
      '.zv-vertical .zv-bar>ul>li>:is(ul,.zv-panel)',
      `position:fixed;inset-block:0;inset-inline:auto;${beside}:${areaWidth}px;inline-size:min(24rem,calc(100vw - ${areaWidth}px));min-inline-size:0;max-inline-size:none;block-size:auto;max-block-size:none;overflow:auto`,
      { weight: 5, isLate: true },
    ),
    rule('.zv-vertical .zv-panel', 'grid-template-columns:minmax(0,1fr);align-content:start', { weight: 3 }),
    rule('.zv-vertical .zv-panel .zv-cell', 'grid-column:span 12', { weight: 2 }),
    rule('.zv-vertical .zv-panel .zv-groups', '--_columns:1', { weight: 2 }),
    rule('.zv-vertical .zv-bar>ul>li+li::before', 'display:none', { weight: 2 }),
  ]);
}

/** A dialog at an edge of the screen. Without script, its address shows it. */
function drawerRules({ areaWidth = USUAL_DRAWER, ...facts }: AreaFacts): Rule[] {
  const comesFrom = facts.comesFrom ?? 'end';
  const place = {
    start: 'inset-block:0;inset-inline:0 auto;block-size:100%',
    end: 'inset-block:0;inset-inline:auto 0;block-size:100%',
    top: 'inset-block:0 auto;inset-inline:0;max-block-size:100%',
    full: 'inset:0;block-size:100%',
  }[comesFrom];
  const isWide = comesFrom === 'top' || comesFrom === 'full';
  return [
    rule(
      '.zv-drawer',
      `display:none;position:fixed;${place};inline-size:${isWide ? 'auto' : `min(${areaWidth}px,calc(100vw - 2.5rem))`};max-inline-size:none;box-sizing:border-box;margin:0;overflow:auto;overscroll-behavior:contain;touch-action:pan-y pinch-zoom`,
    ),
    rule('.zv-drawer:is([open],:target)', 'display:block', { medium: 'drawer' }),
    // It comes from its edge; what is in it does not.
    rule('.zv-drawer', `--_faint:1;--_from:${offEdge[comesFrom]}`),
    ...(comesFrom === 'start' || comesFrom === 'end'
      ? [rule('[dir=rtl].zv-drawer', `--_from:${offEdge[comesFrom === 'start' ? 'end' : 'start']}`)]
      : []),
    rule('.zv-drawer>*', '--_faint:initial;--_from:initial'),
    rule(
      '.zv-drawer-head',
      'display:flex;align-items:center;justify-content:space-between;position:sticky;z-index:1;inset-block-start:0',
    ),
    rule('.zv-close', 'display:inline-flex;align-items:center;justify-content:center;cursor:pointer'),
    rule('.zv-yields:where(:root:has(.zv-has-drawer) *)', 'display:none', { medium: 'drawer', weight: 2 }),
    rule('.zv-drawer .zv-band-content', 'max-inline-size:none', { weight: 1 }),
    rule('.zv-drawer .zv-cell', 'grid-column:1/-1', { weight: 1 }),
    rule('.zv-drawer .zv-bar', 'display:none'),
    // What fingers are to hit is large enough.
    rule('.zv-drawer :is(a,button,summary,[type=search])', 'min-block-size:2.75rem', {
      weight: 4,
      isLate: true,
    }),
    rule('.zv-drawer .zv-marks>a', 'min-inline-size:2.75rem', { weight: 4, isLate: true }),
    rule('.zv-drawer .zv-search', 'grid-template-columns:minmax(0,1fr) auto', { weight: 1 }),
    rule('.zv-drawer .zv-fold>form', 'position:static;inline-size:auto', { weight: 3 }),
    rule(':where(html):has(.zv-drawer:where([open]))', 'overflow:hidden'),
    rule('.zv-drawer>.zv-band:last-child', 'border-block-end:0', { weight: 1, isLate: true }),
    rule('.zv-drawer', 'display:none!important', { medium: 'print' }),
    rule('.zv-drawer', 'border:1px solid CanvasText', { medium: 'forcedColors', weight: 1, isLate: true }),
    rule('.zv-drawer::backdrop', 'background:#0008'),
    looks('drawer', 'drawerHead', 'closeButton', 'drawerBand', 'drawerList', 'drawerEntry'),
  ];
}

/** Where a drawer is before it comes into sight. */
const offEdge = { start: '-100% 0', end: '100% 0', top: '0 -100%', full: '0 -1rem' } as const;

/** Bands that are there on some device classes alone. */
function arrangements(parts: readonly ResolvedPart[]): Rule[] {
  return (['medium', 'narrow'] as const).flatMap((device) =>
    parts.some(({ kind, only }) => kind === 'band' && only === device)
      ? [
          rule(`.zv-not-${device}`, 'display:none', { medium: device, weight: 2 }),
          ...(device === 'medium' ? (['narrow', 'wide'] as const) : (['wider'] as const)).map((other) =>
            rule(`.zv-arranged-${device}`, 'display:none', { medium: other, weight: 2 }),
          ),
        ]
      : [],
  );
}
