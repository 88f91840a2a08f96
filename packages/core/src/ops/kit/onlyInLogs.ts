import type { OperationKind } from './operationKind.ts';

/** A kind that is no longer made: logs that have it still replay, and no new edit may. */
export function onlyInLogs<O extends { readonly kind: string }, I extends { readonly kind: string }>(
  kind: OperationKind<O, I>,
): OperationKind<O, I> {
  return { ...kind, onlyInLogs: true };
}
