import type { Result } from '../base/result.ts';
import type { SiteDocument } from '../model/document.ts';
import { findBreach } from '../model/findBreach.ts';
import { kindOf, type Operation } from '../ops/registry.ts';
import { upgradeSteps, type UpgradeStep } from './upgradeSteps.ts';

/** A document in the present format, and the operations that led there: none where it was in it already. */
export interface Upgraded {
  readonly document: SiteDocument;
  readonly operations: readonly Operation[];
}

/** The format that the steps lead to. */
export function latestFormat(steps: readonly UpgradeStep[] = upgradeSteps): number {
  return steps.at(-1)?.to ?? 0;
}

/**
 * Brings a document up to the present format. Its operations, applied to the document that was given, give the
 * same again: so the log of an upgraded site replays. Throws on a newer format, and where the outcome breaks
 * an invariant: what we stored ourselves is never bad input.
 */
export function upgraded(from: SiteDocument, steps: readonly UpgradeStep[] = upgradeSteps): Upgraded {
  const latest = latestFormat(steps);
  if (from.format > latest)
    throw new Error(
      `The document has format ${from.format}; this Zorvik reads up to ${latest}. Use the newer one.`,
    );
  let document = from;
  const made: Operation[] = [];
  const apply = (operation: Operation): void => {
    const applied: Result<{ document: SiteDocument; operation: Operation }> = kindOf(operation).apply(
      document,
      operation,
    );
    if (!applied.ok)
      throw new Error(
        `The upgrade to format ${latest} fails at ${operation.kind}: ${applied.refusal.message}`,
      );
    if (applied.value.document !== document) made.push(applied.value.operation);
    ({ document } = applied.value);
  };
  for (const { to, operations } of steps) {
    if (to <= document.format) continue;
    operations(document).forEach(apply);
    apply({ kind: 'setFormat', from: document.format, to });
  }
  const breach = findBreach(document);
  if (breach !== null) throw new Error(`The stored document is not sound: ${breach}.`);
  return { document, operations: made };
}
