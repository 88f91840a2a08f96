/**
 * Whether a link may lead to this address: a path, a query, an anchor, or one of four schemes. All else (`javascript:`, `data:`,
 * `//other-host`, addresses with spaces or control characters in them) is refused when it is typed and never rendered.
 */
export function isSafeAddress(address: string): boolean {
  return SAFE.test(address);
}

const SAFE = /^(?:\/(?!\/)|[?#]|https?:\/\/[^/?#]|mailto:.|tel:.)[^\s\p{Cc}\\<>"]*$/iu;
const HOST_ONLY = /^(?:[\p{L}\p{N}](?:[\p{L}\p{N}-]*[\p{L}\p{N}])?\.)+\p{L}{2,}(?=[/?#:]|$)/u;
const EMAIL = /^[^\s@/]+@[^\s@/]+\.[^\s@/]+$/u;

/** What was meant by an address typed without its scheme: `example.org/a` is a host, `a@example.org` an e-mail. */
export function completeAddress(typed: string): string {
  const address = typed.trim();
  if (isSafeAddress(address)) return address;
  if (EMAIL.test(address)) return `mailto:${address}`;
  return HOST_ONLY.test(address) ? `https://${address}` : address;
}
