import { opening, titleOf } from './html.ts';
import { shownIf, type PartHandler } from './partHandler.ts';

export const menu: PartHandler<'menu'> = {
  resolve(part, { base, itemsOf }) {
    const items = itemsOf(part.menu);
    return shownIf(items.length > 0, { ...base, items });
  },
  html: (part, within, classes) => [
    `<${opening('div', part, within, ` zv-other-menu${classes}`)}>${titleOf(part, within)}`,
    ...((part.items ?? []).length === 0 ? [] : [{ list: part.items ?? [] }]),
    '</div>',
  ],
};
