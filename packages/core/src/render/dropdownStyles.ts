import type { ResolvedItem, ResolvedMenu } from '../resolve/resolveMenu.ts';
import type { Site } from '../schema/site.ts';

/**
 * What panels and the other forms of dropdowns need of the style sheet; empty where there are plain lists alone. Numbers that somebody set
 * stand in classes of their own, for sites that allow no inline styles. Without the script a panel spans its bar, and so never leaves the screen.
 */
export function dropdownStyles({ breakpoints }: Pick<Site, 'breakpoints'>, menus: readonly ResolvedMenu[]): string {
  const tops = menus.flatMap(({ items }) => items).filter(({ dropdown, children }) => dropdown !== undefined && children.length > 0);
  if (tops.length === 0) return '';
  const forms = new Set(tops.map(({ dropdown }) => dropdown?.form));
  const narrow = `@media (max-width:${breakpoints.medium - 0.02}px)`;
  const wider = `@media (min-width:${breakpoints.medium}px)`;
  return [
    forms.has('panel')
      ? panelStyles(tops, {
          narrow,
          medium: `@media (min-width:${breakpoints.medium}px) and (max-width:${breakpoints.wide - 0.02}px)`,
          wide: `@media (min-width:${breakpoints.wide}px)`,
        })
      : '',
    forms.has('row') ? rowStyles(wider) : '',
    forms.has('flyouts') ? flyoutStyles(wider) : '',
    forms.has('list') ? listStyles(tops, wider) : '',
  ].join('');
}

const SURFACE = 'background:var(--_paper);border:1px solid var(--_edge);border-radius:var(--_radius);box-shadow:0 .75rem 1.75rem -.75rem #0006';

function panelStyles(tops: readonly ResolvedItem[], { narrow, medium, wide }: Readonly<Record<'narrow' | 'medium' | 'wide', string>>): string {
  const panels = tops.filter(({ dropdown }) => dropdown?.form === 'panel');
  const counts = [...new Set(panels.map(({ columns = [] }) => columns.length))].sort();
  const gaps = [...new Set(panels.flatMap(({ dropdown }) => dropdown?.panel?.gap ?? []))];
  const inner = new Map(
    panels.flatMap(({ dropdown, columns = [] }) =>
      dropdown?.panel?.innerWidth === undefined
        ? []
        : [[`${dropdown.panel.innerWidth} ${columns.length}`, { width: dropdown.panel.innerWidth, count: columns.length }] as const],
    ),
  );
  const places = [
    ...new Set(panels.flatMap(({ columns = [] }) => columns.flatMap((size, at) => (size > 0 && at > 0 && columns[at - 1] === 0 ? [at + 1] : [])))),
  ].sort();
  const crowded = counts.filter((count) => count > 3);
  const numbers = [
    ...counts.map((count) => `.zv-c${count}{--_columns:${count}}`),
    ...gaps.map((gap) => `.zv-g${gap}{--_drop:${gap}px}`),
    ...[...inner.values()].map(({ width, count }) => `.zv-i${width}>.zv-c${count}{--_column:calc((${width}px - ${(count - 1) * 1.5}rem)/${count})}`),
    ...places.map((at) => `${wide}{.zv-at${at}{grid-column-start:${at}}}`),
    ...crowded.map((count) => `${medium}{.zv-c${count}{--_columns:3}}`),
  ];
  return `/* Panels: columns of groups below a bar. */
.zv-bar{position:relative}
.zv-bar>ul>li.zv-drop{position:static}
.zv-panel{display:none;position:absolute;z-index:10;inset-block-start:calc(100% + var(--_drop,0px));inset-inline:0 auto;inline-size:100%;box-sizing:border-box;max-inline-size:100vw;max-block-size:calc(100vh - 7rem);overflow:auto;grid-template-columns:repeat(var(--_columns,1),minmax(0,var(--_column,1fr)));justify-content:center;gap:.75rem 1.5rem;padding:1.25rem;font-weight:400;${SURFACE}}
.zv-bar button[aria-expanded=true]~.zv-panel,.zv-bar:not([data-zv-on])>ul>li:is(:hover,:focus-within)>.zv-panel{display:grid}
.zv-bar .zv-panel ul{display:block}
.zv-bar .zv-panel li{display:block}
.zv-bar .zv-panel li>:is(a,span){padding:.25rem .5rem;min-height:2rem}
.zv-bar .zv-panel>ul>li:has(>ul)>:is(a,span){font-weight:600}
.zv-bar .zv-panel>ul>li+li:has(>ul){margin-block-start:.75rem}
.zv-bar .zv-panel ul ul{padding-inline-start:0}
.zv-bar .zv-panel ul ul ul{padding-inline-start:1rem}
${numbers.map((rule) => `${rule}\n`).join('')}${narrow}{.zv-bar .zv-panel{position:static;flex-basis:100%;grid-template-columns:minmax(0,1fr);max-inline-size:none;max-block-size:none;padding:.25rem .5rem .75rem;box-shadow:none}.zv-n-list .zv-panel{gap:0}.zv-bar .zv-n-list .zv-panel>ul>li:has(>ul){margin-block-start:0}.zv-bar .zv-n-list .zv-panel>ul>li:has(>ul)>:is(a,span){font-weight:inherit}.zv-bar .zv-n-list .zv-panel ul ul{padding-inline-start:1rem}.zv-bar .zv-n-item>:is(.zv-panel,a~button){display:none}}
@media print{.zv-bar .zv-panel{display:none}}
`;
}

