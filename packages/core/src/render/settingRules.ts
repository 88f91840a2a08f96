import type { ResolvedItem, ResolvedMenu } from '../resolve/resolved.ts';
import { deviceClasses } from '../schema/deviceClass.ts';
import { settingNames } from '../schema/settings.ts';
import { looks, rule, type Rule } from '../style/rule.ts';
import { preorder } from '../walk/preorder.ts';
import { buttonRules } from '../parts/buttonRules.ts';
import { UNSEEN } from '../style/unseen.ts';

/** What the settings of items need of the style sheet; empty when no item has any. O(items). */
export function settingRules(menus: readonly ResolvedMenu[]): Rule[] {
  const items = menus.flatMap((menu) =>
    [...preorder<ResolvedItem>(menu.items, ({ children }) => children)].map(({ node }) => node),
  );
  if (!items.some((item) => settingNames.some((name) => name !== 'dropdown' && name in item))) return [];
  return [...faces, ...buttonRules(items.map(({ look }) => look)), ...hiding];
}

/** Icons, badges, descriptions, buttons. */
const faces: readonly Rule[] = [
  rule('.zv li>*>svg', 'flex:none'),
  rule('.zv li>*>svg', 'fill:currentColor'),
  rule('.zv li>*>i', 'font-style:normal'),
  rule('.zv small', 'display:block'),
  rule('.zv li>:has(>.zv-badge)', 'flex-wrap:wrap'),
  rule('.zv-badge', 'box-sizing:border-box;max-inline-size:100%;overflow-wrap:anywhere'),
  rule('.zv li>.zv-face-stacked', 'flex-direction:column;justify-content:center;text-align:center'),
  rule('.zv .zv-face-stacked>*', 'margin-inline:0', { isLate: true }),
  rule('.zv-badge', 'border:1px solid ButtonText', {
    medium: 'forcedColors',
    isLate: true,
  }),
  looks('icon', 'iconAfter', 'description', 'badge', 'badgeBefore'),
];

/** Hidden labels, arrows and items, for all or some device classes. */
export const hiding: readonly Rule[] = [
  rule('.zv-bar .zv-no-arrow::after', 'content:none'),
  rule(`.zv-visually-hidden,${quietOn('')}`, UNSEEN, { isLate: true }),
  ...deviceClasses.flatMap((device) => [
    rule(
      `.zv .zv-hidden-${device},.zv .zv-branch-hidden-${device}>:is(ul,.zv-panel,a~button)`,
      'display:none',
      { medium: device, weight: 1 },
    ),
    rule(quietOn(`-${device}`), UNSEEN, { medium: device, isLate: true }),
  ]),
];

/**
 * A button without a face comes forth when the keyboard gets to it: its branch stays within everybody's
 * reach.
 */
function quietOn(device: string): string {
  return `.zv li>.zv-arrow-hidden${device}:not(:focus-visible)`;
}
