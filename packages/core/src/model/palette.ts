import { fontOf } from '../anatomy/fonts.ts';
import { isRole, roleNames, roles, type RoleName } from '../anatomy/roles.ts';
import {
  cssOf,
  fillOf,
  roleProperty,
  tokenProperty,
  namesIn,
  valueProblem,
  withoutNames,
  type ValueKind,
} from '../anatomy/values.ts';
import { fontFileName, type FontFile } from '../schema/fontFile.ts';
import { pictureName, widthsOf, type Picture } from '../schema/picture.ts';
import { darkOf, stepOf } from '../colour/colour.ts';
import type { AreaName } from '../schema/part.ts';
import type { Scheme } from '../schema/style.ts';
import { isPlainKind, tokenValueKinds, type Token, type TokenKind } from '../schema/token.ts';
import type { RoleValue } from '../starters/starter.ts';
import { chosenRoles } from './chosenRoles.ts';
import type { SiteDocument } from './document.ts';

/** A colour, font, length or anything else with a name, as values use it. */
export interface PaletteEntry {
  readonly key: string;
  readonly of: TokenKind;
  readonly name: string;
  /** What somebody set; null: it is a role that nobody has set. */
  readonly set: string | null;
  /** What somebody set for the dark scheme. */
  readonly dark?: string;
  /** Of a role: what it is where nobody has set it. */
  readonly usual?: RoleValue | undefined;
  /** Of a role: what its starter says for the dark scheme, which holds as long as nobody sets it for the light one. */
  readonly usualDark?: string | undefined;
  /** The files of a font that visitors have to load. */
  readonly files?: readonly FontFile[];
  readonly display?: 'swap';
  /** Of a picture: its files, and the colours that text over it can have behind it. */
  readonly picture?: Picture;
  readonly tones?: readonly string[];
}

/** Everything that has a name on a site, by its key: the roles first. */
export type Palette = ReadonlyMap<string, PaletteEntry>;

/** The roles as they are where nobody has set anything. */
export const plainPalette: Palette = new Map(
  roleNames.map((key) => {
    const { of, name, value } = roles[key];
    return [key, { key, of, name, set: null, usual: value }];
  }),
);

/**
 * Everything that has a name on a site: the roles first, then the site's own in the order of their names. `area`: one
 * that begins with another starter than the site may have other colours. O(tokens).
 */
export function paletteOf({ site, tokens }: SiteDocument, area: AreaName | null = null): Palette {
  const starter = chosenRoles(site, area);
  let byStarter = palettes.get(tokens);
  if (byStarter === undefined) palettes.set(tokens, (byStarter = new Map()));
  const known = byStarter.get(starter.key);
  if (known?.roles === starter.roles) return known.palette;
  const set = new Map([...tokens.nodes.values()].map((token) => [token.key, token]));
  const own = [...set.values()]
    .filter(({ key, value }) => !isRole(key) && value !== undefined)
    .map(({ key, of, name = key, value = null, dark, files, display, picture, tones }): PaletteEntry => ({
      key,
      of,
      name,
      set: value,
      ...(dark === undefined ? {} : { dark }),
      ...(files === undefined ? {} : { files }),
      ...(display === undefined ? {} : { display }),
      ...(picture === undefined ? {} : { picture }),
      ...(tones === undefined ? {} : { tones }),
    }))
    .sort((a, b) => (a.name < b.name ? -1 : 1));
  const palette: Palette = new Map(
    [
      ...[...plainPalette.values()].map((one) => ({
        ...one,
        set: set.get(one.key)?.value ?? null,
        ...darkIn(set.get(one.key)),
        usual: starter.roles[one.key as RoleName] ?? one.usual,
        usualDark: starter.own?.dark?.[one.key as RoleName],
      })),
      ...own,
    ].map((one) => [one.key, one]),
  );
  byStarter.set(starter.key, { roles: starter.roles, palette });
  return palette;
}
const palettes = new WeakMap<
  SiteDocument['tokens'],
  Map<string, { readonly roles: object; readonly palette: Palette }>
>();

function darkIn(token: Token | undefined): { readonly dark?: string } {
  return token?.dark === undefined ? {} : { dark: token.dark };
}

/** A step of a colour: its key, and its lightness in percent. */
const STEP = /^(.+)-(\d{1,3})$/;

/** What a name stands for: `#rrggbb`, a length, or a CSS font family; null: nothing has that name. */
export function valueOfName(palette: Palette, name: string, scheme: Scheme = 'light'): string | null {
  const [, base = name, step] = STEP.exec(name) ?? [];
  const entry = palette.get(base);
  if (entry === undefined || (step !== undefined && entry.of !== 'colour')) return null;
  const value = scheme === 'dark' ? darkValue(palette, entry) : (entry.set ?? usualOf(palette, entry));
  if (value === null) return null;
  if (entry.of === 'font') return fontOf(value)?.css ?? ownFamily(entry);
  return step === undefined ? value : stepOf(value, Number(step));
}

