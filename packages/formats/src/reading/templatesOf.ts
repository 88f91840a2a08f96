import { firstFree, type PageKind } from '@zorvik/core';

/** What is known of a page when templates are guessed. */
export interface Skeletal {
  readonly address: string;
  readonly kind: PageKind;
  readonly skeleton: readonly number[];
}

/** A template that several pages seem to have. */
export interface GuessedTemplate {
  readonly name: string;
  readonly addresses: readonly string[];
  /** How much more alike its pages are to each other than to those of any other template, in percent. */
  readonly sure: number;
}

/** A site has at most so many templates; more would be kinds of text. */
const MOST_TEMPLATES = 20;
/** A page is like a template while they have so much in common. */
const ALIKE = 0.5;
/** So many different skeletons are compared with each other; the others go to the most similar of these. */
const MOST_COMPARED = 400;

/**
 * Groups pages by the skeletons of their markup: the most similar (Jaccard) are joined first, and the number of
 * groups is the one at which they are most unlike each other. What nearly all pages have says nothing and is left
 * aside. Pages that are like no others have no template. O(pages * skeleton + different skeletons ^ 3).
 */
export function templatesOf(pages: readonly Skeletal[]): GuessedTemplate[] {
  const kinds = differentSkeletons(pages);
  if (kinds.length < 2) return [];
  const compared = kinds.slice(0, MOST_COMPARED);
  const similar = compared.map((one) => compared.map((other) => similarity(one.parts, other.parts)));
  const weights = compared.map(({ pages: own }) => own.length);
  const groups = grouped(similar, weights);
  const groupOf = new Map<number, number>(groups.flatMap((group, at) => group.map((kind) => [kind, at])));
  const members = groups.map((group) => group.flatMap((kind) => compared[kind]?.pages ?? []));
  for (const other of kinds.slice(MOST_COMPARED)) {
    const scores = compared.map(({ parts }) => similarity(parts, other.parts));
    const best = scores.indexOf(Math.max(...scores));
    if ((scores[best] ?? 0) >= ALIKE) members[groupOf.get(best) ?? 0]?.push(...other.pages);
  }
  const least = Math.max(2, Math.ceil(pages.length * 0.005));
  const wanted = groups
    .map((group, at) => ({ group, pages: members[at] ?? [] }))
    .filter(({ pages: own }) => own.length >= least)
    .sort((a, b) => b.pages.length - a.pages.length);
  if (wanted.length < 2) return [];
  const names = new Set<string>();
  return wanted.map(({ group, pages: own }) => {
    const name = firstFree(nameOf(own), (one) => names.has(one));
    names.add(name);
    return {
      name,
      addresses: own.map(({ address }) => address),
      sure: Math.max(0, Math.round(100 * silhouette(group, groups, similar, weights))),
    };
  });
}

interface SkeletonKind {
  readonly parts: ReadonlySet<number>;
  readonly pages: Skeletal[];
}

/** Pages by their skeletons, those that most pages have first, without what nearly all of them have. */
function differentSkeletons(pages: readonly Skeletal[]): SkeletonKind[] {
  const counts = new Map<number, number>();
  for (const { skeleton } of pages)
    for (const part of skeleton) counts.set(part, (counts.get(part) ?? 0) + 1);
  const common = 0.95 * pages.length;
  const kinds = new Map<string, SkeletonKind>();
  for (const page of pages) {
    const parts = page.skeleton.filter((part) => (counts.get(part) ?? 0) < common);
    const key = parts.join(' ');
    const kind = kinds.get(key) ?? { parts: new Set(parts), pages: [] };
    kind.pages.push(page);
    kinds.set(key, kind);
  }
  return [...kinds.values()].sort((a, b) => b.pages.length - a.pages.length);
}

/** What two skeletons have in common of what either has (Jaccard), from 0 to 1. */
function similarity(a: ReadonlySet<number>, b: ReadonlySet<number>): number {
  if (a.size === 0 && b.size === 0) return 1;
  let both = 0;
  for (const part of a) if (b.has(part)) both += 1;
  return both / (a.size + b.size - both);
}

/**
 * Joins the two most similar groups again and again (average linkage; skeletons count by their pages), and gives the
 * groups as they were when each was most unlike its nearest: where the mean silhouette is greatest.
 */
