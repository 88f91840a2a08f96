import type { Page } from '../schema/page.ts';

/** A page that is not on the site yet, as it is planned: a draft, with its address as its key. */
export function plannedPage({
  id,
  parent,
  title,
  address,
}: Pick<Page, 'id' | 'parent' | 'title' | 'address'>): Page {
  return {
    id,
    parent,
    key: address,
    kind: 'page',
    title,
    address,
    state: 'draft',
    language: null,
    template: null,
    planned: true,
  };
}
