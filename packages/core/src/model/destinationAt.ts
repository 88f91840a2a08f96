import { isSafeAddress } from '../base/address.ts';
import type { Destination } from '../schema/item.ts';
import type { PageIndex } from './pageIndex.ts';

/** The most characters of an anchor. */
export const LONGEST_ANCHOR = 200;

/** What an address is on a site: a page, with its anchor, where it is that of one; else a plain link, if links may have it. */
export function destinationAt(index: PageIndex, address: string): Destination {
  const page = index.byAddress(address);
  if (page === null) return isSafeAddress(address) ? { kind: 'address', address } : { kind: 'undecided' };
  return { kind: 'page', page: page.id, anchor: anchorOf(address) };
}

/** The anchor of an address; null: it has none. */
export function anchorOf(address: string): string | null {
  const [, anchor = ''] = /#(.+)$/.exec(address) ?? [];
  return anchor === '' ? null : decoded(anchor).slice(0, LONGEST_ANCHOR);
}

function decoded(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    // It was written as it is.
    return text;
  }
}
