import { mintId, type Id } from '../base/ids.ts';
import { no, ok, type Result } from '../base/result.ts';
import { refusal } from '../base/refusal.ts';
import { branchOf } from '../model/branchOf.ts';
import { childrenOf, spotOf } from '../model/forest.ts';
import type { SiteDocument } from '../model/document.ts';
import { missing } from '../ops/kit/missing.ts';
import type { Edit } from '../ops/edit.ts';
import type { Operation } from '../ops/registry.ts';
import { sentence } from '../base/sentences.ts';
import { deviceClasses, type Place } from '../schema/placement.ts';
import { checkLabel } from './checkLabel.ts';
import { makeEdit, type CommandContext } from './context.ts';

/** Makes an empty menu and says where it is meant to stand. Its key comes from its name. */
export function createMenu(context: CommandContext, typed: { readonly name: string; readonly place: Place }): Result<Edit> {
  const { document, random } = context;
  const { site } = document;
  const name = checkLabel(typed.name);
  if (!name.ok) return name;
  const id = mintId('menu', random);
  const menu = { id, parent: site.id, key: freeKey(document, name.value), name: name.value, language: site.language, description: '' };
  const placement = { id: mintId('placement', random), parent: site.id, menu: id, place: typed.place, templates: null, deviceClasses: [...deviceClasses] };
  return makeEdit(context, [
    { kind: 'addMenu', after: childrenOf(document.menus, site.id).last(), branch: [menu] },
    { kind: 'addPlacement', after: childrenOf(document.placements, site.id).last(), branch: [placement] },
  ]);
}

export function renameMenu(context: CommandContext, id: Id, typed: string): Result<Edit> {
  const name = checkLabel(typed);
  if (!name.ok) return name;
  const menu = context.document.menus.nodes.get(id);
  if (menu === undefined) return no(missing('menus', id));
  const was = { name: menu.name };
  return makeEdit(context, [{ kind: 'updateMenu', id, set: { name: name.value }, was }], { label: was.name });
}

/** Retires a menu: takes it out of its places, with all that is in it. Undo brings all of it back. */
export function retireMenu(context: CommandContext, id: Id): Result<Edit> {
  const { document } = context;
  const menu = document.menus.nodes.get(id);
  if (menu === undefined) return no(missing('menus', id));
  const placed = [...document.placements.nodes.values()].filter((placement) => placement.menu === id);
  const operations: Operation[] = [
    ...placed.map((one): Operation => ({ kind: 'removePlacement', after: spotOf(document.placements, one.id).after, branch: [one] })),
    ...[...childrenOf(document.items, id)].map((top): Operation => ({ kind: 'removeItem', after: null, branch: branchOf(document.items, top) })),
    { kind: 'removeMenu', after: spotOf(document.menus, id).after, branch: [menu] },
  ];
  return makeEdit(context, operations, { sentence: sentence('menuRemoved', { label: menu.name }) });
}

/** A key that no menu of the site has: the name in plain letters, with a number if need be. */
export function freeKey(document: SiteDocument, name: string): string {
  const taken = new Set([...document.menus.nodes.values()].map(({ key }) => key));
  const plain = keyFrom(name, 'menu');
  let key = plain;
  for (let number = 2; taken.has(key); number += 1) key = `${plain}-${number}`;
  return key;
}

const LONGEST_PLAIN_KEY = 34;

/** Letters without their marks (NFKD), all else made hyphens; `otherwise` when nothing is left, or no letter comes first. */
export function keyFrom(name: string, otherwise: string): string {
  const plain = name
    .normalize('NFKD')
    .replaceAll(/\p{M}/gu, '')
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, '-')
    .slice(0, LONGEST_PLAIN_KEY)
    .replaceAll(/^-+|-+$/g, '');
  return /^[a-z]/.test(plain) ? plain : plain === '' ? otherwise : `${otherwise}-${plain}`;
}

/** A key as a person typed it. */
export function checkKey(key: string): Result<string> {
  return /^[a-z][a-z0-9-]{0,39}$/.test(key) ? ok(key) : no(refusal('badKey', { key }));
}
