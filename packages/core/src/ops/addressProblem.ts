import { isPagePath, isSafeAddress } from '../base/address.ts';
import { refusal, type Refusal } from '../base/refusal.ts';
import type { Page } from '../schema/page.ts';
import type { Operation } from './registry.ts';

/**
 * The first address in what an operation sets that no link may lead to, or no page may have, as a refusal;
 * null: none. It is asked of new edits and not by `apply`: logs from before this rule must replay, and what
 * they hold can be undone. O(size of the operation).
 */
export function addressProblem(operation: Operation): Refusal | null {
  const problemOf = problems[operation.kind] as ((operation: Operation) => Refusal | null) | undefined;
  return problemOf?.(operation) ?? null;
}

type Problems = {
  readonly [K in Operation['kind']]?: (operation: Extract<Operation, { kind: K }>) => Refusal | null;
};

const ofBranch = ({ branch }: { readonly branch: unknown }): Refusal | null => problemInLinks(branch);
const ofFields = ({ set }: { readonly set: unknown }): Refusal | null => problemInLinks(set);

/** The kinds of operation that set addresses. What moves, removes or declares something sets none. */
const problems: Problems = {
  addPage: ({ branch }) => firstProblem(branch, problemInPage),
  updatePage: ({ set }) => problemInPage(set),
  importPages: ({ added, changed }) =>
    firstProblem(added, ({ page }) => problemInPage(page)) ??
    firstProblem(changed, ({ set }) => problemInPage(set)),
  addItem: ofBranch,
  addSharedLink: ofBranch,
  addPart: ofBranch,
  addPreset: ofBranch,
  updateItem: ofFields,
  updateSharedLink: ofFields,
  updatePart: ofFields,
  updatePreset: ofFields,
};

function firstProblem<T>(list: readonly T[], problemOf: (one: T) => Refusal | null): Refusal | null {
  for (const one of list) {
    const problem = problemOf(one);
    if (problem !== null) return problem;
  }
  return null;
}

/** Null stands for a field that is taken away. */
type PageAddresses = {
  readonly [K in 'address' | 'picture' | 'formerAddresses']?: Page[K] | null | undefined;
};

function problemInPage({ address, picture, formerAddresses }: PageAddresses): Refusal | null {
  const path = [...(address == null ? [] : [address]), ...(formerAddresses ?? [])].find(
    (one) => !isPagePath(one),
  );
  if (path !== undefined) return refusal('badPath', { address: path });
  return picture == null || isSafeAddress(picture) ? null : refusal('badAddress', { address: picture });
}

/**
 * Links are found wherever they stand: in an item, in a part, in the text of a part, in a preset. Explicit
 * stack: depth cannot overflow.
 */
function problemInLinks(set: unknown): Refusal | null {
  const stack: unknown[] = [set];
  while (stack.length > 0) {
    const value = stack.pop();
    if (typeof value !== 'object' || value === null) continue;
    const { kind, address } = value as { kind?: unknown; address?: unknown };
    // An e-mail address has a shape of its own; all else of that name, in a destination or a search, is
    // followed by browsers.
    const isFollowed = typeof address === 'string' && kind !== 'email';
    if (isFollowed && !isSafeAddress(address)) return refusal('badAddress', { address });
    for (const [field, inner] of Object.entries(value)) if (field !== 'agreed') stack.push(inner);
  }
  return null;
}
