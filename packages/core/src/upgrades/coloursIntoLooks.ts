import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import type { Operation } from '../ops/registry.ts';
import { withoutColours } from '../schema/oldColours.ts';

/** The step that makes looks of the colours that icons and badges had among their settings. O(items). */
export function coloursIntoLooks({ items, sharedLinks }: SiteDocument): Operation[] {
  return [
    ...[...items.nodes.values()].flatMap((item) => operationsFor('updateItem', item.id, item)),
    ...[...sharedLinks.nodes.values()].flatMap((link) => operationsFor('updateSharedLink', link.id, link)),
  ];
}

function operationsFor(kind: 'updateItem' | 'updateSharedLink', id: Id, stored: object): Operation[] {
  const { settings, looks } = withoutColours(stored as Readonly<Record<string, unknown>>);
  const names = (['icon', 'badge'] as const).filter((name) => settings[name] !== stored[name as never]);
  if (names.length === 0) return [];
  const valuesIn = (from: object): object =>
    Object.fromEntries(names.map((name) => [name, from[name as never]]));
  return [
    { kind, id, set: valuesIn(settings), was: valuesIn(stored) },
    ...looks.map(({ thing, ...set }): Operation => ({
      kind: 'setStyle',
      target: { owner: id, thing },
      set,
      was: Object.fromEntries(Object.keys(set).map((name) => [name, null])),
    })),
  ];
}
