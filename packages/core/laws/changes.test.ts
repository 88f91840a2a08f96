import { describe, expect, it } from 'vitest';
import { seededRandom } from '../src/base/seededRandom.ts';
import { changesBetween, withChanges } from '../src/model/documentChanges.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { toStored } from '../src/model/stored.ts';
import { kindOf } from '../src/ops/registry.ts';
import { randomDocument } from '../testing/randomDocument.ts';
import { randomOperation } from '../testing/randomOperation.ts';

describe('a copy that is kept by changes alone', () => {
  it('is the document at every step, whatever is done, and is told only what is otherwise', () => {
    for (let seed = 1; seed <= 20; seed += 1) {
      const random = seededRandom(seed);
      let document: SiteDocument = randomDocument(random, { pages: 60, menus: 3, items: 80 });
      let copy = withChanges(null, structuredClone(changesBetween(null, document)));
      expect(toStored(copy)).toEqual(toStored(document));
      expect(changesBetween(document, document).forests).toEqual([]);
      for (let step = 0; step < 40; step += 1) {
        const operation = randomOperation(random, document);
        const applied = operation === null ? null : kindOf(operation).apply(document, operation);
        if (applied?.ok !== true) continue;
        const next = applied.value.document;
        const changes = changesBetween(document, next);
        const changed = changes.forests.flatMap(({ nodes }) => nodes).length;
        expect(changed).toBeLessThanOrEqual(Math.max(4, document.items.nodes.size));
        copy = withChanges(copy, structuredClone(changes));
        expect(toStored(copy), `seed ${seed}, step ${step}`).toEqual(toStored(next));
        document = next;
      }
      // And back to the beginning, over everything at once.
      expect(toStored(withChanges(copy, changesBetween(document, document)))).toEqual(toStored(document));
    }
  });
});
