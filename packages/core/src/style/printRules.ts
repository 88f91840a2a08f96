import type { PartOf } from '../schema/part.ts';
import type { Site } from '../schema/site.ts';
import type { Scheme } from '../schema/style.ts';
import type { Medium, Rule } from './rule.ts';
import { compareSpecificity } from '../anatomy/specificity.ts';
import { compileStyles } from './compileStyles.ts';
import { printOwnCss } from './ownCss.ts';
import { plainSheet, type Sheet } from './sheet.ts';

/**
 * A style sheet of rules: how things are laid out, then their looks (`compileStyles`), then what has to be so
 * whatever somebody set. Every rule is printed with the specificity of one class, and what its selector says
 * more stands in `:where()`: so the element rules of a site lose against ours, and any rule of a site with a
 * class and an element wins, whatever our markup looks like. What wins among our own rules is their order. Rules
 * of the layout come in the order in which their selectors count as they are written (`specificityOf`), and those
 * that count alike in the order in which they were given: the same wins as if they were printed as written.
 * Equal rules are printed once. O(n log n).
 */
export function printRules(rules: readonly Rule[], breakpoints: Widths, sheet: Sheet = plainSheet()): string {
  const things = [...new Set(rules.flatMap(({ looks = [] }) => looks))];
  const late = inOrder(rules.filter(({ isLate }) => isLate));
  const styled = compileStyles(things, sheet).flatMap(({ selectors, declarations, medium, scheme }) =>
    selectors.map((flat) => ({ flat, declarations, medium, scheme })),
  );
  return [
    printed(inOrder(rules.filter(({ isLate }) => !isLate)), breakpoints),
    ...(styled.length === 0 ? [] : [LOOKS, printed(styled, breakpoints)]),
    ...(sheet.own.length === 0 ? [] : [OWN, printOwnCss(sheet.own)]),
    ...(late.length === 0 ? [] : [LATE, printed(late, breakpoints)]),
  ].join('');
}

const LOOKS = '/* Looks: what comes later wins. */\n';
const OWN = '/* Written by hand. */\n';
/** What comes before the rules that win over all looks. */
const LATE = '/* Needed for it to work, whatever was set above. */\n';

/** One selector with its declarations. */
interface Single {
  readonly flat: string;
  readonly declarations: string;
  readonly medium: Medium | null;
  readonly also?: Medium | undefined;
  readonly narrower?: number | undefined;
  readonly scheme?: Scheme | null;
}

/** Rules with a selector each, those that count less first. */
function inOrder(rules: readonly Rule[]): Single[] {
  return rules
    .flatMap(({ printed: some, declarations, medium, also, narrower }) =>
      some.map((one) => ({ ...one, declarations, medium, also, narrower })),
    )
    .map((one, at) => ({ ...one, at }))
    .sort((a, b) => compareSpecificity(a.counts, b.counts) || a.at - b.at);
}

/** Rules as CSS, in their order; what stands next to each other is put together. */
function printed(ordered: readonly Single[], breakpoints: Widths): string {
  const known = new Set<string>();
  const blocks: { readonly condition: string | null; readonly rules: Printed[] }[] = [];
  for (const { flat, declarations, medium, also, narrower, scheme = null } of ordered) {
    const media = [
      ...[medium, also].flatMap((one) => (one == null ? [] : [conditionOf(one, breakpoints)])),
      ...(scheme === null ? [] : [schemeConditions[scheme]]),
    ].join(' and ');
    const condition =
      [
        ...(media === '' ? [] : [`@media ${media}`]),
        ...(narrower === undefined ? [] : [`@container zv (width<${narrower}em)`]),
      ].join('{') || null;
    const key = [condition, flat, declarations].join(' ');
    if (known.has(key)) continue;
    known.add(key);
    if (blocks.length === 0 || blocks.at(-1)?.condition !== condition) blocks.push({ condition, rules: [] });
    const block = blocks.at(-1)?.rules ?? [];
    const last = block.at(-1);
    if (last?.declarations === declarations) last.selectors.push(flat);
    else block.push({ selectors: [flat], declarations });
  }
  return blocks
    .map(({ condition, rules: some }) => {
      const lines = some.map(({ selectors, declarations }) => `${selectors.join(',')}{${declarations}}`);
      if (condition === null) return `${lines.join('\n')}\n`;
      return `${condition}{${lines.join('')}${condition.includes('{') ? '}' : ''}}\n`;
    })
    .join('');
}

/** When a colour scheme is that of the visitor. */
export const schemeConditions: Readonly<Record<Scheme, string>> = {
  light: '(prefers-color-scheme:light)',
  dark: '(prefers-color-scheme:dark)',
};

/** The widths of windows, in px, at which something changes. */
export type Widths = Site['breakpoints'] & {
  /** Where the drawer takes over; not there: in windows narrower than medium. */
  readonly takeover?: PartOf<'area'>['takeover'];
};

interface Printed {
  readonly selectors: string[];
  readonly declarations: string;
}

/** The condition of a medium. Device classes are about the screen, so that all menus agree on them. */
export function conditionOf(medium: Medium, { medium: from, wide, takeover = from }: Widths): string {
  const isNumber = typeof takeover === 'number';
  switch (medium) {
    case 'drawer':
      return isNumber ? `(max-width:${takeover - 0.02}px)` : takeover === 'always' ? 'all' : 'not all';
    case 'noDrawer':
      return isNumber ? `(min-width:${takeover}px)` : takeover === 'always' ? 'not all' : 'all';
    case 'vertical':
      return `(min-width:${isNumber ? Math.max(from, takeover) : from}px)`;
    case 'narrowScripted':
      return `(max-width:${from - 0.02}px) and (scripting:enabled)`;
    case 'scripted':
      return '(scripting:enabled)';
    case 'tall':
      return '(min-height:25rem)';
    case 'narrow':
      return `(max-width:${from - 0.02}px)`;
    case 'medium':
      return `(min-width:${from}px) and (max-width:${wide - 0.02}px)`;
    case 'wide':
      return `(min-width:${wide}px)`;
    case 'wider':
      return `(min-width:${from}px)`;
    case 'print':
      return 'print';
    case 'forcedColors':
      return '(forced-colors:active)';
    case 'lessMotion':
      return '(prefers-reduced-motion:reduce)';
  }
}
