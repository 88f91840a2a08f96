import {
  addBand,
  addToFrame,
  areaAround,
  areaId,
  childrenOf,
  duplicatePart,
  heldBy,
  movePartTo,
  nodeAt,
  removePartOf,
  setException,
  setPart,
  setSite,
  setShownMenu,
  shiftPart,
  wayUp,
  type AreaName,
  type CommandContext,
  type Edit,
  type Id,
  type Part,
  type PartChanges,
  type PartKind,
  type Result,
  type Spot,
} from '@zorvik/core';
import type { StageKey } from '../live/messages.ts';
import { shortcutFor, type ShortcutName } from '../shortcuts/shortcuts.ts';
import { useFrame } from '../stores/frame.ts';
import { useNotices } from '../stores/notices.ts';
import { usePictures } from '../stores/pictures.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';

/** What is done to the frame, by keys, buttons and in the picture alike. */
export function useFraming() {
  const copy = useWorkingCopy();
  const frame = useFrame();
  const notices = useNotices();
  const pictures = usePictures();

  /** Does it, and selects what it added. */
  function act(command: (context: CommandContext) => Result<Edit>, kind: string | null = null): boolean {
    const done = copy.perform(command, kind);
    if (!done.ok) return false;
    const added = done.value.operations.findLast(
      (one) => one.kind === 'addPart' && one.branch[0]?.kind !== 'exception',
    );
    if (added?.kind === 'addPart') frame.select(added.branch[0]?.id ?? null);
    return true;
  }

  function onSelected(
    command: (context: CommandContext, id: Id) => Result<Edit>,
    kind: string | null = null,
  ): void {
    const id = frame.partId;
    if (id !== null) act((context) => command(context, id), kind);
  }

  /** Where something that is added by key goes: behind the selected part, or at the end of the selected holder. */
  function spotForNew(): Spot | null {
    const { document } = copy;
    if (document === null) return null;
    const { parts } = document;
    const last = (id: Id): Spot => ({ parent: id, after: childrenOf(parts, id).last() });
    const part = frame.part;
    if (part === null) {
      const [holder] = frame.parts.filter(({ kind }) => kind === 'zone' || kind === 'cell');
      return holder === undefined ? null : last(holder.id);
    }
    if (part.kind === 'zone' || part.kind === 'cell') return last(part.id);
    if (part.kind === 'band' || part.kind === 'area') {
      const inner = frame.parts.find(
        ({ kind, parent }) =>
          (kind === 'zone' || kind === 'cell') &&
          (parent === part.id || nodeAt(parts, parent).parent === part.id),
      );
      return inner === undefined ? null : last(inner.id);
    }
    return { parent: part.parent, after: part.id };
  }

  /** Keys and buttons add in the picture that everybody has. */
  function addHere(): void {
    frame.addingIn = 'main';
    startAdding();
  }

  function startAdding(spot: Spot | null = spotForNew()): void {
    frame.adding = spot;
    if (spot === null) notices.refuse('There is no band yet. Add one first.');
  }

  function add(kind: PartKind): void {
    const spot = frame.adding;
    frame.adding = null;
    if (spot === null) return;
    act((context) => addToFrame(context, spot, kind, { on: frame.scopeOn }));
  }

  /** The area that the selection is in; the header where there is none. */
  function areaOf(part: Part | null): AreaName {
    const { document } = copy;
    return document === null || part === null ? 'header' : (areaAround(document, part.id)?.area ?? 'header');
  }

  function bandOf(part: Part | null): Part | null {
    const { document } = copy;
    const way = document === null || part === null ? [] : wayUp(document, part.id);
    return way.find(({ kind }) => kind === 'band') ?? null;
  }

  function newBand(where: 'above' | 'below', area: AreaName = areaOf(frame.part), isGrid?: boolean): void {
    const { document } = copy;
    if (document === null) return;
    const bands = [...childrenOf(document.parts, areaId(area))];
    const own = bandOf(frame.part);
    const at = own === null ? -1 : bands.indexOf(own.id);
    const after =
      at < 0
        ? where === 'above'
          ? null
          : (bands.at(-1) ?? null)
        : (bands[where === 'above' ? at - 1 : at] ?? null);
    act((context) => addBand(context, area, after, isGrid));
  }

  /** Hides or shows the selected part: on all pages, or by an exception. */
  function setShown(part: Part, isShown: boolean): void {
    const on = frame.scopeOn;
    const shows = frame.deciding(part.id)?.shows ?? part.shows ?? null;
    act((context) =>
      on === null
        ? setPart(context, part.id, { isHidden: isShown ? null : true })
        : setException(context, part.id, on, { isShown, shows }),
    );
  }

  /** Which menu a placement shows: on all pages, or by an exception; null: none. */
  function setMenu(part: Part, menu: Id | null): void {
    const on = frame.scopeOn;
    act((context) =>
      on === null
        ? setShownMenu(context, part.id, menu)
        : setException(context, part.id, on, { isShown: true, shows: menu }),
    );
  }

  const move = (id: Id, to: Spot): void => {
    if (copy.perform((context) => movePartTo(context, id, to)).ok) frame.select(id);
  };

  /** Puts a part behind all others of a zone. */
  const toEndOf = (id: Id, zone: Id): void => {
    const { document } = copy;
    if (document !== null) move(id, { parent: zone, after: childrenOf(document.parts, zone).last() });
  };

  const isMovable = (part: Part | null): boolean =>
    part !== null && part.kind !== 'zone' && part.kind !== 'area';
  const shift = (way: 'up' | 'down'): void => {
    if (isMovable(frame.part)) onSelected((context, id) => shiftPart(context, id, way));
  };

  function step(by: number): void {
    const ids = frame.parts.map(({ id }) => id);
    const at = frame.partId === null ? -1 : ids.indexOf(frame.partId);
    const next = ids[Math.max(0, Math.min(at + by, ids.length - 1))];
    if (next !== undefined) frame.select(next);
  }

  function goOut(): void {
    const parent = frame.part?.parent;
    if (parent !== undefined && copy.document?.parts.nodes.has(parent) === true) frame.select(parent);
  }

  function goIn(): void {
    const inner = frame.parts.find(({ parent }) => parent === frame.partId);
    if (inner !== undefined) frame.select(inner.id);
  }

  const actions: Partial<Record<ShortcutName, () => void>> = {
    up: () => step(-1),
    down: () => step(1),
    foldOrOut: goOut,
    unfoldOrIn: goIn,
    first: () => frame.select(frame.parts[0]?.id ?? null),
    last: () => frame.select(frame.parts.at(-1)?.id ?? null),
    moveUp: () => shift('up'),
    moveDown: () => shift('down'),
    addPart: addHere,
    addBand: () => newBand('below'),
    duplicate: () => isMovable(frame.part) && onSelected(duplicatePart),
    remove: () => isMovable(frame.part) && onSelected(removePartOf),
    done: () => {
      if (frame.adding !== null) frame.adding = null;
      else if (frame.isTried) frame.isTried = false;
      else frame.select(null);
    },
    undo: () => copy.undo(),
    redo: () => copy.redo(),
  };
  /** Does what a key asks for; whether it asked for anything. */
  function press(key: StageKey): boolean {
    const event = { ...key, metaKey: false };
    const name = shortcutFor(event, 'frame') ?? shortcutFor(event, 'anywhere');
    const action = name === null ? undefined : actions[name];
    action?.();
    return action !== undefined;
  }

  /** The kinds that can be added where one is about to. */
  function offered(kinds: readonly PartKind[]): PartKind[] {
    const { document } = copy;
    const spot = frame.adding;
    if (document === null || spot === null) return [];
    const holder = document.parts.nodes.get(spot.parent)?.kind;
    return holder === undefined ? [] : kinds.filter((kind) => heldBy(holder).includes(kind));
  }

  /** How high the band is at least, or how wide the logo or the area, in px. */
  function resize(id: Id, size: number): void {
    const part = frame.factsAt(id);
    if (part === null) return;
    const changes: PartChanges | null =
      part.kind === 'band'
        ? { bandHeight: size }
        : part.kind === 'logo'
          ? { logoWidth: size }
          : part.kind === 'area'
            ? { areaWidth: size }
            : null;
    if (changes !== null) copy.perform((context) => setPart(context, part.id, changes));
  }

  /** Gives a logo that picture: its own where it has one, else the site's, which shows wherever it is used. */
  async function takeLogo(id: Id, file: Blob): Promise<void> {
    const sent = await pictures.send(file);
    if ('problem' in sent) return notices.refuse(sent.problem);
    const part = frame.factsAt(id);
    if (part?.kind !== 'logo') return;
    const group = `logo ${part.id}`;
    const done =
      part.picture === undefined
        ? copy.perform((context) => setSite(context, { logo: sent.value }), group)
        : copy.perform((context) => setPart(context, part.id, { picture: sent.value }), group);
    if (done.ok && part.logoFace === 'text')
      copy.perform((context) => setPart(context, part.id, { logoFace: null }), group);
    if (done.ok)
      notices.say(part.picture === undefined ? 'Set the site’s logo' : 'Set the picture of this logo');
  }

  return {
    act,
    add,
    move,
    newBand,
    offered,
    press,
    resize,
    setMenu,
    setShown,
    shift,
    addHere,
    startAdding,
    takeLogo,
    onSelected,
    isMovable,
    toEndOf,
  };
}
