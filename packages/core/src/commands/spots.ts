import type { Id } from '../base/ids.ts';
import { refusal } from '../base/refusal.ts';
import { no, ok, type Result } from '../base/result.ts';
import { childrenOf, nodeAt, spotOf, type Forest, type Rooted, type Spot } from '../model/forest.ts';
import { topmost } from './topmost.ts';

/** Chosen branches of a forest, and where a step leads them. */
export interface Step {
  readonly ids: readonly Id[];
  readonly spot: Spot;
}
type Naming = (id: Id) => string;

/** Behind the next sibling (`down`), or before the one before (`up`). */
export function stepAlong(
  forest: Forest<Rooted>,
  chosen: readonly Id[],
  way: 'up' | 'down',
  nameOf: Naming,
): Result<Step> {
  const ids = topmost(forest, chosen);
  const edge = way === 'up' ? ids[0] : ids.at(-1);
  if (edge === undefined) return no(refusal('nothingChosen'));
  const { parent, after } = spotOf(forest, edge);
  const siblings = childrenOf(forest, parent);
  if (way === 'up') {
    return after === null
      ? no(refusal('alreadyFirst', { label: nameOf(edge) }))
      : ok({ ids, spot: { parent, after: siblings.before(after) } });
  }
  const next = siblings.behind(edge);
  return next === null
    ? no(refusal('alreadyLast', { label: nameOf(edge) }))
    : ok({ ids, spot: { parent, after: next } });
}

/** Into the sibling before them, behind what is in it. */
export function stepIn(forest: Forest<Rooted>, chosen: readonly Id[], nameOf: Naming): Result<Step> {
  const ids = topmost(forest, chosen);
  const [first] = ids;
  if (first === undefined) return no(refusal('nothingChosen'));
  const { after } = spotOf(forest, first);
  return after === null
    ? no(refusal('cannotNest', { label: nameOf(first) }))
    : ok({ ids, spot: { parent: after, after: childrenOf(forest, after).last() } });
}

/** Out of their parent, to stand right behind it. */
export function stepOut(forest: Forest<Rooted>, chosen: readonly Id[], nameOf: Naming): Result<Step> {
  const ids = topmost(forest, chosen);
  const [first] = ids;
  if (first === undefined) return no(refusal('nothingChosen'));
  const { parent } = nodeAt(forest, first);
  const outer = forest.nodes.get(parent);
  return outer === undefined
    ? no(refusal('alreadyOut', { label: nameOf(first) }))
    : ok({ ids, spot: { parent: outer.parent, after: parent } });
}

/** An anchor that moves itself gives way to the sibling before it that stays. */
export function anchorOutside(forest: Forest<Rooted>, spot: Spot, moving: ReadonlySet<Id>): Id | null {
  let { after } = spot;
  while (after !== null && moving.has(after)) after = spotOf(forest, after).after;
  return after;
}
