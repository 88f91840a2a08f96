import type { ResolvedItem, ResolvedMenu } from '../resolve/resolved.ts';
import { deviceClasses, type DeviceClass } from '../schema/deviceClass.ts';
import { settingNames } from '../schema/settings.ts';
import type { Site } from '../schema/site.ts';
import { preorder } from '../walk/preorder.ts';
import { badgeClass } from './faceHtml.ts';

/** What the settings of items need of the style sheet; empty when no item has any. O(items). */
export function settingStyles(
  { breakpoints }: Pick<Site, 'breakpoints'>,
  menus: readonly ResolvedMenu[],
): string {
  const items = menus.flatMap((menu) =>
    [...preorder<ResolvedItem>(menu.items, ({ children }) => children)].map(({ node }) => node),
  );
  if (!items.some((item) => settingNames.some((name) => name !== 'dropdown' && name in item))) return '';
  const badges = new Map(
    items.flatMap(({ badge }) =>
      badge === undefined ? [] : [[badgeClass(badge).replace(' ', '.'), badge] as const],
    ),
  );
  return `/* Icons, badges, descriptions, buttons. */
.zv li>*>svg{inline-size:1.25em;block-size:1.25em;flex:none;margin-inline-end:.45em}
.zv li>*>svg:not([fill]){fill:currentColor}
.zv li>*>svg.zv-after{margin-inline:.45em 0}
.zv li>*>i{font-style:normal}
.zv small{display:block;font-size:.85em;font-weight:400;opacity:.85}
.zv li>:has(>.zv-badge){flex-wrap:wrap}
.zv-badge{box-sizing:border-box;max-inline-size:100%;margin-inline-start:.5em;padding:0 .5em;border-radius:.8em;font-size:.75em;line-height:1.6;font-weight:600;overflow-wrap:anywhere}
.zv-badge.zv-before{margin-inline:0 .5em}
.zv li>.zv-face-stacked{flex-direction:column;justify-content:center;text-align:center}
.zv .zv-face-stacked>*{margin-inline:0}
.zv li>.zv-button{background:var(--zv-button,var(--_accent));color:var(--zv-button-ink,#fff);padding-inline:1.1rem}
.zv li>.zv-button:hover{background:var(--zv-button-hover,var(--_ink))}
@media (forced-colors:active){.zv li>.zv-button,.zv-badge{border:1px solid ButtonText}}
${[...badges].map(([name, { color, background }]) => `.${name}{color:${color};background:${background}}\n`).join('')}/* Hidden labels, arrows and items, for all or some device classes. */
.zv-bar .zv-no-arrow::after{content:none}
.zv-visually-hidden,${quietOn('')}{${UNSEEN}}
${deviceClasses.map((device) => `@media ${mediaOf(device, breakpoints)}{.zv.zv .zv-hidden-${device},.zv.zv .zv-branch-hidden-${device}>:is(ul,.zv-panel,a~button){display:none}${quietOn(`-${device}`)}{${UNSEEN}}}\n`).join('')}`;
}

const UNSEEN =
  'position:absolute;inline-size:1px;block-size:1px;min-inline-size:0;min-block-size:0;padding:0;margin:-1px;overflow:hidden;clip-path:inset(50%);white-space:nowrap';

/**
 * A button without a face comes forth when the keyboard gets to it: its branch stays within everybody's
 * reach.
 */
function quietOn(device: string): string {
  return `.zv li>.zv-arrow-hidden${device}:not(:focus-visible)`;
}

function mediaOf(device: DeviceClass, { medium, wide }: Site['breakpoints']): string {
  if (device === 'narrow') return `(max-width:${medium - 0.02}px)`;
  return device === 'medium'
    ? `(min-width:${medium}px) and (max-width:${wide - 0.02}px)`
    : `(min-width:${wide}px)`;
}
