import type { Placing } from '@zorvik/core';

/** What each kind of evidence for a page's place is called. */
export const evidenceWords: Readonly<Record<Placing, string>> = {
  jsonLd: 'breadcrumbs as data',
  microdata: 'breadcrumbs as microdata',
  breadcrumb: 'breadcrumbs',
  trail: 'a trail of links',
  up: 'a link to what is above',
  list: 'the site’s own lists',
  path: 'the path',
  none: 'no evidence, so at the top',
};
