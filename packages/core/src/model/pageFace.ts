import type { Id } from '../base/ids.ts';
import { agreedFacts } from './agreedFacts.ts';
import type { SiteDocument } from './document.ts';
import type { Face } from './faceOf.ts';

/** What an item has that leads to a page and takes its title. The page must be there. */
export function pageFace(document: SiteDocument, page: Id): Face {
  return {
    label: null,
    destination: { kind: 'page', page, anchor: null },
    opensNewTab: false,
    agreed: agreedFacts(document, page),
  };
}
