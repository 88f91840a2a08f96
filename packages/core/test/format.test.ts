import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readStored, toStored } from '../src/model/stored.ts';
import { upgraded } from '../src/upgrades/upgraded.ts';
import { FORMAT, type StoredDocument } from '../src/schema/format.ts';

/** One frozen sample for each version of the format: never edit one, add the next. */
const sample = (version: number): StoredDocument =>
  JSON.parse(
    readFileSync(new URL(`../laws/samples/format-${version}.json`, import.meta.url), 'utf8'),
  ) as StoredDocument;

describe('the stored format', () => {
  it.each(Array.from({ length: FORMAT }, (_, at) => at + 1))(
    'reads the frozen sample of version %d',
    (version) => {
      const { document } = upgraded(readStored(sample(version)));
      expect(document.site.key).toBe('meadow');
      expect(document.items.nodes.size).toBeGreaterThan(5);
      expect(toStored(document).format).toBe(FORMAT);
    },
  );

  it('writes the present version as the sample has it', () => {
    expect(toStored(readStored(sample(FORMAT)))).toEqual(sample(FORMAT));
  });

  it('refuses a newer one, and one that is not sound', () => {
    expect(() => upgraded(readStored({ ...sample(FORMAT), format: FORMAT + 1 }))).toThrow(
      `The document has format ${FORMAT + 1}; this Zorvik reads up to ${FORMAT}.`,
    );
    expect(() => readStored({ ...sample(FORMAT), pages: [] } as { format: number })).toThrow('is not sound');
  });
});