function rowStyles(wider: string): string {
  return `/* A row of links across the bar. */
${wider}{.zv-bar{position:relative}.zv-bar>ul>li.zv-row{position:static}.zv-bar>ul>li.zv-row>ul{inset-inline:0;inline-size:auto;max-inline-size:none}.zv-bar button[aria-expanded=true]~ul:is(.zv-row>ul),.zv-bar:not([data-zv-on])>ul>li.zv-row:is(:hover,:focus-within)>ul{display:flex;flex-wrap:wrap;gap:var(--_gap);align-items:start}}
`;
}

function flyoutStyles(wider: string): string {
  return `/* Flyouts: each level opens beside the one above. */
${wider}{.zv-bar>ul>li.zv-flyouts>ul{overflow:visible;max-block-size:none}.zv-flyouts ul li{position:relative;flex-wrap:nowrap}.zv-bar .zv-flyouts ul ul{position:absolute;z-index:11;inset-block-start:-.4rem;inset-inline-start:100%;min-inline-size:12rem;inline-size:max-content;max-inline-size:min(20rem,40vw);padding:.375rem;${SURFACE}}.zv-bar .zv-flyouts li[data-zv-end]>ul{inset-inline:auto 100%}.zv-bar .zv-flyouts ul button::after{rotate:-45deg;margin-block-end:0}[dir=rtl] .zv-flyouts ul button::after{rotate:135deg}}
`;
}

function listStyles(tops: readonly ResolvedItem[], wider: string): string {
  const lists = tops.flatMap(({ dropdown }) => (dropdown?.form === 'list' && dropdown.list !== undefined ? [dropdown.list] : []));
  const widths = [...new Set(lists.flatMap(({ width }) => width ?? []))];
  const counts = [...new Set(lists.flatMap(({ columns }) => columns ?? []))];
  if (lists.length === 0) return '';
  return `/* Lists with a width, an edge or columns of their own. */
${wider}{${widths.map((width) => `.zv-bar>ul>li.zv-w${width}>ul{inline-size:${width}px;max-inline-size:calc(100vw - 1rem)}`).join('')}.zv-bar>ul>li.zv-end>ul{inset-inline:auto 0}.zv-bar>ul>li.zv-centre>ul{inset-inline-start:50%;translate:-50%}[dir=rtl]>ul>li.zv-centre>ul{translate:50%}${counts.map((count) => `.zv-bar>ul>li.zv-l${count}>ul{columns:${count};max-inline-size:calc(100vw - 1rem)}`).join('')}${counts.length === 0 ? '' : '.zv-bar>ul>li>ul>li{break-inside:avoid}'}}
`;
}
