import type { ResolvedItem, ResolvedMenu } from '../resolve/resolved.ts';
import type { Site } from '../schema/site.ts';
import { hasPanel } from './panelHtml.ts';
import { panelStyles } from './panelStyles.ts';
import { partStyles } from './partStyles.ts';
import { SURFACE } from './surface.ts';

/**
 * What panels and the other forms of dropdowns need of the style sheet; empty where there are plain lists
 * alone. Without the script a panel spans its bar, and so never leaves the screen.
 */
export function dropdownStyles(
  { breakpoints }: Pick<Site, 'breakpoints'>,
  menus: readonly ResolvedMenu[],
): string {
  const tops = menus
    .flatMap(({ items }) => items)
    .filter((item) => item.dropdown !== undefined && (item.children.length > 0 || hasPanel(item)));
  if (tops.length === 0) return '';
  const forms = new Set(tops.map(({ dropdown }) => dropdown?.form));
  const narrow = `@media (max-width:${breakpoints.medium - 0.02}px)`;
  const wider = `@media (min-width:${breakpoints.medium}px)`;
  return [
    forms.has('panel')
      ? panelStyles(
          tops.filter(({ dropdown }) => dropdown?.form === 'panel'),
          {
            narrow,
            medium: `@media (min-width:${breakpoints.medium}px) and (max-width:${breakpoints.wide - 0.02}px)`,
            wide: `@media (min-width:${breakpoints.wide}px)`,
          },
        ) + partStyles(menus)
      : '',
    forms.has('row') ? rowStyles(wider) : '',
    forms.has('flyouts') ? flyoutStyles(wider) : '',
    forms.has('list') ? listStyles(tops, wider) : '',
  ].join('');
}

function rowStyles(wider: string): string {
  return `/* A row of links across the bar. */
${wider}{.zv-bar{position:relative}.zv-bar>ul>li.zv-drops-row{position:static}.zv-bar>ul>li.zv-drops-row>ul{inset-inline:0;inline-size:auto;max-inline-size:none}.zv-bar button[aria-expanded=true]~ul:is(.zv-drops-row>ul),.zv-bar:not([data-zv-on])>ul>li.zv-drops-row:is(:hover,:focus-within)>ul{display:flex;flex-wrap:wrap;gap:var(--_gap);align-items:start}}
`;
}

function flyoutStyles(wider: string): string {
  return `/* Flyouts: each level opens next to its parent. */
${wider}{.zv-bar>ul>li.zv-drops-flyouts>ul{overflow:visible;max-block-size:none}.zv-drops-flyouts ul li{position:relative;flex-wrap:nowrap}.zv-bar .zv-drops-flyouts ul ul{position:absolute;z-index:11;inset-block-start:-.4rem;inset-inline-start:100%;min-inline-size:12rem;inline-size:max-content;max-inline-size:min(20rem,40vw);padding:.375rem;${SURFACE}}.zv-bar .zv-drops-flyouts li[data-zv-end]>ul{inset-inline:auto 100%}.zv-bar .zv-drops-flyouts ul button::after{rotate:-45deg;margin-block-end:0}[dir=rtl] .zv-drops-flyouts ul button::after{rotate:135deg}}
`;
}

function listStyles(tops: readonly ResolvedItem[], wider: string): string {
  const lists = tops.flatMap(({ dropdown }) =>
    dropdown?.form === 'list' && dropdown.list !== undefined ? [dropdown.list] : [],
  );
  const widths = [...new Set(lists.flatMap(({ width }) => width ?? []))];
  const counts = [...new Set(lists.flatMap(({ columns }) => columns ?? []))];
  if (lists.length === 0) return '';
  return `/* Lists with their own width, alignment or columns. */
${wider}{${widths.map((width) => `.zv-bar>ul>li.zv-width-${width}>ul{inline-size:${width}px;max-inline-size:calc(100vw - 1rem)}`).join('')}.zv-bar>ul>li.zv-align-end>ul{inset-inline:auto 0}.zv-bar>ul>li.zv-align-centre>ul{inset-inline-start:50%;translate:-50%}[dir=rtl]>ul>li.zv-align-centre>ul{translate:50%}${counts.map((count) => `.zv-bar>ul>li.zv-list-columns-${count}>ul{columns:${count};max-inline-size:calc(100vw - 1rem)}`).join('')}${counts.length === 0 ? '' : '.zv-bar>ul>li>ul>li{break-inside:avoid}'}}
`;
}
