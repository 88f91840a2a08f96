import { isRole, roles, type RoleName } from './roles.ts';

/** A number without a sign, and one that may be below 0. */
const NUMBER = '(?:\\d{1,4}(?:\\.\\d{1,4})?|\\.\\d{1,4})';
const UNIT = '(?:px|rem|em)';
const PLAIN_LENGTH = `0|${NUMBER}${UNIT}`;
const LENGTH = `(?:${PLAIN_LENGTH}|@[a-z][a-z0-9-]{0,39}(?:\\*${NUMBER})?)`;
const ANY_LENGTH = `-?${LENGTH}`;
const COLOUR =
  '(?:#[0-9a-f]{6}(?:[0-9a-f]{2})?|@[a-z][a-z0-9-]{0,39}(?:/\\d{1,3}%)?|none|inherit|currentColor)';
/** The name of something on the site. */
const NAME = '@[a-z][a-z0-9-]{0,39}';
const PACE = `(?:\\d{1,4}ms|${NAME})(?: (?:linear|ease|ease-in|ease-out|ease-in-out))?`;
const GRADIENT = `linear\\((?:-?\\d{1,3}(?:\\.\\d)?deg)(?:, ?${COLOUR}(?: \\d{1,3}%)?){2,6}\\)`;
const oneOrTwo = (one: string): string => `${one}(?: ${one})?`;
const SHADOW = `(?:inset )?${ANY_LENGTH} ${ANY_LENGTH} ${LENGTH}(?: ${ANY_LENGTH})? ${COLOUR}`;

const SHADOWS = `${SHADOW}(?:, ?${SHADOW}){0,3}`;
const WEIGHT = '[1-9]\\d{0,2}|1000';

/** What the values of a property can be. */
export interface ValueFacts {
  /** A regular expression for the whole value; what is stored fits it (JSON Schema has it, too). */
  readonly pattern: string;
  /** What is expected, for people: “Enter …”. */
  readonly expected: string;
  /** The least and the most of each number, by its unit; there where numbers can be out of range. */
  readonly range?: readonly [least: number, most: number];
  /** Values to start from. */
  readonly offers?: readonly string[];
  /** The values that can be chosen, where these are all. */
  readonly choices?: readonly string[];
}

function among(...choices: readonly string[]): ValueFacts {
  return { pattern: choices.join('|'), expected: choices.join(', '), choices };
}

/** What can stand between entries, besides a line. */
export const dividerSigns = {
  dot: '·',
  bullet: '•',
  slash: '/',
  dash: '–',
  chevron: '›',
  diamond: '◆',
} as const;

