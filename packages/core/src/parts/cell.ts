import { container } from './html.ts';
import type { PartHandler } from './partHandler.ts';
import { rule } from '../style/rule.ts';

/** An empty cell keeps the place of those beside it. */
export const cell: PartHandler<'cell'> = {
  html: (part, within, classes) => {
    const across = part.direction === undefined ? '' : ' zv-side-by-side';
    return container(part, within, ` zv-cell zv-span-${part.span ?? 12}${across}${classes}`);
  },
  css: (parts) => {
    const spans = [...new Set(parts.flatMap(({ span }) => span ?? []))].sort((a, b) => a - b);
    return spans.map((span) => rule(`.zv-span-${span}`, `grid-column:span ${span}`));
  },
};
