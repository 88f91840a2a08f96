import type { QuillmerePage } from '../quillmere/pages.ts';
import { asText, contentHtml } from './contentHtml.ts';
import type { Frame } from './navigation.ts';

export interface PageParts {
  readonly path: string;
  /** Null: there is no such page. */
  readonly page: QuillmerePage | null;
  readonly trail: readonly QuillmerePage[];
  readonly children: readonly QuillmerePage[];
  readonly frame: Frame;
}

/** The site's own template. What is around the content comes as HTML and is put in as it is. */
export function pageHtml({ path, page, trail, children, frame }: PageParts): string {
  const title = page?.title ?? 'There is no such page';
  const side = frame.side === '' ? '' : `<aside>${frame.side}</aside>`;
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${asText(title)}${path === '/' ? '' : ' – Quillmere'}</title>
<link rel="icon" href="data:,">
<link rel="stylesheet" href="/navigation.css">
<link rel="stylesheet" href="/assets/site.css">
<script src="/navigation.js" defer></script>
${page === null || path === '/' ? '' : `<script type="application/ld+json">${trailData(page, trail)}</script>`}
</head>
<body>
${frame.skip}
${frame.header}
<div class="page">
${side}
<main id="content">
${contentHtml({ path, page, children })}
</main>
</div>
${frame.footer}
</body>
</html>
`;
}

/** The way to a page as data (schema.org, BreadcrumbList). */
function trailData(page: QuillmerePage, trail: readonly QuillmerePage[]): string {
  const itemListElement = [...trail, page].map(({ path, title }, at) => ({
    '@type': 'ListItem',
    position: at + 1,
    name: title,
    item: path,
  }));
  return JSON.stringify({
    '@context': 'https://schema.org',
    '@type': 'BreadcrumbList',
    itemListElement,
  }).replaceAll('<', String.raw`\u003c`);
}