/** The kinds of values. A value is a text in a small part of CSS, with `@name` for colours and lengths of the site. */
export const valueKinds = {
  /** What lengths, weights, times, shadows and gradients with a name can be. */
  tokenLength: { pattern: PLAIN_LENGTH, expected: 'a length such as 12px or .75rem', range: [0, 400] },
  tokenWeight: { pattern: WEIGHT, expected: 'a weight from 1 to 1000', range: [1, 1000] },
  tokenDuration: { pattern: '\\d{1,4}ms', expected: 'a time such as 150ms', range: [0, 3000] },
  tokenShadow: {
    pattern: SHADOWS,
    expected: 'a shadow such as 0 12px 28px -12px #00000066',
    range: [-200, 400],
  },
  tokenGradient: { pattern: GRADIENT, expected: 'a gradient such as linear(135deg, #1f5a3a, #6b8e23 80%)' },
  colour: { pattern: COLOUR, expected: 'a colour such as #1f5a3a, @accent, @accent/40% or none' },
  /** A gradient, a picture of the site, or a gradient over a picture; a picture fills its place unless it says so. */
  fill: {
    pattern: `none|${GRADIENT}|(?:${GRADIENT} )?${NAME}(?: (?:contain|tile))?`,
    expected: 'none, a picture of this site, or a gradient such as linear(135deg, #1f5a3a, #6b8e23 80%)',
  },
  share: { pattern: '0|1|0?\\.\\d{1,3}', expected: 'a number from 0 to 1', range: [0, 1] },
  font: { pattern: 'inherit|@[a-z][a-z0-9-]{0,39}', expected: 'a font of this site' },
  size: {
    pattern: `inherit|${NUMBER}${UNIT}|${NAME}(?:\\*${NUMBER})?|fluid\\(${NUMBER}px@\\d{3,4}, ?${NUMBER}px@\\d{3,4}\\)`,
    expected: 'a size such as 17px, 1.1rem or fluid(16px@390, 20px@1280)',
    range: [0.3, 200],
  },
  weight: { pattern: `inherit|${WEIGHT}|${NAME}`, expected: 'a weight from 1 to 1000', range: [1, 1000] },
  slant: among('inherit', 'normal', 'italic'),
  lineHeight: {
    pattern: `inherit|normal|${NUMBER}(?:px|rem|em)?`,
    expected: 'a line height such as 1.5 or 24px',
    range: [0.5, 200],
  },
  spacing: {
    pattern: `inherit|normal|0|-?${NUMBER}${UNIT}`,
    expected: 'a length such as .02em or 1px',
    range: [-50, 100],
  },
  case: among('inherit', 'none', 'uppercase', 'lowercase', 'capitalize'),
  decoration: {
    pattern: `none|inherit|(?:underline|overline|line-through)(?: (?:solid|dotted|dashed|wavy|double))?(?: ${LENGTH})?(?: ${COLOUR})?`,
    expected: 'none, or a line such as underline 2px',
    range: [0, 50],
  },
  offset: { pattern: `inherit|auto|${ANY_LENGTH}`, expected: 'a length such as .3em', range: [-50, 100] },
  alignment: among('inherit', 'start', 'center', 'end'),
  padding: { pattern: LENGTH, expected: 'a length such as 12px or .75rem', range: [0, 400] },
  paddings: {
    pattern: oneOrTwo(LENGTH),
    expected: 'one or two lengths such as 8px or 8px 12px',
    range: [0, 400],
  },
  margins: {
    pattern: oneOrTwo(`(?:${ANY_LENGTH}|auto)`),
    expected: 'one or two lengths such as 8px, -4px 0 or auto',
    range: [-400, 400],
  },
  least: { pattern: LENGTH, expected: 'a length such as 44px or 2.75rem', range: [0, 2000] },
  most: { pattern: `none|${LENGTH}`, expected: 'a length such as 352px or 22rem, or none', range: [0, 4000] },
  extent: {
    pattern: `auto|${LENGTH}`,
    expected: 'a length such as 20px or 1.25em, or auto',
    range: [0, 4000],
  },
  /** What lies over what: the greater one over the lesser. */
  order: { pattern: 'auto|\\d{1,5}', expected: 'a whole number such as 20, or auto', range: [0, 99_999] },
  borders: {
    pattern: oneOrTwo(LENGTH),
    expected: 'one or two widths such as 1px or 0 2px',
    range: [0, 100],
  },
  borderStyle: among('solid', 'dashed', 'dotted', 'double'),
  corners: {
    pattern: `${LENGTH}(?: ${LENGTH}){0,3}|50%`,
    expected: 'one to four radii such as 6px or 8px 8px 0 0',
    range: [0, 1000],
  },
  shadow: {
    pattern: `none|${NAME}|${SHADOWS}`,
    expected: 'a shadow such as 0 12px 28px -12px #00000066, or none',
    range: [-200, 400],
    offers: [
      'none',
      'inset 0 -3px 0 @accent',
      'inset 0 3px 0 @accent',
      'inset 3px 0 0 @accent',
      '0 2px 8px #00000033',
      '0 12px 28px -12px #00000066',
    ],
  },
  ring: {
    pattern: `none|${LENGTH} (?:solid|dashed|dotted|double) ${COLOUR}`,
    expected: 'a ring such as 2px solid @accent',
    range: [0, 20],
  },
  ringOffset: { pattern: ANY_LENGTH, expected: 'a length such as 2px or -2px', range: [-50, 50] },
  /** How long something takes to change, and how. */
  motion: {
    pattern: `none|${PACE}`,
    expected: 'none, or a time such as 150ms or 200ms ease-out',
    range: [0, 3000],
    offers: ['none', '100ms ease', '150ms ease', '250ms ease-in-out'],
  },
  /** How something comes into sight. */
  entrance: {
    pattern: `none|(?:fade|slide|rise|scale) ${PACE}`,
    expected: 'none, or a way and a time such as fade 150ms, slide 200ms, rise 200ms or scale 150ms ease-out',
    range: [0, 3000],
    offers: [
      'none',
      'fade 150ms ease',
      'slide 200ms ease-out',
      'rise 200ms ease-out',
      'scale 150ms ease-out',
    ],
  },
  divider: {
    ...among('none', 'line', ...Object.keys(dividerSigns)),
    pattern: `none|line|${Object.keys(dividerSigns).join('|')}|${NAME}`,
    expected: `none, line, ${Object.keys(dividerSigns).join(', ')}, or a picture of this site`,
  },
  arrow: among('chevron', 'bold', 'triangle', 'arrow', 'plus', 'dot', 'none'),
} as const satisfies Record<string, ValueFacts>;
/** See `valueKinds`. */
export type ValueKind = keyof typeof valueKinds;

/**
 * The custom property in which a colour, font or length with a name is found: those of roles are ours, others can be
 * used by the site, too.
 */
export function tokenProperty(name: string): string {
  return isRole(name) ? `--_${name}` : `--zv-t-${name}`;
}

/** The custom property by which a site’s own style sheet may set a role. */
export function roleProperty(name: RoleName): string {
  return roles[name].own;
}

/** A name in a value, with its sign, how many times it is taken, or its opacity. */
const TOKEN = new RegExp(`(-?)@([a-z][a-z0-9-]*)(?:\\*(${NUMBER}))?(?:/(\\d{1,3})%)?`, 'g');
const FLUID = new RegExp(`^fluid\\((${NUMBER})px@(\\d+), ?(${NUMBER})px@(\\d+)\\)$`);
const RAW = '=';

