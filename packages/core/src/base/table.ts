import { fnv1a } from './fnv1a.ts';

/**
 * A persistent table by id: a hash array mapped trie (Phil Bagwell, "Ideal Hash Trees", 2001). Each branch
 * keeps a 32-bit map of which of its 32 slots are taken and an array of just those. A change copies the path
 * from the root to one leaf, three or four short arrays at 100,000 entries, and shares all else; so an old
 * document stays whole and an edit never copies a table.
 *
 * Why not a plain object or a Map: either has to be copied whole for each edit to keep the old state (100,000
 * entries, some milliseconds), which undo, pending edits and the live header all need.
 *
 * Invariant: a branch below the root holds at least two entries, so that equal tables have equal shapes.
 * Entries come out in an order that depends on the ids alone. get, with, without: O(log32 n).
 */
export class Table<V> implements Iterable<readonly [string, V]> {
  static empty<V>(): Table<V> {
    return new Table<V>(EMPTY_BRANCH as Branch<V>, 0);
  }

  /**
   * Builds a table from entries; later entries win. Its branches are changed in place while they are still
   * private.
   */
  static from<V>(entries: Iterable<readonly [string, V]>): Table<V> {
    return Table.empty<V>().withAll(entries);
  }

  protected constructor(
    private readonly root: Branch<V>,
    readonly size: number,
  ) {}

  /**
   * The same table, but telling which keys are looked up in it: so that what is made of them can be made anew
   * when they change, and only then.
   */
  watched(read: (key: string) => void): Table<V> {
    return new WatchedTable(this.root, this.size, read);
  }

  get(key: string): V | undefined {
    const hash = hashOf(key);
    let node: Node<V> | undefined = this.root;
    for (let shift = 0; node !== undefined; shift += BITS) {
      if (node.kind === LEAF) return node.key === key ? node.value : undefined;
      if (node.kind === CLASH) return node.leaves.find((leaf) => leaf.key === key)?.value;
      const bit = bitAt(hash, shift);
      node = (node.map & bit) === 0 ? undefined : node.slots[slotOf(node.map, bit)];
    }
    return undefined;
  }

  has(key: string): boolean {
    return this.get(key) !== undefined;
  }

  /** This table with `value` under `key`; the same table when it holds that very value already. */
  with(key: string, value: V): Table<V> {
    const growth = { by: 0 };
    const root = put(this.root, leafOf(key, value), 0, growth, null) as Branch<V>;
    return root === this.root ? this : new Table(root, this.size + growth.by);
  }

  /** This table with all entries set, in one pass that copies each branch at most once. */
  withAll(entries: Iterable<readonly [string, V]>): Table<V> {
    const growth = { by: 0 };
    const owner: Owner = {};
    let root = this.root;
    for (const [key, value] of entries) root = put(root, leafOf(key, value), 0, growth, owner) as Branch<V>;
    return root === this.root ? this : new Table(root, this.size + growth.by);
  }

  /** This table without `key`; the same table when it is not there. */
  without(key: string): Table<V> {
    const root = remove(this.root, key, hashOf(key), 0);
    if (root === this.root) return this;
    if (root === undefined) return Table.empty<V>();
    return new Table(root.kind === BRANCH ? root : branchAround(root), this.size - 1);
  }

  /**
   * What has to be done to `before` to get this table: entries to set, and keys to take out (`undefined`).
   * What both share is passed by without being looked at. O(differences * log32 n) between versions of one
   * table.
   */
  *differing(before: Table<V>): IterableIterator<readonly [string, V | undefined]> {
    const stack: (readonly [Node<V> | undefined, Node<V> | undefined])[] = [[before.root, this.root]];
    for (let pair = stack.pop(); pair !== undefined; pair = stack.pop()) {
      const [was, is] = pair;
      if (was === is) continue;
      if (was?.kind === BRANCH && is?.kind === BRANCH) {
        for (let taken = was.map | is.map; taken !== 0; taken &= taken - 1) {
          const bit = taken & -taken;
          stack.push([slotAt(was, bit), slotAt(is, bit)]);
        }
        continue;
      }
      const left = new Map(was === undefined ? [] : leavesOf(was));
      for (const [key, value] of is === undefined ? [] : leavesOf(is)) {
        if (left.get(key) !== value) yield [key, value];
        left.delete(key);
      }
      for (const key of left.keys()) yield [key, undefined];
    }
  }

