import type { Operation } from '../ops/registry.ts';
import type { Part } from '../schema/part.ts';

/** The operation that sets facts of a part; null takes one away. */
export function partUpdate(part: Part, set: { readonly [fact: string]: unknown }): Operation {
  const own = part as unknown as Readonly<Record<string, unknown>>;
  const was = Object.fromEntries(Object.keys(set).map((name) => [name, own[name] ?? null]));
  // The facts of one part are told from those of another one by its kind, which the compiler does not know here.
  return { kind: 'updatePart', id: part.id, set, was } as Operation;
}
