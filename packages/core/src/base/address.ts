/**
 * Whether a link may lead to this address: a path, a query, an anchor, or one of four schemes. All else (`javascript:`, `data:`,
 * `//other-host`, addresses with spaces or control characters in them) is refused when it is typed and never rendered.
 */
export function isSafeAddress(address: string): boolean {
  return SAFE.test(address);
}

/** An e-mail address, and a phone number with what people put between its digits. */
export const EMAIL_PATTERN = '^[^\\s@/<>"]+@[^\\s@/<>"]+\\.[^\\s@/<>"]+$';
export const PHONE_PATTERN = '^\\+?[0-9][0-9 ()./-]{1,38}[0-9]$';

const SAFE = /^(?:\/(?!\/)|[?#]|https?:\/\/[^/?#]|mailto:.|tel:.)[^\s\p{Cc}\\<>"]*$/iu;
const HOST_ONLY = /^(?:[\p{L}\p{N}](?:[\p{L}\p{N}-]*[\p{L}\p{N}])?\.)+\p{L}{2,}(?=[/?#:]|$)/u;

/** What was meant by an address typed without its scheme: `example.org/a` is a host. */
export function completeAddress(typed: string): string {
  const address = typed.trim();
  if (isSafeAddress(address)) return address;
  return HOST_ONLY.test(address) ? `https://${address}` : address;
}
