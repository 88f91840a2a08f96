import { isSafeAddress } from '../../base/address.ts';
import { refusal, type Refusal } from '../../base/refusal.ts';

/** Whether a form can be sent to an address: a path of the site, or one that begins with http. */
export function canSendTo(address: string): boolean {
  return isSafeAddress(address) && /^(?:\/|https?:)/i.test(address);
}

/** A form that cannot be sent to its address, as a refusal; null: it can. */
export function wrongAction({ address }: Readonly<Record<string, unknown>>): Refusal | null {
  return typeof address !== 'string' || canSendTo(address) ? null : refusal('badAction', { address });
}
