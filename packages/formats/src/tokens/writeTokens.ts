import {
  fontOf,
  isRole,
  plainValue,
  tokenProperty,
  valueOfName,
  darkCss,
  paletteOf,
  roleProperty,
  tokenCss,
  type Palette,
  type PaletteEntry,
  type SiteDocument,
  type TokenKind,
} from '@zorvik/core';
import { OURS, typeOfKind } from './tokenTypes.ts';

/** A JSON value of a token. */
type Written = string | number | boolean | null | readonly Written[] | { readonly [name: string]: Written };

/**
 * The names of a site as design tokens (Design Tokens Community Group, format 2025.10): a group for each type; roles
 * that follow another one as aliases. What the format has no word for, such as what a colour is in the dark, stands in
 * `$extensions`, so that nothing is lost on the way back.
 */
export function writeDesignTokens(document: SiteDocument): string {
  const palette = paletteOf(document);
  const groups: Record<string, Record<string, Written>> = {};
  for (const entry of palette.values()) {
    const { of } = entry;
    // The format has no pictures.
    if (of === 'picture') continue;
    const type = typeOfKind[of];
    const group = (groups[type] ??= { $type: type });
    const isLike = entry.set === null && entry.usual !== undefined && typeof entry.usual !== 'string';
    const value = entry.set ?? valueOfName(palette, entry.key) ?? '';
    const ours: Record<string, Written> = {
      name: entry.name,
      ...(entry.dark === undefined ? {} : { dark: entry.dark }),
      ...(isLike ? { like: likeOf(entry) } : { value }),
    };
    group[entry.key] = {
      $value: isLike ? `{${type}.${likeOf(entry)}}` : valueOf(palette, of, value, entry),
      $extensions: { [OURS]: ours },
    };
  }
  const file = { $description: `Navigation of ${document.site.name}`, ...groups };
  return `${JSON.stringify(file, null, 2)}\n`;
}

function likeOf({ usual }: PaletteEntry): string {
  return typeof usual === 'object' ? usual.like : '';
}

function valueOf(
  palette: Palette,
  of: Exclude<TokenKind, 'picture'>,
  value: string,
  entry: PaletteEntry,
): Written {
  switch (of) {
    case 'colour':
      return colourOf(value);
    case 'font':
      return familiesOf(palette, value, entry);
    case 'length':
      return dimensionOf(value);
    case 'weight':
      return Number(value);
    case 'duration':
      return { value: Number.parseFloat(value), unit: 'ms' };
    case 'shadow': {
      const shadows = (plainValue(palette, value) ?? value).split(/, ?/).map(shadowOf);
      return shadows.length === 1 ? (shadows[0] ?? null) : shadows;
    }
    case 'gradient': {
      const [, ...stops] = (plainValue(palette, value) ?? value).slice('linear('.length, -1).split(/, ?/);
      return stops.map((stop, at) => {
        const [colour = '', share] = stop.split(' ');
        const position =
          share === undefined ? at / Math.max(1, stops.length - 1) : Number.parseInt(share, 10) / 100;
        return { color: colourOf(colour), position: Math.round(position * 1e4) / 1e4 };
      });
    }
  }
}

/** A colour in sRGB, with its digits for whoever reads only those. */
function colourOf(value: string): Written {
  const hex = value === 'none' ? '#00000000' : value;
  const parts = [1, 3, 5, 7].map((at) => Number.parseInt(hex.slice(at, at + 2), 16) / 255);
  const [red = 0, green = 0, blue = 0, alpha = 1] = parts.map((one) =>
    Number.isNaN(one) ? 1 : Math.round(one * 1e5) / 1e5,
  );
  return {
    colorSpace: 'srgb',
    components: [red, green, blue],
    ...(hex.length > 7 ? { alpha } : {}),
    hex: hex.slice(0, 7),
  };
}

/** The format has px and rem alone; what is in em is as it would be at the usual size of text. */
function dimensionOf(value: string): Written {
  const [, number = '0', unit = 'px'] = /^(-?[\d.]+)(px|rem|em)?$/.exec(value) ?? [];
  return { value: Number(number), unit: unit === 'px' ? 'px' : 'rem' };
}

function shadowOf(value: string): Written {
  const parts = value.split(' ');
  const inset = parts[0] === 'inset';
  if (inset) parts.shift();
  const colour = parts.pop() ?? '#000000';
  const [x = '0', y = '0', blur = '0', spread = '0'] = parts;
  return {
    color: colourOf(colour),
    offsetX: dimensionOf(x),
    offsetY: dimensionOf(y),
    blur: dimensionOf(blur),
    spread: dimensionOf(spread),
    ...(inset ? { inset } : {}),
  };
}

/** Families in their order, without quotes. */
function familiesOf(palette: Palette, value: string, { key, name }: PaletteEntry): Written {
  const css = fontOf(value)?.css;
  if (css === undefined) return [name, valueOfName(palette, key)?.split(',').at(-1) ?? 'sans-serif'];
  return css.split(',').map((one) => one.trim().replaceAll('"', ''));
}

/**
 * The names of a site as CSS custom properties: under the names by which the delivered style sheet takes them over from
 * a site's own, and for the dark scheme, where the site has one.
 */
export function writeCustomProperties(document: SiteDocument): string {
  const palette = paletteOf(document);
  const lines = [...palette.values()].map((entry) => {
    const name = isRole(entry.key) ? roleProperty(entry.key) : tokenProperty(entry.key);
    return `  ${name}: ${tokenCss(palette, entry)};`;
  });
  const dark = [...palette.values()].flatMap((entry) => {
    const value = entry.of === 'colour' ? darkCss(palette, entry) : null;
    const name = isRole(entry.key) ? roleProperty(entry.key) : tokenProperty(entry.key);
    return value === null ? [] : [`    ${name}: ${value};`];
  });
  const night =
    document.site.hasDark === true
      ? `@media (prefers-color-scheme: dark) {\n  :root {\n${dark.join('\n')}\n  }\n}\n`
      : '';
  return `/* ${document.site.name.replaceAll('*/', '')}: colours, fonts and lengths of the navigation. */\n:root {\n${lines.join('\n')}\n}\n${night}`;
}
