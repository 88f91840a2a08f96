import { isMinted } from '../base/ids.ts';
import type { ForestName, NodeOf } from '../model/document.ts';
import type { PartSketch } from '../schema/preset.ts';
import { eachPartRef, partTable } from './partRefs.ts';
import {
  eachFieldRef,
  inDestination,
  prepared,
  type FieldRefs,
  type FindRefs,
  type PreparedTable,
  type Ref,
  type RefRole,
  type VisitRef,
} from '../schema/ref.ts';

/**
 * The references of a node: every id, address and file name in it, apart from its own id and its parent, each
 * with its path. All that asks what is used, by whom, and whether it is still there, filters this one list.
 * Works for parts of a node as well, such as the fields that an operation sets. O(size of the node).
 */
export function refsOf<F extends ForestName>(forest: F, node: Partial<NodeOf[F]>): Ref[] {
  const refs: Ref[] = [];
  eachRef(forest, node, (to, value, role, path) => refs.push({ to, value, role, path }));
  return refs;
}

/** Calls `visit` for each of the same references; with `roles`, only for those of these roles. */
export function eachRef<F extends ForestName>(
  forest: F,
  node: Partial<NodeOf[F]>,
  visit: VisitRef,
  roles?: readonly RefRole[],
): void {
  eachFieldRef<NodeOf[F]>(tables[forest], node, visit, { roles });
}

type Follow = NonNullable<NodeOf['menus']['follow']>;

const follow: FieldRefs<Follow> = {
  role: 'source',
  find: ({ of }, visit, path) => {
    if (of.kind === 'menu') visit('menu', of.menu, [...path, 'of', 'menu']);
    else if (of.page !== null) visit('page', of.page, [...path, 'of', 'page']);
  },
};

const agreed: FieldRefs<NonNullable<NodeOf['items']['agreed']>> = {
  role: 'memory',
  find: (facts, visit, path) => {
    visit('address', facts.address, [...path, 'address']);
    visit('node', facts.parent, [...path, 'parent']);
    if (facts.after !== null) visit('node', facts.after, [...path, 'after']);
  },
};

const destination: FieldRefs<NodeOf['items']['destination']> = { role: 'link', find: inDestination };

const dropdown: FieldRefs<NonNullable<NodeOf['items']['dropdown']>> = {
  role: 'memory',
  find: ({ panel }, visit, path) => {
    for (const id of Object.keys(panel?.kept ?? {})) visit('item', id, [...path, 'panel', 'kept', id]);
  },
};

/** Text that is an id or an address as it stands. */
const inText: FindRefs<string> = (value, visit, path) => {
  if (isMinted(value)) visit('node', value, path);
  else if (looksLikeAddress(value)) visit('address', value, path);
};

const inRows: FindRefs<readonly PartSketch[]> = (rows, visit, above) =>
  // As deep as a panel, which the schema limits.
  rows.forEach((row, at) => {
    const path = [...above, at];
    eachPartRef(row, (to, value, _, way) => visit(to, value, way), path);
    if (row.parts !== undefined) inRows(row.parts, visit, [...path, 'parts']);
  });

/** What refers to nothing has an empty table; a field that refers to something must be in one (a law). */
const tables: { readonly [F in ForestName]: PreparedTable<NodeOf[F]> } = {
  pages: prepared<NodeOf['pages']>({
    address: { role: 'own', find: (value, visit, path) => visit('address', value, path) },
    key: {
      role: 'memory',
      find: (value, visit, path) => {
        if (looksLikeAddress(value)) visit('address', value, path);
      },
    },
    formerAddresses: {
      role: 'own',
      find: (values, visit, path) => values.forEach((value, at) => visit('address', value, [...path, at])),
    },
    picture: { role: 'source', find: (value, visit, path) => visit('address', value, path) },
  }),
  menus: prepared<NodeOf['menus']>({ follow }),
  items: prepared<NodeOf['items']>({
    destination,
    agreed,
    link: { role: 'source', find: (value, visit, path) => visit('sharedLink', value, path) },
    follow,
    exception: { role: 'memory', find: ({ of }, visit, path) => visit('node', of, [...path, 'of']) },
    pin: {
      role: 'memory',
      find: ({ after }, visit, path) => {
        if (after !== null) visit('node', after, [...path, 'after']);
      },
    },
    dropdown,
  }),
  placements: prepared<NodeOf['placements']>({
    menu: { role: 'source', find: (value, visit, path) => visit('menu', value, path) },
  }),
  sharedLinks: prepared<NodeOf['sharedLinks']>({ destination, agreed, dropdown }),
  ownFields: [],
  leftFindings: prepared<NodeOf['leftFindings']>({
    finding: {
      role: 'memory',
      find: (value, visit, path) => {
        for (const word of value.split(' ')) inText(word, visit, path);
      },
    },
    facts: { role: 'memory', find: inText },
  }),
  // The fields of all kinds of parts are those that a part may have.
  parts: partTable as unknown as PreparedTable<NodeOf['parts']>,
  // What a preset names need not be there any more: what is not is left out when it is used.
  presets: prepared<NodeOf['presets']>({ rows: { role: 'source', find: inRows } }),
  // Looks of what is gone are kept: they are there again when it is brought back.
  styles: prepared<NodeOf['styles']>({ owner: { role: 'memory', find: inText } }),
  tokens: prepared<NodeOf['tokens']>({
    picture: { role: 'source', find: ({ file }, visit, path) => visit('file', file, [...path, 'file']) },
    files: {
      role: 'source',
      find: (files, visit, path) =>
        files.forEach(({ file }, at) => visit('file', file, [...path, at, 'file'])),
    },
  }),
  ownCss: prepared<NodeOf['ownCss']>({ owner: { role: 'memory', find: inText } }),
};

/** Whether a text could be an address: a path from the root of the site, or one with a protocol. */
export function looksLikeAddress(value: string): boolean {
  return /^(?:\/|[a-z][a-z0-9+.-]*:\/\/)\S*$/i.test(value);
}