function usualOf(palette: Palette, { usual }: PaletteEntry): string | null {
  return usual === undefined || typeof usual === 'string'
    ? (usual ?? null)
    : valueOfName(palette, usual.like);
}

/** What an entry is in the dark scheme: what somebody set, or else, of a colour, where light and dark change places. */
function darkValue(palette: Palette, entry: PaletteEntry): string | null {
  const { of, set, dark, usual, usualDark } = entry;
  if (dark !== undefined) return dark;
  if (set === null && usualDark !== undefined) return usualDark;
  if (set === null && usual !== undefined && typeof usual !== 'string')
    return valueOfName(palette, usual.like, 'dark');
  const value = set ?? usualOf(palette, entry);
  return of === 'colour' && value !== null ? darkOf(value) : value;
}

/** What stands in for a font that is not there (yet), by the class that it is of. */
const standIns = {
  sans: {
    generic: 'sans-serif',
    width: 464,
    local: ['Arial', 'Helvetica Neue', 'Roboto', 'Liberation Sans'],
  },
  serif: {
    generic: 'serif',
    width: 422,
    local: ['Times New Roman', 'Times', 'Noto Serif', 'Liberation Serif'],
  },
  mono: {
    generic: 'monospace',
    width: 600,
    local: ['Courier New', 'Courier', 'Droid Sans Mono', 'Liberation Mono'],
  },
} as const;

function classOf({ set }: PaletteEntry): keyof typeof standIns {
  const [, name = 'sans'] = /^own:(\w+)$/.exec(set ?? '') ?? [];
  return name as keyof typeof standIns;
}

/** The CSS family of a font with files: itself, what stands in for it at its size, and what every browser has. */
function ownFamily(entry: PaletteEntry): string | null {
  if (entry.files === undefined) return null;
  return `zv-${entry.key},zv-${entry.key}-stand-in,${standIns[classOf(entry)].generic}`;
}

/** The fonts with files among those that these values use. O(values). */
export function fontsUsed(palette: Palette, values: Iterable<string>): PaletteEntry[] {
  const used = new Set<string>();
  for (const value of values) if (value.startsWith('@')) used.add(value.slice(1));
  return [...palette.values()].filter(({ key, files }) => files !== undefined && used.has(key));
}

/**
 * The faces of fonts with files, and for each what stands in for it: a font that visitors have, made as wide and as
 * high, so that nothing moves when the font comes. `files`: what the names of files are put behind.
 */
export function fontFaces(fonts: readonly PaletteEntry[], files: string): string {
  return fonts
    .map((entry) => {
      const { key, files: own = [], display = 'optional' } = entry;
      const [first] = own;
      if (first === undefined) return '';
      const faces = own.map(
        (one) =>
          `@font-face{font-family:zv-${key};src:url(${files}${fontFileName(one)}) format("woff2");font-weight:${one.weight};font-style:${one.isItalic === true ? 'italic' : 'normal'};font-display:${display}${one.range === undefined ? '' : `;unicode-range:${one.range}`}}\n`,
      );
      const { width, local } = standIns[classOf(entry)];
      const size = first.width / width;
      const share = (perMille: number): string => `${Math.round((perMille / size) * 10) / 100}%`;
      const names = local.map((name) => `local("${name}")`).join(',');
      return `${faces.join('')}@font-face{font-family:zv-${key}-stand-in;src:${names};size-adjust:${Math.round(size * 10000) / 100}%;ascent-override:${share(first.ascent)};descent-override:${share(first.descent)};line-gap-override:${share(first.gap)}}\n`;
    })
    .join('');
}

/** Whether every name in a value is there, and fits where it stands. O(length). */
export function fitsPalette(palette: Palette, kind: ValueKind, value: string): boolean {
  if (!value.includes('@') || value.startsWith('=')) return true;
  if (kind === 'font') return palette.get(value.slice(1))?.of === 'font';
  if (kind === 'divider') return pictureNamed(palette, value.slice(1)) !== null;
  if (kind === 'fill') {
    const { gradient, name, as } = fillOf(value);
    const isAlone = gradient === null && as === 'cover';
    const isThere =
      name === null ||
      pictureNamed(palette, name) !== null ||
      (isAlone && palette.get(name)?.of === 'gradient');
    return isThere && (gradient === null || fitsPalette(palette, 'tokenGradient', gradient));
  }
  const plain = plainValue(palette, value);
  return plain !== null && valueProblem(kind, plain) === null;
}

