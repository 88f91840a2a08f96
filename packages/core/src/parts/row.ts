import { container } from './html.ts';
import { holder, type PartHandler } from './partHandler.ts';
import { rule } from '../style/rule.ts';

/** The panel marks which row is its first and its last; on its own a row is neither. */
export const row: PartHandler<'row'> = {
  resolve: holder,
  html: (part, within, classes) => {
    const { height, only } = part;
    const own = `${height === undefined ? '' : ` zv-height-${height}`}${only === undefined ? '' : ` zv-only-${only}`}`;
    return container(part, within, ` zv-panel-row${classes}${own}`);
  },
  css: (parts) => {
    const heights = [...new Set(parts.flatMap(({ height }) => height ?? []))].sort((a, b) => a - b);
    return heights.map((height) => rule(`.zv-height-${height}`, `min-block-size:${height}px`));
  },
};
