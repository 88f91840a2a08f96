import { isRole, roleNames, type RoleName } from '../anatomy/roles.ts';
import { namesIn, withoutNames } from '../anatomy/values.ts';
import { firstFree } from '../base/firstFree.ts';
import { refusal } from '../base/refusal.ts';
import { no, type Result } from '../base/result.ts';
import { sentence } from '../base/sentences.ts';
import { chosenStarter, starterByKey } from '../model/chosenStarter.ts';
import { paletteOf, valueOfName, type PaletteEntry } from '../model/palette.ts';
import { areaWords } from '../model/partRoots.ts';
import type { Edit } from '../ops/edit.ts';
import type { SiteChanges } from '../ops/updateSite.ts';
import { MOST_OWN_STARTERS, type OwnStarter, type StarterStyle } from '../schema/ownStarter.ts';
import type { AreaName } from '../schema/part.ts';
import { styleId, targetOf, valuesOfStyle } from '../schema/style.ts';
import type { Operation } from '../ops/registry.ts';
import { starterOf } from '../starters/starters.ts';
import { checkLabel } from './checkLabel.ts';
import { makeEdit, storedOf, type CommandContext } from './context.ts';
import { keyFrom } from './menus.ts';
import { siteEdit } from './siteFacts.ts';

/**
 * Lets the whole site, or one area, begin with the looks of a starter. What was set by hand stays on top. `key`: null
 * for an area that begins as the site does.
 */
export function chooseStarter(
  context: CommandContext,
  key: string | null,
  area: AreaName | null = null,
): Result<Edit> {
  const { site } = storedOf(context);
  const { name } = key === null ? chosenStarter(site) : (starterByKey(site, key) ?? { name: null });
  if (name === null || (key === null && area === null))
    return no(refusal('noSuchStarter', { key: key ?? '' }));
  if (area === null) return siteEdit(context, { starter: key }, sentence('starterChosen', { preset: name }));
  const { [area]: _, ...others } = site.areaStarters ?? {};
  const areaStarters = key === null ? others : { ...others, [area]: key };
  return siteEdit(
    context,
    { areaStarters: Object.keys(areaStarters).length === 0 ? null : areaStarters },
    key === null
      ? sentence('areaStarterReset', { area: areaWords[area] })
      : sentence('areaStarterChosen', { area: areaWords[area], preset: name }),
  );
}

/**
 * Saves what is set for the whole site as a starter: its values, and its colours, font and lengths. Names of the
 * site's own are saved as what they stand for now; a font with files keeps its name.
 */
export function saveStarter(context: CommandContext, typed: string): Result<Edit> {
  const document = storedOf(context);
  const { site } = document;
  const label = checkLabel(typed);
  if (!label.ok) return label;
  const present = site.ownStarters ?? {};
  if (Object.values(present).some(({ name }) => name === label.value))
    return no(refusal('starterNameTaken', { name: label.value }));
  if (Object.keys(present).length >= MOST_OWN_STARTERS)
    return no(refusal('tooManyStarters', { most: MOST_OWN_STARTERS }));
  const { key, own } = chosenStarter(site);
  const palette = paletteOf(document);
  const ofRoles = (
    find: (entry: PaletteEntry) => string | null | undefined,
  ): Partial<Record<RoleName, string>> =>
    Object.fromEntries(
      roleNames.flatMap((role) => {
        const entry = palette.get(role);
        const value = entry === undefined ? undefined : find(entry);
        return value === undefined || value === null ? [] : [[role, value]];
      }),
    );
  const made: OwnStarter = {
    name: label.value,
    base: own?.base ?? key,
    looks: mergedLooks(own?.looks ?? [], looksOfSite(context)),
    roles: { ...own?.roles, ...ofRoles(({ set }) => set) },
  };
  const dark = { ...own?.dark, ...ofRoles((entry) => entry.dark) };
  const free = firstFree(
    keyFrom(label.value, 'starter'),
    (one) => Object.hasOwn(present, one) || starterOf(one) !== null,
  );
  return siteEdit(
    context,
    {
      ownStarters: {
        ...present,
        [free]: { ...made, ...(Object.keys(dark).length === 0 ? {} : { dark }) },
      },
    },
    sentence('lookStarterSaved', { preset: label.value }),
  );
}

/** Deletes a starter that was saved here. What began with it begins with the one that it was made of. */
export function removeStarter(context: CommandContext, key: string): Result<Edit> {
  const { site } = storedOf(context);
  const present = site.ownStarters ?? {};
  const own = Object.hasOwn(present, key) ? present[key] : undefined;
  if (own === undefined) return no(refusal('noSuchStarter', { key }));
  const { [key]: _, ...others } = present;
  const areas = Object.entries(site.areaStarters ?? {});
  const changes: SiteChanges = {
    ownStarters: Object.keys(others).length === 0 ? null : others,
    ...(site.starter === key ? { starter: own.base } : {}),
    ...(areas.some(([, used]) => used === key)
      ? {
          areaStarters: Object.fromEntries(
            areas.map(([area, used]) => [area, used === key ? own.base : used]),
          ),
        }
      : {}),
  };
  return siteEdit(context, changes, sentence('lookStarterRemoved', { preset: own.name }));
}

/** Takes away everything that was set for the whole site by hand, so that its starter is seen as it is. */
export function resetToStarter(context: CommandContext): Result<Edit> {
  const document = storedOf(context);
  const operations: Operation[] = [];
  let count = 0;
  for (const style of document.styles.nodes.values()) {
    if (style.owner !== document.site.id) continue;
    const was = Object.fromEntries(valuesOfStyle(style));
    const set = Object.fromEntries(Object.keys(was).map((name) => [name, null]));
    count += Object.keys(was).length;
    operations.push({ kind: 'setStyle', target: targetOf(style), set, was });
  }
  for (const token of document.tokens.nodes.values()) {
    const { key, of, value, dark } = token;
    if (!isRole(key)) continue;
    const was = { ...(value === undefined ? {} : { value }), ...(dark === undefined ? {} : { dark }) };
    const names = Object.keys(was);
    if (names.length === 0) continue;
    count += names.length;
    const set = Object.fromEntries(names.map((name) => [name, null]));
    operations.push({ kind: 'setToken', target: { key, of }, set, was });
  }
  if (operations.length === 0) return no(refusal('nothingByHand'));
  return makeEdit(context, operations, {
    label: document.site.name,
    isStored: true,
    sentence: sentence('looksReset', { count }),
  });
}

/** What is set for the whole site, with what names stand for instead of names that only this site has. */
function looksOfSite(context: CommandContext): StarterStyle[] {
  const document = storedOf(context);
  const palette = paletteOf(document);
  return [...document.styles.nodes.values()]
    .filter(({ owner }) => owner === document.site.id)
    .map((style) => {
      const { owner: _, ...target } = targetOf(style);
      const values = valuesOfStyle(style).map(([name, value]) => [
        name,
        namesIn(value).every((one) => isRole(one) || palette.get(one)?.of === 'font')
          ? value
          : (withoutNames(value, (one) => valueOfName(palette, one)) ?? value),
      ]);
      return { ...target, ...Object.fromEntries(values) } as StarterStyle;
    });
}

/** Looks with others on top, one for each target. */
function mergedLooks(base: readonly StarterStyle[], over: readonly StarterStyle[]): StarterStyle[] {
  const merged = new Map<string, StarterStyle>();
  for (const one of [...base, ...over]) {
    const key = styleId({ ...one, owner: '' });
    merged.set(key, { ...merged.get(key), ...one });
  }
  return [...merged.values()];
}
