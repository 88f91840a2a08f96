import { escapeHtml } from '../base/escape.ts';

/** Of which site something is put into pages. */
export interface Embedded {
  /** Where it is delivered, without a final slash: `https://nav.example/delivery/v1/sites/meadow`. */
  readonly base: string;
  readonly language: string;
  readonly direction: 'ltr' | 'rtl';
}

/** Where the examples for a site’s own server put what is delivered. */
const LOCAL = '/navigation';

/**
 * A page that takes its whole frame by server-side includes, in the form that nginx and Apache both read
 * (`include virtual`), and the lines that let either server pass them on.
 */
export function includesExample({ base, language, direction }: Embedded): {
  readonly page: string;
  readonly nginx: string;
  readonly apache: string;
} {
  const include = (name: string): string =>
    `<!--#include virtual="${LOCAL}/frame/${name}.html?page=$DOCUMENT_URI" -->`;
  return {
    page: `<!doctype html>
<html lang="${escapeHtml(language)}" dir="${direction}">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Title of the page</title>
<link rel="stylesheet" href="${LOCAL}/navigation.css">
<script src="${LOCAL}/navigation.js" defer></script>
</head>
<body>
${include('skip')}
${include('header')}
${include('side')}
<main id="content">
<h1>Title of the page</h1>
</main>
${include('footer')}
</body>
</html>
`,
    nginx: `ssi on;
location ${LOCAL}/ {
  proxy_pass ${base}/;
}
`,
    apache: `Options +Includes
AddOutputFilter INCLUDES .html
ProxyPass "${LOCAL}/" "${base}/"
`,
  };
}

/**
 * A menu, or a part of the frame, for any place in a page. What stands in it works by itself; the script brings it
 * up to date and marks the current page. `path`: where it is delivered below the base, such as `menus/main.html`;
 * `html`: what was delivered there on `date`.
 */
export function embedSnippet(
  { base }: Pick<Embedded, 'base'>,
  { path, html, date }: { readonly path: string; readonly html: string; readonly date: string },
): string {
  const src = escapeHtml(`${base}/${path}`);
  return `<link rel="stylesheet" href="${escapeHtml(base)}/navigation.css">
<script src="${escapeHtml(base)}/embed.js" defer></script>
<zorvik-menu src="${src}">
<!-- As of ${escapeHtml(date)}. The script replaces it with the live menu. -->
${html}
</zorvik-menu>
`;
}

/** A module that builds a header from the frame as data, for sites that write their own HTML. */
export function dataExample({ base }: Pick<Embedded, 'base'>): string {
  return `<header id="site-header"></header>
<script type="module">
const query = new URLSearchParams({ page: location.pathname, as: 'data', fields: 'label,href', depth: '2' });
const frame = await (await fetch(\`${base}/frame?\${query}\`)).json();

const here = location.pathname.replace(/\\/+$/, '');
function link(href, text) {
  const element = document.createElement(href ? 'a' : 'span');
  if (href) element.href = href;
  if (href && href.replace(/\\/+$/, '') === here) element.setAttribute('aria-current', 'page');
  element.textContent = text;
  return element;
}
function list(items) {
  const element = document.createElement('ul');
  for (const { label, href, children } of items) {
    const entry = document.createElement('li');
    entry.append(link(href, label));
    if (children.length > 0) entry.append(list(children));
    element.append(entry);
  }
  return element;
}
function show(part) {
  if (part.kind === 'logo') return [link('/', part.text)];
  if (part.shown) {
    const menu = document.createElement('nav');
    menu.setAttribute('aria-label', part.shown.name);
    menu.append(list(part.shown.items));
    return [menu];
  }
  return (part.parts ?? []).flatMap(show);
}
document.querySelector('#site-header').append(...frame.header.flatMap(show));
</script>
`;
}
