import type { ResolvedItem } from '../resolve/resolved.ts';
import { inMedium, looks, rule, type Rule } from '../style/rule.ts';
import { isFetched } from './panelHtml.ts';
import { resolvedParts } from './resolvedParts.ts';

/** What panels need of the style sheet. `tops` are the entries that drop as panels. */
export function panelRules(tops: readonly ResolvedItem[]): Rule[] {
  return [
    ...basic,
    ...(tops.some(isFetched) ? [rule('.zv-bar .zv-panel:empty', 'display:none', { weight: 1 })] : []),
    ...numbersOf(tops),
    ...inMedium('medium', formRules('medium', tops)),
    ...narrow,
    ...inMedium('narrow', formRules('narrow', tops)),
  ];
}

/** Columns of groups, or rows of cells, below a bar. */
const basic: readonly Rule[] = [
  rule('.zv-bar', 'position:relative'),
  rule('.zv-bar>ul>li.zv-drops-panel', 'position:static'),
  rule(
    '.zv-panel',
    'display:none;position:absolute;inset-block-start:calc(100% + var(--_drop,0px));inset-inline:0 auto;inline-size:100%;box-sizing:border-box;max-inline-size:100vw;max-block-size:calc(100vh - 7rem);overflow:auto;grid-template-columns:repeat(var(--_columns,1),minmax(0,var(--_column,1fr)));justify-content:center',
  ),
  rule(
    '.zv-bar button[aria-expanded=true]~.zv-panel,.zv-bar:not([data-zv-on])>ul>li:is(:hover,:focus-within)>.zv-panel',
    'display:grid',
  ),
  rule('.zv-bar .zv-panel ul', 'display:block'),
  rule('.zv-bar .zv-panel', 'display:none!important', { medium: 'print' }),
  rule('.zv-bar .zv-panel li', 'display:block'),
  looks('panel', 'panelList', 'panelEntry', 'panelHeading', 'panelGroup', 'panelLevel'),
];

/** On narrow screens, a panel opens inside the bar. */
const narrow: readonly Rule[] = [
  rule(
    '.zv-bar .zv-panel',
    'position:static;flex-basis:100%;grid-template-columns:minmax(0,1fr);max-inline-size:none;max-block-size:none',
    { medium: 'narrow' },
  ),
];

/** Numbers that somebody set stand in classes of their own, for sites that allow no inline styles. */
function numbersOf(panels: readonly ResolvedItem[]): Rule[] {
  const counts = [...new Set(panels.flatMap(countsIn))].sort();
  const gaps = [...new Set(panels.flatMap(({ dropdown }) => dropdown?.panel?.gap ?? []))];
  const inner = new Map(
    panels.flatMap(({ dropdown, columns = [], rows }) => {
      const width = dropdown?.panel?.innerWidth;
      if (width === undefined) return [];
      const count = rows === undefined ? columns.length : 1;
      const held =
        rows === undefined
          ? `.zv-inner-width-${width}>.zv-columns-${count}`
          : `.zv-inner-width-${width}>.zv-rows`;
      return [[held, `calc((${width}px - ${(count - 1) * 1.5}rem)/${count})`] as const];
    }),
  );
  const places = [...new Set(panels.flatMap(({ columns = [] }) => afterEmpty(columns)))].sort();
  return [
    ...counts.map((count) => rule(`.zv-columns-${count}`, `--_columns:${count}`)),
    ...gaps.map((gap) => rule(`.zv-gap-${gap}`, `--_drop:${gap}px`)),
    ...[...inner].map(([held, column]) => rule(held, `--_column:${column}`)),
    ...places.map((at) => rule(`.zv-at-column-${at}`, `grid-column-start:${at}`, { medium: 'wide' })),
    ...counts
      .filter((count) => count > 3)
      .map((count) => rule(`.zv-columns-${count}`, '--_columns:3', { medium: 'medium' })),
  ];
}

