import {
  breachAmong,
  forestNames,
  forests,
  kindOf,
  ofEachForest,
  refusal,
  type Edit,
  type ForestName,
  type Id,
  type NodeName,
  type Refusal,
  type SiteDocument,
} from '@zorvik/core';
import { checkStoredOf, problemIn, type Check } from '../shapeCheck.ts';
import { othersTurn } from '../othersTurn.ts';

const checks: Readonly<Record<ForestName, Check>> = ofEachForest((name) =>
  checkStoredOf(forests[name].shape),
);

/**
 * What an edit would damage, as a refusal; null: nothing. The last defence before it is stored: every node
 * that it changed has the shape of its kind, and none that it touched breaks an invariant, whatever schemas
 * and operations have let through.
 */
export async function damageDone(
  before: SiteDocument,
  document: SiteDocument,
  { operations }: Pick<Edit, 'operations'>,
): Promise<Refusal | null> {
  const touched = operations.flatMap((operation) => kindOf(operation).touches(operation));
  const unsaid = changedUnsaid(before, document, touched);
  if (unsaid !== null)
    return refusal('breaksSite', { problem: `${unsaid}: more was added or removed than the edit says` });
  for (let at = 0; at < touched.length; at += PIECE) {
    if (at > 0) await othersTurn();
    const problem = problemAmong(before, document, touched.slice(at, at + PIECE));
    if (problem !== null) return refusal('breaksSite', { problem });
  }
  return null;
}

/** How many nodes are looked at before others have their turn. */
const PIECE = 2500;

function problemAmong(
  before: SiteDocument,
  document: SiteDocument,
  touched: readonly NodeName[],
): string | null {
  for (const { forest, id } of touched) {
    const node = document[forest].nodes.get(id);
    // What is new has come in whole, by the very same shape. What was changed was checked field by field.
    const misshapen =
      node === undefined || !before[forest].nodes.has(id) ? null : problemIn(checks[forest], node, id);
    if (misshapen !== null) return `${misshapen.params.place} ${misshapen.params.problem}`;
  }
  return breachAmong(document, touched);
}

/** A forest in which there are more or fewer nodes than those that were touched explain; null: none. */
function changedUnsaid(
  before: SiteDocument,
  after: SiteDocument,
  touched: readonly NodeName[],
): ForestName | null {
  const ids = new Map(forestNames.map((name) => [name, new Set<Id>()]));
  for (const { forest, id } of touched) ids.get(forest)?.add(id);
  const growthOf = (name: ForestName): number => {
    let growth = 0;
    for (const id of ids.get(name) ?? [])
      growth += Number(after[name].nodes.has(id)) - Number(before[name].nodes.has(id));
    return growth;
  };
  return (
    forestNames.find((name) => after[name].nodes.size - before[name].nodes.size !== growthOf(name)) ?? null
  );
}
