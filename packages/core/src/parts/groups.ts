import { panelColumns } from '../panel/panelColumns.ts';
import { groupPieces, opening } from './html.ts';
import { shownIf, type PartHandler, type Piece } from './partHandler.ts';

export const groups: PartHandler<'groups'> = {
  resolve({ columns }, { base, left, panel }) {
    const balanced = panelColumns(left, { ...panel, ...(columns === undefined ? {} : { columns }) });
    let from = 0;
    const filled = balanced.sizes.map((size) =>
      balanced.groups.slice((from += size) - size, from).map(({ id }) => id),
    );
    return shownIf(left.length > 0, { ...base, groups: filled });
  },
  html(part, within, classes) {
    const columns = (part.groups ?? []).map((ids) => ids.flatMap((id) => within.children.get(id) ?? []));
    const filled = columns.flatMap((items, at): Piece[] => {
      const isAfterEmpty = at > 0 && columns[at - 1]?.length === 0;
      return items.length === 0
        ? []
        : [
            `<div${isAfterEmpty ? ` class="zv-at-column-${at + 1}"` : ''}>`,
            ...groupPieces(part, items),
            '</div>',
          ];
    });
    const own = ` zv-groups zv-columns-${Math.max(1, columns.length)}${classes}`;
    return [`<${opening('div', part, within, own)}>`, ...filled, '</div>'];
  },
};
