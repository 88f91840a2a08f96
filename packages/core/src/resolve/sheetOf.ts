import {
  areaOfOwner,
  forestOfOwner,
  levelOf,
  type OwnerForest,
  templateOf,
  variantOf,
  variantOwner,
} from '../model/styleOwner.ts';
import { variantClass, variantNamed, variantsOf } from '../model/variants.ts';
import { saidByStarter } from '../style/precedence.ts';
import { thingOf, type ThingName } from '../anatomy/anatomy.ts';
import type { SiteDocument } from '../model/document.ts';
import { chosenStarter } from '../model/chosenStarter.ts';
import { nodeAt } from '../model/forest.ts';
import { usersOf } from '../model/usersOf.ts';
import { wayUp } from '../model/wayUp.ts';
import type { StarterStyle } from '../schema/ownStarter.ts';
import { areas, type AreaName } from '../schema/part.ts';
import { targetOf, valuesOfStyle, type StyleValues } from '../schema/style.ts';
import { fitsPalette, type Palette, paletteOf } from '../model/palette.ts';
import { factsOf, type Property } from '../anatomy/properties.ts';
import type { OwnPlace } from '../style/ownCss.ts';
import { plainSheet, type PlacedStarter, type Scope, type SetLook, type Sheet } from '../style/sheet.ts';
import { ancestors } from '../walk/ancestors.ts';

/**
 * How near scopes are: a starter that was saved here, the whole site, a template, an area, a band, a zone or cell, a menu wherever it is, what stands
 * in the frame (a menu in this place among it), a level of a menu, a variant as it ships and as it is set here, a shared link wherever it is shown, then items by their
 * level, and what stands in the panel of an item before the items in it.
 */
const rank = {
  saved: 0.5,
  site: 1,
  template: 2,
  area: 3,
  menu: 7,
  inFrame: 8,
  level: 8.3,
  shipped: 8.5,
  variant: 9,
  sharedLink: 15,
  item: 20,
} as const;

/** The class of what has looks of its own. */
export function styleClass(owner: string): string {
  return `zv-s-${owner}`;
}

/** All that is said about the looks of a site. What was set for something that is gone is left out. O(looks). */
export function sheetOf(document: SiteDocument): Sheet {
  const known = sheets.get(document);
  if (known !== undefined) return known;
  const palette = paletteOf(document);
  const scopes = new Map<string, Scope | null>();
  const set: SetLook[] = [];
  for (const style of document.styles.nodes.values()) {
    const { owner, thing } = style;
    const key = isOfEntry(thing) ? `${owner} entry` : owner;
    let scope = scopes.get(key);
    if (scope === undefined) scopes.set(key, (scope = scopeOf(document, owner, thing)));
    if (scope !== null) set.push({ target: targetOf(style), values: valuesIn(style, palette), scope });
  }
  const placed = placedStarters(document);
  const hasDark = document.site.hasDark === true;
  const sheet = {
    ...plainSheet(),
    starters: placed,
    palette,
    hasDark,
    own: ownPlaces(document),
    set: [...placed.flatMap(savedLooks), ...set, ...variantLooks],
  };
  sheets.set(document, sheet);
  return sheet;
}
const sheets = new WeakMap<SiteDocument, Sheet>();

/** The CSS that people wrote, what is farther away first. What was written for something that is gone is left out. */
function ownPlaces(document: SiteDocument): OwnPlace[] {
  return [...document.ownCss.nodes.values()]
    .flatMap(({ id, owner, rules }) => {
      const scope = scopeOf(document, owner);
      return scope === null ? [] : [{ id, rules, ...scope }];
    })
    .sort((a, b) => a.rank - b.rank || (a.id < b.id ? -1 : 1));
}

/** The starter of the site, and those of areas that begin with another one. */
function placedStarters(document: SiteDocument): readonly [Placed, ...Placed[]] {
  const first = chosenStarter(document.site);
  const others = areas.flatMap((area) => {
    const { key } = chosenStarter(document.site, area);
    return key === first.key ? [] : [area];
  });
  const elsewhere = others.map((area) => `:not(${below(`.zv-${area}`)})`);
  const placed = (area: AreaName | null, within: readonly string[]): Placed => {
    const { key, looks, own } = chosenStarter(document.site, area);
    return { key, area, looks, palette: paletteOf(document, area), within, saved: own?.looks ?? [] };
  };
  return [placed(null, elsewhere), ...others.map((area) => placed(area, [below(`.zv-${area}`)]))];
}

/** What a starter that was saved on this site says, nearer than the one that it was made of. */
function savedLooks({ key, within, saved, palette }: Placed): SetLook[] {
  return saved.map((style) => ({
    target: targetOf({ ...style, owner: key }),
    values: valuesIn(style, palette),
    scope: { within, rank: rank.saved },
    starter: key,
  }));
}

