import type { Id } from '../base/ids.ts';
import { placePanel, type Span } from '../panel/placePanel.ts';
import type { ResolvedItem } from '../resolve/resolved.ts';
import type { DropdownForm, MediumForm } from '../schema/dropdown.ts';
import type { BarPlace } from './barPlace.ts';
import { branchWidth, type BarSetting } from './barEntry.ts';
import { lineOfAll, type FitPlace } from './fitStyle.ts';
import { pxOf, UNITS } from './lengths.ts';
import type { DropPlace, LaneState } from './lane.ts';

/** A dropdown, as wide as its text wants it, in px, with its padding. */
export interface MeasuredDrop {
  /** The entries in it, and how wide each would be in one line. */
  readonly entries: readonly { readonly id: Id; readonly width: number }[];
  /** What of its width is not its entries’. */
  readonly beside: number;
  /** The most that its looks allow, in a window of a width; null: they do not say. */
  readonly most: (width: number) => number | null;
}

/** Measures the list that drops from an entry of a bar; `placeOf`: where the entries in it are. O(its texts). */
export function measuredDrop(
  item: ResolvedItem,
  place: FitPlace,
  setting: BarSetting,
  placeOf: (child: ResolvedItem) => FitPlace,
): MeasuredDrop {
  const { style } = setting;
  const line = lineOfAll('dropdown');
  const font = style.font(line, place, setting.font);
  const { inside } = style.edges(line, place, font.size);
  const entries = item.children
    .filter(({ hiddenOn }) => hiddenOn?.includes(setting.device) !== true)
    .map((child) => ({
      id: child.id,
      width: branchWidth(child, placeOf(child), { ...setting, font }) / UNITS,
    }));
  const most = style.value(line, 'maxInlineSize', place);
  return { entries, beside: inside / UNITS, most: (width) => mostOf(most, width, font.size) };
}

/** A greatest width as looks have it: a length, or the lesser one of a length and of what the screen leaves. */
function mostOf(value: string, width: number, em: number): number | null {
  const own = pxOf(value, em);
  if (own !== null) return own;
  const [, length = '', left = ''] = /^=?min\(([^,]+),\s*calc\(100vw - ([^)]+)\)\)$/.exec(value) ?? [];
  const [limit, beside] = [pxOf(length, em), pxOf(left, em)];
  return limit === null || beside === null ? null : Math.min(limit, width - beside);
}

/** What dropdowns keep free at the edge of the screen where they are as wide as somebody said, in px. */
const EDGE = 16;
/** Between two columns of a list, in px. */
const COLUMN_GAP = 16;

/** How the list of an entry drops in a window so wide. */
export function listState(
  item: ResolvedItem,
  drop: MeasuredDrop,
  { entries, bar, isScrolled }: Pick<BarPlace, 'entries' | 'bar' | 'isScrolled'>,
  { width, scrollbar }: { readonly width: number; readonly scrollbar: number },
): LaneState {
  const entry = isScrolled ? bar : entries.get(item.id);
  // It is in “More”, where it is listed with its branch.
  if (entry === undefined) return { is: 'within' };
  const { list = {} } = item.dropdown ?? {};
  const widest = Math.max(0, ...drop.entries.map((one) => one.width));
  const columns = list.columns ?? 1;
  const wanted = columns * widest + (columns - 1) * COLUMN_GAP + drop.beside;
  const most = list.width !== undefined || columns > 1 ? width - EDGE : (drop.most(width) ?? Infinity);
  const size = isScrolled
    ? Math.min(list.width ?? wanted, most, bar.size)
    : Math.min(Math.max(list.width ?? wanted, entry.size), most);
  const inner = (size - drop.beside - (columns - 1) * COLUMN_GAP) / columns;
  const broken = drop.entries.filter((one) => one.width > inner + ROUNDING).map(({ id }) => id);
  return { is: 'list', place: dropPlace(list.align, entry, size, width - scrollbar), broken, wanted };
}
/** Less than a layout unit. */
const ROUNDING = 0.01;

function dropPlace(
  align: 'centre' | 'end' | undefined,
  entry: Span,
  size: number,
  screen: number,
): DropPlace {
  const atEnd = entry.start + entry.size - size;
  const starts = { start: entry.start, centre: entry.start + (entry.size - size) / 2, end: atEnd };
  const start = starts[align ?? 'start'];
  if (start >= 0 && start + size <= screen) return 'usual';
  return atEnd >= 0 && atEnd + size <= screen ? 'flipped' : 'beyond';
}

/** How the panel of an entry drops in a window so wide. */
export function panelState(
  item: ResolvedItem,
  place: { readonly bar: Span; readonly container: Span },
  entry: Span | undefined,
  { device }: Pick<BarSetting, 'device'>,
  screen: number,
): LaneState {
  const {
    extent = 'bar',
    align = 'item',
    offset = 0,
    medium = 'grid',
    narrow = 'stacked',
  } = item.dropdown?.panel ?? {};
  const form: MediumForm = device === 'narrow' ? narrow : device === 'medium' ? medium : 'grid';
  if (form === 'item') return { is: 'panel', form, columns: null, place: 'usual' };
  const columns = item.rows === undefined ? columnsIn(item, form, device) : null;
  if (device === 'narrow') return { is: 'panel', form, columns, place: 'usual' };
  if (entry === undefined) return { is: 'within' };
  // As wide as its content, which only a browser knows: it is taken to fit, as most are.
  const around = { screen, item: entry, bar: place.bar, container: place.container, content: 0, offset };
  const { isNarrowed, isShifted } =
    extent === 'content' ? { isNarrowed: false, isShifted: false } : placePanel(extent, align, around);
  return { is: 'panel', form, columns, place: isNarrowed ? 'narrowed' : isShifted ? 'shifted' : 'usual' };
}

/** On medium screens, a panel has no more columns than this. */
const MOST_MEDIUM = 3;

function columnsIn(
  { columns = [] }: ResolvedItem,
  form: MediumForm,
  device: BarSetting['device'],
): number | null {
  const count = Math.max(1, columns.length);
  if (form === 'two') return 2;
  if (form !== 'grid') return null;
  return device === 'medium' ? Math.min(MOST_MEDIUM, count) : count;
}

/** What a dropdown of an entry is. */
export function dropKind({ dropdown, children, columns, rows }: ResolvedItem): DropdownForm | null {
  if (dropdown?.form === 'panel') return columns === undefined && rows === undefined ? null : 'panel';
  return children.length === 0 ? null : (dropdown?.form ?? 'list');
}
