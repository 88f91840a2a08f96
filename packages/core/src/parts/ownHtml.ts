import { isCleanHtml } from '../html/isCleanHtml.ts';
import { element } from './html.ts';
import { shownIf, type PartHandler } from './partHandler.ts';
import { text } from './text.ts';

export const ownHtml: PartHandler<'html'> = {
  // It was checked when it was stored; what came here in another way is checked before anybody gets it.
  resolve: ({ html }, { base }) => shownIf(isCleanHtml(html), base),
  html: (part, within, classes) => {
    const { html = '' } = part;
    return element(part, within, ` zv-prose${classes}`, isCleanHtml(html) ? html : '');
  },
  css: (parts) => text.css?.(parts) ?? [],
};
