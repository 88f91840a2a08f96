import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { childrenOf, placementOf, type DeviceClass } from '@zorvik/core';
import { useComposer } from './composer.ts';
import { useDetails } from './details.ts';
import { useSelection } from './selection.ts';
import { useWorkingCopy } from './workingCopy.ts';

export const NARROWEST = 320;
export const WIDEST = 1920;
/** The width of the live header at first, and what a device class is shown at. */
export const FIRST_WIDTH = 1252;
/**
 * A bar with many rows is seen whole up to this height; and the least height at which another place is of
 * use. In px.
 */
const HIGHEST_BAR = 170;
const PLACE_HEIGHT = 96;
/**
 * What the rest of the window needs, in px: the bars, the details, and 400 px of the menu. What is left over
 * shows dropdowns.
 */
const REST = 743;
const MOST_AT_FIRST = 340;
/** The menu keeps at least this much however high the header is dragged, in px. */
const MENU_LEAST = 180;
const KEY = 'zorvik-live-height';

/**
 * How the live header is shown: its width in CSS px, its height in the window, and whether a dropdown lies
 * over the work.
 */
export const useLiveView = defineStore('liveView', () => {
  const copy = useWorkingCopy();
  const selection = useSelection();
  const details = useDetails();
  const composer = useComposer();
  const width = ref(FIRST_WIDTH);
  /** The width that the window gives while nobody has chosen another. */
  const followed = ref(FIRST_WIDTH);
  const isWidthChosen = computed(() => width.value !== followed.value);

  /**
   * The header follows the window from the usual width of a desktop on; in a smaller one it is scaled, not
   * wrapped.
   */
  function follow(room: number): void {
    const isFollowing = !isWidthChosen.value;
    followed.value = Math.min(WIDEST, Math.max(FIRST_WIDTH, room));
    if (isFollowing) showFollowed();
  }

  function showFollowed(): void {
    width.value = followed.value;
  }

  const breakpoints = computed(() => copy.document?.site.breakpoints ?? { medium: 768, wide: 1024 });
  const deviceClass = computed<DeviceClass>(() => classAt(width.value));

  const windowHeight = ref(window.innerHeight);
  const windowWidth = ref(window.innerWidth);
  window.addEventListener('resize', () => {
    windowHeight.value = window.innerHeight;
    windowWidth.value = window.innerWidth;
  });
  const draggedTo = ref(heightIn(localStorage.getItem(KEY)));

  const place = computed(() => {
    const { document } = copy;
    const { menu } = selection;
    return (document === null || menu === null ? null : placementOf(document, menu.id)?.place) ?? 'inPage';
  });
  const isBar = computed(() => place.value === 'bar' || place.value === 'secondBar');
  /** The height of the header alone, as it is shown, in px of the window. */
  const barHeight = ref(62);
  const lowest = computed(() => (isBar.value ? Math.min(HIGHEST_BAR, barHeight.value) : PLACE_HEIGHT));
  /** On a phone the header is shown when somebody wants it. */
  const isUnfolded = ref(false);
  /** What the details take, as their style says, in px. */
  const bandHeight = computed(() => Math.min(200, Math.max(128, windowHeight.value / 4)));
  const highest = computed(() => Math.max(lowest.value, windowHeight.value - REST + 400 - MENU_LEAST));
  /**
   * The height of the header as it is docked above the work, in px: as dragged, or what the window has to
   * spare.
   */
  const height = computed(() => {
    const suited = Math.min(MOST_AT_FIRST, windowHeight.value - REST);
    return Math.round(Math.min(highest.value, Math.max(lowest.value, draggedTo.value ?? suited)));
  });

  function dragTo(wanted: number): void {
    draggedTo.value = Math.min(highest.value, Math.max(lowest.value, wanted));
    localStorage.setItem(KEY, String(Math.round(draggedTo.value)));
  }

  function resetHeight(): void {
    draggedTo.value = null;
    localStorage.removeItem(KEY);
  }

  /** The entry of the bar that the selected item is, or is below. */
  const branch = computed(() => {
    const { document } = copy;
    let top = selection.item;
    if (document === null || top === null || !isBar.value) return null;
    for (
      let above = document.items.nodes.get(top.parent);
      above !== undefined;
      above = document.items.nodes.get(top.parent)
    )
      top = above;
    return childrenOf(document.items, top.id).size + childrenOf(document.parts, top.id).size > 0
      ? top.id
      : null;
  });
  const isWanted = ref(false);
  /** The dropdown of the selected branch lies over the work, whole, until work goes on there. */
  const isDropdownShown = computed({
    get: () => isWanted.value && branch.value !== null && composer.owner === null,
    set: (isShown) => (isWanted.value = isShown),
  });
  /** What the details need is kept free while a dropdown's settings are open. */
  const keptFree = computed(() => (details.view === 'drops' ? bandHeight.value : 0));

  function classAt(px: number): DeviceClass {
    const { medium, wide } = breakpoints.value;
    return px < medium ? 'narrow' : px < wide ? 'medium' : 'wide';
  }

  /** A width that represents a device class: a phone, a tablet held upright, a small desktop. */
  function showClass(wanted: DeviceClass): void {
    const typical: Record<DeviceClass, number> = { narrow: 390, medium: 820, wide: followed.value };
    const { medium, wide } = breakpoints.value;
    const within: Record<DeviceClass, number> = { narrow: medium - 1, medium: wide - 1, wide: WIDEST };
    width.value = Math.min(typical[wanted], within[wanted]);
  }

  return {
    width,
    isWidthChosen,
    follow,
    showFollowed,
    breakpoints,
    deviceClass,
    classAt,
    showClass,
    windowHeight,
    windowWidth,
    place,
    isBar,
    barHeight,
    isUnfolded,
    height,
    lowest,
    highest,
    dragTo,
    resetHeight,
    branch,
    isDropdownShown,
    keptFree,
  };
});

function heightIn(kept: string | null): number | null {
  const height = Number(kept);
  return kept !== null && Number.isFinite(height) && height > 0 ? height : null;
}
