import type { Id } from '../base/ids.ts';
import { Sequence } from '../base/sequence.ts';
import type { Table } from '../base/table.ts';
import type { Site } from '../schema/site.ts';
import {
  forestNames,
  newDocument,
  withForest,
  type ForestName,
  type NodeOf,
  type SiteDocument,
} from './document.ts';
import type { Forest } from './forest.ts';

/** What is otherwise in one forest: nodes by id and orders by parent; null: no longer there. */
export interface ForestChanges {
  readonly forest: ForestName;
  readonly nodes: readonly (readonly [Id, NodeOf[ForestName] | null])[];
  readonly orders: readonly (readonly [Id, readonly Id[] | null])[];
}

/**
 * What leads from one state of a document to another, as plain data: for a copy kept elsewhere, such as in a
 * worker.
 */
export interface DocumentChanges {
  readonly format: number;
  readonly site: Site;
  readonly forests: readonly ForestChanges[];
}

/**
 * The changes that lead from one document to another; from none at all when `before` is null. O(changes)
 * between versions of one document.
 */
export function changesBetween(before: SiteDocument | null, after: SiteDocument): DocumentChanges {
  const from = before ?? newDocument(after.site);
  const forests = forestNames.flatMap((forest): ForestChanges[] => {
    const [was, is] = [
      from[forest] as Forest<NodeOf[ForestName]>,
      after[forest] as Forest<NodeOf[ForestName]>,
    ];
    if (was === is) return [];
    const nodes = [...is.nodes.differing(was.nodes)].map(([id, node]) => [id, node ?? null] as const);
    const orders = [...is.children.differing(was.children)].map(
      ([id, order]) => [id, order === undefined ? null : [...order]] as const,
    );
    return [{ forest, nodes, orders }];
  });
  return { format: after.format, site: after.site, forests };
}

/** The document with the changes in it. */
export function withChanges(
  document: SiteDocument | null,
  { format, site, forests }: DocumentChanges,
): SiteDocument {
  let made: SiteDocument = { ...(document ?? newDocument(site)), format, site };
  for (const { forest, nodes, orders } of forests) {
    const before = made[forest] as Forest<NodeOf[ForestName]>;
    const after = {
      nodes: changed(before.nodes, nodes),
      children: changed(
        before.children,
        orders.map(([parent, order]) => [parent, order === null ? null : Sequence.from(order)] as const),
      ),
    };
    made = withForest<ForestName>(made, forest, after);
  }
  return made;
}

function changed<V>(table: Table<V>, changes: readonly (readonly [string, V | null])[]): Table<V> {
  const set = changes.filter((one): one is readonly [string, V] => one[1] !== null);
  let made = table.withAll(set);
  for (const [key, value] of changes) if (value === null) made = made.without(key);
  return made;
}
