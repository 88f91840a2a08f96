/**
 * Whether a link may lead to this address: a path, a query, an anchor, or one of four schemes. All else
 * (`javascript:`, `data:`, `//other-host`, addresses with spaces or control characters in them) is refused
 * when it is typed and never rendered.
 */
export function isSafeAddress(address: string): boolean {
  return PLAIN_PATH.test(address) || SAFE.test(address);
}

/**
 * Whether this is the address of a page of the site itself: a path from its root, with a query if it has one.
 */
export function isPagePath(address: string): boolean {
  return PLAIN_PATH.test(address) || PAGE_PATH.test(address);
}

/** An address as people read it: escapes of letters in any script decoded, all others left as they are. */
export function shownAddress(address: string): string {
  return address.replaceAll(/(?:%[89A-F][0-9A-F])+/gi, (escapes) => {
    try {
      const text = decodeURIComponent(escapes);
      // What cannot be seen, or turns the writing around, would show another address than it is.
      return /^[\p{L}\p{M}\p{N}]+$/u.test(text) ? text : escapes;
    } catch {
      return escapes;
    }
  });
}

/**
 * An address that somebody typed or changed as it is shown: letters of other scripts escaped, as servers and
 * sitemaps write them.
 */
export function escapedAddress(typed: string): string {
  // Half of a surrogate pair has no escape; it stays, and is refused with the address.
  return typed.replaceAll(/[\u0080-\u{10ffff}]+/gu, (text) =>
    /\p{Cs}/u.test(text) ? text : encodeURIComponent(text),
  );
}

/**
 * A path as pages have it: of several slashes at its start one is kept, since `//host` would be another host.
 */
export function plainPath(path: string): string {
  return path.replace(/^\/{2,}/, '/');
}

/**
 * The names of both rules in JSON Schema (`format`). Whoever checks what comes in asserts them; in what goes
 * out they only describe, so that documents which held other addresses before can still be read.
 */
export const addressFormats = { 'link-address': isSafeAddress, 'page-path': isPagePath } as const;

/** An e-mail address, and a phone number with what people put between its digits. */
export const EMAIL_PATTERN = '^[^\\s@/<>"]+@[^\\s@/<>"]+\\.[^\\s@/<>"]+$';
export const PHONE_PATTERN = '^\\+?[0-9][0-9 ()./-]{1,38}[0-9]$';

const SAFE = /^(?:\/(?!\/)|[?#]|https?:\/\/[^/?#]|mailto:.|tel:.)[^\s\p{Cc}\\<>"]*$/iu;
/** Most paths are of these characters alone, and looking for classes of Unicode takes many times as long. */
const PLAIN_PATH = /^\/(?:[\w.-][\w./?=&%~-]*)?$/;
const PAGE_PATH = /^\/(?!\/)[^\s\p{Cc}\\<>"#]*$/u;
const HOST_ONLY = /^(?:[\p{L}\p{N}](?:[\p{L}\p{N}-]*[\p{L}\p{N}])?\.)+\p{L}{2,}(?=[/?#:]|$)/u;

/** What was meant by an address typed without its scheme: `example.org/a` is a host. */
export function completeAddress(typed: string): string {
  const address = typed.trim();
  if (isSafeAddress(address)) return address;
  return HOST_ONLY.test(address) ? `https://${address}` : address;
}
