import {
  areaWords,
  capitalised,
  counted,
  isProblem,
  labelOf,
  listed,
  type FitMode,
  type FitProblem,
  type Lane,
  type LaneState,
  type SiteDocument,
  type WidthRange,
} from '@zorvik/core';
import type { VisitorFault, VisitorMode } from '../live/visitorChecks.ts';
import type { TallDrop } from './fitChecks.ts';
import { bandName } from './bandName.ts';

/** How a stretch of a lane is drawn: colour and pattern, and never the one without the other. */
export type LaneTone = 'fine' | 'plain' | 'does' | 'look' | 'broken';

/** What something is at some widths, in a few words. */
export function stateWords(state: LaneState): string {
  switch (state.is) {
    case 'rows':
      return rowWords(state);
    case 'band':
      return counted(state.rows, 'one row', '# rows');
    case 'column':
      return 'a column at the side';
    case 'inDrawer':
      return 'in the drawer';
    case 'hidden':
      return 'not shown';
    case 'within':
      return 'opens in place';
    case 'list':
      return listWords(state);
    case 'row':
      return 'a row of links';
    case 'flyouts':
      return 'flyouts';
    case 'panel':
      return panelWords(state);
    case 'columns':
      return counted(state.columns, '# column', '# columns');
    case 'beside':
      return 'beside the content';
    case 'above':
      return 'above the content';
    case 'folded':
      return 'folded above the content';
    case 'takesOver':
      return 'takes over';
    case 'unused':
      return 'not used';
  }
}

function rowWords({ rows, does, isApart }: Extract<LaneState, { is: 'rows' }>): string {
  const inRows =
    isApart === true
      ? counted(rows, 'a separate row', '# separate rows')
      : counted(rows, 'one row', '# rows');
  if (does === undefined) return inRows;
  switch (does.is) {
    case 'scrolls':
      return 'scrolls';
    case 'shrunk':
      return rows > 1
        ? `smallest, still ${inRows}`
        : does.step === does.of
          ? 'smallest'
          : `smaller (${does.step} of ${does.of})`;
    case 'folded':
      return rows > 1 ? `1 and “More”, still ${inRows}` : `${does.shown} of ${does.of}, then “More”`;
  }
}

function listWords({ place, broken }: Extract<LaneState, { is: 'list' }>): string {
  const lines = counted(broken.length, '# label on two lines', '# labels on two lines');
  if (place === 'beyond') return broken.length > 0 ? `beyond the screen, ${lines}` : 'beyond the screen';
  if (broken.length > 0) return lines;
  return place === 'flipped' ? 'shifted' : 'as wide as its labels';
}

function panelWords({ form, columns, place }: Extract<LaneState, { is: 'panel' }>): string {
  const shape = {
    grid: columns === null ? 'as composed' : counted(columns, '# column', '# columns'),
    two: 'two per row',
    stacked: 'stacked',
    list: 'plain list',
    own: 'other content',
    item: 'link only',
  }[form];
  return place === 'usual' ? shape : `${shape}, ${place}`;
}

export function toneOf(state: LaneState): LaneTone {
  if (state.is === 'list' && state.place === 'beyond') return 'broken';
  if (isProblem(state)) return 'look';
  if (state.is === 'rows') return state.does === undefined ? 'fine' : 'does';
  if (state.is === 'band') return state.rows > 1 ? 'does' : 'fine';
  if (state.is === 'inDrawer' || state.is === 'hidden' || state.is === 'unused') return 'plain';
  if (state.is === 'panel' && state.place !== 'usual') return 'does';
  if (state.is === 'list' && state.place === 'flipped') return 'does';
  return ['within', 'folded', 'above'].includes(state.is) || (state.is === 'panel' && state.form !== 'grid')
    ? 'does'
    : 'fine';
}

/** Whether suggestions are made for a lane. */
export function canBeMended({ of, item }: Pick<Lane, 'of' | 'item'>): boolean {
  return of === 'band' || of === 'bar' || item !== undefined;
}

/** What a lane is called. */
export function laneName(
  document: SiteDocument,
  { of, part, item }: Pick<Lane, 'of' | 'part' | 'item'>,
): string {
  if (of === 'side' || of === 'drawer') return capitalised(areaWords[of]);
  if (item !== undefined) {
    const found = document.items.nodes.get(item);
    return found === undefined ? 'Dropdown' : labelOf(document, found);
  }
  if (of === 'band') return bandName(document, part);
  const menu = document.menus.nodes.get(document.parts.nodes.get(part)?.shows ?? '');
  return menu?.name ?? 'Menu';
}

/** What kind of thing it is. */
export function laneKind({ of }: Pick<Lane, 'of'>): string {
  return {
    band: 'band of the header',
    bar: 'bar',
    dropdown: 'dropdown',
    panel: 'panel',
    side: 'area',
    footer: 'list in the footer',
    drawer: 'area',
  }[of];
}

/** “from 768 to 831 px”. */
export function rangeWords(
  { from, to }: WidthRange,
  { least, most }: { readonly least: number; readonly most: number },
): string {
  if (from <= least && to >= most) return 'at every width';
  if (from === to) return `at ${from} px`;
  if (from <= least) return `up to ${to} px`;
  return to >= most ? `from ${from} px on` : `from ${from} to ${to} px`;
}

/** What is wrong, where it is worst. */
export function problemWords({ states }: FitProblem): string {
  const rows = states.flatMap((state) => (state.is === 'rows' || state.is === 'band' ? [state.rows] : []));
  if (rows.length > 0) {
    const [least, most] = [Math.min(...rows), Math.max(...rows)];
    const isApart = states.some((state) => state.is === 'rows' && state.isApart === true);
    if (isApart)
      return most === 1 ? 'a separate row' : `${least === most ? most : `${least} to ${most}`} separate rows`;
    return least === most ? `${most} rows` : `${least} to ${most} rows`;
  }
  const worst = states.find((state) => state.is === 'list' && state.place === 'beyond') ?? states[0];
  return worst === undefined ? '' : stateWords(worst);
}

/** What fails for some visitors. */
export const visitorFaultWords: Readonly<Record<VisitorFault, string>> = {
  small: 'smaller than 24 by 24 px',
  back: 'Tab jumps back to it',
  current: 'the current page looks like the others',
  mask: 'its sign cannot be seen',
  shape: 'does not look like a button',
  colours: 'keeps its own colours',
  moves: 'still moves',
};

/** What these visitors use, or have set. */
export const visitorModeWords: Readonly<Record<VisitorMode, string>> = {
  touch: 'touch',
  keyboard: 'keyboard',
  forcedColours: 'forced colours',
  lessMotion: 'reduced motion',
};

/** What is set in a mode. */
export const modeWords: Readonly<Record<FitMode, string>> = {
  text150: 'text at 150 %',
  text200: 'text at 200 %',
  zoom400: 'zoom 400 %',
  rtl: 'direction reversed',
  longLabels: 'labels 35 % longer',
  scrollbar: 'with a scrollbar',
};

/** “taller than 640 px on narrow and 390 px on wide screens; scrolls inside”. */
export function tallWords({ over, scrollsInside }: Pick<TallDrop, 'over' | 'scrollsInside'>): string {
  const where = listed(over.map(({ screen, device }) => `${screen} px on ${device}`));
  return `taller than ${where} screens; ${scrollsInside ? 'scrolls inside' : 'the page has to scroll'}`;
}
