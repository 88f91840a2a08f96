import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import {
  areaAround,
  areaWords,
  capitalised,
  childrenOf,
  exceptionsOf,
  meantPart,
  nodeAt,
  partName,
  partsIn,
  situationOn,
  wayUp,
  winning,
  withStandIns,
  type ExceptionOn,
  type Id,
  type Page,
  type Part,
  type PartOf,
  type Spot,
  type Scheme,
} from '@zorvik/core';
import type { HeldAs, HeldState } from '../live/frameMessages.ts';
import { bandName } from './bandName.ts';
import { useSelection } from './selection.ts';
import { useWorkingCopy } from './workingCopy.ts';

/** The page itself, or the table of all placements. */
export type FrameViewName = 'picture' | 'table';

/** The pages that a change applies to. */
export const frameScopes = ['all', 'template', 'below', 'page'] as const;
/** See `frameScopes`. */
export type FrameScope = (typeof frameScopes)[number];

/** The pictures of the page: at the width of the ruler, on a narrow screen beside it, and one to compare with. */
export type PictureName = 'main' | 'narrow' | 'other';

/** The width of a phone, in px. */
const PHONE = 390;
const NARROW_KEY = 'zorvik-narrow-picture';

/** The frame as it is looked at: on which page, what is selected, and which pages a change applies to. */
export const useFrame = defineStore('frame', () => {
  const copy = useWorkingCopy();
  const selection = useSelection();
  const wantedPage = ref<Id | null>(null);
  const partId = ref<Id | null>(null);
  const wantedScope = ref<FrameScope>('all');
  /** Where something is about to be added. */
  const adding = ref<Spot | null>(null);
  /** The picture behaves as for a visitor. */
  const isTried = ref(false);
  /** The colour scheme that pictures are shown in, where the site has more than one. */
  const scheme = ref<Scheme>('light');
  /** Menus are shown with stand-in content; null: nobody chose, and they are as long as there is none. */
  const wantedStandIns = ref<boolean | null>(null);
  const hasStandIns = computed({
    get: () => wantedStandIns.value ?? copy.document?.items.nodes.size === 0,
    set: (next) => (wantedStandIns.value = next),
  });
  /** The site as Style shows it. */
  const styled = computed(() =>
    copy.document !== null && hasStandIns.value ? withStandIns(copy.document) : copy.document,
  );
  const view = ref<FrameViewName>('picture');
  /** In which picture something is about to be added. */
  const addingIn = ref<PictureName>('main');
  /** How wide the narrow screen is, in px; and whether it is beside the wide one. */
  const narrowWidth = ref(PHONE);
  const isNarrowShown = ref(localStorage.getItem(NARROW_KEY) !== 'no');
  watch(isNarrowShown, (is) => localStorage.setItem(NARROW_KEY, is ? 'yes' : 'no'));
  /** What is held in a state on the large picture. */
  const heldState = shallowRef<HeldState | null>(null);
  /** What each picture is held as. */
  const held = ref<Record<PictureName, HeldAs>>({
    main: 'loaded',
    narrow: 'loaded',
    other: 'loaded',
  });
  const hold = (name: PictureName, as: HeldAs): void => {
    held.value = { ...held.value, [name]: as };
  };

  /** The page that is looked at: the chosen one, else the start page, else the first one. */
  const page = computed((): Page | null => {
    const { document } = copy;
    if (document === null) return null;
    const wanted = wantedPage.value === null ? undefined : document.pages.nodes.get(wantedPage.value);
    if (wanted !== undefined) return wanted;
    const tops = [...childrenOf(document.pages, document.site.id)].map((id) => nodeAt(document.pages, id));
    return tops.find(({ address }) => address === '/') ?? tops[0] ?? null;
  });
  const situation = computed(() =>
    copy.document === null
      ? { template: null, pages: [] }
      : situationOn(copy.document, page.value?.id ?? null),
  );
  const part = computed(() =>
    partId.value === null ? null : (copy.document?.parts.nodes.get(partId.value) ?? null),
  );
  /** All parts of the frame, in their order; without the exceptions. */
  const parts = computed((): readonly Part[] =>
    copy.document === null
      ? []
      : partsIn(copy.document, copy.document.site.id).filter(
          ({ kind }) => kind !== 'exception' && kind !== 'behaviour',
        ),
  );
  const isEmpty = computed(() => !parts.value.some(({ kind }) => kind === 'band'));

  /** A typical page of each template: the first one in the order of the site. */
  const templates = computed(
    (): readonly { readonly template: string; readonly page: Page; readonly count: number }[] => {
      const found = new Map<string, { template: string; page: Page; count: number }>();
      for (const one of copy.document?.pages.nodes.values() ?? []) {
        if (one.template === null || one.state !== 'live') continue;
        const known = found.get(one.template);
        if (known === undefined) found.set(one.template, { template: one.template, page: one, count: 1 });
        else known.count += 1;
      }
      return [...found.values()].sort((a, b) => b.count - a.count);
    },
  );

  const scope = computed<FrameScope>({
    get: () =>
      wantedScope.value === 'template' && situation.value.template === null ? 'all' : wantedScope.value,
    set: (next) => (wantedScope.value = next),
  });
  /** What an exception that is made now is about; null: nothing, since the change is for all pages. */
  const scopeOn = computed((): ExceptionOn | null => {
    const { template } = situation.value;
    if (scope.value === 'template' && template !== null) return { template };
    if (page.value === null || scope.value === 'all' || scope.value === 'template') return null;
    return scope.value === 'below' ? { onPage: page.value.id, isBelow: true } : { onPage: page.value.id };
  });

  /** The exception that decides about a part on the page that is looked at. */
  function deciding(id: Id): PartOf<'exception'> | null {
    return copy.document === null ? null : winning(exceptionsOf(copy.document, id), situation.value);
  }
  const isShownHere = (one: Part): boolean => deciding(one.id)?.isShown ?? one.isHidden !== true;

  /** The other places of the selected part: where it is shown again, or the part that it shows again. */
  const shownAgain = computed((): readonly Id[] => {
    const of = part.value?.kind === 'use' ? part.value.of : partId.value;
    if (of === null) return [];
    const again = parts.value.filter((one) => one.kind === 'use' && one.of === of).map(({ id }) => id);
    return [of, ...again].filter((id) => id !== partId.value);
  });
  /** A part, or what it is where it is only shown again: its facts are there. */
  function factsAt(id: Id): Part | null {
    const one = copy.document?.parts.nodes.get(id);
    return copy.document === null || one === undefined ? null : meantPart(copy.document, one);
  }
  const facts = computed(() => (partId.value === null ? null : factsAt(partId.value)));

  function select(id: Id | null): void {
    partId.value = id;
    adding.value = null;
    selection.select(null);
    // What is in the drawer can be seen only while it is open; it lies over everything else.
    const { document } = copy;
    if (id === null || document === null) return;
    const isInDrawer = (one: Id): boolean => areaAround(document, one)?.area === 'drawer';
    if (isInDrawer(id)) hold('narrow', 'drawer');
    else if (held.value.narrow === 'drawer' && !shownAgain.value.some(isInDrawer)) hold('narrow', 'loaded');
  }

  function lookAt(id: Id): void {
    wantedPage.value = id;
    adding.value = null;
  }

  // What is removed, here or elsewhere, leaves the selection to what it stood in.
  watch(
    () => copy.document,
    (now, before) => {
      if (now === null || partId.value === null || now.parts.nodes.has(partId.value)) return;
      let id: Id | null = partId.value;
      while (id !== null && !now.parts.nodes.has(id)) id = before?.parts.nodes.get(id)?.parent ?? null;
      partId.value = id !== null && nodeAt(now.parts, id).kind === 'area' ? null : id;
    },
    { flush: 'sync' },
  );

  /** Where a part stands, in words: “Header / band 2 / start”. */
  function pathOf(id: Id): string {
    const { document } = copy;
    if (document === null) return '';
    return wayUp(document, id).slice(1).map(wordOf).reverse().join(' / ');
  }

  /** What a part is called in a list: areas and zones by their names, bands and cells by their numbers. */
  function wordOf(one: Part): string {
    const { document } = copy;
    if (one.kind === 'area') return capitalised(areaWords[one.area]);
    if (one.kind === 'zone') return one.at;
    if (document === null) return one.kind;
    if (one.kind === 'band' || one.kind === 'cell') return bandName(document, one.id).toLowerCase();
    return partName(document, one);
  }

  return {
    page,
    situation,
    part,
    facts,
    factsAt,
    shownAgain,
    partId,
    parts,
    isEmpty,
    templates,
    scope,
    scopeOn,
    adding,
    isTried,
    scheme,
    hasStandIns,
    heldState,
    styled,
    view,
    addingIn,
    narrowWidth,
    isNarrowShown,
    held,
    hold,
    deciding,
    isShownHere,
    select,
    lookAt,
    pathOf,
    wordOf,
  };
});
