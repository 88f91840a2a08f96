import { mintId, type Id } from '../base/ids.ts';
import { plainLine } from '../base/plainLine.ts';
import { refusal } from '../base/refusal.ts';
import { no, type Result } from '../base/result.ts';
import { sentence, type SentenceCode } from '../base/sentences.ts';
import { agreedFacts } from '../model/agreedFacts.ts';
import type { SiteDocument } from '../model/document.ts';
import type { Spot } from '../model/forest.ts';
import { nameOf } from '../model/labelOf.ts';
import { pageIndex, type PageIndex } from '../model/pageIndex.ts';
import type { Sketch } from '../model/sketch.ts';
import type { Edit } from '../ops/edit.ts';
import type { Operation } from '../ops/registry.ts';
import type { Destination, Item } from '../schema/item.ts';
import type { PartSketch } from '../schema/preset.ts';
import type { PortableSettings } from '../schema/readSettings.ts';
import { LONGEST_LABEL } from '../schema/shapes.ts';
import { checkLabel } from './checkLabel.ts';
import { makeEdit, type CommandContext } from './context.ts';
import { looksToSet } from './ownLooks.ts';
import { additions, withoutLost } from './panelParts.ts';
import { panelOnSite } from './portablePanel.ts';
import { partsFrom } from './presets.ts';
import { destinationTyped } from './destinationTyped.ts';

/** What becomes of one entry of a sketch. */
export interface PlannedItem {
  /** The label of its own; null: its page's title. */
  readonly label: string | null;
  /** What it is called in the source. */
  readonly source: string;
  readonly destination: Destination;
  /** How its page was found; null: it leads to none. */
  readonly foundBy: 'address' | 'title' | null;
  /** How certain the match is, in percent; not there: as certain as what it was found by. */
  readonly sure?: number;
  readonly opensNewTab: boolean;
  readonly settings: PortableSettings;
  /** The rows of its panel. */
  readonly panel?: readonly PartSketch[];
  readonly depth: number;
  /** Why it is left out, with all below it; null: it is brought in. */
  readonly dropped: string | null;
}

/** What an import would do, for the preview. */
export interface ImportPlan {
  /** In preorder. */
  readonly items: readonly PlannedItem[];
  readonly matched: number;
  readonly undecided: number;
  readonly dropped: number;
  readonly others: number;
}

/** More than this at once is refused. */
export const MOST_BROUGHT = 20_000;

/**
 * What a sketch becomes on this site, before anything is stored: entries are matched to pages by address,
 * else by title; what says neither where it leads nor is found is not yet decided. O(pages + entries).
 */
export function planSketch(document: SiteDocument, sketches: readonly Sketch[]): ImportPlan {
  const index = pageIndex(document);
  const items: PlannedItem[] = [];
  const stack = sketches.toReversed().map((sketch) => ({ sketch, depth: 0, near: null as Id | null }));
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    const { sketch, depth, near } = next;
    const item = planItem(document, index, sketch, depth, near);
    items.push(item);
    if (item.dropped !== null) continue;
    const below = item.destination.kind === 'page' ? item.destination.page : near;
    for (const child of sketch.children.toReversed())
      stack.push({ sketch: child, depth: depth + 1, near: below });
  }
  const kept = items.filter(({ dropped }) => dropped === null);
  const count = (fits: (item: PlannedItem) => boolean): number => kept.filter(fits).length;
  const matched = count(({ foundBy }) => foundBy !== null);
  const undecided = count(({ destination }) => destination.kind === 'undecided');
  return {
    items,
    matched,
    undecided,
    dropped: items.length - kept.length,
    others: kept.length - matched - undecided,
  };
}

