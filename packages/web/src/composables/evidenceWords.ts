import type { Placing } from '@zorvik/core';

/** What each kind of evidence for a page's place is called. */
export const evidenceWords: Readonly<Record<Placing, string>> = {
  jsonLd: 'breadcrumb data',
  microdata: 'breadcrumb microdata',
  breadcrumb: 'breadcrumbs',
  trail: 'a trail of links',
  up: 'a link to the parent page',
  list: 'lists on the site',
  path: 'the address',
  none: 'nothing',
};
