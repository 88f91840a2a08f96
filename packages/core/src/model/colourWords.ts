import { withoutNames } from '../anatomy/values.ts';
import { readColour } from '../colour/colour.ts';
import type { Scheme } from '../schema/style.ts';
import { valueOfName, type Palette } from './palette.ts';

/** What values of colours that are no colours of their own are called. */
const words: Readonly<Record<string, string>> = { inherit: 'as around it', currentColor: 'text colour' };

/** A colour’s value as people read it: “Moss 30, 40%”, “#1f5a3a”, “none”. */
export function colourShown(palette: Palette, value: string): string {
  if (value.startsWith('=')) return 'automatic';
  const [, key = '', step, share] = /^@(.+?)(?:-(\d{1,3}))?(?:\/(\d{1,3})%)?$/.exec(value) ?? [];
  if (key === '') return words[value] ?? value;
  const name = palette.get(key)?.name ?? key;
  return `${name}${step === undefined ? '' : ` ${step}`}${share === undefined ? '' : `, ${share}%`}`;
}

/**
 * What somebody typed, as a value: the name of a colour of the site, with a step and an opacity or without; any colour
 * of CSS; “none”. What is neither is left as it is, to be refused. O(names).
 */
export function colourTyped(palette: Palette, typed: string): string {
  const plain = typed.trim();
  const said = Object.entries(words).find(([, word]) => word === plain.toLowerCase())?.[0];
  if (said !== undefined) return said;
  const [, before = plain, share] = /^(.*?)(?:\s*[,/]\s*(\d{1,3})\s*%)?$/.exec(plain) ?? [];
  for (const { key, name, of } of palette.values()) {
    if (of !== 'colour') continue;
    for (const one of [name, key]) {
      const rest = before.toLowerCase().startsWith(one.toLowerCase()) ? before.slice(one.length) : null;
      const step = rest === null ? null : /^(?:[ -]?(\d{1,3}))?$/.exec(rest);
      if (step === null) continue;
      return `@${key}${step[1] === undefined ? '' : `-${step[1]}`}${share === undefined ? '' : `/${share}%`}`;
    }
  }
  return readColour(plain) ?? plain;
}

/** A colour’s value as CSS that stands on its own; null: it depends on what is around it, or there is no such name. */
export function plainColour(palette: Palette, value: string, scheme: Scheme = 'light'): string | null {
  if (value === 'none') return '#00000000';
  const plain = value.startsWith('@')
    ? withoutNames(value, (name) => valueOfName(palette, name, scheme))
    : value;
  return plain !== null && /^#[0-9a-f]{6,8}$/.test(plain) ? plain : null;
}