/** What is said of the variants that ship. It is printed where a link has a variant. */
const variantLooks: readonly SetLook[] = variantsOf({}).flatMap(({ key, looks = {} }) =>
  saidByStarter(looks, { hasDark: false, situations: [] }).map(([values, { state }]) => ({
    target: { owner: variantOwner(key), thing: 'variant', ...(state === 'normal' ? {} : { state }) },
    values,
    scope: { within: [below(`.${variantClass(key)}`)], rank: rank.shipped },
    variant: key,
  })),
);

type Placed = PlacedStarter & { readonly saved: readonly StarterStyle[] };

/**
 * What has looks of its own, and needs a class for them: the ids of items and of parts of the frame and of panels, and
 * the keys of menus. What shows a shared link that has looks is among them.
 */
export function styledIn(document: SiteDocument): ReadonlySet<string> {
  const owners = new Set<string>();
  for (const { owner } of [...document.styles.nodes.values(), ...document.ownCss.nodes.values()]) {
    if (owners.has(owner)) continue;
    owners.add(document.menus.nodes.get(levelOf(owner)?.menu ?? owner)?.key ?? owner);
    if (document.sharedLinks.nodes.has(owner)) for (const { id } of usersOf(document, owner)) owners.add(id);
  }
  return owners;
}

/** What somebody set, without the values that use a name that nothing has any more. */
function valuesIn(style: StyleValues, palette: Palette): StyleValues {
  const values: { [P in Property]?: string } = {};
  for (const [name, value] of valuesOfStyle(style))
    if (fitsPalette(palette, factsOf(name).kind, value)) values[name] = value;
  return values;
}

/** What a scope holds, for a thing, and how near it is; null: its owner is not there. O(depth). */
export function scopeOf(document: SiteDocument, owner: string, thing?: ThingName): Scope | null {
  if (owner === document.site.id) return { within: [], rank: rank.site };
  const template = templateOf(owner);
  if (template !== null)
    return { within: [below(`[data-zv-template=${quoted(template)}]`)], rank: rank.template };
  const variant = variantOf(owner);
  if (variant !== null)
    return variantNamed(document.site, variant) === null
      ? null
      : { within: [below(`.${variantClass(variant)}`)], rank: rank.variant };
  const ofLevel = levelOf(owner);
  if (ofLevel !== null) {
    const menu = document.menus.nodes.get(ofLevel.menu);
    return menu === undefined ? null : { within: [onLevel(menu.key, ofLevel.level)], rank: rank.level };
  }
  const area = areaOfOwner(owner);
  if (area !== null) return { within: [below(`.zv-${area}`)], rank: rank.area };
  const forest = forestOfOwner(document, owner);
  if (forest === null) return null;
  const names =
    forest === 'menus'
      ? [nodeAt(document.menus, owner).key]
      : forest === 'sharedLinks'
        ? usersOf(document, owner).map(({ id }) => id)
        : [owner];
  const isEntry = (forest === 'items' || forest === 'sharedLinks') && thing !== undefined && isOfEntry(thing);
  const found = names.map((name) => (isEntry ? entryOf : below)(`.${styleClass(name)}`));
  // A shared link that nothing shows finds nothing.
  return { within: [found.join() || ':not(*)'], rank: rankOf(document, owner, forest) };
}

/** Whether a thing is part of the entry of one item. */
function isOfEntry(thing: ThingName): boolean {
  return thingOf(thing).isOfEntry === true;
}

function rankOf(document: SiteDocument, owner: string, forest: OwnerForest): number {
  if (forest === 'menus') return rank.menu;
  if (forest === 'sharedLinks') return rank.sharedLink;
  if (forest === 'items') return rank.item * levelOfItem(document, owner);
  const way = wayUp(document, owner);
  const item = way.at(-1)?.parent ?? '';
  if (document.items.nodes.has(item)) return rank.item * levelOfItem(document, item) + way.length;
  const kind = way[0]?.kind;
  const isHolder = kind === 'band' || kind === 'zone' || kind === 'cell';
  return isHolder ? rank.area + way.length - 1 : rank.inFrame;
}

/** What is on one level of a menu, and in it: entries, their icons and arrows; not what is below them. */
function onLevel(key: string, level: number): string {
  const menu = `.${styleClass(key)}`;
  const face = `${menu}${' li'.repeat(level)}>:is(a,span,button):not(${menu}${' li'.repeat(level + 1)}>*)`;
  return `${face},${face} *`;
}

/** The level of an item in its menu, from 1. */
function levelOfItem({ items }: SiteDocument, id: string): number {
  return 1 + [...ancestors(nodeAt(items, id), ({ parent }) => items.nodes.get(parent))].length;
}

/** What is in the entry of an item, and not in those below it. */
function entryOf(selector: string): string {
  return `${selector}>:is(a,span,button) *`;
}

function below(selector: string): string {
  return `${selector},${selector} *`;
}

/** A text as CSS has it in quotes (CSS Syntax Level 3, 4.3.5). */
function quoted(text: string): string {
  return `"${text.replaceAll(/[^\p{L}\p{N} _-]/gu, (sign) => `\\${(sign.codePointAt(0) ?? 0).toString(16)} `)}"`;
}
