import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { isMinted } from '../src/base/ids.ts';
import { seededRandom } from '../src/base/seededRandom.ts';
import { forestNames, type ForestName, type NodeOf, type SiteDocument } from '../src/model/document.ts';
import { readStored } from '../src/model/stored.ts';
import { isEqual } from '../src/base/isEqual.ts';
import type { Path } from '../src/schema/ref.ts';
import { looksLikeAddress, refsOf } from '../src/refs/refsOf.ts';
import { replacedAt, valueAt } from '../src/refs/replacedAt.ts';
import { kindOf } from '../src/ops/registry.ts';
import { randomOperation } from '../testing/randomOperation.ts';
import { randomDocument } from '../testing/randomDocument.ts';

const sample = readStored(
  JSON.parse(readFileSync(new URL('samples/format-5.json', import.meta.url), 'utf8')) as { format: number },
);

/** Documents with all that a site can have in them. */
function* documents(): Generator<[string, SiteDocument]> {
  yield ['the sample', sample];
  for (let seed = 1; seed <= 60; seed += 1) {
    const random = seededRandom(seed);
    let document = randomDocument(random, { pages: 30, menus: 3, items: 40, panels: 6 });
    for (let step = 0; step < 40; step += 1) {
      const operation = randomOperation(random, document);
      const applied = operation === null ? null : kindOf(operation).apply(document, operation);
      if (applied?.ok === true) ({ document } = applied.value);
    }
    yield [`seed ${seed}`, document];
  }
}

/** Every string in a value, names of fields included, with the way to it. */
function* stringsIn(
  value: unknown,
  path: Path = [],
): Generator<{ readonly text: string; readonly path: Path }> {
  if (typeof value === 'string') yield { text: value, path };
  if (typeof value !== 'object' || value === null) return;
  for (const [name, inner] of Object.entries(value)) {
    if (!Array.isArray(value)) yield { text: name, path: [...path, name] };
    yield* stringsIn(inner, [...path, Array.isArray(value) ? Number(name) : name]);
  }
}

/** What people write is text, even where it looks like an address. */
const FREE_TEXT = ['title', 'label', 'readTitle', 'name', 'text'];
const isFile = (text: string): boolean => /^[0-9a-f]{32}$/.test(text);
const isTelling = (text: string): boolean => isMinted(text) || looksLikeAddress(text) || isFile(text);

describe('laws of references', () => {
  it('every id, address and file name in a node is among its references, but its own id and its parent', () => {
    const seen = new Set<string>();
    for (const [name, document] of documents()) {
      for (const forest of forestNames) {
        for (const node of document[forest].nodes.values() as Iterable<NodeOf[ForestName]>) {
          const refs = refsOf<ForestName>(forest, node);
          for (const { text, path } of stringsIn(node)) {
            if (path[0] === 'id' || path[0] === 'parent' || !isTelling(text)) continue;
            if (FREE_TEXT.includes(String(path.at(-1)))) continue;
            const isThere = refs.some((ref) => ref.value === text && isEqual(ref.path, path));
            expect(isThere, `${name}: ${text} at ${path.join('.')} of ${forest} ${node.id}`).toBe(true);
            seen.add(`${forest} ${path.filter((step) => typeof step === 'string').join(' ')}`);
          }
        }
      }
    }
    // It would hold of documents that refer to nothing, too.
    for (const one of [
      'items destination page',
      'parts body runs to page',
      'parts picture file',
      'parts menu',
    ])
      expect([...seen]).toContain(one);
    expect(seen.size).toBeGreaterThan(20);
  });

  it('every reference leads to its value, and can be replaced there and nowhere else', () => {
    for (const [, document] of documents()) {
      for (const forest of forestNames) {
        for (const node of document[forest].nodes.values() as Iterable<NodeOf[ForestName]>) {
          for (const { value, path } of refsOf<ForestName>(forest, node)) {
            // A list of kept groups names its items as fields; an ignored finding names several in one text.
            if (path.at(-2) === 'kept' || path[0] === 'finding') continue;
            expect(valueAt(node, path)).toBe(value);
            const other = replacedAt(node, path, 'another');
            expect(valueAt(other, path)).toBe('another');
            expect(replacedAt(other, path, value)).toEqual(node);
          }
        }
      }
    }
  });
});
