import { describe, expect, it } from 'vitest';
import { seededRandom } from '../src/base/seededRandom.ts';
import { findBreach } from '../src/model/findBreach.ts';
import { readStored, toStored } from '../src/model/stored.ts';
import { kindOf, operationKinds } from '../src/ops/registry.ts';
import { randomDocument } from '../testing/randomDocument.ts';
import { randomOperation } from '../testing/randomOperation.ts';

const SEEDS = Array.from({ length: 60 }, (_, at) => at + 1);
const SIZE = { pages: 25, menus: 3, items: 40, panels: 6 };

describe('laws of every operation', () => {
  it('applied and then inverted, an operation leaves the document as it was', () => {
    const seen = new Set<string>();
    for (const seed of SEEDS) {
      const random = seededRandom(seed);
      let document = randomDocument(random, SIZE);
      for (let step = 0; step < 60; step += 1) {
        const operation = randomOperation(random, document);
        if (operation === null) continue;
        const applied = kindOf(operation).apply(document, operation);
        if (!applied.ok) continue;
        const inverse = kindOf(operation).invert(applied.value.operation);
        const back = kindOf(inverse).apply(applied.value.document, inverse);
        if (!back.ok) throw new Error(`seed ${seed}, ${operation.kind}: ${back.refusal.message}`);
        expect(toStored(back.value.document), `seed ${seed}, step ${step}, ${operation.kind}`).toEqual(
          toStored(document),
        );
        seen.add(operation.kind);
        document = applied.value.document;
      }
    }
    const made = Object.values(operationKinds).filter(({ onlyInLogs }) => onlyInLogs !== true);
    expect([...seen].sort(), 'every kind came up').toEqual(made.map(({ kind }) => kind).sort());
  });

  it('keeps every invariant of the document, whatever is tried', () => {
    for (const seed of SEEDS) {
      const random = seededRandom(seed * 31);
      let document = randomDocument(random, SIZE);
      expect(findBreach(document)).toBeNull();
      for (let step = 0; step < 40; step += 1) {
        const operation = randomOperation(random, document);
        const applied = operation === null ? null : kindOf(operation).apply(document, operation);
        if (applied?.ok) document = applied.value.document;
      }
      expect(findBreach(document), `seed ${seed}`).toBeNull();
    }
  });

  it('gives the very same document when nothing changes', () => {
    for (const seed of SEEDS) {
      const random = seededRandom(seed * 17);
      const document = randomDocument(random, SIZE);
      const operation = randomOperation(random, document);
      if (
        operation === null ||
        !['moveItem', 'movePage', 'updateItem', 'updatePage', 'updateMenu', 'updatePart'].includes(
          operation.kind,
        )
      )
        continue;
      const once = kindOf(operation).apply(document, operation);
      if (!once.ok) continue;
      const twice = kindOf(operation).apply(once.value.document, operation);
      expect(twice.ok && twice.value.document, `seed ${seed}, ${operation.kind}`).toBe(once.value.document);
    }
  });

  it('changes nothing in the document that it was given', () => {
    for (const seed of SEEDS) {
      const random = seededRandom(seed * 101);
      const document = randomDocument(random, SIZE);
      const before = JSON.stringify(toStored(document));
      for (let step = 0; step < 20; step += 1) {
        const operation = randomOperation(random, document);
        if (operation !== null) kindOf(operation).apply(document, operation);
      }
      expect(JSON.stringify(toStored(document)), `seed ${seed}`).toBe(before);
    }
  });

  it('touches what it names and leaves all else identical', () => {
    for (const seed of SEEDS) {
      const random = seededRandom(seed * 7);
      const document = randomDocument(random, SIZE);
      const operation = randomOperation(random, document);
      const applied = operation === null ? null : kindOf(operation).apply(document, operation);
      if (!applied?.ok) continue;
      const done = applied.value;
      const touched = new Set(
        kindOf(done.operation)
          .touches(done.operation)
          .map(({ forest, id }) => `${forest} ${id}`),
      );
      for (const name of ['pages', 'menus', 'items', 'parts'] as const) {
        const ids = new Set([...document[name].nodes.keys(), ...done.document[name].nodes.keys()]);
        for (const id of ids) {
          if (!touched.has(`${name} ${id}`))
            expect(done.document[name].nodes.get(id), `seed ${seed} ${name} ${id}`).toBe(
              document[name].nodes.get(id),
            );
        }
      }
    }
  });

  it('writes a document down and reads the same one back', () => {
    for (const seed of SEEDS) {
      const document = randomDocument(seededRandom(seed), SIZE);
      expect(toStored(readStored(JSON.parse(JSON.stringify(toStored(document)))))).toEqual(
        toStored(document),
      );
    }
  });
});
