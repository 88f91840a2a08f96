import { areas, type AreaName } from '../schema/part.ts';
import type { SiteDocument } from './document.ts';
import { nameOf } from './labelOf.ts';
import { areaId } from './partRoots.ts';
import { variantNamed } from './variants.ts';

const TEMPLATE = 'template:';
const VARIANT = 'variant:';
const LEVEL = 'level:';
/** The areas by their ids, which are the same on every site. */
const areaNames: ReadonlyMap<string, AreaName> = new Map(areas.map((area) => [areaId(area), area]));

/** The area of an owner; null: it is none. */
export function areaOfOwner(owner: string): AreaName | null {
  return areaNames.get(owner) ?? null;
}

/** The owner of what is set for a template. */
export function templateOwner(template: string): string {
  return TEMPLATE + template;
}

/** The template of an owner; null: it is no template. */
export function templateOf(owner: string): string | null {
  return owner.startsWith(TEMPLATE) ? owner.slice(TEMPLATE.length) : null;
}

/** The owner of what is set for the items on one level of a menu, from 1. */
export function levelOwner(menu: string, level: number): string {
  return `${LEVEL}${level}:${menu}`;
}

/** The menu and the level of an owner; null: it is no level. */
export function levelOf(owner: string): { readonly menu: string; readonly level: number } | null {
  if (!owner.startsWith(LEVEL)) return null;
  const [, level = '', menu = ''] = owner.split(':');
  return { menu, level: Number(level) };
}

/** The owner of what is set for a variant. */
export function variantOwner(variant: string): string {
  return VARIANT + variant;
}

/** The variant of an owner; null: it is none. */
export function variantOf(owner: string): string | null {
  return owner.startsWith(VARIANT) ? owner.slice(VARIANT.length) : null;
}

/** In which forest an owner of looks is; null: it is in none, or not there. */
export function forestOfOwner(document: SiteDocument, owner: string): OwnerForest | null {
  return ownerForests.find((one) => document[one].nodes.has(owner)) ?? null;
}
const ownerForests = ['items', 'menus', 'sharedLinks', 'parts'] as const;
/** The forests whose nodes can have looks. */
export type OwnerForest = (typeof ownerForests)[number];

/**
 * Whether something is there that looks can be set for: the site, an area, a template, a variant, a menu or a level of
 * it, an item, a shared link, a part.
 */
export function hasOwner(document: SiteDocument, owner: string): boolean {
  const variant = variantOf(owner);
  return (
    owner === document.site.id ||
    templateOf(owner) !== null ||
    document.menus.nodes.has(levelOf(owner)?.menu ?? '') ||
    (variant !== null && variantNamed(document.site, variant) !== null) ||
    areaNames.has(owner) ||
    forestOfOwner(document, owner) !== null
  );
}

/** What an owner is called in a sentence. */
export function nameOfOwner(document: SiteDocument, owner: string): string {
  const template = templateOf(owner);
  if (template !== null) return template;
  const variant = variantOf(owner);
  if (variant !== null) return variantNamed(document.site, variant)?.name ?? variant;
  const level = levelOf(owner);
  if (level !== null) {
    const menu = document.menus.nodes.get(level.menu);
    return menu === undefined ? owner : `${menu.name}, level ${level.level}`;
  }
  if (owner === document.site.id) return document.site.name;
  const forest = forestOfOwner(document, owner);
  return forest === null ? owner : nameOf(document, forest, owner);
}
