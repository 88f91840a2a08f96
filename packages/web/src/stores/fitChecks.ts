import { defineStore } from 'pinia';
import { computed, shallowRef, watch } from 'vue';
import {
  areaId,
  areaWords,
  capitalised,
  deviceClasses,
  renderPage,
  type DeviceClass,
  type Id,
} from '@zorvik/core';
import type { DrawnColumn, ToContact } from '../live/contactMessages.ts';
import type { VisitorFinding } from '../live/visitorChecks.ts';
import { laneKind, laneName, problemWords, rangeWords } from './laneWords.ts';
import { pageChoices } from './pageChoices.ts';
import { useComparing } from './comparing.ts';
import { useFit } from './fit.ts';
import { useFitWork } from './fitWork.ts';
import { useFrame } from './frame.ts';
import { NARROWEST, useLiveView, WIDEST } from './liveView.ts';
import { useWorkingCopy } from './workingCopy.ts';

/** Unasked, so many dropdowns are opened at most, and so many entries are drawn in a column. */
const [MOST_DROPS, MOST_ENTRIES] = [24, 8000];
/** How many pictures of a header are drawn unasked: fewer of one with many entries. */
function mostUnasked(header: string): number {
  const entries = header.split('<li').length;
  return Math.max(1, Math.min(MOST_DROPS, Math.floor(MOST_ENTRIES / entries)));
}

/** A page that columns are told to show. */
export type ShownPage = Extract<ToContact, { kind: 'show' }>;

/** A phone, a tablet held upright, a desktop, in px: within the device classes that the site has. */
const USUAL = { narrow: 390, medium: 820, wide: 1280 } as const;
/** The heights of screens that are looked at, in px: a phone held across, a small laptop, a laptop. */
export const SCREENS = [390, 640, 768] as const;
const SPAN = { least: NARROWEST, most: WIDEST };

/** A dropdown, a panel or the drawer that is higher than some screens. */
export interface TallDrop {
  /** The bar and the entry that it drops from; of the drawer, the area alone. */
  readonly part: Id;
  readonly item?: Id;
  readonly name: string;
  /** The highest screen that is lower, by device class, and a width of the window at which that is so, in px. */
  readonly over: readonly { readonly device: DeviceClass; readonly screen: number }[];
  readonly width: number;
  /** There it scrolls inside; otherwise the page has to be scrolled. */
  readonly scrollsInside: boolean;
}

/** Something that fails for some visitors, and the device classes on which it does. */
export interface CheckedFinding extends VisitorFinding {
  readonly devices: readonly DeviceClass[];
  /** A width of the window at which it can be seen, in px. */
  readonly width: number;
}

/** What is known of a page only when it is drawn, at three widths: heights, and what fails for some visitors. */
export const useFitChecks = defineStore('fitChecks', () => {
  const copy = useWorkingCopy();
  const fit = useFit();
  const work = useFitWork();
  const frame = useFrame();
  const live = useLiveView();
  const comparing = useComparing();

  const widths = computed(() => {
    const { medium, wide } = live.breakpoints;
    return [
      Math.min(USUAL.narrow, medium - 1),
      Math.min(Math.max(USUAL.medium, medium), wide - 1),
      Math.max(USUAL.wide, wide),
    ];
  });

  /** Every dropdown and panel, those with a problem first. */
  const drops = computed(() =>
    fit.lanes
      .flatMap((lane) => {
        const { part, item } = lane;
        if (item === undefined || copy.document === null) return [];
        const problem = work.shownProblems.find((one) => one.part === part && one.item === item);
        return [
          {
            part,
            item,
            name: laneName(copy.document, lane),
            kind: laneKind(lane),
            trouble: problem === undefined ? '' : `${problemWords(problem)} ${rangeWords(problem, SPAN)}`,
          },
        ];
      })
      .sort((a, b) => Number(b.trouble !== '') - Number(a.trouble !== '')),
  );

  /**
   * The page as visitors get it, for the columns: the working copy, or what it is compared with. `isUnasked`: drawn where
   * nobody sees it, so only as much of it as is not felt. O(page).
   */
  function pageToShow(which: 'main' | 'other', isUnasked = false): ShownPage | null {
    const document = which === 'other' ? (comparing.shown?.document ?? null) : work.shown;
    if (document === null) return null;
    const menus = which === 'other' ? (comparing.shown?.menus ?? null) : null;
    const { header, side, footer, css } = renderPage(document, frame.situation, {
      ...pageChoices(document.site),
      ...(menus === null ? {} : { menus }),
      fits: work.shownFits,
      isComposed: true,
    });
    const most = isUnasked ? mostUnasked(header) : drops.value.length;
    return {
      kind: 'show',
      header,
      rest: side + footer,
      css: isUnasked ? work.sized(css) : work.dress(css),
      language: document.site.language,
      direction: document.site.direction,
      drops: drops.value.slice(0, most).map(({ part, item }) => ({ part, item })),
    };
  }

  /** What the columns of the working copy say, by their width. */
  const drawn = shallowRef<Readonly<Record<number, DrawnColumn>>>({});
  watch(
    () => frame.page,
    () => (drawn.value = {}),
  );
  function note(width: number, column: DrawnColumn): void {
    // Until they are told anew, the last ones hold.
    const findings = column.findings ?? drawn.value[width]?.findings ?? null;
    drawn.value = { ...drawn.value, [width]: { ...column, findings } };
  }

  /** What is taller than some screens; what is in the drawer counts as the drawer. */
  const tall = computed((): TallDrop[] => {
    const found = new Map<string, TallDrop>();
    drops.value.forEach(({ part, item, name }, at) => {
      widths.value.forEach((width, index) => {
        const one = drawn.value[width]?.drops[at];
        const screen = SCREENS.filter((height) => (one?.height ?? 0) > height).at(-1);
        const device = deviceClasses[index];
        if (one === undefined || screen === undefined || device === undefined) return;
        const of = one.isInDrawer
          ? { part: areaId('drawer'), name: capitalised(areaWords.drawer) }
          : { part, item, name };
        const key = `${of.part} ${of.item ?? ''}`;
        const before = found.get(key);
        const others = (before?.over ?? []).filter((other) => other.device !== device);
        const same = before?.over.find((other) => other.device === device);
        found.set(key, {
          ...of,
          over: [...others, { device, screen: Math.max(screen, same?.screen ?? 0) }],
          width: before?.width ?? width,
          scrollsInside: one.scrollsInside && before?.scrollsInside !== false,
        });
      });
    });
    return [...found.values()];
  });
  /** Unasked, not all dropdowns were opened: the contact sheet opens all. */
  const isPartial = computed(() =>
    Object.values(drawn.value).some((column) => column.drops.length < drops.value.length),
  );
  const tallAt = (part: Id | undefined, item: Id | undefined): TallDrop | null =>
    tall.value.find((one) => one.part === part && one.item === item) ?? null;

  const findings = computed((): CheckedFinding[] => {
    const found = new Map<string, CheckedFinding>();
    widths.value.forEach((width, at) => {
      const device = deviceClasses[at];
      for (const one of drawn.value[width]?.findings ?? []) {
        const key = `${one.fault} ${one.name}`;
        const before = found.get(key);
        const devices = [...(before?.devices ?? []), ...(device === undefined ? [] : [device])];
        found.set(key, { ...one, devices, width: before?.width ?? width });
      }
    });
    return [...found.values()];
  });

  return { widths, drops, pageToShow, drawn, note, tall, tallAt, isPartial, findings };
});
