import { describe, expect, it } from 'vitest';
import {
  childrenOf,
  emptyForest,
  kindOf,
  seededRandom,
  Table,
  toStored,
  withNodesLast,
  type ForestName,
  type LeftFinding,
  type SiteDocument,
} from '@zorvik/core';
import { randomDocument, randomOperation } from '@zorvik/core/testing';
import { ranksFor } from '../src/editing/ranksFor.ts';

const forests = ['pages', 'menus', 'items', 'placements'] as const satisfies readonly ForestName[];

/** Siblings in the order of their ranks, bytewise, as a database would give them. */
function byRank(document: SiteDocument, forest: ForestName, parent: string, ranks: Table<string>): string[] {
  return [...childrenOf(document[forest], parent)].toSorted((a, b) =>
    (ranks.get(a) ?? '') < (ranks.get(b) ?? '') ? -1 : 1,
  );
}

function rankAll(document: SiteDocument): Table<string> {
  return forests.reduce(
    (ranks, forest) =>
      ranks.withAll(ranksFor(document, forest, new Set(document[forest].nodes.keys()), ranks)),
    Table.empty<string>(),
  );
}

describe('ranks of siblings', () => {
  it('give every list its order back, after any operations', () => {
    for (let seed = 1; seed <= 12; seed += 1) {
      const random = seededRandom(seed);
      let document = randomDocument(random, { pages: 20, menus: 2, items: 25 });
      let ranks = rankAll(document);
      for (let step = 0; step < 60; step += 1) {
        const operation = randomOperation(random, document);
        const applied = operation === null ? null : kindOf(operation).apply(document, operation);
        if (!applied?.ok) continue;
        ({ document } = applied.value);
        const touched = kindOf(applied.value.operation).touches(applied.value.operation);
        for (const forest of forests) {
          const ids = new Set(touched.filter((one) => one.forest === forest).map(({ id }) => id));
          if (ids.size > 0) ranks = ranks.withAll(ranksFor(document, forest, ids, ranks));
        }
        for (const forest of forests) {
          for (const parent of document[forest].children.keys()) {
            expect(byRank(document, forest, parent, ranks), `seed ${seed}, step ${step}, ${forest}`).toEqual([
              ...childrenOf(document[forest], parent),
            ]);
          }
        }
      }
    }
  });

  it('change for what was moved alone, and not at all when only a field changed', () => {
    const document = randomDocument(seededRandom(2), { pages: 0, menus: 1, items: 40, branching: 8 });
    const ranks = rankAll(document);
    const [menu = ''] = document.menus.nodes.keys();
    const [first = '', second = ''] = childrenOf(document.items, menu);
    expect([...ranksFor(document, 'items', new Set([second]), ranks)]).toEqual([[second, ranks.get(second)]]);
    const moved = kindOf({
      kind: 'moveItem',
      id: first,
      from: { parent: menu, after: null },
      to: { parent: menu, after: second },
    }).apply(document, {
      kind: 'moveItem',
      id: first,
      from: { parent: menu, after: null },
      to: { parent: menu, after: second },
    });
    if (!moved.ok) throw new Error(moved.refusal.message);
    const given = ranksFor(moved.value.document, 'items', new Set([first]), ranks);
    expect([...given.keys()]).toEqual([first]);
    expect(given.get(first)).not.toBe(ranks.get(first));
  });

  it('stay short when one thing is moved to the front a thousand times', () => {
    let document = randomDocument(seededRandom(3), { pages: 0, menus: 1, items: 10, branching: 10 });
    let ranks = rankAll(document);
    const [menu = ''] = document.menus.nodes.keys();
    for (let turn = 0; turn < 1000; turn += 1) {
      const id = childrenOf(document.items, menu).last() ?? '';
      const applied = kindOf({
        kind: 'moveItem',
        id,
        from: { parent: menu, after: null },
        to: { parent: menu, after: null },
      } as const).apply(document, {
        kind: 'moveItem',
        id,
        from: { parent: menu, after: null },
        to: { parent: menu, after: null },
      });
      if (!applied.ok) throw new Error(applied.refusal.message);
      ({ document } = applied.value);
      ranks = ranks.withAll(ranksFor(document, 'items', new Set([id]), ranks));
    }
    expect(Math.max(...[...ranks.values()].map((rank) => rank.length))).toBeLessThan(8);
  });

  it('are all the same where nodes have no order, whatever was there before', () => {
    const document = randomDocument(seededRandom(5), { pages: 5, menus: 1, items: 5 });
    const parent = document.site.id;
    const left = ['d3', 'd1', 'd2'].map((id) => ({ id, parent, finding: 'x', facts: '', reason: '' }));
    const kept = { ...document, leftFindings: withNodesLast(emptyForest<LeftFinding>(), left) };
    const ranks = Table.from<string>([['d2', 'zz']]);
    const given = ranksFor(kept, 'leftFindings', new Set(['d2', 'd3', 'gone']), ranks);
    expect([...given]).toEqual([
      ['d2', 'a0'],
      ['d3', 'a0'],
    ]);
    expect(toStored(kept).leftFindings.map(({ id }) => id)).toEqual(['d1', 'd2', 'd3']);
  });
});
