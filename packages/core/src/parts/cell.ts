import { container } from './html.ts';
import type { PartHandler } from './partHandler.ts';

/** An empty cell keeps the place of those beside it. */
export const cell: PartHandler<'cell'> = {
  html: (part, within) => {
    const across = part.direction === undefined ? '' : ' zv-across';
    return container(part, within, ` zv-cell zv-s${part.span ?? 12}${across}`);
  },
  css: (parts) => {
    const spans = [...new Set(parts.flatMap(({ span }) => span ?? []))].sort((a, b) => a - b);
    return spans.map((span) => `.zv-s${span}{grid-column:span ${span}}`);
  },
};
