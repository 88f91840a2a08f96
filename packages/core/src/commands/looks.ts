import { thingOf, type ThingName } from '../anatomy/anatomy.ts';
import type { Property } from '../anatomy/properties.ts';
import type { Id } from '../base/ids.ts';
import { refusal } from '../base/refusal.ts';
import { no, type Result } from '../base/result.ts';
import { sentence } from '../base/sentences.ts';
import type { ContrastFix } from '../contrast/fixes.ts';
import type { Edit } from '../ops/edit.ts';
import type { SetStyle } from '../ops/setStyle.ts';
import { styleId, type StyleSet, type StyleTarget } from '../schema/style.ts';
import { makeEdit, storedOf, type CommandContext } from './context.ts';

/** Sets values of things in one place and one state; null resets one. */
export function setLooks(context: CommandContext, target: StyleTarget, set: StyleSet): Result<Edit> {
  return makeEdit(context, [settingOf(context, target, set)], { label: 'this look' });
}

/** Sets looks of the icon or the badge of several items at once; those that show a shared link change it there. */
export function setEntryLooks(
  context: CommandContext,
  chosen: readonly Id[],
  thing: ThingName,
  set: StyleSet,
): Result<Edit> {
  const { items } = context.document;
  const owners = new Set(chosen.map((id) => items.nodes.get(id)?.link ?? id));
  const operations = [...owners].map((owner) => settingOf(context, { owner, thing }, set));
  return makeEdit(context, operations, {
    label: 'this look',
    ...(operations.length === 1
      ? {}
      : {
          sentence: sentence('entryLooksSet', {
            thing: thingOf(thing).name.toLowerCase(),
            count: operations.length,
          }),
        }),
  });
}

/** Resets values in several places at once, so that what is farther away is seen there again. */
export function resetLooks(
  context: CommandContext,
  some: readonly { readonly target: StyleTarget; readonly properties: readonly Property[] }[],
): Result<Edit> {
  if (some.length === 0) return no(refusal('nothingChosen'));
  const operations = some.map(({ target, properties }) =>
    settingOf(context, target, Object.fromEntries(properties.map((one) => [one, null]))),
  );
  const count = some.reduce((sum, { properties }) => sum + properties.length, 0);
  return makeEdit(context, operations, {
    label: 'this look',
    isStored: true,
    ...(operations.length === 1 ? {} : { sentence: sentence('looksReset', { count }) }),
  });
}

/** The setting of some values, with what they were; null resets one. */
export function settingOf(context: CommandContext, target: StyleTarget, set: StyleSet): SetStyle {
  const present = storedOf(context).styles.nodes.get(styleId(target));
  const was = Object.fromEntries(
    Object.keys(set).map((name) => [name, present?.[name as Property] ?? null]),
  ) as StyleSet;
  return { kind: 'setStyle', target, set, was };
}

/** Makes readable what is not: one value, or some in several places. */
export function setFixes(context: CommandContext, fixes: readonly ContrastFix[]): Result<Edit> {
  if (fixes.length === 0) return no(refusal('nothingChosen'));
  const operations = fixes.map(({ target, property, value }) =>
    settingOf(context, target, { [property]: value }),
  );
  return makeEdit(context, operations, {
    label: 'this look',
    isStored: true,
    ...(operations.length === 1 ? {} : { sentence: sentence('madeReadable', { count: fixes.length }) }),
  });
}
