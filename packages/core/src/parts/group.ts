import { groupPieces, opening } from './html.ts';
import { shownIf, type PartHandler } from './partHandler.ts';

export const group: PartHandler<'group'> = {
  resolve: ({ item }, { base, children }) =>
    shownIf(
      children.some(({ id }) => id === item),
      base,
    ),
  html(part, within, classes) {
    const item = part.item === undefined ? undefined : within.children.get(part.item);
    return [
      `<${opening('div', part, within, ` zv-group${classes}`)}>`,
      ...(item === undefined ? [] : groupPieces(part, [item])),
      '</div>',
    ];
  },
};
