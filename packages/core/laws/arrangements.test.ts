import { describe, expect, it } from 'vitest';
import { seededRandom } from '../src/base/seededRandom.ts';
import { findBreach } from '../src/model/findBreach.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { arrangedBands } from '../src/render/arrangedBands.ts';
import { renderPage } from '../src/render/renderPage.ts';
import { situationOn } from '../src/resolve/frameExceptions.ts';
import { withFollowed } from '../src/resolve/withFollowed.ts';
import type { ResolvedPart } from '../src/resolve/resolved.ts';
import { deviceClasses, type DeviceClass } from '../src/schema/deviceClass.ts';
import { longestCommon } from '../src/walk/longestCommon.ts';
import { below } from '../testing/pick.ts';
import { randomDocument } from '../testing/randomDocument.ts';

const SEEDS = Array.from({ length: 60 }, (_, at) => at + 1);
const byCode = (a: string, b: string): number => (a < b ? -1 : Number(a > b));

/** A band by its name: some are of an arrangement, and show what a usual one does. */
const band = (id: string, shows: readonly string[], only?: 'medium' | 'narrow'): ResolvedPart => ({
  id,
  kind: 'band',
  ...(only === undefined ? {} : { only }),
  parts: [
    {
      id: `${id} zone`,
      kind: 'zone',
      at: 'start',
      parts: shows.map((uses, at) => ({ id: only === undefined ? uses : `${id} ${at}`, kind: 'logo', uses })),
    },
  ],
});
const shownIn = (bands: readonly ResolvedPart[]): string[] =>
  bands.map(({ parts = [] }) => (parts[0]?.parts ?? []).map(({ uses }) => uses).join(' '));

describe('laws of arrangements', () => {
  it('what is written, without what a device class hides, is what it has, in its order', () => {
    for (const seed of SEEDS) {
      const random = seededRandom(seed);
      const names = ['a', 'b', 'c', 'd', 'e'];
      const some = (): string[] => names.filter(() => below(random, 3) > 0);
      const mixed = (): string[] => some().sort(() => below(random, 3) - 1);
      const usual = names.map((name) => band(name, [name]));
      const own = (device: 'medium' | 'narrow'): ResolvedPart[] =>
        (below(random, 3) === 0 ? [] : mixed()).map((name) => band(`${device} ${name}`, [name], device));
      const [medium, narrow] = [own('medium'), own('narrow')];
      const written = arrangedBands([...usual, ...medium, ...narrow]);
      const on = (device: DeviceClass): ResolvedPart[] =>
        written
          .filter(
            ({ classes }) =>
              !classes.includes(`zv-not-${device}`) &&
              (!classes.includes('zv-arranged') || classes.includes(`zv-arranged-${device}`)),
          )
          .map((one) => one.band);
      const wanted = { wide: usual, medium, narrow };
      for (const device of deviceClasses) {
        const here = wanted[device].length === 0 ? usual : wanted[device];
        expect(shownIn(on(device)), `seed ${seed}, ${device}`).toEqual(shownIn(here));
      }
      // What keeps its order is not written again.
      const common = longestCommon(usual, narrow, (one, other) => one.id === other.id.replace('narrow ', ''));
      expect(written.filter(({ band: one }) => one.only === 'narrow').length).toBe(
        narrow.length - common.length,
      );
    }
  });

  it('a longest common subsequence is one, and none is longer', () => {
    for (const seed of SEEDS) {
      const random = seededRandom(seed);
      const list = (): number[] => Array.from({ length: below(random, 8) }, () => below(random, 4));
      const [one, other] = [list(), list()];
      const pairs = longestCommon(one, other, (a, b) => a === b);
      const values = pairs.map(([value]) => value);
      const isWithin = (part: readonly number[], whole: readonly number[]): boolean => {
        let at = 0;
        for (const value of whole) if (part[at] === value) at += 1;
        return at === part.length;
      };
      expect(isWithin(values, one) && isWithin(values, other)).toBe(true);
      let longest = 0;
      for (let chosen = 0; chosen < 2 ** one.length; chosen += 1) {
        const part = one.filter((_, at) => (chosen >> at) % 2 === 1);
        if (part.length > longest && isWithin(part, other)) longest = part.length;
      }
      expect(values.length, `seed ${seed}`).toBe(longest);
    }
  });

  it('on each device class a part is there at most once, outside the drawer; every id is there once', () => {
    let again = 0;
    for (const seed of SEEDS) {
      const size = { pages: 12, menus: 3, items: 15, panels: 1 };
      const document = withFollowed(randomDocument(seededRandom(seed), size), byCode);
      expect(findBreach(document), `seed ${seed}`).toBeNull();
      const page = renderPage(document, situationOn(document, null), {
        compareTitles: byCode,
        pictures: '',
        year: 2026,
        isComposed: true,
      });
      const html = `${page.header}${page.side}${page.footer}`;
      const ids = [...html.matchAll(/ id="([^"]+)"/g)].map(([, id]) => id);
      expect(new Set(ids).size, `seed ${seed}`).toBe(ids.length);
      const outside = html.replace(/<dialog.*<\/dialog>/s, '');
      again += Number(outside.includes('zv-arranged-'));
      const bands = outside.split(/(?=<div data-zv-part="[^"]+" class="zv-band)/).slice(1);
      for (const device of deviceClasses) {
        const here = bands.filter((one) => {
          const [, classes = ''] = /class="([^"]*)"/.exec(one) ?? [];
          const own = /zv-arranged-(\w+)/.exec(classes)?.[1];
          return !classes.includes(`zv-not-${device}`) && (own === undefined || own === device);
        });
        const parts = here.flatMap((one) =>
          [...one.matchAll(/data-zv-part="([^"]+)"/g)].map(([, id = '']) => id),
        );
        const shown = parts.flatMap((id) => {
          const part = document.parts.nodes.get(id);
          if (part === undefined || ['zone', 'cell', 'band'].includes(part.kind)) return [];
          return part.kind === 'use' && !isInArrangement(document, id)
            ? []
            : [part.kind === 'use' ? part.of : id];
        });
        expect(new Set(shown).size, `seed ${seed}, ${device}`).toBe(shown.length);
      }
    }
    expect(again).toBeGreaterThan(5);
  });
});

function isInArrangement({ parts }: SiteDocument, id: string): boolean {
  for (let at = parts.nodes.get(id); at !== undefined; at = parts.nodes.get(at.parent))
    if (at.only !== undefined) return true;
  return false;
}
