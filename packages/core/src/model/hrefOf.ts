import { isPagePath, isSafeAddress } from '../base/address.ts';
import { nodeAt } from './forest.ts';
import type { SiteDocument } from './document.ts';
import type { Destination } from '../schema/item.ts';

/**
 * The address that a destination stands for just now; null: there is none, it leads to a page that is not
 * live, or it is one that no link may lead to. The only place where this is decided, for HTML and JSON alike.
 */
export function hrefOf(document: SiteDocument, destination: Destination): string | null {
  switch (destination.kind) {
    case 'none':
    case 'undecided':
      return null;
    case 'address':
      return isSafeAddress(destination.address) ? destination.address : null;
    case 'email':
      return `mailto:${encodeURI(destination.address)}`;
    case 'phone':
      return `tel:${destination.number.replaceAll(/[^+\d]/g, '')}`;
    case 'page': {
      const page = nodeAt(document.pages, destination.page);
      if (page.state !== 'live' || !isPagePath(page.address)) return null;
      return destination.anchor === null
        ? page.address
        : `${page.address}#${encodeURIComponent(destination.anchor)}`;
    }
  }
}
