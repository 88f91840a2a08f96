import { computed, onBeforeUnmount, onMounted, ref, watch, type ComputedRef, type Ref } from 'vue';
import {
  HIGHEST_BAND,
  isEqual,
  LEAST_AREA,
  LEAST_BAND,
  LEAST_LOGO,
  menuOf,
  MOST_AREA,
  MOST_LOGO,
  pathKey,
  renderPage,
  type Id,
  type ResolvedMenu,
  type SiteDocument,
} from '@zorvik/core';
import { fromFrame, type FromFrame, type ToFrame } from '../live/frameMessages.ts';
import { useComparing } from '../stores/comparing.ts';
import { useFit } from '../stores/fit.ts';
import { useFitWork } from '../stores/fitWork.ts';
import { useFrame, type PictureName } from '../stores/frame.ts';
import { useNotices } from '../stores/notices.ts';
import { useReadability } from '../stores/readability.ts';
import { useSelection } from '../stores/selection.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';
import { schemeShown } from './schemeShown.ts';
import { useFraming } from './useFraming.ts';
import { pageChoices } from '../stores/pageChoices.ts';

/**
 * The page that is looked at, drawn once for all its pictures. `shown`: the site that is drawn. `dress`: what is done
 * with its style sheet. `menus`: its menus, where they are not those of the site.
 */
export function useDrawnPage(
  shown: () => SiteDocument | null,
  dress = (css: string): string => css,
  menus: () => ReadonlyMap<string, ResolvedMenu> | null = () => null,
): ComputedRef<ToFrame | null> {
  const frame = useFrame();
  const fit = useFit();
  const work = useFitWork();
  return computed((): ToFrame | null => {
    const document = shown();
    if (document === null) return null;
    const { site } = document;
    const own = menus();
    const {
      skip: _,
      css,
      ...page
    } = renderPage(document, frame.situation, {
      ...pageChoices(site),
      ...(own === null ? {} : { menus: own }),
      fits: fit.isWhole ? work.shownFits : fit.fits,
      isComposed: !frame.isTried,
    });
    return {
      kind: 'show',
      ...page,
      css: dress(schemeShown(document, css, frame.scheme)),
      title: frame.page?.title ?? site.name,
      language: site.language,
      direction: site.direction,
      limits: {
        band: [LEAST_BAND, HIGHEST_BAND],
        logo: [LEAST_LOGO, MOST_LOGO],
        area: [LEAST_AREA, MOST_AREA],
      },
    };
  });
}

/** What somebody does in a picture that its view answers. */
export interface StageHandlers {
  readonly adds: (x: number, y: number) => void;
  readonly renames: (item: Id) => void;
  /** Which picture it is. */
  readonly name: PictureName;
}

