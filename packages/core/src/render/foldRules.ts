import { inMedium, looks, rule, type Rule } from '../style/rule.ts';

/**
 * Lists whose branches fold. They are closed only where scripts run. Until the script has started, the branch that
 * the page is in shows, and others open for the pointer and the focus: so nothing moves when it comes, and everything
 * can be reached where it does not.
 */
export const foldRules: readonly Rule[] = [
  rule('.zv-folds li', 'display:flex;flex-wrap:wrap'),
  rule('.zv-folds li>:is(a,span)', 'flex:1 1 0;min-inline-size:0', { weight: 1 }),
  rule('.zv-folds li>button', 'display:none;cursor:pointer'),
  // Where the whole row opens, the row is what remains of it without script: a heading.
  rule('.zv-folds li>button:not([aria-label])', 'display:flex;flex:1 1 0;min-inline-size:0'),
  rule('.zv-folds li>:is(ul,.zv-stacked)', 'flex-basis:100%;min-inline-size:0'),
  ...inMedium('scripted', [
    rule('.zv-folds li>button', 'display:flex;justify-content:center', { weight: 1 }),
    rule('.zv-folds li>button:not([aria-label])', 'justify-content:space-between', { weight: 2 }),
    // Its arrow stands below those of buttons that are arrows alone.
    rule('.zv-folds li>button:not([aria-label])', 'padding-inline-end:1.175rem', { weight: 2, isLate: true }),
    rule('.zv-folds li>button::after', 'content:"";rotate:45deg;flex:none'),
    rule('.zv-folds button[aria-expanded=true]::after', 'rotate:calc(45deg + var(--_turn))'),
    rule('.zv-folds button[aria-expanded=false]~:is(ul,.zv-stacked)', 'display:none'),
    rule(
      '.zv-opens-current:not([data-zv-on]) li:has([aria-current])>:is(ul,.zv-stacked),.zv-folds:not([data-zv-on]) li:is(:hover,:focus-within)>:is(ul,.zv-stacked),.zv-drawer:not([open]) .zv-folds li>:is(ul,.zv-stacked)',
      'display:block',
      { weight: 4 },
    ),
  ]),
  looks('foldButton', 'foldArrow', 'foldList'),
];

/** One level at a time: what is open takes the place of what it stands in. */
export const stepRules: readonly Rule[] = [
  rule('.zv-back', 'display:none'),
  rule('.zv-step-in[data-zv-on] .zv-back', 'display:flex'),
  rule('.zv-folds .zv-back>button', 'flex:1;justify-content:start', { weight: 3 }),
  rule('.zv-folds .zv-back>button::after', 'display:none', { weight: 3 }),
  rule('.zv-back>button::before', 'content:"";rotate:135deg;flex:none'),
  rule('[dir=rtl] .zv-back>button::before', 'rotate:-45deg'),
  rule('.zv-step-in button[aria-expanded]::after', 'rotate:-45deg', { weight: 3 }),
  rule('[dir=rtl].zv-step-in button[aria-expanded]::after', 'rotate:135deg', { weight: 3 }),
  rule(
    '.zv-step-in[data-zv-on] ul:has(>li>button[aria-expanded=true])>li:not(:has(>button[aria-expanded=true])),.zv-step-in[data-zv-on] li:has(>button[aria-expanded=true])>:is(a,span,button)',
    'display:none',
    { weight: 6 },
  ),
  rule('.zv-step-in[data-zv-on] ul', 'padding-inline-start:0', { weight: 3, isLate: true }),
  looks('backRow', 'backSign'),
];
