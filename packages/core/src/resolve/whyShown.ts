import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { faceOf } from '../model/faceOf.ts';
import { childrenOf, nodeAt } from '../model/forest.ts';
import { usesInDrawer } from '../model/frameParts.ts';
import { wayUp } from '../model/wayUp.ts';
import type { DeviceClass } from '../schema/deviceClass.ts';
import type { Behaviour } from '../schema/part.ts';
import { exceptionsOf, winning, type Situation } from './frameExceptions.ts';

/** One reason why something is where it is, or is seen there or not; `by`: the part or item that says so. */
export type ShownReason = { readonly by: Id } & (
  | { readonly why: 'unpublished' | 'standsIn' | 'inDrawer' }
  /** On these device classes, it or what is below that item is not shown. */
  | { readonly why: 'hiddenOn' | 'branchHiddenOn'; readonly on: readonly DeviceClass[] }
  | { readonly why: 'onlyOn'; readonly on: readonly DeviceClass[] }
  /** On this page it is an exception; on so many others there are some. */
  | { readonly why: 'isException'; readonly isShown: boolean }
  | { readonly why: 'hasExceptions'; readonly count: number }
  | { readonly why: 'scrolls'; readonly does: Behaviour }
);

/**
 * Why something is where it is, and when it is shown: what its item and all items above it say, then its part and all
 * that it stands in, the nearest first. Nothing: it is shown wherever the page is. O(depth).
 */
export function whyShown(
  document: SiteDocument,
  { part, item }: { readonly part: Id | null; readonly item: Id | null },
  situation: Situation,
): ShownReason[] {
  const reasons: ShownReason[] = [];
  for (
    let [at, isAbove] = [item === null ? undefined : document.items.nodes.get(item), false];
    at !== undefined;
    [at, isAbove] = [document.items.nodes.get(at.parent), true]
  ) {
    const { heldBack, hiddenOn, branchHiddenOn } = faceOf(document, at);
    const { id: by } = at;
    if (heldBack === true) reasons.push({ by, why: 'unpublished' });
    if (hiddenOn !== undefined) reasons.push({ by, why: 'hiddenOn', on: hiddenOn });
    if (isAbove && branchHiddenOn !== undefined)
      reasons.push({ by, why: 'branchHiddenOn', on: branchHiddenOn });
  }
  if (part === null || !document.parts.nodes.has(part)) return reasons;
  const inDrawer = usesInDrawer(document).get(part);
  if (inDrawer !== undefined) reasons.push({ by: inDrawer.id, why: 'inDrawer' });
  for (const [depth, one] of wayUp(document, part).entries()) {
    const { id: by } = one;
    if (depth > 0) reasons.push({ by, why: 'standsIn' });
    if (one.hiddenOn !== undefined) reasons.push({ by, why: 'hiddenOn', on: one.hiddenOn });
    if (one.only !== undefined) reasons.push({ by, why: 'onlyOn', on: [one.only] });
    const exceptions = exceptionsOf(document, by);
    const here = winning(exceptions, situation);
    if (here !== null) reasons.push({ by, why: 'isException', isShown: here.isShown });
    else if (exceptions.length > 0) reasons.push({ by, why: 'hasExceptions', count: exceptions.length });
    for (const id of one.kind === 'area' ? childrenOf(document.parts, by) : []) {
      const behaviour = nodeAt(document.parts, id);
      if (behaviour.kind !== 'behaviour') continue;
      const isOn = winning(exceptionsOf(document, id), situation)?.isShown ?? behaviour.isHidden !== true;
      if (isOn) reasons.push({ by, why: 'scrolls', does: behaviour.does });
    }
  }
  return reasons;
}
