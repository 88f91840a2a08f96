import { isCleanHtml } from '../html/isCleanHtml.ts';
import { element } from './html.ts';
import { shown, shownIf, type PartHandler } from './partHandler.ts';
import { text } from './text.ts';

export const ownHtml: PartHandler<'html'> = {
  // It was checked when it was stored; what came here in another way is checked before anybody gets it.
  resolve({ html }, { base }) {
    const { html: _, ...waiting } = base;
    return isCleanHtml(html) ? shown(base) : shownIf(false, waiting);
  },
  html: (part, within, classes) => element(part, within, ` zv-prose${classes}`, part.html ?? ''),
  css: (parts) => text.css?.(parts) ?? [],
};
