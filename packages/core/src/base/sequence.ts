import type { Id } from './ids.ts';

/**
 * A persistent ordered list of ids: the children of one parent. Ids stand in chunks of at most 128; a change
 * copies the chunk it falls in and the list of chunks, and shares the rest. Most parents have one chunk (a
 * plain short array); a flat shop with 50,000 children changes in about 500 pointer copies instead of 50,000.
 *
 * Why not a balanced tree: finding an id's place means a scan either way, and a scan over pointers is what
 * arrays are best at. Invariant: no chunk is empty; no id stands twice (the model's checks hold the latter).
 */
export class Sequence implements Iterable<Id> {
  static readonly empty = new Sequence([], 0);

  static from(ids: Iterable<Id>): Sequence {
    const all = [...ids];
    if (all.length === 0) return Sequence.empty;
    const chunks: Id[][] = [];
    for (let at = 0; at < all.length; at += FULL / 2) chunks.push(all.slice(at, at + FULL / 2));
    return new Sequence(chunks, all.length);
  }

  private constructor(
    private readonly chunks: readonly (readonly Id[])[],
    readonly size: number,
  ) {}

  *[Symbol.iterator](): Iterator<Id> {
    for (const chunk of this.chunks) yield* chunk;
  }

  has(id: Id): boolean {
    return this.chunks.some((chunk) => chunk.includes(id));
  }

  first(): Id | null {
    return this.chunks[0]?.[0] ?? null;
  }

  last(): Id | null {
    return this.chunks.at(-1)?.at(-1) ?? null;
  }

  /** The place of `id`, from 0; -1 when it is not there. O(n) pointer comparisons. */
  indexOf(id: Id): number {
    let passed = 0;
    for (const chunk of this.chunks) {
      const at = chunk.indexOf(id);
      if (at >= 0) return passed + at;
      passed += chunk.length;
    }
    return -1;
  }

  /** The id that stands before `id`, or null when `id` is the first. Throws when `id` is not there. */
  before(id: Id): Id | null {
    const [chunk, at] = this.find(id);
    return this.chunks[chunk]?.[at - 1] ?? this.chunks[chunk - 1]?.at(-1) ?? null;
  }

  /** The id that stands behind `id`, or null when `id` is the last. Throws when `id` is not there. */
  behind(id: Id): Id | null {
    const [chunk, at] = this.find(id);
    return this.chunks[chunk]?.[at + 1] ?? this.chunks[chunk + 1]?.[0] ?? null;
  }

  /** This list with `id` behind `after`; null puts it first. Throws when `after` is not there. */
  placed(id: Id, after: Id | null): Sequence {
    if (this.chunks.length === 0 && after === null) return new Sequence([[id]], 1);
    const [at, offset] = after === null ? [0, 0] : this.find(after);
    const chunk = this.chunks[at] ?? [];
    const grown = chunk.toSpliced(after === null ? 0 : offset + 1, 0, id);
    return new Sequence(
      grown.length <= FULL ? this.chunks.with(at, grown) : halved(this.chunks, at, grown),
      this.size + 1,
    );
  }

  /** This list without `id`. Throws when it is not there. */
  without(id: Id): Sequence {
    const [at, offset] = this.find(id);
    if (this.size === 1) return Sequence.empty;
    const shrunk = (this.chunks[at] ?? []).toSpliced(offset, 1);
    return new Sequence(
      shrunk.length > 0 ? this.chunks.with(at, shrunk) : this.chunks.toSpliced(at, 1),
      this.size - 1,
    );
  }

  /** Scans from the end: most additions go there. */
  private find(id: Id): readonly [number, number] {
    for (let chunk = this.chunks.length - 1; chunk >= 0; chunk -= 1) {
      const at = this.chunks[chunk]?.lastIndexOf(id) ?? -1;
      if (at >= 0) return [chunk, at];
    }
    throw new Error(`${id} is not in this list of ${this.size}.`);
  }
}

const FULL = 128;

function halved(
  chunks: readonly (readonly Id[])[],
  at: number,
  chunk: readonly Id[],
): readonly (readonly Id[])[] {
  return chunks.toSpliced(at, 1, chunk.slice(0, FULL / 2), chunk.slice(FULL / 2));
}
