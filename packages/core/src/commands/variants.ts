import { firstFree } from '../base/firstFree.ts';
import { refusal } from '../base/refusal.ts';
import { no, ok, type Result } from '../base/result.ts';
import { sentence } from '../base/sentences.ts';
import { variantOwner } from '../model/styleOwner.ts';
import { PLAIN_BUTTON, variantNamed, variantsOf } from '../model/variants.ts';
import type { Edit } from '../ops/edit.ts';
import type { Operation } from '../ops/registry.ts';
import { MOST_VARIANTS } from '../schema/site.ts';
import { targetOf, valuesOfStyle, type StyleTarget, type StyleValues } from '../schema/style.ts';
import { saidByStarter } from '../style/precedence.ts';
import { checkLabel } from './checkLabel.ts';
import { makeEdit, storedOf, type CommandContext } from './context.ts';
import { settingOf } from './looks.ts';
import { keyFrom } from './menus.ts';
import { siteEdit, siteSetting } from './siteFacts.ts';

/**
 * Adds a variant of buttons and links, which begins with the looks of another one. `like`: its key; null for one that
 * begins as the plain button.
 */
export function addVariant(context: CommandContext, typed: string, like: string | null): Result<Edit> {
  const { site } = storedOf(context);
  const name = nameFor(context, typed, null);
  if (!name.ok) return name;
  const present = site.variants ?? {};
  if (Object.keys(present).length >= MOST_VARIANTS)
    return no(refusal('variantsFull', { most: MOST_VARIANTS }));
  const key = firstFree(
    keyFrom(name.value, 'variant'),
    (one) => one === PLAIN_BUTTON || variantNamed(site, one) !== null,
  );
  const owner = variantOwner(key);
  const variants = { ...present, [key]: { name: name.value } };
  const looks = like === null ? [] : looksOf(context, like);
  const operations: Operation[] = [
    siteSetting(context, { variants }),
    ...looks.map(([target, values]) => settingOf(context, { ...target, owner }, values)),
  ];
  return makeEdit(context, operations, {
    label: name.value,
    isStored: true,
    sentence: sentence('variantAdded', { label: name.value }),
  });
}

/** Gives a variant of the site's own another name. */
export function renameVariant(context: CommandContext, key: string, typed: string): Result<Edit> {
  const { variants = {} } = storedOf(context).site;
  if (!Object.hasOwn(variants, key)) return no(refusal('variantGone', { key }));
  const name = nameFor(context, typed, key);
  if (!name.ok) return name;
  return siteEdit(
    context,
    { variants: { ...variants, [key]: { name: name.value } } },
    sentence('variantRenamed', { before: variants[key]?.name ?? key, label: name.value }),
  );
}

/** Deletes a variant of the site's own. Links that have it look like plain buttons, until it is there again. */
export function removeVariant(context: CommandContext, key: string): Result<Edit> {
  const { variants = {} } = storedOf(context).site;
  const own = Object.hasOwn(variants, key) ? variants[key] : undefined;
  if (own === undefined) return no(refusal('variantGone', { key }));
  const { [key]: _, ...others } = variants;
  return siteEdit(
    context,
    { variants: Object.keys(others).length === 0 ? null : others },
    sentence('variantRemoved', { label: own.name }),
  );
}

/** What a variant is called; `own`: the key of the one that may have the name already. */
function nameFor(context: CommandContext, typed: string, own: string | null): Result<string> {
  const name = checkLabel(typed);
  if (!name.ok) return name;
  const isTaken = variantsOf(storedOf(context).site).some(
    (one) => one.name === name.value && one.key !== own,
  );
  return isTaken ? no(refusal('variantNameTaken', { name: name.value })) : ok(name.value);
}

/** What is said of a variant: as it ships, with what was set here on top. */
function looksOf(
  context: CommandContext,
  like: string,
): readonly (readonly [target: StyleTarget, values: StyleValues])[] {
  const { site, styles } = storedOf(context);
  const owner = variantOwner(like);
  const shipped = saidByStarter(variantNamed(site, like)?.looks ?? {}, { hasDark: false, situations: [] });
  const said = new Map<string, readonly [StyleTarget, StyleValues]>();
  const add = (target: StyleTarget, values: StyleValues): void => {
    const key = JSON.stringify(target);
    said.set(key, [target, { ...said.get(key)?.[1], ...values }]);
  };
  for (const [values, { state }] of shipped)
    add({ owner, thing: 'variant', ...(state === 'normal' ? {} : { state }) }, values);
  for (const style of styles.nodes.values())
    if (style.owner === owner) add(targetOf(style), Object.fromEntries(valuesOfStyle(style)));
  return [...said.values()];
}
