import type { Item } from '../schema/item.ts';
import type { SharedLink } from '../schema/sharedLink.ts';
import type { SiteDocument } from './document.ts';

/** What is seen of an item, be it its own or that of its shared link: label, destination, settings. */
export type Face = Omit<SharedLink, 'id' | 'parent'>;
/** Something with a face, or with a shared link that has it. */
export type Faced = Face & Pick<Item, 'link'>;

/** Where an item's label, destination and settings stand: in its shared link, or in itself. */
export function faceOf<F extends Faced>(document: SiteDocument, item: F): F | SharedLink {
  return (item.link === undefined ? undefined : document.sharedLinks.nodes.get(item.link)) ?? item;
}