  *[Symbol.iterator](): Iterator<readonly [string, V]> {
    yield* leavesOf(this.root);
  }

  *keys(): IterableIterator<string> {
    for (const [key] of this) yield key;
  }

  *values(): IterableIterator<V> {
    for (const [, value] of this) yield value;
  }
}

class WatchedTable<V> extends Table<V> {
  constructor(
    root: Branch<V>,
    size: number,
    private readonly read: (key: string) => void,
  ) {
    super(root, size);
  }

  override get(key: string): V | undefined {
    this.read(key);
    return super.get(key);
  }
}

const BITS = 5;
const LEAF = 0;
const BRANCH = 1;
const CLASH = 2;

/** Marks branches that one `withAll` made itself and may therefore change in place. */
type Owner = object;
interface Leaf<V> {
  readonly kind: typeof LEAF;
  readonly hash: number;
  readonly key: string;
  readonly value: V;
}
interface Branch<V> {
  readonly kind: typeof BRANCH;
  map: number;
  slots: Node<V>[];
  readonly owner: Owner | null;
}
/** Different keys with the same 32-bit hash. */
interface Clash<V> {
  readonly kind: typeof CLASH;
  readonly hash: number;
  readonly leaves: readonly Leaf<V>[];
}
type Node<V> = Leaf<V> | Branch<V> | Clash<V>;

const EMPTY_BRANCH: Branch<never> = { kind: BRANCH, map: 0, slots: [], owner: null };

function slotAt<V>(branch: Branch<V>, bit: number): Node<V> | undefined {
  return (branch.map & bit) === 0 ? undefined : branch.slots[slotOf(branch.map, bit)];
}

function* leavesOf<V>(top: Node<V>): IterableIterator<readonly [string, V]> {
  const stack = [top];
  for (let node = stack.pop(); node !== undefined; node = stack.pop()) {
    if (node.kind === LEAF) yield [node.key, node.value];
    else stack.push(...(node.kind === CLASH ? node.leaves : node.slots));
  }
}

function leafOf<V>(key: string, value: V): Leaf<V> {
  return { kind: LEAF, hash: hashOf(key), key, value };
}

function put<V>(
  node: Node<V>,
  leaf: Leaf<V>,
  shift: number,
  growth: { by: number },
  owner: Owner | null,
): Node<V> {
  if (node.kind === BRANCH) return putInBranch(node, leaf, shift, growth, owner);
  if (node.kind === LEAF && node.key === leaf.key) return node.value === leaf.value ? node : leaf;
  if (node.hash !== leaf.hash) {
    growth.by += 1;
    return split(node, leaf, shift, owner);
  }
  return putInClash(node, leaf, growth);
}

function putInBranch<V>(
  node: Branch<V>,
  leaf: Leaf<V>,
  shift: number,
  growth: { by: number },
  owner: Owner | null,
): Branch<V> {
  const bit = bitAt(leaf.hash, shift);
  const slot = slotOf(node.map, bit);
  const isTaken = (node.map & bit) !== 0;
  if (!isTaken) growth.by += 1;
  const before = isTaken ? node.slots[slot] : undefined;
  const after = before === undefined ? leaf : put(before, leaf, shift + BITS, growth, owner);
  if (after === before) return node;
  const target =
    owner !== null && node.owner === owner
      ? node
      : { kind: BRANCH as typeof BRANCH, map: node.map, slots: node.slots.slice(), owner };
  if (isTaken) target.slots[slot] = after;
  else target.slots.splice(slot, 0, after);
  target.map |= bit;
  return target;
}

