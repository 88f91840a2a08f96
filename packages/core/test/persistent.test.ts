import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Sequence } from '../src/base/sequence.ts';
import { Table } from '../src/base/table.ts';

describe('Table', () => {
  it('does what a Map does, and leaves every older state as it was', () => {
    const keys = fc.constantFrom(...Array.from({ length: 40 }, (_, at) => `k${at}`));
    fc.assert(
      fc.property(fc.array(fc.tuple(keys, fc.option(fc.integer())), { maxLength: 120 }), (steps) => {
        const model = new Map<string, number>();
        let table = Table.empty<number>();
        const states: [Table<number>, Map<string, number>][] = [];
        for (const [key, value] of steps) {
          states.push([table, new Map(model)]);
          if (value === null) model.delete(key);
          else model.set(key, value);
          table = value === null ? table.without(key) : table.with(key, value);
        }
        states.push([table, model]);
        for (const [old, expected] of states) {
          expect(new Map(old)).toEqual(expected);
          expect(old.size).toBe(expected.size);
        }
      }),
    );
  });

  it('comes out in the same order however it was made', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.string(), { maxLength: 60 }),
        fc.array(fc.string(), { maxLength: 20 }),
        (keys, detour) => {
          const entries = keys.map((key, at) => [key, at] as const);
          let table = Table.from(entries.toReversed());
          for (const key of detour) if (!keys.includes(key)) table = table.with(key, -1).without(key);
          expect([...table.keys()]).toEqual([...Table.from(entries).keys()]);
        },
      ),
    );
  });

  it('holds keys whose hashes are the same', () => {
    // Found by search: these two have the same 32-bit hash, and so share a slot at every level.
    const seen = new Map<number, string>();
    const clash = findClash(seen);
    const table = Table.from([
      [clash[0], 1],
      [clash[1], 2],
    ]).with('other', 3);
    expect([table.get(clash[0]), table.get(clash[1]), table.size]).toEqual([1, 2, 3]);
    expect([...table.without(clash[0])].toSorted()).toEqual(
      [...Table.from([[clash[1], 2] as const, ['other', 3] as const])].toSorted(),
    );
    expect(table.with(clash[0], 1)).toBe(table);
  });

  it('is itself when nothing changes', () => {
    const table = Table.from([['a', 1]]);
    expect(table.with('a', 1)).toBe(table);
    expect(table.without('b')).toBe(table);
    expect(table.withAll([['a', 1]])).toBe(table);
  });
});

/**
 * The same mixing as in the table, to find two keys that clash; the test above fails if the two ever part.
 */
function hash(key: string): number {
  let value = 0x811c9dc5;
  for (let at = 0; at < key.length; at += 1) value = Math.imul(value ^ key.charCodeAt(at), 0x01000193);
  value = Math.imul(value ^ (value >>> 16), 0x85ebca6b);
  return (value ^ (value >>> 13)) | 0;
}

function findClash(seen: Map<number, string>): readonly [string, string] {
  for (let at = 0; ; at += 1) {
    const key = `i${at.toString(36)}`;
    const other = seen.get(hash(key));
    if (other !== undefined) return [other, key];
    seen.set(hash(key), key);
  }
}

describe('Sequence', () => {
  it('does what a list does, over many chunks', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 400 }),
        fc.array(fc.tuple(fc.nat(), fc.boolean()), { maxLength: 60 }),
        (size, steps) => {
          let list = Array.from({ length: size }, (_, at) => `n${at}`);
          let sequence = Sequence.from(list);
          steps.forEach(([at, isRemoval], step) => {
            const place = list.length === 0 ? 0 : at % list.length;
            const id = list[place];
            if (isRemoval && id !== undefined) {
              list = list.toSpliced(place, 1);
              sequence = sequence.without(id);
            } else {
              const after = place === 0 ? null : (list[place - 1] ?? null);
              list = list.toSpliced(place, 0, `m${step}`);
              sequence = sequence.placed(`m${step}`, after);
            }
          });
          expect([...sequence]).toEqual(list);
          expect([sequence.size, sequence.first(), sequence.last()]).toEqual([
            list.length,
            list[0] ?? null,
            list.at(-1) ?? null,
          ]);
          list.forEach((id, at) =>
            expect([sequence.indexOf(id), sequence.before(id), sequence.behind(id)]).toEqual([
              at,
              list[at - 1] ?? null,
              list[at + 1] ?? null,
            ]),
          );
        },
      ),
      { numRuns: 60 },
    );
  });
});
