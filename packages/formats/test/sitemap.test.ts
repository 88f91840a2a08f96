import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findBadUtf8, pagesFromAddresses, readSitemap, sitemapReader, titleFromSlug } from '../src/index.ts';

const limits = { most: 1000 };
const sitemap = (addresses: readonly string[]): string =>
  `<urlset>\n${addresses.map((one) => `<url><loc>${one.replaceAll('&', '&amp;')}</loc></url>`).join('\n')}\n</urlset>`;
const pages = (...paths: string[]) =>
  pagesFromAddresses(paths.map((path, at) => ({ location: `https://x.example${path}`, line: at + 1 })));

describe('reading a sitemap', () => {
  it('gives the same however the text is cut into pieces, sound or broken', () => {
    const texts = [
      sitemap(['https://x.example/', 'https://x.example/a?b=1&c=2', 'https://x.example/ü']),
      sitemap(['https://x.example/']).replace('</loc>', ''),
      '<urlset>\n<url><loc>https://x.example/?a&b=1</loc></url></urlset>',
      '  \n plain text',
      '<urlset><!DOCTYPE x></urlset>',
    ];
    fc.assert(
      fc.property(
        fc.constantFrom(...texts),
        fc.array(fc.integer({ min: 1, max: 40 }), { minLength: 1, maxLength: 30 }),
        (text, cuts) => {
          const reader = sitemapReader(limits);
          let at = 0;
          for (let step = 0; at < text.length; step += 1) {
            const length = cuts[step % cuts.length] ?? 1;
            reader.write(text.slice(at, at + length));
            at += length;
          }
          const whole = readSitemap(text, limits);
          const pieces = reader.end();
          expect(pieces.ok).toBe(whole.ok);
          if (pieces.ok && whole.ok)
            expect(pieces.value.map(({ location }) => location)).toEqual(
              whole.value.map(({ location }) => location),
            );
          if (!pieces.ok && !whole.ok)
            expect([pieces.refusal.code, pieces.refusal.params.line]).toEqual([
              whole.refusal.code,
              whole.refusal.params.line,
            ]);
        },
      ),
    );
  });

  it('reads back every address that it is given', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.webPath({ size: 'small' }), { minLength: 1, maxLength: 20 }), (paths) => {
        const addresses = paths.map((path) => `https://x.example${path}`);
        const read = readSitemap(sitemap(addresses), limits);
        expect(read.ok && read.value.map(({ location }) => location)).toEqual(addresses);
      }),
    );
  });

  it('names the line on which an address stands', () => {
    const read = readSitemap('<urlset>\n\n<url>\n<loc>https://x.example/</loc>\n</url>\n</urlset>', limits);
    expect(read.ok && read.value).toEqual([{ location: 'https://x.example/', line: 4 }]);
  });

  it('stops at the most that it may take', () => {
    const read = readSitemap(sitemap(Array.from({ length: 30 }, (_, at) => `https://x.example/${at}`)), {
      most: 20,
    });
    expect(read.ok ? '' : read.refusal.message).toBe(
      'Line 22: there are more than 20 addresses. Split the sitemap and import its parts one after the other.',
    );
  });
});

describe('a page tree from addresses', () => {
  it('has every page once, each under a page whose path its own begins with, parents first', () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.constantFrom('a', 'b', 'c'), { maxLength: 4 }), { minLength: 1, maxLength: 30 }),
        (paths) => {
          const made = pages(...paths.map((parts) => `/${parts.join('/')}`));
          if (!made.ok) throw new Error(made.refusal.message);
          const keys = made.value.pages.map(({ key }) => key);
          expect(new Set(keys).size).toBe(keys.length);
          expect(new Set(keys)).toEqual(new Set(paths.map((parts) => `/${parts.join('/')}`)));
          expect(keys.length + made.value.duplicates).toBe(paths.length);
          made.value.pages.forEach(({ key, above }, at) => {
            const parent = above.find((one) => keys.includes(one));
            if (parent !== undefined) expect(keys.indexOf(parent), `${key} below ${parent}`).toBeLessThan(at);
            for (const one of above) expect(key.startsWith(`${one}/`)).toBe(true);
          });
        },
      ),
    );
  });

  it('keeps the address as it was given, and its query', () => {
    const made = pages('/a/?x=1', '/a/', '/a?x=1&y=ü');
    expect(made.ok && made.value.pages.map(({ key, address }) => [key, address])).toEqual([
      ['/a', '/a/'],
      ['/a?x=1', '/a/?x=1'],
      ['/a?x=1&y=%C3%BC', '/a?x=1&y=%C3%BC'],
    ]);
  });
});

describe('titles', () => {
  it.each([
    ['sow-in-autumn', 'Sow in autumn'],
    ['sow_in__autumn.html', 'Sow in autumn'],
    ['index.php', 'Index'],
    ['caf%C3%A9', 'Café'],
    ['%E7%A8%AE', '種'],
    ['100%', '100%'],
    ['%zz-a', '%zz a'],
    ['über-uns', 'Über uns'],
    ['2026', '2026'],
    ['---', null],
    ['', null],
    ['%00%01', null],
    ['🌱-herbs', '🌱 herbs'],
  ])('%j is read as %j', (slug, title) => expect(titleFromSlug(slug)).toBe(title));
});

describe('bytes', () => {
  it('are UTF-8 when they were made of text', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: 'grapheme' }),
        (text) => void expect(findBadUtf8(new TextEncoder().encode(text))).toBeNull(),
      ),
    );
  });

  it('are told apart at the first that fits no character', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: 'grapheme' }),
        fc.constantFrom(0xff, 0xfe, 0xc0, 0x80),
        fc.string({ unit: 'grapheme' }),
        (before, bad, after) => {
          const start = new TextEncoder().encode(before);
          const bytes = new Uint8Array([...start, bad, ...new TextEncoder().encode(after)]);
          const line = before.split('\n').length;
          expect(findBadUtf8(bytes)).toEqual({ offset: start.length, line });
        },
      ),
    );
  });
});