function putInClash<V>(node: Leaf<V> | Clash<V>, leaf: Leaf<V>, growth: { by: number }): Node<V> {
  const leaves = node.kind === LEAF ? [node] : node.leaves;
  const at = leaves.findIndex((one) => one.key === leaf.key);
  if (at >= 0 && leaves[at]?.value === leaf.value) return node;
  if (at < 0) growth.by += 1;
  return { kind: CLASH, hash: leaf.hash, leaves: at < 0 ? [...leaves, leaf] : leaves.with(at, leaf) };
}

/** A branch that holds both, as deep as their hashes agree. */
function split<V>(a: Leaf<V> | Clash<V>, b: Leaf<V>, shift: number, owner: Owner | null): Branch<V> {
  const bitA = bitAt(a.hash, shift);
  const bitB = bitAt(b.hash, shift);
  if (bitA === bitB) return { kind: BRANCH, map: bitA, slots: [split(a, b, shift + BITS, owner)], owner };
  return { kind: BRANCH, map: bitA | bitB, slots: bitA >>> 0 < bitB >>> 0 ? [a, b] : [b, a], owner };
}

function remove<V>(node: Node<V>, key: string, hash: number, shift: number): Node<V> | undefined {
  if (node.kind === LEAF) return node.key === key ? undefined : node;
  if (node.kind === CLASH) return removeFromClash(node, key);
  const bit = bitAt(hash, shift);
  if ((node.map & bit) === 0) return node;
  const slot = slotOf(node.map, bit);
  const before = node.slots[slot];
  if (before === undefined) throw new Error('A taken slot is empty.');
  const after = remove(before, key, hash, shift + BITS);
  if (after === before) return node;
  if (after !== undefined)
    return lift({ kind: BRANCH, map: node.map, slots: node.slots.with(slot, after), owner: null }, shift);
  if (node.slots.length === 1) return undefined;
  return lift(
    { kind: BRANCH, map: node.map & ~bit, slots: node.slots.toSpliced(slot, 1), owner: null },
    shift,
  );
}

/** A branch below the root with a single leaf in it gives way to that leaf: the invariant above. */
function lift<V>(branch: Branch<V>, shift: number): Node<V> {
  const only = branch.slots.length === 1 && shift > 0 ? branch.slots[0] : undefined;
  return only !== undefined && only.kind !== BRANCH ? only : branch;
}

function removeFromClash<V>(node: Clash<V>, key: string): Node<V> {
  const leaves = node.leaves.filter((leaf) => leaf.key !== key);
  const [first] = leaves;
  if (leaves.length === node.leaves.length || first === undefined) return node;
  return leaves.length === 1 ? first : { kind: CLASH, hash: node.hash, leaves };
}

function branchAround<V>(node: Leaf<V> | Clash<V>): Branch<V> {
  return { kind: BRANCH, map: bitAt(node.hash, 0), slots: [node], owner: null };
}

/**
 * FNV-1a, then a final mix (MurmurHash3), since ids differ mostly in
 * their last digits.
 */
function hashOf(key: string): number {
  let hash = fnv1a(key);
  hash = Math.imul(hash ^ (hash >>> 16), 0x85ebca6b);
  return (hash ^ (hash >>> 13)) | 0;
}

function bitAt(hash: number, shift: number): number {
  return 1 << ((hash >>> shift) & 31);
}

/** How many slots below `bit` are taken: where its entry stands in the dense array. */
function slotOf(map: number, bit: number): number {
  let below = map & (bit - 1);
  below -= (below >>> 1) & 0x55555555;
  below = (below & 0x33333333) + ((below >>> 2) & 0x33333333);
  return Math.imul((below + (below >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24;
}
