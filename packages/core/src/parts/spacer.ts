import { element } from './html.ts';
import type { PartHandler } from './partHandler.ts';
import { rule } from '../style/rule.ts';

export const spacer: PartHandler<'spacer'> = {
  html: (part, within, classes) => element(part, within, ` zv-spacer-${part.space ?? 0}${classes}`, ''),
  css: (parts) => {
    const heights = [...new Set(parts.flatMap(({ space }) => space ?? []))].sort((a, b) => a - b);
    return heights.map((height) => rule(`.zv-spacer-${height}`, `block-size:${height}px`));
  },
};
