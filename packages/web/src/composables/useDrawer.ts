import { computed } from 'vue';
import {
  addDrawer,
  addToDrawer,
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
  wayUp,
  type AreaName,
  type ArrangedDevice,
  type Id,
} from '@zorvik/core';
import { useFrame } from '../stores/frame.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';

/** Small screens: the drawer, what device classes have of their own, and what visitors would not reach there. */
export function useDrawer() {
  const copy = useWorkingCopy();
  const frame = useFrame();

  const hasBands = (area: AreaName): boolean =>
    copy.document !== null && childrenOf(copy.document.parts, areaId(area)).size > 0;
  const hasButton = computed(() => frame.parts.some(({ kind }) => kind === 'menuButton'));
  /** Something is in the drawer, and a menu button opens it. */
  const isThere = computed(() => hasBands('drawer') && hasButton.value);
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
    const area =
      document === null || frame.partId === null ? undefined : wayUp(document, frame.partId).at(-1)?.area;
    return area === undefined || area === 'drawer' ? 'header' : area;
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
    hasBands,
    hasButton,
    takeover,
    takesOver,
    doesMove,
    arrangedArea,
    isApart,
    lost,
    unplaced,
    toCheck,
    add,
    arrange,
    addPart: (id: Id) => copy.perform((context) => addToDrawer(context, id)),
    place: (id: Id, device: ArrangedDevice) => copy.perform((context) => placeOnDevice(context, id, device)),
    remove: () => copy.perform((context) => removeDrawer(context)),
  };
}