function planItem(
  document: SiteDocument,
  index: PageIndex,
  sketch: Sketch,
  depth: number,
  near: Id | null,
): PlannedItem {
  const { target, opensNewTab = false, settings = {} } = sketch;
  const panel = sketch.panel === undefined ? [] : panelOnSite(document, index, sketch.panel);
  const checked = checkLabel(sketch.label.slice(0, LONGEST_LABEL));
  const source = checked.ok ? checked.value : '';
  const base = {
    source,
    opensNewTab,
    settings,
    ...(panel.length === 0 ? {} : { panel }),
    depth,
    dropped: null,
  };
  const page =
    target.kind === 'address'
      ? index.byAddress(target.address)
      : target.kind === 'find'
        ? index.byTitle(source, near)
        : null;
  if (page !== null) {
    const anchor =
      target.kind === 'address' ? (/#(.+)$/.exec(target.address)?.[1]?.slice(0, 200) ?? null) : null;
    const foundBy = target.kind === 'address' ? 'address' : 'title';
    return {
      ...base,
      label: source === '' || source === page.title ? null : source,
      destination: { kind: 'page', page: page.id, anchor },
      foundBy,
      ...(target.kind === 'address' && target.sure !== undefined ? { sure: target.sure } : {}),
    };
  }
  if (target.kind !== 'address') {
    const dropped = checked.ok ? null : 'It has no label.';
    return {
      ...base,
      label: source,
      destination: { kind: target.kind === 'heading' ? 'none' : 'undecided' },
      foundBy: null,
      dropped,
    };
  }
  const own = document.site.origin;
  const typed =
    own !== '' && target.address.startsWith(`${own}/`) ? target.address.slice(own.length) : target.address;
  const destination = destinationTyped(typed);
  if (!destination.ok)
    return {
      ...base,
      label: source,
      destination: { kind: 'undecided' },
      foundBy: null,
      dropped: destination.refusal.message,
    };
  const label = checked.ok ? source : plainLine(typed).slice(0, LONGEST_LABEL);
  return { ...base, source: label, label, destination: destination.value, foundBy: null };
}

/** Brings in what was planned, at a spot, as one edit. */
export function bringIn(
  context: CommandContext,
  { items }: Pick<ImportPlan, 'items'>,
  spot: Spot,
  code: SentenceCode = 'menuBrought',
): Result<Edit> {
  const operations = itemsToAdd(context, items, spot);
  const count = items.filter(({ dropped }) => dropped === null).length;
  if (count > MOST_BROUGHT) return no(refusal('tooMany', { count, what: 'items', most: MOST_BROUGHT }));
  const parent = nameOf(context.document, 'items', spot.parent);
  return makeEdit(context, operations, { sentence: sentence(code, { count, parent }) });
}

/**
 * The operations that add planned items at a spot: one for each branch, and behind them those that add their
 * panels and set their looks.
 */
export function itemsToAdd(
  { document, random }: CommandContext,
  items: readonly PlannedItem[],
  spot: Spot,
): Operation[] {
  const operations: { kind: 'addItem'; after: Id | null; branch: Item[] }[] = [];
  const open: Id[] = [];
  const children = new Map<Id, Id[]>();
  const styled: Operation[] = [];
  const panels: { readonly owner: Id; readonly rows: readonly PartSketch[] }[] = [];
  for (const { label, destination, opensNewTab, settings, panel, depth, dropped } of items) {
    if (dropped !== null) continue;
    const id = mintId('item', random);
    const parent = depth === 0 ? spot.parent : (open[depth - 1] ?? spot.parent);
    const agreed = destination.kind === 'page' ? agreedFacts(document, destination.page) : null;
    const { looks = [], ...facts } = settings;
    const item: Item = { id, parent, label, destination, opensNewTab, agreed, ...facts };
    styled.push(...looksToSet(document, id, looks));
    open[depth] = id;
    if (panel !== undefined) panels.push({ owner: id, rows: panel });
    children.set(parent, [...(children.get(parent) ?? []), id]);
    if (depth > 0) operations.at(-1)?.branch.push(item);
    else
      operations.push({
        kind: 'addItem',
        after: operations.at(-1)?.branch[0]?.id ?? spot.after,
        branch: [item],
      });
  }
  const composed = panels.flatMap(({ owner, rows }) =>
    additions(
      withoutLost(
        document,
        partsFrom(document, rows, owner, children.get(owner) ?? [], () => mintId('part', random)),
      ),
      owner,
    ),
  );
  return [...operations, ...composed, ...styled];
}
