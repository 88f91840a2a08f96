import { nodeAt } from '../model/forest.ts';
import type { SiteDocument } from '../model/document.ts';
import type { Destination } from '../schema/item.ts';

/** The address that a destination stands for just now; null: there is none, or it leads to a page that is not live. */
export function hrefOf(document: SiteDocument, destination: Destination): string | null {
  switch (destination.kind) {
    case 'none':
    case 'undecided':
      return null;
    case 'address':
      return destination.address;
    case 'email':
      return `mailto:${encodeURI(destination.address)}`;
    case 'phone':
      return `tel:${destination.number.replaceAll(/[^+\d]/g, '')}`;
    case 'page': {
      const page = nodeAt(document.pages, destination.page);
      if (page.state !== 'live') return null;
      return destination.anchor === null ? page.address : `${page.address}#${encodeURIComponent(destination.anchor)}`;
    }
  }
}
