import {
  addCell,
  addPartOf,
  addRow,
  enclosing,
  childrenOf,
  duplicatePart,
  placeItem,
  removePartOf,
  shapeCell,
  shiftPart,
  type CommandContext,
  type Edit,
  type Id,
  type Part,
  type PartKind,
  type Result,
} from '@zorvik/core';
import { shortcutFor, type ShortcutName } from '../shortcuts/shortcuts.ts';
import type { StageKey } from '../live/messages.ts';
import { useComposer } from '../stores/composer.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';

/** What is done to the panel that is composed, by keys, buttons and in the live header alike. */
export function useComposing() {
  const copy = useWorkingCopy();
  const composer = useComposer();

  /** Does it, and chooses what it added. */
  function act(
    command: (context: CommandContext, owner: Id, chosen: Id | null) => Result<Edit>,
    kind: string | null = null,
  ): void {
    const { owner, partId } = composer;
    if (owner === null) return;
    const done = copy.perform((context) => command(context, owner, partId), kind);
    const added = done.ok ? done.value.operations.findLast((one) => one.kind === 'addPart') : undefined;
    if (added === undefined) return;
    const top = added.branch[0];
    const first =
      top?.kind === 'row'
        ? (added.branch.find(({ kind }) => kind !== 'row' && kind !== 'cell') ?? added.branch[1])
        : top;
    composer.choose(first?.id ?? null);
  }

  function choose(id: Id | null): void {
    composer.choose(id);
  }

  const addKind = (kind: PartKind): void =>
    act((context, owner, chosen) => addPartOf(context, owner, chosen, kind));
  const newRow = (only: Part['only'] | null = null): void =>
    act((context, owner, chosen) => addRow(context, owner, chosen, only));
  const newCell = (beside: Id): void => act((context) => addCell(context, beside));
  const place = (item: Id): void => act((context, owner, chosen) => placeItem(context, owner, chosen, item));

  function onChosen(
    command: (context: CommandContext, id: Id) => Result<Edit>,
    kind: string | null = null,
  ): void {
    const id = composer.partId;
    if (id !== null) act((context) => command(context, id), kind);
  }

  function shape(by: number): void {
    const cell = copy.document === null ? null : enclosing(copy.document, composer.partId, 'cell');
    if (cell !== null)
      act((context) => shapeCell(context, cell.id, (cell.span ?? 1) + by), `span ${cell.id}`);
  }

  function step(by: number): void {
    const ids: (Id | null)[] = [null, ...composer.parts.map(({ id }) => id)];
    const at = ids.indexOf(composer.partId);
    const next = ids[Math.max(0, Math.min(at + by, ids.length - 1))];
    if (next !== undefined) composer.choose(next);
  }

  function goOut(): void {
    const parent = composer.part?.parent ?? null;
    composer.choose(parent !== null && copy.document?.parts.nodes.has(parent) === true ? parent : null);
  }

  function goIn(): void {
    const at = composer.partId ?? composer.owner;
    const first =
      at === null || copy.document === null ? undefined : [...childrenOf(copy.document.parts, at)][0];
    if (first !== undefined) composer.choose(first);
  }

  const actions: Partial<Record<ShortcutName, () => void>> = {
    up: () => step(-1),
    down: () => step(1),
    foldOrOut: goOut,
    unfoldOrIn: goIn,
    first: () => composer.choose(null),
    last: () => composer.choose(composer.parts.at(-1)?.id ?? null),
    moveUp: () => onChosen((context, id) => shiftPart(context, id, 'up')),
    moveDown: () => onChosen((context, id) => shiftPart(context, id, 'down')),
    narrower: () => shape(-1),
    wider: () => shape(1),
    addRow: () => newRow(),
    placeNext: () => {
      const [first] = composer.waiting;
      if (first !== undefined) place(first);
    },
    addCell: () => composer.partId !== null && newCell(composer.partId),
    duplicate: () => onChosen(duplicatePart),
    remove: () => onChosen(removePartOf),
    addPart: () => (composer.isAdding = true),
    done: () => composer.close(),
    undo: () => copy.undo(),
    redo: () => copy.redo(),
  };
  /** Does what a key asks for; whether it asked for anything. */
  function press(key: StageKey): boolean {
    const event = { ...key, metaKey: false };
    const name = shortcutFor(event, 'panel') ?? shortcutFor(event, 'anywhere');
    const action = name === null ? undefined : actions[name];
    action?.();
    return action !== undefined;
  }

  return { act, choose, addKind, newRow, addCell: newCell, place, shape, press, actions };
}
