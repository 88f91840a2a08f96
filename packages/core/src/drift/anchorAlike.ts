import { foldText } from '../base/foldText.ts';
import type { PageAnchor } from '../schema/page.ts';

/**
 * What an anchor that is gone is called now: the one heading with the item's label, or the one whose id has
 * the words of the old id, or some of them.
 */
export function anchorAlike(anchors: readonly PageAnchor[], gone: string, label: string): PageAnchor | null {
  const [name, id] = [foldText(label), foldText(gone)];
  const only = (found: readonly PageAnchor[]): PageAnchor | null =>
    found.length === 1 ? (found[0] ?? null) : null;
  const isPart = (a: string, b: string): boolean =>
    a !== '' && b !== '' && (` ${a} `.includes(` ${b} `) || ` ${b} `.includes(` ${a} `));
  return (
    only(anchors.filter((one) => foldText(one.title) === name)) ??
    only(anchors.filter((one) => isPart(foldText(one.id), id)))
  );
}
