import type { Id } from '../base/ids.ts';
import { isParent, type ForestName, type NodeOf, type SiteDocument } from './document.ts';
import { lostRef } from './lostRef.ts';
import { partProblem } from './partProblem.ts';

/**
 * The first invariant that a node breaks by itself: its id, its parent, what it names. Its place among its
 * siblings is asked elsewhere. O(log n).
 */
export function breachOfNode<F extends ForestName>(
  document: SiteDocument,
  name: F,
  id: Id,
  node: NodeOf[F],
): string | null {
  if (node.id !== id) return `${name}: ${id} says that it is ${node.id}`;
  if (!isParent(document, name, node.parent))
    return `${name}: the parent ${node.parent} of ${id} is not there`;
  if (name === 'presets') return null;
  if (name === 'parts') {
    const problem = partProblem(document, node as NodeOf['parts']);
    return problem === null ? null : `parts: ${id} ${problem.message}`;
  }
  const lost = lostRef(document, name, node);
  return lost === null ? null : `${name}: ${id} refers to the ${lost.to} ${lost.value}, which does not exist`;
}