/** The talk with one live picture of the page: what it shows, and what somebody does in it. */
export function useFrameStage(
  iframe: Ref<HTMLIFrameElement | null>,
  shown: Ref<ToFrame | null>,
  { adds, renames, name }: StageHandlers,
) {
  const copy = useWorkingCopy();
  const frame = useFrame();
  const framing = useFraming();
  const selection = useSelection();
  const notices = useNotices();
  const readability = useReadability();
  const fit = useFit();
  const work = useFitWork();
  const comparing = useComparing();
  const isReady = ref(false);
  // The picture comes and goes with the view: a new one says when it is ready.
  watch(iframe, () => (isReady.value = false));
  /** How high the whole page is, in its own px. */
  const pageHeight = ref(0);

  function tell(message: ToFrame | null): void {
    if (!isReady.value || message === null) return;
    // The sandboxed iframe has an opaque origin, which no target can name. What is reactive cannot be sent.
    iframe.value?.contentWindow?.postMessage(JSON.parse(JSON.stringify(message)), '*');
  }
  const tellSelection = (): void =>
    tell({ kind: 'select', part: frame.partId, again: frame.shownAgain, item: selection.item?.id ?? null });
  const tellHeld = (): void => tell({ kind: 'hold', as: frame.held[name] });
  const tellAdding = (): void => tell({ kind: 'adding', spot: frame.adding });
  /** In Fit, what does not fit is marked, or what differs; elsewhere, what is hard to read. */
  const signs = computed(() => {
    if (comparing.other !== null && fit.isWhole) return comparing.signs[name === 'other' ? 'other' : 'main'];
    return fit.isWhole ? work.signs : readability.signs;
  });
  const tellSigns = (): void => tell({ kind: 'signs', signs: signs.value });
  /** In Fit, the dropdown that is chosen is open. */
  const opened = computed(() => {
    const { part, item } = (fit.isWhole ? fit.chosen : null) ?? {};
    return part === undefined || item === undefined ? null : { part, item };
  });
  const tellOpen = (): void => tell({ kind: 'open', entry: opened.value });
  const tellPath = (): void => tell({ kind: 'path', isOn: work.hasPath });
  const tellState = (): void => tell({ kind: 'state', of: name === 'main' ? frame.heldState : null });
  const tellTrying = (): void => tell({ kind: 'try', isOn: frame.isTried });

  function hear({ source, data }: MessageEvent): void {
    if (iframe.value === null || source !== iframe.value.contentWindow) return;
    const message = fromFrame(data);
    if (message === null) return;
    if (message.kind !== 'ready') return heed(message);
    isReady.value = true;
    tell(shown.value);
    tellSelection();
    tellAdding();
    tellTrying();
    tellHeld();
    tellSigns();
    tellState();
    if (opened.value !== null) tellOpen();
    if (work.hasPath) tellPath();
  }

  function heed(message: FromFrame): void {
    switch (message.kind) {
      case 'ready':
        return;
      case 'part':
        return frame.select(message.id);
      case 'item':
        return selectItem(message.id);
      case 'rename':
        selectItem(message.id);
        return renames(message.id);
      case 'add':
        frame.addingIn = name;
        return framing.startAdding({ parent: message.parent, after: message.after });
      case 'mark':
        return adds(message.x, message.y);
      case 'move':
        return framing.move(message.id, { parent: message.parent, after: message.after });
      case 'height':
        return void (pageHeight.value = message.height);
      case 'size':
        return framing.resize(message.id, message.size);
      case 'drawer':
        return frame.hold(name, message.isOpen ? 'drawer' : 'loaded');
      case 'file':
        return void framing.takeLogo(message.id, message.file);
      case 'fix':
        return fit.isWhole
          ? work.chooseAt(message.part, message.item)
          : readability.fixAt(message.part, message.item);
      case 'path': {
        const { kind: _, ...path } = message;
        return void (name === 'main' && (work.path = path));
      }
      case 'scroll':
        return void (comparing.top = message.top);
      case 'visit':
        return visit(message.path);
      case 'key':
        return void framing.press(message);
    }
  }

  /** An entry of a menu is an item of that menu, which the other workspaces have selected then, too. */
  function selectItem(id: Id): void {
    const { document } = copy;
    if (document?.items.nodes.has(id) !== true) return;
    selection.showMenu(menuOf(document, id).key);
    selection.select(id);
  }

  function visit(path: string): void {
    const { document } = copy;
    const wanted = pathKey(path);
    const found = [...(document?.pages.nodes.values() ?? [])].find(
      ({ address, state }) => state !== 'gone' && pathKey(address) === wanted,
    );
    if (found === undefined) return notices.say(`${path} is not a page of this site.`);
    frame.lookAt(found.id);
  }

  watch(shown, tell);
  watch([() => frame.partId, () => selection.item?.id], tellSelection, { flush: 'post' });
  watch(() => frame.held[name], tellHeld);
  watch(() => frame.adding, tellAdding);
  watch(() => frame.isTried, tellTrying);
  // Marks are drawn anew then: not under somebody's pointer for nothing.
  watch(signs, (now, before) => !isEqual(now, before) && tellSigns());
  watch(() => frame.heldState, tellState);
  watch(opened, tellOpen);
  watch(() => work.hasPath, tellPath);
  watch(
    () => comparing.top,
    (top) => comparing.other !== null && tell({ kind: 'scrollTo', top }),
  );
  onMounted(() => window.addEventListener('message', hear));
  onBeforeUnmount(() => window.removeEventListener('message', hear));

  return { pageHeight };
}
