import type { Destination } from './item.ts';

/** What a reference leads to. `node`: to a page or an item, and perhaps to the site. */
export type RefTarget = 'page' | 'menu' | 'item' | 'sharedLink' | 'part' | 'node' | 'address' | 'file';

/**
 * What a reference is for.
 *
 * - `link`: visitors follow it.
 * - `source`: what is shown comes from it.
 * - `own`: it is an address of the page itself.
 * - `memory`: it says what was so once, or where something stood; what it names may be gone.
 */
export type RefRole = 'link' | 'source' | 'own' | 'memory';

/** What visitors follow. */
export const LINKS: readonly RefRole[] = ['link'];
/** What has to be there: what visitors follow, and what is shown. */
export const NEEDS: readonly RefRole[] = ['link', 'source'];

/** The way to a value inside a node: names of fields and places in lists. */
export type Path = readonly (string | number)[];

/** One reference of a node. */
export interface Ref {
  readonly to: RefTarget;
  /** An id, an address, or the hash that names a stored file. */
  readonly value: string;
  readonly role: RefRole;
  readonly path: Path;
}

/** Is told of each reference. */
export type VisitRef = (to: RefTarget, value: string, role: RefRole, path: Path) => void;

/** Collects the stored files that are referred to, by their hashes. */
export function notesFiles(files: Set<string>): VisitRef {
  return (to, value) => {
    if (to === 'file') files.add(value);
  };
}

/** Finds the references in the value of one field, which all have the same role. */
export type FindRefs<V> = (
  value: V,
  visit: (to: RefTarget, value: string, path: Path) => void,
  path: Path,
) => void;

/** A field that refers to something. */
export interface FieldRefs<V> {
  readonly role: RefRole;
  readonly find: FindRefs<V>;
}

/** The fields of a kind of node that refer to something. */
export type RefTable<N> = { readonly [K in keyof N]?: FieldRefs<NonNullable<N[K]>> };

/** The same, made ready to be gone through: for each field its name, and the path that it has at the top. */
export type PreparedTable<N> = readonly (FieldRefs<never> & {
  readonly name: keyof N & string;
  readonly path: Path;
})[];

export function prepared<N>(table: RefTable<N>): PreparedTable<N> {
  return (Object.keys(table) as (keyof N & string)[]).map((name) => ({
    // The table pairs each field with what its values are.
    ...(table[name] as FieldRefs<never>),
    name,
    path: [name],
  }));
}

/**
 * Calls `visit` for the references in some fields of a node. `roles`: only those that are for one of these;
 * fields that are for others cost nothing. `above`: where the fields are.
 */
export function eachFieldRef<N>(
  table: PreparedTable<N>,
  node: Partial<N>,
  visit: VisitRef,
  { roles, above }: { readonly roles?: readonly RefRole[] | undefined; readonly above?: Path } = {},
): void {
  for (const { name, role, find, path } of table) {
    if (roles !== undefined && !roles.includes(role)) continue;
    const value = node[name];
    // Updates write null for a field that is taken away.
    if (value === undefined || value === null) continue;
    find(
      value as never,
      (to, found, at) => visit(to, found, role, at),
      above === undefined ? path : [...above, name],
    );
  }
}

/** The references of a destination; mail and phone lead to nothing that we could look up. */
export const inDestination: FindRefs<Destination> = (destination, visit, path) => {
  if (destination.kind === 'page') visit('page', destination.page, [...path, 'page']);
  else if (destination.kind === 'address') visit('address', destination.address, [...path, 'address']);
};
