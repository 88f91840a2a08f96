import { completeAddress, EMAIL_PATTERN, isSafeAddress, PHONE_PATTERN } from '../base/address.ts';
import { refusal } from '../base/refusal.ts';
import { no, ok, type Result } from '../base/result.ts';
import { destinationAt } from '../model/destinationAt.ts';
import type { SiteDocument } from '../model/document.ts';
import { pageIndex } from '../model/pageIndex.ts';
import type { Destination } from '../schema/item.ts';
import { LONGEST_ADDRESS } from '../schema/shapes.ts';

const EMAIL = new RegExp(EMAIL_PATTERN, 'u');
const PHONE = new RegExp(PHONE_PATTERN, 'u');

/**
 * What a typed address leads to: an e-mail and a phone number are told by their form, all else is an address
 * that a link may lead to.
 */
export function destinationTyped(typed: string): Result<Destination> {
  const text = typed.trim();
  const email = text.replace(/^mailto:/i, '');
  if (EMAIL.test(email) && email.length <= 320 && !email.includes('?'))
    return ok({ kind: 'email', address: email });
  const phone = text.replace(/^tel:/i, '');
  if (PHONE.test(phone)) return ok({ kind: 'phone', number: phone });
  const address = completeAddress(text);
  if (address.length > LONGEST_ADDRESS)
    return no(refusal('tooLong', { what: 'an address', length: address.length, most: LONGEST_ADDRESS }));
  return isSafeAddress(address)
    ? ok({ kind: 'address', address })
    : no(refusal('badAddress', { address: text }));
}

/** The same on a site: the address of one of its pages links to the page, with its anchor. */
export function destinationOnSite(document: SiteDocument, typed: string): Result<Destination> {
  const made = destinationTyped(typed);
  if (!made.ok || made.value.kind !== 'address') return made;
  const { address } = made.value;
  const { origin } = document.site;
  // What is elsewhere needs no look at the pages.
  const isHere = address.startsWith('/') || (origin !== '' && address.startsWith(origin));
  return isHere ? ok(destinationAt(pageIndex(document), address)) : made;
}
