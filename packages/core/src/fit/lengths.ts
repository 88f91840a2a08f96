/** Layout units in a px: browsers count in 64ths. */
export const UNITS = 64;
/** The size of text that rem are of, in px, where visitors have not set another one. */
export const ROOT = 16;

/** A length of a look, without names, in px; null: it is none, or depends on what is around. `em`: in px. */
export function pxOf(value: string, em: number): number | null {
  if (value === '0') return 0;
  const [, number = '', unit = ''] = /^(-?(?:\d+\.?\d*|\.\d+))(px|rem|em)$/.exec(value) ?? [];
  if (number === '') return null;
  return Number(number) * (unit === 'px' ? 1 : unit === 'rem' ? ROOT : em);
}

/** The same in layout units, as browsers cut it: what is less than a unit is dropped. What is no length counts as 0. */
export function unitsOf(value: string, em: number): number {
  return Math.trunc((pxOf(value, em) ?? 0) * UNITS);
}

/** The width of a border in layout units: whole px, and at least one where there is a border (CSS Backgrounds 3, 4.3). */
export function borderOf(value: string, em: number): number {
  const px = pxOf(value, em) ?? 0;
  return px <= 0 ? 0 : Math.max(1, Math.floor(px)) * UNITS;
}

/** The two values of a property for both sides: the second one is the first, where it is not there. */
export function sidesOf(value: string): readonly [start: string, end: string] {
  const [start = '0', end = start] = value.split(' ');
  return [start, end];
}
