import type { Phrase } from '../base/fillIn.ts';
import type { Id } from '../base/ids.ts';
import { isEqual } from '../base/isEqual.ts';
import { plainLine } from '../base/plainLine.ts';
import { refusal } from '../base/refusal.ts';
import { no, ok, type Result } from '../base/result.ts';
import { sentence } from '../base/sentences.ts';
import { faceOf } from '../model/faceOf.ts';
import { childrenOf, nodeAt } from '../model/forest.ts';
import { nameOf } from '../model/labelOf.ts';
import { missing } from '../ops/kit/missing.ts';
import type { Edit } from '../ops/edit.ts';
import type { Operation } from '../ops/registry.ts';
import { settingPhrase } from '../ops/updateItem.ts';
import {
  CLASSES_PATTERN,
  LONGEST_BADGE,
  LONGEST_DESCRIPTION,
  LONGEST_TOOLTIP,
  settingNames,
  type Badge,
  type SettingName,
} from '../schema/settings.ts';
import { makeEdit, type CommandContext } from './context.ts';
import { looksOfSetting, looksToReset, looksToSet, withoutLooks } from './ownLooks.ts';
import { faceUpdate, type FaceChanges } from './faceUpdate.ts';

/** What may be set for several items at once: their settings, and how they open. */
export type ItemChanges = Omit<FaceChanges, 'label' | 'destination' | 'agreed'>;

/** Sets the same for all the items, or shared links. Those that show a shared link change it there. */
export function setItems(context: CommandContext, chosen: readonly Id[], typed: ItemChanges): Result<Edit> {
  const { document } = context;
  const checked = checkSettings(typed);
  if (!checked.ok) return checked;
  const operations: Operation[] = [];
  const done = new Set<Id>();
  for (const id of chosen) {
    if (!document.items.nodes.has(id) && !document.sharedLinks.nodes.has(id)) return no(missing('items', id));
    const operation = faceUpdate(document, id, checked.value);
    const at = operation.kind === 'updateItem' || operation.kind === 'updateSharedLink' ? operation.id : id;
    if (!done.has(at)) operations.push(operation);
    done.add(at);
  }
  const [first = ''] = chosen;
  const what = phrasesFor(Object.keys(checked.value) as AlikeName[]);
  const words =
    operations.length > 1 ? { sentence: sentence('itemsChanged', { what, count: operations.length }) } : {};
  return makeEdit(context, operations, {
    label: nameOf(document, document.items.nodes.has(first) ? 'items' : 'sharedLinks', first),
    ...words,
  });
}

function phrasesFor(names: readonly AlikeName[]): Phrase[] {
  return names.map((name) => settingPhrase(name));
}

/** Settings as they are kept: lines without what does not show; what is empty is taken away. */
function checkSettings(typed: ItemChanges): Result<ItemChanges> {
  const set: Record<string, unknown> = { ...typed };
  for (const [name, most] of [
    ['tooltip', LONGEST_TOOLTIP],
    ['description', LONGEST_DESCRIPTION],
  ] as const) {
    if (typed[name] == null) continue;
    const line = plainLine(typed[name]);
    if (line.length > most) return no(refusal('tooLong', { what: `a ${name}`, length: line.length, most }));
    set[name] = line === '' ? null : line;
  }
  if (typed.cssClass != null) {
    const given = plainLine(typed.cssClass);
    if (given !== '' && !new RegExp(CLASSES_PATTERN, 'u').test(given))
      return no(refusal('badClass', { given }));
    set.cssClass = given === '' ? null : given;
  }
  if (typed.badge != null) {
    const badge = keptBadge(typed.badge);
    if (!badge.ok) return badge;
    set.badge = badge.value;
  }
  for (const name of ['hiddenOn', 'branchHiddenOn'] as const) if (typed[name]?.length === 0) set[name] = null;
  for (const name of ['activation', 'own'] as const)
    if (typed[name] != null && Object.keys(typed[name]).length === 0) set[name] = null;
  return ok(set as ItemChanges);
}

/** A badge as it is kept; null: nothing is left of its text. */
export function keptBadge(typed: Badge): Result<Badge | null> {
  const text = plainLine(typed.text);
  if (text.length > LONGEST_BADGE)
    return no(refusal('tooLong', { what: 'a badge', length: text.length, most: LONGEST_BADGE }));
  return ok(text === '' ? null : { ...typed, text });
}

/** What may be offered to the siblings of an item: settings, and how it opens. */
export type AlikeName = SettingName | 'opensNewTab';
export const alikeNames: readonly AlikeName[] = ['opensNewTab', ...settingNames];

/**
 * Those of an item's settings that its siblings have otherwise, with how many do. Siblings that show a shared
 * link are left alone.
 */
export function unlikeSiblings({ document }: Pick<CommandContext, 'document'>, id: Id): Map<AlikeName, Id[]> {
  const item = nodeAt(document.items, id);
  const face = faceOf(document, item);
  const siblings = [...childrenOf(document.items, item.parent)]
    .map((one) => nodeAt(document.items, one))
    .filter((one) => one !== item && one.link === undefined);
  const found = new Map<AlikeName, Id[]>();
  for (const name of alikeNames) {
    const looks = looksOfSetting(document, item.link ?? id, name);
    const unlike = siblings
      .filter(
        (one) =>
          !isEqual(one[name] ?? null, face[name] ?? null) ||
          !isEqual(looksOfSetting(document, one.id, name), looks),
      )
      .map((one) => one.id);
    if (unlike.length > 0) found.set(name, unlike);
  }
  return found;
}

/** Gives what is set for an item to its siblings, too; `only`: to these. */
export function makeAlike(
  context: CommandContext,
  id: Id,
  names: readonly AlikeName[],
  only?: readonly Id[],
): Result<Edit> {
  const { document } = context;
  const item = document.items.nodes.get(id);
  if (item === undefined) return no(missing('items', id));
  const face = faceOf(document, item);
  const unlike = unlikeSiblings(context, id);
  const sets = new Map<Id, Record<string, unknown>>();
  const looks: Operation[] = [];
  for (const name of names) {
    const wanted = looksOfSetting(document, item.link ?? id, name);
    for (const sibling of unlike.get(name) ?? []) {
      if (only?.includes(sibling) === false) continue;
      sets.set(sibling, { ...sets.get(sibling), [name]: face[name] ?? null });
      const present = looksOfSetting(document, sibling, name);
      looks.push(
        ...looksToReset(document, sibling, present),
        ...looksToSet(withoutLooks(document), sibling, wanted),
      );
    }
  }
  const label = nameOf(document, 'items', id);
  if (sets.size === 0) return no(refusal('noneSaid', { label }));
  const operations = [...sets].map(([sibling, set]) => faceUpdate(document, sibling, set as FaceChanges));
  return makeEdit(context, [...operations, ...looks], {
    sentence: sentence('madeAlike', { count: sets.size, label, what: phrasesFor(names) }),
    label,
  });
}
