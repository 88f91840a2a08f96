import type { ResolvedItem } from '../resolve/resolved.ts';
import { isFetched } from './panelHtml.ts';
import { resolvedParts } from './resolvedParts.ts';
import { SURFACE } from './surface.ts';

/** The media conditions of the three device classes. */
export type MediaByDevice = Readonly<Record<'narrow' | 'medium' | 'wide', string>>;

/** What panels need of the style sheet. `tops` are the entries that drop as panels. */
export function panelStyles(tops: readonly ResolvedItem[], media: MediaByDevice): string {
  const { narrow, medium } = media;
  return `/* Panels: columns of groups, or rows of cells, below a bar. */
.zv-bar{position:relative}
.zv-bar>ul>li.zv-drops-panel{position:static}
.zv-panel{--_inset:1.25rem;display:none;position:absolute;z-index:10;inset-block-start:calc(100% + var(--_drop,0px));inset-inline:0 auto;inline-size:100%;box-sizing:border-box;max-inline-size:100vw;max-block-size:calc(100vh - 7rem);overflow:auto;grid-template-columns:repeat(var(--_columns,1),minmax(0,var(--_column,1fr)));justify-content:center;gap:.75rem 1.5rem;padding:var(--_inset);font-weight:400;${SURFACE}}
.zv-bar button[aria-expanded=true]~.zv-panel,.zv-bar:not([data-zv-on])>ul>li:is(:hover,:focus-within)>.zv-panel{display:grid}
.zv-bar .zv-panel ul{display:block}
@media print{.zv-bar .zv-panel{display:none!important}}
.zv-bar .zv-panel li{display:block}
.zv-bar .zv-panel li>:is(a,span){padding:.25rem .5rem;min-height:2rem}
.zv-bar .zv-panel>ul>li:has(>ul)>:is(a,span){font-weight:600}
.zv-bar .zv-panel>ul>li+li:has(>ul){margin-block-start:.75rem}
.zv-bar .zv-panel ul ul{padding-inline-start:0}
.zv-bar .zv-panel ul ul ul{padding-inline-start:1rem}
${tops.some(isFetched) ? '.zv-bar .zv-panel:empty:empty{display:none}\n' : ''}${numbersOf(tops, media)}${medium}{${formRules('medium', tops)}}
${narrow}{.zv-bar .zv-panel{--_inset:.5rem;position:static;flex-basis:100%;grid-template-columns:minmax(0,1fr);max-inline-size:none;max-block-size:none;padding-block:.25rem .75rem;box-shadow:none}${formRules('narrow', tops)}}
@media print{.zv-bar .zv-panel{display:none}}
`;
}

/** Numbers that somebody set stand in classes of their own, for sites that allow no inline styles. */
function numbersOf(panels: readonly ResolvedItem[], { medium, wide }: MediaByDevice): string {
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
    ...counts.map((count) => `.zv-columns-${count}{--_columns:${count}}`),
    ...gaps.map((gap) => `.zv-gap-${gap}{--_drop:${gap}px}`),
    ...[...inner].map(([held, column]) => `${held}{--_column:${column}}`),
    ...places.map((at) => `${wide}{.zv-at-column-${at}{grid-column-start:${at}}}`),
    ...counts.filter((count) => count > 3).map((count) => `${medium}{.zv-columns-${count}{--_columns:3}}`),
  ]
    .map((rule) => `${rule}\n`)
    .join('');
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
function formRules(device: 'medium' | 'narrow', tops: readonly ResolvedItem[]): string {
  const used = new Set(
    tops.map(({ dropdown }) => dropdown?.panel?.[device] ?? (device === 'narrow' ? 'stacked' : 'grid')),
  );
  const isComposed = tops.some(({ rows }) => rows !== undefined);
  const at = (form: string): string => `.zv-bar .zv-${device}-${form}`;
  const rules: string[] = [];
  if (device === 'narrow')
    rules.push(
      '.zv-rows .zv-cell{grid-column:span 12}.zv-rows .zv-groups{--_columns:1}.zv-rows .zv-panel-row{min-block-size:auto}.zv-cell>.zv-full-bleed.zv-full-bleed{margin-inline:calc(-1*var(--_inset))}.zv-cell:not(:first-child)>.zv-full-bleed.zv-full-bleed{margin-block-start:0}',
    );
  if (used.has('two')) {
    rules.push(`${at('two')}>.zv-panel:not(.zv-rows){--_columns:2}`);
    if (isComposed)
      rules.push(
        `${at('two')} .zv-cell{grid-column:span 6}${at('two')} :is(.zv-span-7,.zv-span-8,.zv-span-9,.zv-span-10,.zv-span-11,.zv-span-12){grid-column:span 12}`,
      );
  }
  if (used.has('stacked') && device === 'medium')
    rules.push(
      `${at('stacked')}>.zv-panel:not(.zv-rows){--_columns:1}${at('stacked')} .zv-cell{grid-column:span 12}`,
    );
  if (used.has('list')) {
    const groups = `${at('list')} .zv-panel>ul>li:has(>ul)`;
    rules.push(
      `${at('list')}>.zv-panel{gap:0;--_columns:1}${groups}{margin-block-start:0}${groups}>:is(a,span){font-weight:inherit}${at('list')} .zv-panel ul ul{padding-inline-start:1rem}`,
    );
    if (isComposed)
      rules.push(
        `${at('list')} .zv-panel-row{display:none}${at('list')} .zv-panel>.zv-all-items{display:block}`,
      );
  }
  if (used.has('own') && isComposed)
    rules.push(
      `${at('own')} .zv-panel-row:not(.zv-only-${device}){display:none}${at('own')} .zv-only-${device}{display:grid}`,
    );
  if (used.has('item')) rules.push(`${at('item')}>:is(.zv-panel,a~button){display:none}`);
  return (device === 'narrow' && !isComposed ? rules.slice(1) : rules).join('');
}
