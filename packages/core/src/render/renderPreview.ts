import { escapeHtml } from '../base/escape.ts';
import { pathKey } from '../base/pathKey.ts';
import type { SiteDocument } from '../model/document.ts';
import { situationOn } from '../resolve/frameExceptions.ts';
import { withFollowed } from '../resolve/withFollowed.ts';
import { renderPage, type PageChoices } from './renderPage.ts';

/** How a page of a draft is shown. */
export interface PreviewChoices extends Omit<PageChoices, 'isComposed' | 'pictures' | 'fits'> {
  /** Where the preview is, with a slash at its end: every link within the site stays below it. */
  readonly base: string;
  /** Said on every page, such as until when it can be seen. */
  readonly note: string;
}

/**
 * A whole page of a document that is not published: its frame, a stand-in for the content with the page's title,
 * and the words that it is a draft. `path` is that of the page on the site. O(pages + items).
 */
export function renderPreview(
  stored: SiteDocument,
  path: string,
  { base, note, ...choices }: PreviewChoices,
): { readonly html: string; readonly isFound: boolean } {
  const document = withFollowed(stored, choices.compareTitles);
  const { site, pages } = document;
  const wanted = pathKey(path);
  const page =
    [...pages.nodes.values()].find(({ address, state }) => state !== 'gone' && pathKey(address) === wanted) ??
    null;
  const parts = renderPage(document, situationOn(document, page?.id ?? null), {
    ...choices,
    pictures: `${base}pictures/`,
  });
  const within = (html: string): string =>
    // In what we write, attributes stand in double quotes; `//` would be another host.
    html.replaceAll(/ (href|action)="\/(?!\/)/g, ` $1="${escapeHtml(base)}`);
  const title = page?.title ?? 'No such page';
  const html = `<!doctype html>
<html lang="${escapeHtml(site.language)}" dir="${site.direction}">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="robots" content="noindex, nofollow">
<title>${escapeHtml(`Draft: ${title} – ${site.name}`)}</title>
<link rel="icon" href="data:,">
<style>${pageStyle}</style>
<style>${parts.css}</style>
<script src="${escapeHtml(base)}navigation.js" defer></script>
</head>
<body>
${parts.skip}
${within(parts.header)}
<div class="page">
${parts.side === '' ? '' : `<aside>${within(parts.side)}</aside>`}
<main id="content"><h1>${escapeHtml(title)}</h1><i></i><i></i><i></i></main>
</div>
${within(parts.footer)}
<p class="draft" lang="en" dir="ltr"><strong>Draft</strong> ${escapeHtml(note)}</p>
</body>
</html>
`;
  return { html, isFound: page !== null };
}

/** The page around the frame: the site's own style sheet is not known here. */
const pageStyle = `body{margin:0;font:1rem/1.5 system-ui,sans-serif;color:#1d2a22;background:#fff}
.page{display:flex;flex-wrap:wrap;gap:1rem 2rem;max-width:75rem;margin-inline:auto;padding:1.5rem 2rem 5rem}
aside{flex:0 1 15rem;margin-inline-start:-.75rem}
main{flex:1 1 20rem;min-height:16rem}
main i{display:block;height:.6rem;margin-block:1rem;border-radius:.3rem;background:#8883;max-width:42rem}
main i:last-child{max-width:30rem}
.draft{position:fixed;inset-block-end:.75rem;inset-inline-start:.75rem;z-index:9999;max-width:calc(100% - 1.5rem);box-sizing:border-box;margin:0;padding:.4rem .8rem;border-radius:.5rem;background:#1d2a22;color:#fff;font-size:.875rem}
@media print{.draft{position:static}}`;
