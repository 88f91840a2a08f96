import type { Id } from '../base/ids.ts';
import type { Forest, Rooted } from './forest.ts';

/** Whether `id` is `outer` or stands anywhere inside it. O(depth). */
export function isWithin(forest: Forest<Rooted>, id: Id, outer: Id): boolean {
  for (let at: Id | undefined = id; at !== undefined; at = forest.nodes.get(at)?.parent) {
    if (at === outer) return true;
  }
  return false;
}