function grouped(similar: readonly (readonly number[])[], weights: readonly number[]): number[][] {
  const groups: (number[] | null)[] = similar.map((_, at) => [at]);
  const weight = [...weights];
  const between = similar.map((row) => [...row]);
  let best: { readonly groups: number[][]; readonly score: number } = { groups: [], score: 0 };
  for (let left = groups.length; left > 1; left -= 1) {
    if (left <= MOST_TEMPLATES) {
      const now = groups.filter((group) => group !== null);
      const score = meanSilhouette(now, similar, weights);
      if (score > best.score) best = { groups: now.map((group) => [...group]), score };
    }
    const [at, other] = nearestPair(groups, between);
    const [one, two] = [groups[at], groups[other]];
    if (one == null || two == null) break;
    const [a, b] = [weight[at] ?? 1, weight[other] ?? 1];
    for (let third = 0; third < groups.length; third += 1) {
      const score = ((between[at]?.[third] ?? 0) * a + (between[other]?.[third] ?? 0) * b) / (a + b);
      const [row, column] = [between[at], between[third]];
      if (row !== undefined) row[third] = score;
      if (column !== undefined) column[at] = score;
    }
    one.push(...two);
    groups[other] = null;
    weight[at] = a + b;
  }
  return best.groups;
}

function nearestPair(
  groups: readonly (readonly number[] | null)[],
  between: readonly (readonly number[])[],
): readonly [number, number] {
  let best = { at: -1, other: -1, score: -1 };
  for (let at = 0; at < groups.length; at += 1) {
    if (groups[at] === null) continue;
    for (let other = at + 1; other < groups.length; other += 1) {
      const score = groups[other] === null ? -1 : (between[at]?.[other] ?? 0);
      if (score > best.score) best = { at, other, score };
    }
  }
  return [best.at, best.other];
}

/**
 * How much better pages fit into their own group than into the nearest other one, on average, from -1 to 1
 * (P. J. Rousseeuw, "Silhouettes", 1987). A page that is alone counts 0.
 */
function meanSilhouette(
  groups: readonly (readonly number[])[],
  similar: readonly (readonly number[])[],
  weights: readonly number[],
): number {
  const total = weights.reduce((sum, one) => sum + one, 0);
  return (
    groups.reduce(
      (sum, group) => sum + silhouette(group, groups, similar, weights) * sizeOf(group, weights),
      0,
    ) / total
  );
}

const sizeOf = (group: readonly number[], weights: readonly number[]): number =>
  group.reduce((sum, kind) => sum + (weights[kind] ?? 0), 0);

function silhouette(
  group: readonly number[],
  groups: readonly (readonly number[])[],
  similar: readonly (readonly number[])[],
  weights: readonly number[],
): number {
  const size = sizeOf(group, weights);
  if (size < 2) return 0;
  let sum = 0;
  for (const kind of group) {
    const apart = (some: readonly number[], count: number): number =>
      some.reduce((all, other) => all + (1 - (similar[kind]?.[other] ?? 0)) * (weights[other] ?? 0), 0) /
      count;
    const own = apart(group, size - 1);
    const nearest = Math.min(
      ...groups.filter((one) => one !== group).map((one) => apart(one, sizeOf(one, weights))),
    );
    const most = Math.max(own, nearest);
    sum += (most === 0 ? 0 : (nearest - own) / most) * (weights[kind] ?? 0);
  }
  return sum / size;
}

/** What most of the pages are, else where most of them are, else just a page. */
function nameOf(pages: readonly Skeletal[]): string {
  const most = (values: readonly string[], share: number): string | undefined => {
    const counts = new Map<string, number>();
    for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1);
    return [...counts].find(([, count]) => count >= share * values.length)?.[0];
  };
  const kind = most(
    pages.map((page) => page.kind),
    0.6,
  );
  if (kind !== undefined && kind !== 'page') return kind;
  const first = most(
    pages.map(({ address }) => address.split(/[/?#]/)[1] ?? ''),
    0.8,
  );
  const plain = (first ?? '')
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, '-')
    .replaceAll(/^-+|-+$/g, '');
  return plain === '' || plain.length > 40 ? 'page' : plain;
}
