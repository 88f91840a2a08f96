/**
 * An id: one letter for the kind, then 15 of [0-9a-z]. Whoever creates a thing mints its id; it is safe as a DOM id and in a
 * CSS selector, and stays for ever. 32^15 = 2^75 values: two of a million ids collide with a probability below 10^-10.
 */
export type Id = string;
export type IdKind = 'site' | 'page' | 'menu' | 'item' | 'placement' | 'sharedLink' | 'ownField' | 'edit' | 'session';

export const ID_PATTERN = '^[a-z][0-9a-z]{3,31}$';

const letters: Readonly<Record<IdKind, string>> = {
  site: 's',
  page: 'p',
  menu: 'm',
  item: 'i',
  placement: 'l',
  sharedLink: 'k',
  ownField: 'f',
  edit: 'e',
  session: 'w',
};
const DIGITS = '0123456789abcdefghjkmnpqrstvwxyz';

/** A source of 32 random bits; in the application from the platform's cryptographic source, in tests seeded. */
export type RandomBits = () => number;

export function mintId(kind: IdKind, random: RandomBits): Id {
  let id = letters[kind];
  for (let word = 0; word < 3; word += 1) id += fiveDigits(random());
  return id;
}

function fiveDigits(bits: number): string {
  let digits = '';
  for (let shift = 0; shift < 25; shift += 5) digits += DIGITS[(bits >>> shift) & 31];
  return digits;
}
