import type { PartOf } from '../schema/part.ts';
import type { Site } from '../schema/site.ts';
import type { Medium, Rule } from './rule.ts';
import { compareSpecificity } from './specificity.ts';

/**
 * A style sheet of rules. Every rule is printed with the specificity of one class, and what its selector says
 * more stands in `:where()`: so the element rules of a site lose against ours, and any rule of a site with a
 * class and an element wins, whatever our markup looks like. What wins among our own rules is their order. They
 * come in the order in which their selectors count as they are written (`specificityOf`), and those that count
 * alike in the order in which they were given: the same wins as if they were printed as they are written.
 * Equal rules are printed once. O(n log n).
 */
export function printRules(rules: readonly Rule[], breakpoints: Widths): string {
  const single = rules.flatMap(({ printed: some, declarations, medium }) =>
    some.map((one) => ({ ...one, declarations, medium })),
  );
  const ordered = single
    .map((one, at) => ({ ...one, at }))
    .sort((a, b) => compareSpecificity(a.counts, b.counts) || a.at - b.at);
  const printed = new Set<string>();
  const blocks: { readonly medium: Medium | null; readonly rules: Printed[] }[] = [];
  for (const { flat, declarations, medium } of ordered) {
    const key = [medium, flat, declarations].join(' ');
    if (printed.has(key)) continue;
    printed.add(key);
    if (blocks.at(-1)?.medium !== medium) blocks.push({ medium, rules: [] });
    const block = blocks.at(-1)?.rules ?? [];
    const last = block.at(-1);
    if (last?.declarations === declarations) last.selectors.push(flat);
    else block.push({ selectors: [flat], declarations });
  }
  return blocks
    .map(({ medium, rules: some }) => {
      const lines = some.map(({ selectors, declarations }) => `${selectors.join(',')}{${declarations}}`);
      return medium === null
        ? `${lines.join('\n')}\n`
        : `@media ${conditionOf(medium, breakpoints)}{${lines.join('')}}\n`;
    })
    .join('');
}

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
    case 'motion':
      return '(prefers-reduced-motion:no-preference)';
  }
}
