import { describe, expect, it } from 'vitest';
import { seededRandom } from '../src/base/seededRandom.ts';
import { MOST_TAKEN, pagesToTake, chunksOf, takeChunk } from '../src/commands/takePages.ts';
import type { IncomingPage } from '../src/diff/diffPages.ts';
import { findBreach } from '../src/model/findBreach.ts';
import type { SiteDocument } from '../src/model/document.ts';
import type { ImportPages } from '../src/ops/importPages.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import { contextOf } from '../testing/contextOf.ts';
import { randomDocument } from '../testing/randomDocument.ts';

const many = (count: number, words = ''): IncomingPage[] =>
  Array.from({ length: count }, (_, at) => ({
    key: `/p${at}`,
    address: `/p${at}`,
    title: `Page ${at}${words}`,
    kind: 'page',
    above: at === 0 ? [] : [`/p${Math.floor((at - 1) / 10)}`],
    summary: 'x'.repeat(200),
  }));

function wantedOf(
  start: SiteDocument,
  pages: readonly IncomingPage[],
  missing: 'keep' | 'retire' = 'keep',
): ImportPages {
  // Other random numbers each time: the same would give new pages the ids of old ones.
  const wanted = pagesToTake(contextOf(start, 7 + start.pages.nodes.size), pages, missing);
  if (!wanted.ok) throw new Error(wanted.refusal.message);
  return wanted.value;
}

function applied(
  start: SiteDocument,
  parts: readonly ImportPages[],
): { readonly document: SiteDocument; readonly sizes: number[] } {
  let document = start;
  const sizes: number[] = [];
  for (const part of parts) {
    const edit = takeChunk(contextOf(document), part);
    if (!edit.ok) throw new Error(edit.refusal.message);
    const done = applyEdit(document, edit.value);
    if (!done.ok) throw new Error(done.refusal.message);
    ({ document } = done.value);
    sizes.push(JSON.stringify(edit.value).length);
  }
  return { document, sizes };
}

const taken = (start: SiteDocument, pages: readonly IncomingPage[]): ReturnType<typeof applied> =>
  applied(start, chunksOf(wantedOf(start, pages)));

describe('pages of a file', () => {
  const empty = randomDocument(seededRandom(1), { pages: 0, menus: 1, items: 0 });

  it('are one edit where they are few, and several where they are many, none of them larger than what may be sent', () => {
    expect(taken(empty, many(50)).sizes).toHaveLength(1);
    const { document, sizes } = taken(empty, many(30_000));
    expect(sizes.length).toBeGreaterThan(1);
    expect(Math.max(...sizes)).toBeLessThan(8_000_000);
    expect(document.pages.nodes.size).toBe(30_000);
    expect(findBreach(document)).toBeNull();
    const again = taken(document, many(30_000, ' now'));
    expect(again.sizes.length).toBeGreaterThan(1);
    expect([...again.document.pages.nodes.values()].every(({ title }) => title.endsWith(' now'))).toBe(true);
  });

  it('come to the same in parts and in one', () => {
    const { document } = taken(empty, many(200));
    const others = many(210, ' now').flatMap((page, at) =>
      at >= 150 && at < 200 ? [] : [at >= 140 ? { ...page, above: ['/p0'] } : page],
    );
    const wanted = wantedOf(document, others, 'retire');
    expect([
      wanted.added.length,
      wanted.moved.length > 8,
      wanted.changed.length,
      chunksOf(wanted, 5000).length > 4,
    ]).toEqual([10, true, 200, true]);
    const [whole, parts] = [
      applied(document, [wanted]).document.pages,
      applied(document, chunksOf(wanted, 5000)).document.pages,
    ];
    expect(new Map(parts.nodes)).toEqual(new Map(whole.nodes));
    const orders = ({ children }: SiteDocument['pages']): unknown[] =>
      [...children].map(([id, order]) => [id, [...order]]);
    expect(orders(parts)).toEqual(orders(whole));
  });

  it('are refused when they are more than can be, or nothing new', () => {
    const refused = (start: SiteDocument, pages: readonly IncomingPage[]): string => {
      const wanted = pagesToTake(contextOf(start), pages, 'keep');
      return wanted.ok ? 'taken' : wanted.refusal.code;
    };
    expect(refused(empty, many(MOST_TAKEN + 1))).toBe('tooMany');
    expect(refused(taken(empty, many(10)).document, many(10))).toBe('nothingReadNew');
  });

  it('have the state that the file says, and come back or go with it', () => {
    const states = (document: SiteDocument): string[] =>
      [...document.pages.nodes.values()].map(({ title, state }) => `${title}: ${state}`).sort();
    const [one, two] = many(2);
    if (one === undefined || two === undefined) throw new Error('There are none.');
    const { document } = taken(empty, [one, { ...two, state: 'draft' }]);
    expect(states(document)).toEqual(['Page 0: live', 'Page 1: draft']);
    expect(states(taken(document, [{ ...one, state: 'gone' }, two]).document)).toEqual([
      'Page 0: gone',
      'Page 1: live',
    ]);
  });
});
