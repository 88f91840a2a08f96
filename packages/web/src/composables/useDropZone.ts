import { onBeforeUnmount, onMounted, shallowRef, type Ref } from 'vue';
import { autoScrollForElements } from '@atlaskit/pragmatic-drag-and-drop-auto-scroll/element';
import { dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import {
  addPages,
  moveItems,
  nameOf,
  type CommandContext,
  type Edit,
  type Id,
  type Result,
} from '@zorvik/core';
import { useFinder } from '../stores/finder.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';
import type { DropSpot } from './dropSpot.ts';
import { useItemActions } from './useItemActions.ts';

/** A move sideways by so many px is a level. */
const LEVEL = 20;
/** A pointer that does not move for so long has arrived, in ms: a move on its way means nothing. */
const REST = 300;

/**
 * Counts by how many levels a pointer has moved sideways since it came to rest at a place; null: at none. A move that only
 * leads across a place does not count.
 */
export function countsSideways(): (place: string | null, x: number, now: number) => number {
  let at: {
    readonly place: string | null;
    readonly from: number | null;
    readonly x: number;
    readonly now: number;
  } = {
    place: null,
    from: null,
    x: 0,
    now: 0,
  };
  return (place, x, now) => {
    const isSame = place !== null && at.place === place;
    const from = !isSame ? null : (at.from ?? (now - at.now > REST ? at.x : null));
    at = { place, from, x, now };
    return from === null ? 0 : Math.trunc((x - from) / LEVEL);
  };
}

/** What a drop does, in words. */
function placeWords({ isInto }: DropSpot, parent: string, after: string | null, level: number): string {
  if (isInto === true) return `Nest in “${parent}”, level ${level}${after === null ? '' : ', at the end'}`;
  return after === null ? `First in “${parent}”, level ${level}` : `After “${after}”, level ${level}`;
}

/** A drop as it is shown before it is done: where, in words, and why not. */
export interface ShownDrop<S extends DropSpot> {
  readonly at: S;
  readonly words: string;
  readonly problem: string | null;
}

export interface DropZone<S extends DropSpot> {
  readonly element: Ref<HTMLElement | null>;
  /**
   * The spot that the pointer means, in px of the window; null: none. `sideways`: by how many levels it has moved since it
   * came to this place.
   */
  readonly spotUnder: (dragged: readonly Id[], x: number, y: number, sideways: number) => S | null;
  /** The direction of the menu. */
  readonly isRtl: () => boolean;
  readonly focus: () => void;
}

/**
 * Takes items and pages that are dragged over an element: shows where they would go and why not, and puts
 * them there.
 */
export function useDropZone<S extends DropSpot>({ element, spotUnder, isRtl, focus }: DropZone<S>) {
  const copy = useWorkingCopy();
  const finder = useFinder();
  const { moveTo, selectAdded } = useItemActions();
  const drop = shallowRef<ShownDrop<S> | null>(null);

  const idsIn = (list: unknown): Id[] => (Array.isArray(list) ? list.map(String) : []);

  function command(
    data: Record<string | symbol, unknown>,
    { spot }: S,
  ): (context: CommandContext) => Result<Edit> {
    const pages = idsIn(data.pages);
    return (context) =>
      pages.length > 0
        ? addPages(context, { pages, depth: finder.depth, spot })
        : moveItems(context, idsIn(data.items), spot);
  }

  const sideways = countsSideways();
  function spotAt(dragged: readonly Id[], x: number, y: number): S | null {
    const plain = spotUnder(dragged, x, y, 0);
    const place =
      plain === null || plain.isInto === true
        ? null
        : `${plain.spot.parent} ${plain.spot.after ?? ''} ${plain.line}`;
    const levels = sideways(place, x, performance.now());
    return levels === 0 ? plain : spotUnder(dragged, x, y, isRtl() ? -levels : levels);
  }

  function show(
    data: Record<string | symbol, unknown>,
    { clientX, clientY }: { readonly clientX: number; readonly clientY: number },
  ): void {
    const at = spotAt(idsIn(data.items), clientX, clientY);
    const { document } = copy;
    if (at === null || document === null) return void (drop.value = null);
    const { parent, after } = at.spot;
    const tried = copy.attempt(command(data, at));
    const problem = tried.ok || tried.refusal.code === 'changesNothing' ? null : tried.refusal.message;
    drop.value = {
      at,
      words: placeWords(
        at,
        nameOf(document, 'items', parent),
        after === null ? null : nameOf(document, 'items', after),
        levelIn(document.items.nodes, parent),
      ),
      problem,
    };
  }

  function levelIn(
    nodes: { readonly get: (id: Id) => { readonly parent: Id } | undefined },
    parent: Id,
  ): number {
    let level = 1;
    for (let node = nodes.get(parent); node !== undefined; node = nodes.get(node.parent)) level += 1;
    return level;
  }

  function put(data: Record<string | symbol, unknown>): void {
    const found = drop.value;
    drop.value = null;
    if (found === null) return;
    if (idsIn(data.pages).length === 0) moveTo(idsIn(data.items), found.at.spot);
    else {
      const done = copy.perform(command(data, found.at));
      if (done.ok) selectAdded(done.value);
    }
    focus();
  }

  const releases: (() => void)[] = [];
  onMounted(() => {
    if (element.value === null) return;
    releases.push(
      autoScrollForElements({ element: element.value }),
      dropTargetForElements({
        element: element.value,
        canDrop: ({ source }) => Array.isArray(source.data.items) || Array.isArray(source.data.pages),
        onDrag: ({ source, location }) => show(source.data, location.current.input),
        onDragLeave: () => (drop.value = null),
        onDrop({ source, location }) {
          // Where it is let go counts, not where it was drawn last: a quick hand is ahead of what is drawn.
          show(source.data, location.current.input);
          put(source.data);
        },
      }),
    );
  });
  onBeforeUnmount(() => releases.forEach((release) => release()));
  return drop;
}
