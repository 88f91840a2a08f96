import { isPagePath, isSafeAddress } from '../base/address.ts';
import { refusal, type Refusal } from '../base/refusal.ts';
import type { Page } from '../schema/page.ts';
import type { Operation } from './registry.ts';

/**
 * The first address in what an operation sets that no link may lead to, or no page may have, as a refusal; null: none. It is asked of new edits
 * and not by `apply`: logs from before this rule must replay, and what they hold can be undone. O(size of the operation).
 */
export function addressProblem(operation: Operation): Refusal | null {
  switch (operation.kind) {
    case 'addPage':
      return firstProblem(operation.branch, problemInPage);
    case 'updatePage':
      return problemInPage(operation.set);
    case 'importPages':
      return firstProblem(operation.added, ({ page }) => problemInPage(page)) ?? firstProblem(operation.changed, ({ set }) => problemInPage(set));
    case 'addItem':
    case 'addSharedLink':
    case 'addPart':
    case 'addPreset':
      return problemInLinks(operation.branch);
    case 'updateItem':
    case 'updateSharedLink':
    case 'updatePart':
    case 'updatePreset':
      return problemInLinks(operation.set);
    default:
      // What moves, removes or declares something names no address.
      return null;
  }
}

function firstProblem<T>(list: readonly T[], problemOf: (one: T) => Refusal | null): Refusal | null {
  for (const one of list) {
    const problem = problemOf(one);
    if (problem !== null) return problem;
  }
  return null;
}

/** Null stands for a field that is taken away. */
type PageAddresses = { readonly [K in 'address' | 'picture' | 'formerAddresses']?: Page[K] | null | undefined };

function problemInPage({ address, picture, formerAddresses }: PageAddresses): Refusal | null {
  const path = [...(address == null ? [] : [address]), ...(formerAddresses ?? [])].find((one) => !isPagePath(one));
  if (path !== undefined) return refusal('badPath', { address: path });
  return picture == null || isSafeAddress(picture) ? null : refusal('badAddress', { address: picture });
}

/** Links are found wherever they stand: in an item, in a part, in the text of a part, in a preset. Explicit stack: depth cannot overflow. */
function problemInLinks(set: unknown): Refusal | null {
  const stack: unknown[] = [set];
  while (stack.length > 0) {
    const value = stack.pop();
    if (typeof value !== 'object' || value === null) continue;
    const { kind, address } = value as { kind?: unknown; address?: unknown };
    // An e-mail address has a shape of its own; all else of that name, in a destination or a search, is followed by browsers.
    const isFollowed = typeof address === 'string' && kind !== 'email';
    if (isFollowed && !isSafeAddress(address)) return refusal('badAddress', { address });
    for (const [field, inner] of Object.entries(value)) if (field !== 'agreed') stack.push(inner);
  }
  return null;
}
