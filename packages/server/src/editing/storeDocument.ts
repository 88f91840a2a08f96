import {
  branchOf,
  childrenOf,
  EDIT_VERSION,
  hasOwner,
  kindOf,
  mintId,
  preorder,
  nodeAt,
  ok,
  readStored,
  sentence,
  spotOf,
  targetOf,
  upgraded,
  valuesOfStyle,
  type Edit,
  type Forest,
  type Id,
  type Item,
  type Menu,
  type Operation,
  type RandomBits,
  type Result,
  type Rooted,
  type StoredDocument,
} from '@zorvik/core';
import { insertFiles } from '../repositories/files.ts';
import { isFont, makeFont } from './makeFont.ts';
import { makePicture, type StoredUpload } from './makePicture.ts';
import { publishSite } from './publishSite.ts';
import type { EditingDeps } from './editingDeps.ts';
import { saveEdit } from './saveEdit.ts';

/**
 * Stores a whole document as a new site, through the log like everything else, with the pictures that it
 * names, and publishes it once. Throws when it is refused.
 */
export async function storeDocument(
  deps: EditingDeps & { readonly deliveryAddress: string },
  stored: StoredDocument,
  random: RandomBits,
  actor: string,
  uploads: readonly Buffer[] = [],
): Promise<void> {
  const { document } = upgraded(readStored(stored));
  const { site } = document;
  const session = mintId('session', random);
  const edit = (base: number, words: Edit['sentence'], operations: readonly Operation[]): Edit => ({
    id: mintId('edit', random),
    version: EDIT_VERSION,
    base,
    session,
    group: null,
    undoes: null,
    sentence: words,
    operations,
  });
  const pages = [
    ...preorder(childrenOf(document.pages, site.id), (id) => childrenOf(document.pages, id)),
  ].map(({ node }) => ({
    page: nodeAt(document.pages, node),
    after: spotOf(document.pages, node).after,
  }));
  const read = sentence('pagesRead', { added: pages.length, changed: 0, gone: 0 });
  const edits = [edit(0, read, [{ kind: 'importPages', added: pages, moved: [], removed: [], changed: [] }])];
  const kept = [
    ...[...childrenOf(document.ownFields, site.id)].map((one): Operation => ({
      kind: 'addOwnField',
      ...branchAt(document.ownFields, one),
    })),
    ...[...childrenOf(document.sharedLinks, site.id)].map((one): Operation => ({
      kind: 'addSharedLink',
      ...branchAt(document.sharedLinks, one),
    })),
    ...[...childrenOf(document.presets, site.id)].map((one): Operation => ({
      kind: 'addPreset',
      ...branchAt(document.presets, one),
    })),
    ...[...childrenOf(document.leftFindings, site.id)].map((one): Operation => ({
      kind: 'addLeftFinding',
      ...branchAt(document.leftFindings, one),
    })),
  ];
  const [first] = kept;
  if (first !== undefined) edits.push(edit(edits.length, kindOf(first).describe(document, first), kept));
  const menus = [...childrenOf(document.menus, site.id)];
  // What follows a menu can do so when that menu is there: last of all.
  const followers: Operation[] = [];
  const untilThen = <N extends Menu | Item>(kind: 'updateMenu' | 'updateItem', node: N): N => {
    const { follow, ...rest } = node;
    if (follow?.of.kind !== 'menu') return node;
    followers.push({ kind, id: node.id, set: { follow }, was: { follow: null } });
    return rest as N;
  };
  // The frame may show any menu: it comes when all are there.
  const frame = [...childrenOf(document.parts, site.id)].map((part): Operation => ({
    kind: 'addPart',
    ...branchAt(document.parts, part),
  }));
  for (const id of menus) {
    const menu = nodeAt(document.menus, id);
    const items = [...childrenOf(document.items, id)].map((top): Operation => {
      const { after, branch } = branchAt(document.items, top);
      return { kind: 'addItem', after, branch: branch.map((item) => untilThen('updateItem', item)) };
    });
    edits.push(
      edit(edits.length, sentence('menuAdded', { label: menu.name }), [
        { kind: 'addMenu', after: spotOf(document.menus, id).after, branch: [untilThen('updateMenu', menu)] },
        ...items,
        ...(id === menus.at(-1) ? frame : []),
      ]),
    );
  }
  // Parts of panels may show any menu: they come when all are there.
  const rows = [...document.items.nodes.keys()].flatMap((item) => [...childrenOf(document.parts, item)]);
  const composed = [
    ...rows.map((row): Operation => ({ kind: 'addPart', ...branchAt(document.parts, row) })),
    ...(menus.length === 0 ? frame : []),
  ];
  const [composition] = composed;
  if (composition !== undefined)
    edits.push(edit(edits.length, kindOf(composition).describe(document, composition), composed));
  // Looks of what is gone are dormant, and are left out.
  const looks = [...document.styles.nodes.values()]
    .filter(({ owner }) => hasOwner(document, owner))
    .map((style): Operation => ({
      kind: 'setStyle',
      target: targetOf(style),
      set: Object.fromEntries(valuesOfStyle(style)),
      was: {},
    }));
  // What looks use by a name comes first.
  const named = [...document.tokens.nodes.values()].map(
    ({ id: _, parent: __, key, of, ...set }): Operation => ({
      kind: 'setToken',
      target: { key, of },
      set,
      was: {},
    }),
  );
  const written = [...document.ownCss.nodes.values()]
    .filter(({ owner }) => hasOwner(document, owner))
    .map(({ owner, rules }): Operation => ({ kind: 'setOwnCss', owner, set: rules, was: null }));
  for (const some of [named, looks, written])
    if (some.length > 0) edits.push(edit(edits.length, sentence('looksSet', { count: some.length }), some));
  const [follower] = followers;
  if (follower !== undefined)
    edits.push(edit(edits.length, kindOf(follower).describe(document, follower), followers));
  for (const [at, one] of edits.entries()) {
    const saved = await saveEdit(deps, site.key, one, actor, at === 0 ? { newSite: site } : {});
    if (!saved.ok) throw new Error(`The site ${site.key} could not be stored: ${saved.refusal.message}`);
  }
  for (const bytes of uploads) {
    const made = await madeOf(bytes);
    if (!made.ok)
      throw new Error(`A file of the site ${site.key} could not be kept: ${made.refusal.message}`);
    const { file, files } = made.value;
    await deps.database.transaction((tx) => insertFiles(tx, site.id, file, files, deps.now().toISOString()));
  }
  const published = await publishSite(deps, site.key, {
    note: 'The first edition',
    revision: edits.length,
    actor,
  });
  if (!published.ok)
    throw new Error(`The site ${site.key} could not be published: ${published.refusal.message}`);
}

/** A branch with its place, as an addition carries it. */
function branchAt<N extends Rooted>(
  forest: Forest<N>,
  id: Id,
): { readonly after: Id | null; readonly branch: N[] } {
  return { after: spotOf(forest, id).after, branch: branchOf(forest, id) };
}

/** A picture or a font, whichever it is, as it is kept. */
async function madeOf(
  bytes: Buffer,
): Promise<Result<{ readonly file: string; readonly files: readonly StoredUpload[] }>> {
  if (!isFont(bytes)) {
    const made = await makePicture(bytes);
    return made.ok ? ok({ file: made.value.picture.file, files: made.value.files }) : made;
  }
  const made = await makeFont(bytes);
  return made.ok ? ok({ file: made.value.font.file, files: made.value.files }) : made;
}
