import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { plainPalette, type Palette, type PaletteEntry, type TextFont } from '@zorvik/core';
import { openFace } from '../src/fonts/openFace.ts';
import { siteMeasure } from '../src/fonts/siteMeasure.ts';
import { systemWidth } from '../src/fonts/systemWidth.ts';
import { transformed } from '../src/fonts/transformed.ts';

const file = (name: string): Buffer =>
  readFileSync(
    new URL(
      `../../../node_modules/@fontsource-variable/${name}/files/${name}-latin-wght-normal.woff2`,
      import.meta.url,
    ),
  );
const set = { size: 16, letterSpacing: 0, wordSpacing: 0 };

describe('a face', () => {
  it('has kerning and ligatures, and room between letters and words', () => {
    const face = openFace(file('fraunces'), 500);
    const width = (text: string, setting = set): number => face.widthOf(text, setting);
    expect(width('AV')).toBeLessThan(width('A') + width('V'));
    expect(width('A B', { ...set, letterSpacing: 1 })).toBe(width('A B') + 3 * 64);
    expect(width('A B', { ...set, wordSpacing: 4 })).toBe(width('A B') + 4 * 64);
    expect(width('')).toBe(0);
    expect(openFace(file('fraunces'), 700).widthOf('Visit', set)).toBeGreaterThan(width('Visit'));
    expect(width('Visit'), 'asked again').toBe(width('Visit'));
  });

  it('takes labels of any length, and texts in several scripts', () => {
    const face = openFace(file('figtree'), 400);
    expect(face.widthOf('x'.repeat(400), set)).toBeGreaterThan(400 * 64);
    expect(face.lacks('Tea, чай, شاي')).toEqual(['ч', 'а', 'й', 'ش', 'ا', 'ي']);
    expect(face.widthOf('Tea чай شاي', set)).toBeGreaterThan(face.widthOf('Tea ', set));
  });

  it.each([
    ['no font', Buffer.from('<svg></svg>')],
    ['nothing', Buffer.alloc(0)],
    ['half a file', file('figtree').subarray(0, 4000)],
    ['a file that says it unpacks to 3 GB', withSize(file('figtree'))],
  ])('is not made of %s', (_, bytes) => {
    expect(() => openFace(bytes, 400)).toThrow();
  });
});

/** The size of the first table, in the directory behind the header, as the greatest number that there is. */
function withSize(bytes: Buffer): Buffer {
  const changed = Buffer.from(bytes);
  changed.set([0x8f, 0xff, 0xff, 0xff, 0x7f], 49);
  return changed;
}

describe('text in another case', () => {
  it('is as its language has it', () => {
    expect(transformed('the plant’s home-page', 'capitalize', 'en')).toBe('The Plant’s Home-Page');
    expect(transformed('istanbul ß', 'uppercase', 'tr')).toBe('İSTANBUL SS');
    expect(transformed('Tea', 'none', 'en')).toBe('Tea');
  });
});

describe('the fonts of a site', () => {
  const own = {
    file: 'ab'.repeat(16),
    family: 'Figtree',
    weight: '300 900',
    bytes: 9,
    ascent: 900,
    descent: 200,
    gap: 0,
    width: 500,
  };
  const later = { ...own, file: 'cd'.repeat(16), weight: '950' };
  const palette: Palette = new Map([
    ...plainPalette,
    [
      'own',
      {
        key: 'own',
        of: 'font',
        name: 'Own',
        set: 'own:sans',
        dark: null,
        usual: null,
        usualDark: null,
        files: [own, later],
      } as unknown as PaletteEntry,
    ],
  ]);
  const font: TextFont = {
    family: 'own',
    size: 16,
    weight: 400,
    isItalic: false,
    letterSpacing: 0,
    wordSpacing: 0,
    transform: 'none',
    language: 'en',
    direction: 'ltr',
  };

  it('measures with the file that a browser takes, notes what is missing, and says what a font lacks', () => {
    const bytes = new Map([[own.file, file('figtree')]]);
    const text = siteMeasure(palette, (one) => bytes.get(one.file));
    expect(text.measure('Visit', font)).toBe(openFace(file('figtree'), 400).widthOf('Visit', set));
    expect(text.measure('Visit', { ...font, transform: 'uppercase' })).toBe(
      openFace(file('figtree'), 400).widthOf('VISIT', set),
    );
    expect([text.isEstimate(), text.missing(), text.lacking()]).toEqual([false, [], []]);
    expect(text.measure('Tea → чай', font)).toBeGreaterThan(0);
    expect(text.lacking()).toEqual([{ font: 'own', signs: '→чай', text: 'Tea → чай' }]);
    expect(text.measure('Visit', { ...font, weight: 950 })).toBe(0);
    expect(text.missing()).toEqual([later]);
  });

  it('estimates fonts of systems, and says so', () => {
    const text = siteMeasure(plainPalette, () => null);
    const wide = text.measure('Visit us today', { ...font, family: 'font' });
    expect(text.isEstimate()).toBe(true);
    const real = openFace(file('figtree'), 400).widthOf('Visit us today', set);
    expect(Math.abs(wide / real - 1)).toBeLessThan(0.15);
    const about = (stack: string, weight = 400): number =>
      systemWidth('Visit us', { stack, size: 16, weight, letterSpacing: 0, wordSpacing: 0 });
    expect(about('system-ui, sans-serif', 700)).toBeGreaterThan(about('system-ui, sans-serif'));
    expect(about('Georgia, serif')).toBeLessThan(about('system-ui, sans-serif'));
    expect(about('ui-monospace, monospace')).toBeCloseTo(8 * 0.6 * 16, 6);
    expect(
      systemWidth('é日🙂', { stack: 'sans-serif', size: 10, weight: 400, letterSpacing: 0, wordSpacing: 0 }),
    ).toBeCloseTo(5.56 + 10 + 10, 6);
    // A file that cannot be read is no font: browsers take another one, too.
    const broken = siteMeasure(palette, () => Buffer.from('no font'));
    expect(broken.measure('Visit', { ...font, weight: 950 })).toBeGreaterThan(0);
    expect(broken.isEstimate()).toBe(true);
  });

  it('lays out what runs in the other direction in pieces', () => {
    const face = openFace(file('figtree'), 400);
    const width = (text: string, direction: 'ltr' | 'rtl'): number =>
      face.widthOf(text, { ...set, direction });
    expect(width('Seed house', 'rtl')).toBe(width('Seed house', 'ltr'));
    // Each piece is rounded up by itself, and has no kerning with its neighbour.
    expect(width('12 AVATAR', 'rtl')).toBeGreaterThanOrEqual(width('12 AVATAR', 'ltr'));
    expect(width('12 AVATAR', 'rtl')).toBe(width('12', 'ltr') + width(' ', 'ltr') + width('AVATAR', 'ltr'));
  });
});
