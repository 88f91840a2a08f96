import { describe, expect, it } from 'vitest';
import {
  applyEdit,
  importNames,
  namesChanged,
  paletteOf,
  setDark,
  setDarkToken,
  setToken,
  addToken,
  type Edit,
  type NamedValue,
  type Result,
  type SiteDocument,
  type TokenKind,
} from '@zorvik/core';
import { contextOf, outlined } from '@zorvik/core/testing';
import { readDesignTokens, writeCustomProperties, writeDesignTokens } from '../src/index.ts';

const { document: plain } = outlined('Visit');
function done(document: SiteDocument, made: Result<Edit>): SiteDocument {
  if (!made.ok) throw new Error(made.refusal.message);
  const applied = applyEdit(document, made.value);
  if (!applied.ok) throw new Error(applied.refusal.message);
  return applied.value.document;
}
const read = (file: object | string): readonly NamedValue[] => {
  const found = readDesignTokens(typeof file === 'string' ? file : JSON.stringify(file));
  if (!found.ok) throw new Error(found.refusal.message);
  return found.value.values;
};
const problemOf = (file: unknown): string => {
  const found = readDesignTokens(typeof file === 'string' ? file : JSON.stringify(file));
  return found.ok ? `read ${found.value.values.length}` : found.refusal.message;
};
const srgb = (...components: number[]): object => ({ colorSpace: 'srgb', components });

/** A site with something of every kind. */
const [night] = [done(plain, setDark(contextOf(plain), true))];
const named = (
  [
    ['colour', 'Fern', '#3f6b35'],
    ['font', 'Slab', 'system:slab'],
    ['length', 'Wide step', '2.5rem'],
    ['length', 'Measure', '1.2em'],
    ['weight', 'Strong', '750'],
    ['duration', 'Quick', '120ms'],
    ['shadow', 'Lifted', 'inset 0 1px 2px #00000066, 0 -4px .5rem 2px #203040'],
    ['gradient', 'Dusk', 'linear(120deg, #102030, #ffee88 70%)'],
  ] as const
).reduce(
  (so, [of, name, value]) => done(so, addToken(contextOf(so), of, { name, value })),
  done(night, setToken(contextOf(night), { key: 'accent', of: 'colour' }, '#7a2048')),
);
const full = done(named, setDarkToken(contextOf(named), { key: 'fern', of: 'colour' }, '#a8d0a0'));
const said = (document: SiteDocument): unknown[] =>
  [...paletteOf(document).values()].map(({ key, of, name, set, dark }) => [key, of, name, set, dark]);

