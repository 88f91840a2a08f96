import { opening } from './html.ts';
import { shownIf, type PartHandler } from './partHandler.ts';
import { fitClasses, fitRules } from './fitRules.ts';
import { rule, type Rule } from '../style/rule.ts';

const rules: readonly Rule[] = [
  rule('.zv-placement', 'min-inline-size:0'),
  rule('.zv-equal .zv-bar>ul,.zv-fill .zv-bar>ul', 'flex-wrap:nowrap', { medium: 'wide' }),
  rule('.zv-equal .zv-bar>ul>li', 'flex:1 1 0', { medium: 'wide' }),
  rule('.zv-fill .zv-bar>ul>li', 'flex:1 1 auto', { medium: 'wide' }),
];

export const placement: PartHandler<'placement'> = {
  resolve(part, { base, menuOf }) {
    const menu = part.shows === undefined ? null : menuOf(part.shows);
    return menu === null ? shownIf(false, base) : shownIf(menu.items.length > 0, { ...base, shown: menu });
  },
  html(part, within, classes) {
    const own = part.entries === undefined ? '' : ` zv-${part.entries}`;
    return [
      `<${opening('div', part, within, ` zv-placement${own}${fitClasses(part)}${classes}`)}>${within.menuHtml(part)}</div>`,
    ];
  },
  css: (parts) => [
    ...rules,
    ...(parts.some(({ pushed }) => pushed !== undefined)
      ? [
          rule('.zv-placement:has(.zv-pushed)', 'flex:1', { medium: 'wider' }),
          rule('.zv-bar>ul>li.zv-pushed', 'margin-inline-start:auto', { medium: 'wider' }),
        ]
      : []),
    ...fitRules(parts),
  ],
};
