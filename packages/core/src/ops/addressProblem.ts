import { isPagePath, isSafeAddress } from '../base/address.ts';
import { refusal, type Refusal } from '../base/refusal.ts';
import { operationRefs } from './operationRefs.ts';
import type { Operation } from './registry.ts';

/**
 * The first address in what an operation sets that no link may lead to, or no page may have, as a refusal;
 * null: none. It is asked of new edits and not by `apply`: logs from before this rule must replay, and what
 * they hold can be undone. O(size of the operation).
 */
export function addressProblem(operation: Operation): Refusal | null {
  let problem: Refusal | null = null;
  operationRefs(operation, (to, address, role) => {
    if (to !== 'address' || role === 'memory' || problem !== null) return;
    if (role === 'own' && !isPagePath(address)) problem = refusal('badPath', { address });
    if (role !== 'own' && !isSafeAddress(address)) problem = refusal('badAddress', { address });
  });
  return problem;
}