/** What is wrong with a value, as what was expected; null: nothing. O(length). */
export function valueProblem(kind: ValueKind, value: string): string | null {
  const { pattern, expected, range }: ValueFacts = valueKinds[kind];
  let whole = wholes.get(pattern);
  if (whole === undefined) wholes.set(pattern, (whole = new RegExp(`^(?:${pattern})$`)));
  if (value.length > 300 || !whole.test(value)) return expected;
  if (/\/(\d{3,})%/.test(value) && Number(/\/(\d+)%/.exec(value)?.[1]) > 100) return expected;
  if (range === undefined) return null;
  const plain = value.replaceAll(/#[0-9a-f]+|@[a-z][\w-]*(?:\*[\d.]+)?(?:\/\d+%)?|@\d+/g, '');
  const [least, most] = range;
  const isIn = [...plain.matchAll(/(-?(?:\d+\.?\d*|\.\d+))(px|rem|em|%)?/g)].every(([, number, unit]) => {
    const size = Number(number) * (unit === 'rem' || unit === 'em' ? 16 : 1);
    return size >= least && size <= most;
  });
  return isIn ? null : `${expected}, from ${least} to ${most}`;
}
/** The patterns of all kinds, each read once. */
const wholes = new Map<string, RegExp>();

/** A value in CSS. What begins with "=" is CSS already: only starters have that. O(length). */
export function cssOf(kind: ValueKind, value: string): string {
  if (value.startsWith(RAW)) return value.slice(RAW.length);
  if (kind === 'colour' && value === 'none') return '#0000';
  if (kind === 'fill' || kind === 'tokenGradient')
    return named(value.replace('linear(', 'linear-gradient(').replace(') @', '),@'));
  const fluid = FLUID.exec(value);
  return fluid === null ? named(value) : fluidCss(fluid.slice(1).map(Number));
}

function named(value: string): string {
  if (!value.includes('@') && !value.includes(' none')) return value;
  const plain = value === 'none' ? value : value.replace(/(?<= )none\b/g, '#0000');
  return plain.replace(TOKEN, (_, sign: string, name: string, times?: string, share?: string) => {
    const token = `var(${tokenProperty(name)})`;
    if (share !== undefined) return `color-mix(in srgb,${token} ${share}%,#0000)`;
    if (times !== undefined) return `calc(${token}*${sign}${times})`;
    return sign === '' ? token : `calc(-1*${token})`;
  });
}

/**
 * A size that grows with the window between two widths; sizes in px. In rem, so that it grows with the size that
 * visitors set in their browser, too.
 */
function fluidCss(numbers: readonly number[]): string {
  const [from = 0, at = 0, to = 0, until = 1] = numbers;
  const slope = (to - from) / Math.max(1, until - at);
  const rem = (px: number): string => `${Math.round((px / 16) * 1e4) / 1e4}rem`;
  const [low, high] = [Math.min(from, to), Math.max(from, to)];
  return `clamp(${rem(low)},calc(${rem(from - slope * at)} + ${Math.round(slope * 1e5) / 1e3}vw),${rem(high)})`;
}

/** What fills a place: a gradient, the name of a picture (or of a gradient), and how a picture fills it. */
export interface Fill {
  /** `linear(…)`; null: there is none. */
  readonly gradient: string | null;
  readonly name: string | null;
  readonly as: 'cover' | 'contain' | 'tile';
}

/** The parts of a fill. O(length). */
export function fillOf(value: string): Fill {
  const [, gradient = null, name = null, as = 'cover'] =
    /^(linear\(.*\))?(?: ?@([a-z][a-z0-9-]*)(?: (contain|tile))?)?$/.exec(value) ?? [];
  return { gradient, name, as: as as Fill['as'] };
}

/** The names that a value uses, such as `accent`, or `moss-30` for a step of a colour. O(length). */
export function namesIn(value: string): string[] {
  return value.startsWith(RAW) ? [] : [...value.matchAll(TOKEN)].map(([, , name = '']) => name);
}

/**
 * A value with what its names stand for instead of them. `valueFor`: a colour (`#rrggbb`), a length, or null where
 * nothing has that name: then there is no such value (null). O(length).
 */
export function withoutNames(value: string, valueFor: (name: string) => string | null): string | null {
  let isWhole = true;
  const plain = value.replace(TOKEN, (_, sign: string, name: string, times?: string, share?: string) => {
    const found = valueFor(name);
    if (found === null) isWhole = false;
    else if (share !== undefined)
      return (
        found +
        Math.round(Number(share) * 2.55)
          .toString(16)
          .padStart(2, '0')
      );
    const [, number = '', unit = ''] = /^([\d.]+)(px|rem|em)?$/.exec(found ?? '') ?? [];
    if (number === '') return `${sign}${found ?? ''}`;
    return `${sign}${Math.round(Number(number) * Number(times ?? 1) * 1e4) / 1e4}${unit}`;
  });
  return isWhole ? plain : null;
}