describe('design tokens', () => {
  it('of a site come back as they were: into a new site, and into the same one without a change', () => {
    const text = writeDesignTokens(full);
    const values = read(text);
    expect(namesChanged(contextOf(full), values)).toEqual({ changes: [], problems: [] });
    expect(importNames(contextOf(full), values).ok).toBe(false);
    const other = done(plain, importNames(contextOf(plain), values));
    expect(said(other)).toEqual(said(full));
  });

  it('are what the format asks for: types, colours in a space, dimensions with units, aliases', () => {
    const file = JSON.parse(writeDesignTokens(full)) as Record<string, Record<string, { $value: unknown }>>;
    expect(file.color).toMatchObject({ $type: 'color', button: { $value: '{color.accent}' } });
    expect(file.color?.fern?.$value).toEqual({
      colorSpace: 'srgb',
      components: [0.24706, 0.41961, 0.20784],
      hex: '#3f6b35',
    });
    expect(file.dimension?.['wide-step']?.$value).toEqual({ value: 2.5, unit: 'rem' });
    expect(file.fontFamily?.slab?.$value).toEqual(expect.arrayContaining(['Rockwell', 'serif']));
    expect(file.fontWeight?.strong?.$value).toBe(750);
    expect(file.duration?.quick?.$value).toEqual({ value: 120, unit: 'ms' });
    expect(file.shadow?.lifted?.$value).toMatchObject([
      { inset: true, offsetY: { value: 1, unit: 'px' }, color: { alpha: 0.4 } },
      { offsetY: { value: -4, unit: 'px' }, blur: { value: 0.5, unit: 'rem' } },
    ]);
    expect(file.gradient?.dusk?.$value).toMatchObject([{ position: 0 }, { position: 0.7 }]);
  });

  it('of others are read: nested groups, inherited types, aliases, pointers, groups that extend others', () => {
    const values = read({
      brand: {
        color: {
          $type: 'color',
          primary: { $value: srgb(0.2, 0.4, 0.6) },
          'on-primary': { $value: { colorSpace: 'oklch', components: [0.98, 0.01, 'none'] } },
          old: { $value: '#123456' },
        },
        link: { $type: 'color', $value: '{brand.color.primary}' },
        again: { $ref: '#/brand/color/old' },
      },
      winter: { $extends: '{brand.color}', primary: { $type: 'color', $value: srgb(0, 0, 0) } },
      space: { $type: 'dimension', small: { $value: { value: 4, unit: 'px' } }, none: { $value: 0 } },
      weights: { heavy: { $type: 'fontWeight', $value: 'extra-bold' } },
      time: { fast: { $type: 'duration', $value: { value: 0.2, unit: 's' } } },
      fade: {
        $type: 'transition',
        $value: { duration: '{time.fast}', delay: 0, timingFunction: [0, 0, 1, 1] },
      },
      card: {
        $type: 'shadow',
        $value: {
          color: '{brand.color.old}',
          offsetX: '{space.none}',
          offsetY: '{space.small}',
          blur: { value: 0.5, unit: 'rem' },
          spread: { value: 0, unit: 'px' },
        },
      },
      heading: {
        $type: 'typography',
        $value: {
          fontFamily: ['Rockwell', 'serif'],
          fontSize: { value: 1.5, unit: 'rem' },
          fontWeight: '{weights.heavy}',
        },
      },
    });
    const by = (of: TokenKind): Record<string, string> =>
      Object.fromEntries(values.filter((one) => one.of === of).map(({ name, value }) => [name, value]));
    expect(by('colour')).toEqual({
      'Brand primary': '#336699',
      'Brand on primary': expect.stringMatching(/^#f[0-9a-f]{5}$/) as string,
      'Brand old': '#123456',
      'Brand link': '#336699',
      'Brand again': '#123456',
      'Winter primary': '#000000',
      'Winter on primary': expect.any(String) as string,
      'Winter old': '#123456',
    });
    expect(by('length')).toEqual({ 'Space small': '4px', 'Space none': '0', 'Heading size': '1.5rem' });
    expect(by('weight')).toEqual({ 'Weights heavy': '800', 'Heading weight': '800' });
    expect(by('duration')).toEqual({ 'Time fast': '200ms', Fade: '200ms' });
    expect(by('shadow')).toEqual({ Card: '0 4px .5rem 0 #123456' });
    expect(by('font')).toEqual({ 'Heading font': 'system:slab' });
  });

  it('say before what an import changes; names that are here get new values, others are added', () => {
    const values = read({
      color: {
        $type: 'color',
        accent: { $value: srgb(1, 0, 0) },
        fern: { $value: srgb(0, 0, 1) },
        Moss: { $value: srgb(0, 1, 0) },
      },
      length: { huge: { $type: 'dimension', $value: { value: 4000, unit: 'px' } } },
    });
    const { changes, problems } = namesChanged(contextOf(full), values);
    expect(changes).toEqual([
      'Set the colour “Accent” to #ff0000',
      'Set the colour “Fern” to #0000ff',
      'Added the colour “Moss”, #00ff00',
    ]);
    expect(problems).toHaveLength(1);
    expect(problems[0]).toContain('4000px');
    const after = done(full, importNames(contextOf(full), values));
    expect(paletteOf(after).get('fern')?.set).toBe('#0000ff');
    expect(paletteOf(after).get('moss')?.name).toBe('Moss');
  });

  it('name what has no use here, and leave it out', () => {
    const found = readDesignTokens(
      JSON.stringify({
        ease: { $type: 'cubicBezier', $value: [0, 0, 1, 1] },
        veil: { $type: 'color', $value: { colorSpace: 'srgb', components: [0, 0, 0], alpha: 0.5 } },
        body: { $type: 'fontFamily', $value: 'Inter' },
      }),
    );
    expect(found.ok && found.value.values.map(({ name, value }) => [name, value])).toEqual([
      ['Veil', '#000000'],
    ]);
    expect(found.ok && found.value.notes).toEqual([
      'Tokens of the type “cubicBezier” aren’t used here, such as “ease”.',
      '“veil” is translucent. Named colours are opaque here, so its opacity was ignored.',
      'The font “Inter” has no files here. Add them under Fonts.',
    ]);
  });

  const deep = (levels: number): object => (levels === 0 ? { $value: 1 } : { a: deep(levels - 1) });
  const wrong: readonly (readonly [string, unknown, RegExp])[] = [
    ['no JSON', '{"a":', /Can’t read this file as design tokens/],
    ['a list', [1, 2], /isn’t a JSON object/],
    ['nothing in it', {}, /no tokens/],
    ['a circle', { a: { $type: 'color', $value: '{b}' }, b: { $value: '{a}' } }, /“a” → “b” → “a”.*circle/],
    [
      'a name that is not there',
      { a: { $type: 'color', $value: '{x.y}' } },
      /“a” names “x\.y”, which is not there/,
    ],
    [
      'a circle of groups',
      { a: { $extends: '{b}' }, b: { $extends: '{a}', c: { $value: 1 } } },
      /extends itself/,
    ],
    ['no type', { a: { $value: 1 } }, /“a” has no “\$type”/],
    ['no colour', { a: { $type: 'color', $value: 'expression(1)' } }, /“a” isn’t a valid color/],
    ['no numbers', { a: { $type: 'color', $value: srgb(0, 'x' as never, 0) } }, /“a” isn’t a valid color/],
    [
      'a length in a unit of its own',
      { a: { $type: 'dimension', $value: { value: 1, unit: 'vw' } } },
      /“a” isn’t a valid dim/,
    ],
    ['too deep', deep(40), /more than 20 groups deep/],
    ['a name with dots', { 'a.b': { $value: 1 } }, /has one of/],
    ['a word in place of a group', { a: 'red' }, /neither a group nor a token/],
    ['__proto__', '{"__proto__":{"$type":"color","$value":"{constructor}"}}', /not there|no tokens/],
    [
      'too many',
      Object.fromEntries(Array.from({ length: 1200 }, (_, at) => [`t${at}`, { $type: 'number', $value: 1 }])),
      /more than 1000 tokens/,
    ],
  ];
  it.each(wrong)('are refused with their place: %s', (_, file, expected) => {
    expect(problemOf(file)).toMatch(expected);
  });

  it('go out as custom properties, too, for light and for dark', () => {
    const css = writeCustomProperties(full);
    expect(css).toContain(':root {\n  --zv-accent: #7a2048;');
    expect(css).toContain('  --zv-t-fern: #3f6b35;');
    expect(css).toContain('  --zv-t-dusk: linear-gradient(120deg, #102030, #ffee88 70%);');
    expect(css).toMatch(/prefers-color-scheme: dark[\s\S]*--zv-t-fern: #a8d0a0;/);
    expect(writeCustomProperties(plain)).not.toContain('dark');
  });
});
