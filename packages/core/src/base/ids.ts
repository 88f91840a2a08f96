/**
 * An id: one letter for the kind, then 15 of [0-9a-z]. Whoever creates a thing mints its id; it is safe as a
 * DOM id and in a CSS selector, and stays for ever. 32^15 = 2^75 values: two of a million ids collide with a
 * probability below 10^-10.
 */
export type Id = string;
/** The kinds of things that have ids; each has its own first letter. */
export type IdKind =
  | 'site'
  | 'page'
  | 'menu'
  | 'item'
  | 'placement'
  | 'sharedLink'
  | 'ownField'
  | 'leftFinding'
  | 'part'
  | 'preset'
  | 'style'
  | 'token'
  | 'ownCss'
  | 'edit'
  | 'session';

/** What an id looks like, as a regular expression for schemas. */
export const ID_PATTERN = '^[a-z][0-9a-z]{3,31}$';

const letters: Readonly<Record<IdKind, string>> = {
  site: 's',
  page: 'p',
  menu: 'm',
  item: 'i',
  placement: 'l',
  sharedLink: 'k',
  ownField: 'f',
  leftFinding: 'd',
  part: 'c',
  preset: 't',
  style: 'y',
  token: 'n',
  ownCss: 'r',
  edit: 'e',
  session: 'w',
};
const DIGITS = '0123456789abcdefghjkmnpqrstvwxyz';

const MINTED = new RegExp(`^[a-z][${DIGITS}]{15}$`);

/** Whether a text has the form of a minted id. Ids that were imported may be shorter. */
export function isMinted(text: string): text is Id {
  return MINTED.test(text);
}

/**
 * A source of 32 random bits; in the application from the platform's cryptographic source, in tests seeded.
 */
export type RandomBits = () => number;

/** A new id of a kind: its letter, then 15 random characters. Ids can be used in the DOM as they are. */
export function mintId(kind: IdKind, random: RandomBits): Id {
  let id = letters[kind];
  for (let word = 0; word < 3; word += 1) id += fiveDigits(random());
  return id;
}

/**
 * The id that follows from a text, always the same: what stands for a page in something that follows it has
 * no need to be kept to have a lasting id. Three rounds of MurmurHash3's mixing (A. Appleby, public domain)
 * with different seeds give the 75 bits that a minted id has.
 */
export function derivedId(kind: IdKind, from: string): Id {
  let id = letters[kind];
  for (const seed of [0x9747b28c, 0x3c6ef372, 0x1b873593]) id += fiveDigits(mixed(from, seed));
  return id;
}

function mixed(text: string, seed: number): number {
  let hash = seed;
  for (let at = 0; at < text.length; at += 1) {
    let unit = Math.imul(text.charCodeAt(at), 0xcc9e2d51);
    unit = Math.imul((unit << 15) | (unit >>> 17), 0x1b873593);
    hash ^= unit;
    hash = (Math.imul((hash << 13) | (hash >>> 19), 5) + 0xe6546b64) | 0;
  }
  hash ^= text.length;
  hash = Math.imul(hash ^ (hash >>> 16), 0x85ebca6b);
  hash = Math.imul(hash ^ (hash >>> 13), 0xc2b2ae35);
  return (hash ^ (hash >>> 16)) >>> 0;
}

function fiveDigits(bits: number): string {
  let digits = '';
  for (let shift = 0; shift < 25; shift += 5) digits += DIGITS[(bits >>> shift) & 31];
  return digits;
}
