import type { ResolvedItem, ResolvedMenu } from '../resolve/resolved.ts';
import { inMedium, looks, rule, type Rule } from '../style/rule.ts';
import { hasPanel } from './panelHtml.ts';
import { panelRules } from './panelRules.ts';
import { partRules } from './partRules.ts';

/**
 * What panels and the other forms of dropdowns need of the style sheet; empty where there are plain lists
 * alone. Without the script a panel spans its bar, and so never leaves the screen.
 */
export function dropdownRules(menus: readonly ResolvedMenu[]): Rule[] {
  const tops = menus
    .flatMap(({ items }) => items)
    .filter((item) => item.dropdown !== undefined && (item.children.length > 0 || hasPanel(item)));
  const withForm = (form: string): ResolvedItem[] => tops.filter(({ dropdown }) => dropdown?.form === form);
  const panels = withForm('panel');
  return [
    ...(panels.length > 0 ? [...panelRules(panels), ...partRules(menus)] : []),
    ...(withForm('row').length > 0 ? rows : []),
    ...(withForm('flyouts').length > 0 ? flyouts : []),
    ...listRules(withForm('list')),
  ];
}

/** A row of links across the bar. */
const rows: readonly Rule[] = inMedium('wider', [
  rule('.zv-bar', 'position:relative'),
  rule('.zv-bar>ul>li.zv-drops-row', 'position:static'),
  rule('.zv-bar>ul>li.zv-drops-row>ul', 'inset-inline:0;inline-size:auto;max-inline-size:none', {
    isLate: true,
  }),
  rule(
    '.zv-bar button[aria-expanded=true]~ul:is(.zv-drops-row>ul),.zv-bar:not([data-zv-on])>ul>li.zv-drops-row:is(:hover,:focus-within)>ul',
    'display:flex;flex-wrap:wrap;gap:var(--_gap);align-items:start',
  ),
]);

/** Flyouts: each level opens next to its parent. */
const flyouts: readonly Rule[] = inMedium('wider', [
  rule('.zv-bar>ul>li.zv-drops-flyouts>ul', 'overflow:visible;max-block-size:none'),
  rule('.zv-drops-flyouts ul li', 'position:relative;flex-wrap:nowrap'),
  rule(
    '.zv-bar .zv-drops-flyouts ul ul',
    'position:absolute;inset-block-start:-.4rem;inset-inline-start:100%;inline-size:max-content',
  ),
  rule('.zv-bar .zv-drops-flyouts li[data-zv-end]>ul', 'inset-inline:auto 100%'),
  rule('.zv-bar .zv-drops-flyouts ul button::after', 'rotate:-45deg'),
  rule('[dir=rtl] .zv-drops-flyouts ul button::after', 'rotate:135deg'),
  looks('flyout', 'flyoutArrow'),
]);

/** Lists with their own width, alignment or columns. */
function listRules(tops: readonly ResolvedItem[]): Rule[] {
  const lists = tops.flatMap(({ dropdown }) => dropdown?.list ?? []);
  const widths = [...new Set(lists.flatMap(({ width }) => width ?? []))];
  const counts = [...new Set(lists.flatMap(({ columns }) => columns ?? []))];
  if (lists.length === 0) return [];
  return inMedium('wider', [
    ...widths.map((width) =>
      rule(
        `.zv-bar>ul>li.zv-width-${width}>ul`,
        `inline-size:${width}px;max-inline-size:calc(100vw - 1rem)`,
        {
          isLate: true,
        },
      ),
    ),
    rule('.zv-bar>ul>li.zv-align-end>ul', 'inset-inline:auto 0'),
    rule('.zv-bar>ul>li.zv-align-centre>ul', 'inset-inline-start:50%;translate:-50%'),
    rule('[dir=rtl]>ul>li.zv-align-centre>ul', 'translate:50%'),
    ...counts.map((count) =>
      rule(
        `.zv-bar>ul>li.zv-list-columns-${count}>ul`,
        `columns:${count};max-inline-size:calc(100vw - 1rem)`,
        { isLate: true },
      ),
    ),
    ...(counts.length === 0 ? [] : [rule('.zv-bar>ul>li>ul>li', 'break-inside:avoid')]),
  ]);
}