function countsIn(item: ResolvedItem): number[] {
  const own = item.columns === undefined ? [] : [item.columns.length];
  return [
    ...own,
    ...resolvedParts(item).flatMap(({ groups }) =>
      groups === undefined ? [] : [Math.max(1, groups.length)],
    ),
  ];
}

/** The columns, from 1, that stand behind one without anything in it. */
function afterEmpty(columns: readonly number[]): number[] {
  return columns.flatMap((size, at) => (size > 0 && at > 0 && columns[at - 1] === 0 ? [at + 1] : []));
}

/**
 * What panels become on a device class, for the forms that are in use; `.zv-narrow-list` has one list on narrow
 * screens.
 */
function formRules(device: 'medium' | 'narrow', tops: readonly ResolvedItem[]): Rule[] {
  const used = new Set(
    tops.map(({ dropdown }) => dropdown?.panel?.[device] ?? (device === 'narrow' ? 'stacked' : 'grid')),
  );
  const isComposed = tops.some(({ rows }) => rows !== undefined);
  const at = (form: string): string => `.zv-bar .zv-${device}-${form}`;
  const columns = (form: string, count: number): Rule =>
    rule(`${at(form)}>.zv-panel:not(.zv-rows)`, `--_columns:${count}`);
  const whole = 'grid-column:span 12';
  const groups = `${at('list')} .zv-panel>ul>li:has(>ul)`;
  const forms: Readonly<Record<string, readonly Rule[]>> = {
    two: [
      columns('two', 2),
      ...onlyIf(isComposed, [
        rule(`${at('two')} .zv-cell`, 'grid-column:span 6'),
        rule(`${at('two')} :is(.zv-span-7,.zv-span-8,.zv-span-9,.zv-span-10,.zv-span-11,.zv-span-12)`, whole),
      ]),
    ],
    stacked: onlyIf(device === 'medium', [columns('stacked', 1), rule(`${at('stacked')} .zv-cell`, whole)]),
    list: [
      rule(`${at('list')}>.zv-panel`, '--_columns:1'),
      rule(`${at('list')}>.zv-panel`, 'gap:0', { isLate: true }),
      rule(groups, 'margin-block-start:0', { isLate: true }),
      rule(`${groups}>:is(a,span)`, 'font-weight:inherit', { isLate: true }),
      rule(`${at('list')} .zv-panel ul ul`, 'padding-inline-start:1rem', { isLate: true }),
      ...onlyIf(isComposed, [
        rule(`${at('list')} .zv-panel-row`, 'display:none'),
        rule(`${at('list')} .zv-panel>.zv-all-items`, 'display:block'),
      ]),
    ],
    own: onlyIf(isComposed, [
      rule(`${at('own')} .zv-panel-row:not(.zv-only-${device})`, 'display:none'),
      rule(`${at('own')} .zv-only-${device}`, 'display:grid'),
    ]),
    item: [rule(`${at('item')}>:is(.zv-panel,a~button)`, 'display:none')],
  };
  return [
    ...onlyIf(device === 'narrow' && isComposed, stackedRows),
    ...Object.entries(forms).flatMap(([form, rules]) => onlyIf(used.has(form as never), rules)),
  ];
}

/** On narrow screens, cells stand one below the other, whatever else a panel becomes. */
const stackedRows: readonly Rule[] = [
  rule('.zv-rows .zv-cell', 'grid-column:span 12'),
  rule('.zv-rows .zv-groups', '--_columns:1'),
  rule('.zv-rows .zv-panel-row', 'min-block-size:auto'),
  rule('.zv-cell>.zv-full-bleed', 'margin-inline:calc(-1*var(--_inset))', { weight: 1 }),
  rule('.zv-cell:not(:first-child)>.zv-full-bleed', 'margin-block-start:0', { weight: 1 }),
];

function onlyIf(holds: boolean, rules: readonly Rule[]): readonly Rule[] {
  return holds ? rules : [];
}
