import { isEqual } from '../base/isEqual.ts';
import { refusal, type Refusal } from '../base/refusal.ts';
import { no, type Result } from '../base/result.ts';
import { inWords, sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { areaOfOwner, hasOwner, levelOf, levelOwner, templateOf, variantOf } from '../model/styleOwner.ts';
import { areaId } from '../model/partRoots.ts';
import type { Edit } from '../ops/edit.ts';
import { newProblem } from '../ops/newProblem.ts';
import { kindOf, type Operation } from '../ops/registry.ts';
import type { SiteChanges } from '../ops/updateSite.ts';
import { ownCssId } from '../schema/ownCss.ts';
import type { AreaName } from '../schema/part.ts';
import { lookFacts, type PortableLook, type PortableStyle } from '../schema/styleFile.ts';
import { targetOf, valuesOfStyle } from '../schema/style.ts';
import { makeEdit, storedOf, type CommandContext } from './context.ts';
import { settingOf } from './looks.ts';
import { tokenSetting } from './palette.ts';
import { siteSetting } from './siteFacts.ts';

/** The looks of a site as a file, and how many values of single items and parts stay behind. O(looks). */
export function styleOf(document: SiteDocument): { readonly style: PortableStyle; readonly left: number } {
  const { site } = document;
  let left = 0;
  const looks: PortableLook[] = [];
  for (const style of document.styles.nodes.values()) {
    if (!hasOwner(document, style.owner)) continue;
    const place = placeOf(document, style.owner);
    const values = valuesOfStyle(style);
    if (place === null) left += values.length;
    else {
      const { owner: _, ...target } = targetOf(style);
      looks.push({ place, ...target, ...Object.fromEntries(values) });
    }
  }
  const css = [...document.ownCss.nodes.values()].flatMap(({ owner, rules }) => {
    const place = hasOwner(document, owner) ? placeOf(document, owner) : null;
    if (place === null) left += 1;
    return place === null ? [] : [{ place, rules }];
  });
  const names = [...document.tokens.nodes.values()]
    // Files of fonts stay here; so does what needs them.
    .filter(({ value }) => value?.startsWith('own:') !== true)
    .map(({ id: _, parent: __, files: ___, display: ____, ...name }) => name);
  const facts = Object.fromEntries(
    lookFacts.flatMap((name) => (site[name] === undefined ? [] : [[name, site[name]]])),
  );
  return { style: { ...facts, names, looks, css }, left };
}

/** What an import of looks would change, in sentences; and what cannot be taken, and why. O(looks). */
export function styleChanged(
  context: CommandContext,
  style: PortableStyle,
): { readonly changes: readonly string[]; readonly problems: readonly string[] } {
  const { operations, problems, before } = planned(context, style);
  return {
    changes: operations.map((one, at) => inWords(kindOf(one).describe(before[at] as SiteDocument, one))),
    problems,
  };
}

/** Takes looks from a file, on top of what is set here. What the file says nothing of stays. */
export function importStyle(context: CommandContext, style: PortableStyle): Result<Edit> {
  const { operations } = planned(context, style);
  if (operations.length === 0) return no(refusal('nothingToImport'));
  return makeEdit(context, operations, {
    label: storedOf(context).site.name,
    isStored: true,
    sentence: sentence('looksImported', { count: operations.length }),
  });
}

/** What is to be done one after the other, each with the document that it is done on. */
interface Plan {
  readonly operations: readonly Operation[];
  readonly before: readonly SiteDocument[];
  readonly problems: readonly string[];
}

function planned(context: CommandContext, style: PortableStyle): Plan {
  let document = storedOf(context);
  const [operations, before, problems]: [Operation[], SiteDocument[], string[]] = [[], [], []];
  /** Tries an operation on what those before it have made. */
  const plan = (operation: Operation): void => {
    const problem: Refusal | null = newProblem(document, operation);
    const applied = problem === null ? kindOf(operation).apply(document, operation) : null;
    if (applied?.ok === true) {
      if (applied.value.document === document) return;
      operations.push(applied.value.operation);
      before.push(document);
      ({ document } = applied.value);
      return;
    }
    problems.push(problem?.message ?? (applied?.ok === false ? applied.refusal.message : ''));
  };
  const { site } = document;
  const facts = lookFacts.filter((name) => style[name] !== undefined && !isEqual(style[name], site[name]));
  if (facts.length > 0) {
    // Variants and starters of this site stay: those of the file come beside them.
    const merged = (name: (typeof lookFacts)[number]): unknown =>
      name === 'variants' || name === 'ownStarters' ? { ...site[name], ...style[name] } : style[name];
    plan(siteSetting(context, Object.fromEntries(facts.map((name) => [name, merged(name)])) as SiteChanges));
  }
  for (const { key, of, ...set } of style.names) plan(tokenSetting(context, { key, of }, set));
  const missing = new Set<string>();
  for (const { place, ...look } of style.looks) {
    const owner = ownerOf(document, place);
    if (owner === null) missing.add(place);
    else plan(settingOf(context, targetOf({ ...look, owner }), Object.fromEntries(valuesOfStyle(look))));
  }
  for (const { place, rules } of style.css) {
    const owner = ownerOf(document, place);
    if (owner === null) missing.add(place);
    else {
      const was = document.ownCss.nodes.get(ownCssId(owner))?.rules ?? null;
      plan({ kind: 'setOwnCss', owner, set: rules, was });
    }
  }
  return {
    operations,
    before,
    problems: [
      ...problems,
      ...[...missing].map((place) => `This site has no ${place.replace(':', ' ').replace(':', ' of ')}.`),
    ],
  };
}

/** What a place is called in a file; null: it has no name on another site. */
function placeOf(document: SiteDocument, owner: string): string | null {
  const area = areaOfOwner(owner);
  const level = levelOf(owner);
  if (owner === document.site.id) return 'site';
  if (area !== null) return `area:${area}`;
  if (templateOf(owner) !== null || variantOf(owner) !== null) return owner;
  const menu = document.menus.nodes.get(level?.menu ?? owner);
  if (menu === undefined) return null;
  return level === null ? `menu:${menu.key}` : `level:${level.level}:${menu.key}`;
}

/** The owner that a place of a file is here; null: there is none. */
function ownerOf(document: SiteDocument, place: string): string | null {
  const [kind = '', ...rest] = place.split(':');
  const name = rest.join(':');
  const menuOf = (key: string): string | null =>
    [...document.menus.nodes.values()].find((menu) => menu.key === key)?.id ?? null;
  if (kind === 'site') return document.site.id;
  if (kind === 'area') return areaId(name as AreaName);
  if (kind === 'menu') return menuOf(name);
  if (kind === 'level') {
    const menu = menuOf(rest[1] ?? '');
    return menu === null ? null : levelOwner(menu, Number(rest[0]));
  }
  return hasOwner(document, place) ? place : null;
}
