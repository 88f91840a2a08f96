import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { openFace } from '../src/fonts/openFace.ts';
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