/** A picture of the site, by its name; null: there is none. */
export function pictureNamed(palette: Palette, name: string): Picture | null {
  return palette.get(name)?.picture ?? null;
}

/** A value without names; null: something has no such name. A shadow or a gradient names colours in its turn. */
export function plainValue(palette: Palette, value: string): string | null {
  let plain: string | null = value;
  for (let depth = 0; depth < 2 && plain?.includes('@') === true; depth += 1)
    plain = withoutNames(plain, (name) =>
      palette.get(name)?.of === 'font' ? null : valueOfName(palette, name),
    );
  return plain;
}

/**
 * The declarations of all names, for the top of the style sheet: roles first, then the site’s own; of tints and
 * shades those that values use. A site’s own style sheet may set the roles instead. `files`: what the names of
 * uploaded files are put behind.
 */
export function paletteDeclarations(palette: Palette, values: Iterable<string>, files = ''): string {
  const lines: string[] = [];
  for (const entry of palette.values()) {
    const { key, set } = entry;
    if (isRole(key)) lines.push(`${tokenProperty(key)}:var(${roleProperty(key)},${roleCss(palette, entry)})`);
    else if (set !== null) {
      const css = entry.picture === undefined ? tokenCss(palette, entry) : pictureCss(entry.picture, files);
      lines.push(`${tokenProperty(key)}:${css}`);
    }
  }
  return [...lines, ...stepDeclarations(palette, values, 'light')].join(';');
}

/**
 * The declarations of all colours that are others in the dark scheme, like `paletteDeclarations`: roles that are like
 * another one follow it by themselves.
 */
export function darkDeclarations(palette: Palette, values: Iterable<string>): string {
  const lines: string[] = [];
  for (const entry of palette.values()) {
    const { key, of } = entry;
    const value = of === 'colour' ? darkCss(palette, entry) : null;
    if (value === null) continue;
    lines.push(
      isRole(key)
        ? `${tokenProperty(key)}:var(${roleProperty(key)},${short(value)})`
        : `${tokenProperty(key)}:${value}`,
    );
  }
  return [...lines, ...stepDeclarations(palette, values, 'dark')].join(';');
}

/** Wider than most places are, in px: a picture behind something is loaded in no greater width. */
const WIDE_ENOUGH = 1440;

function pictureCss(picture: Picture, files: string): string {
  const widths = widthsOf(picture);
  const width = widths.findLast((one) => one <= WIDE_ENOUGH) ?? widths[0] ?? picture.width;
  return `url("${files}${pictureName(picture, width)}")`;
}

/** What an entry is in CSS: what somebody set, or else as usual. */
export function tokenCss(palette: Palette, { key, of, set }: PaletteEntry): string {
  const value = valueOfName(palette, key) ?? '';
  return isPlainKind(of) ? cssOf(tokenValueKinds[of], set ?? value) : value;
}

/** What a colour is in the dark scheme, if that is its own; null: it follows another one. */
export function darkCss(palette: Palette, { key, set, dark, usual, usualDark }: PaletteEntry): string | null {
  const isSaid = dark !== undefined || usualDark !== undefined;
  const isLike = set === null && !isSaid && usual !== undefined && typeof usual !== 'string';
  return isLike ? null : valueOfName(palette, key, 'dark');
}

/** The tints and shades that values use. */
function stepDeclarations(palette: Palette, values: Iterable<string>, scheme: Scheme): string[] {
  const steps = new Set<string>();
  for (const value of values)
    if (/-\d/.test(value)) for (const name of namesIn(value)) if (STEP.test(name)) steps.add(name);
  return [...steps].sort().flatMap((name) => {
    const value = valueOfName(palette, name, scheme);
    return value === null ? [] : [`${tokenProperty(name)}:${value}`];
  });
}

function short(hex: string): string {
  return hex.replace(/^#(.)\1(.)\2(.)\3$/, '#$1$2$3');
}

function roleCss(palette: Palette, { key, set, usual = '' }: PaletteEntry): string {
  if (set === null && typeof usual !== 'string') return `var(${tokenProperty(usual.like)})`;
  return short(valueOfName(palette, key) ?? '');
}

/** A value in which what uses a name, or a step of it, has what that stands for instead. O(length). */
export function withNameReplaced(
  value: string,
  key: string,
  valueFor: (name: string) => string | null,
): string {
  const parts = value.split(/(-?@[a-z][a-z0-9-]*(?:\*[\d.]+)?(?:\/\d{1,3}%)?)/);
  return parts
    .map((part) => {
      const [name = ''] = namesIn(part);
      return name === key || STEP.exec(name)?.[1] === key ? (withoutNames(part, valueFor) ?? part) : part;
    })
    .join('');
}
