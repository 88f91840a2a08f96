import { defineStore } from 'pinia';
import { computed } from 'vue';
import {
  addDrawer,
  addToDrawer,
  areaAround,
  areaFacts,
  areaId,
  arrangeApart,
  arrangementOf,
  arrangeTogether,
  behaviourId,
  behaviours,
  childrenOf,
  lostParts,
  notPlaced,
  placeOnDevice,
  removeDrawer,
  usesInDrawer,
  type AreaName,
  type ArrangedDevice,
  type Id,
} from '@zorvik/core';
import { useFrame } from './frame.ts';
import { useWorkingCopy } from './workingCopy.ts';

/** Small screens: the drawer, what device classes have of their own, and what visitors would not reach there. */
export const useDrawer = defineStore('drawer', () => {
  const copy = useWorkingCopy();
  const frame = useFrame();

  /** Something is in the drawer, and a menu button opens it. */
  const isThere = computed(
    () =>
      copy.document !== null &&
      childrenOf(copy.document.parts, areaId('drawer')).size > 0 &&
      frame.parts.some(({ kind }) => kind === 'menuButton'),
  );
  const takeover = computed(() =>
    copy.document === null
      ? 'never'
      : (areaFacts(copy.document, 'drawer').takeover ?? copy.document.site.breakpoints.medium),
  );
  const takesOver = (px: number): boolean =>
    takeover.value === 'always' || (typeof takeover.value === 'number' && px < takeover.value);
  /** The header does something while the page scrolls. */
  const doesMove = computed(() =>
    behaviours.some((does) => copy.document?.parts.nodes.has(behaviourId(areaId('header'), does)) === true),
  );

  /** The area that the selection is in, if it can be arranged for a device class; else the header. */
  const arrangedArea = computed((): AreaName => {
    const { document } = copy;
    const area = document === null || frame.partId === null ? null : areaAround(document, frame.partId);
    return area === null || area.area === 'drawer' ? 'header' : area.area;
  });
  const isApart = (area: AreaName, device: ArrangedDevice): boolean =>
    copy.document !== null && arrangementOf(copy.document, area, device).length > 0;

  /** What is not within reach somewhere, though it is on wide screens. */
  const lost = computed(() => (copy.document === null ? [] : lostParts(copy.document)));
  /** What an arrangement of a device class does not show. */
  const unplaced = computed((): { readonly id: Id; readonly on: ArrangedDevice }[] => {
    const { document } = copy;
    if (document === null) return [];
    return (['header', 'side', 'footer'] as const).flatMap((area) =>
      (['medium', 'narrow'] as const).flatMap((on) =>
        notPlaced(document, area, on).map(({ id }) => ({ id, on })),
      ),
    );
  });
  /** What the drawer has, and cannot be reached, has a menu button that is missing there. */
  const isInDrawer = (id: Id): boolean => copy.document !== null && usesInDrawer(copy.document).has(id);
  const selectButton = (): void =>
    frame.select(frame.parts.find(({ kind }) => kind === 'menuButton')?.id ?? null);
  /** The parts with something to check, each once. */
  const toCheck = computed((): readonly Id[] => [
    ...new Set([...lost.value.map(({ part }) => part.id), ...unplaced.value.map(({ id }) => id)]),
  ]);

  function add(): void {
    if (copy.perform((context) => addDrawer(context)).ok) frame.hold('narrow', 'drawer');
  }
  function arrange(area: AreaName, device: ArrangedDevice, isOwn: boolean): void {
    copy.perform((context) =>
      isOwn ? arrangeApart(context, area, device) : arrangeTogether(context, area, device),
    );
  }

  return {
    isThere,
    takeover,
    takesOver,
    doesMove,
    arrangedArea,
    isApart,
    lost,
    unplaced,
    toCheck,
    isInDrawer,
    selectButton,
    add,
    arrange,
    addPart: (id: Id) => copy.perform((context) => addToDrawer(context, id)),
    place: (id: Id, device: ArrangedDevice) => copy.perform((context) => placeOnDevice(context, id, device)),
    remove: () => copy.perform((context) => removeDrawer(context)),
  };
});
