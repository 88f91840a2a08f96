import { computed, onBeforeUnmount, onMounted, ref, watch, type Ref } from 'vue';
import {
  allParts,
  frameAreas,
  pathKey,
  renderArea,
  renderStyles,
  resolveArea,
  resolveMenu,
  siteWords,
  fillSlot,
  menuOf,
  type Fragment,
  type Id,
  type PageFacts,
  type ResolvedMenu,
} from '@zorvik/core';
import { PICTURES } from '@zorvik/contract';
import { fromFrame, type FromFrame, type ToFrame } from '../live/frameMessages.ts';
import { useFrame } from '../stores/frame.ts';
import { useNotices } from '../stores/notices.ts';
import { useSelection } from '../stores/selection.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';
import { useFraming } from './useFraming.ts';

/** The talk with the live page of Frame: what it shows, and what somebody does in it. */
export function useFrameStage(
  iframe: Ref<HTMLIFrameElement | null>,
  { adds, renames }: { readonly adds: (x: number, y: number) => void; readonly renames: (item: Id) => void },
) {
  const copy = useWorkingCopy();
  const frame = useFrame();
  const framing = useFraming();
  const selection = useSelection();
  const notices = useNotices();
  const isReady = ref(false);
  // The picture comes and goes with the view: a new one says when it is ready.
  watch(iframe, () => (isReady.value = false));
  /** How high the whole page is, in its own px. */
  const pageHeight = ref(0);

  /** What is known of the page that is looked at, for the slots of its frame. */
  const facts = computed((): PageFacts => {
    const { document } = copy;
    const pages = document === null ? [] : frame.situation.pages.map((id) => document.pages.nodes.get(id));
    return {
      way: pages
        .flatMap((page) => (page === undefined ? [] : [{ title: page.title, path: page.address }]))
        .reverse(),
      anchors: frame.page?.anchors ?? [],
      year: new Date().getFullYear(),
    };
  });

  const shown = computed((): ToFrame | null => {
    const { document } = copy;
    if (document === null) return null;
    const { compare } = new Intl.Collator(document.site.language, { numeric: true });
    const isTried = frame.isTried;
    const menus = new Map<Id, ResolvedMenu>();
    const menuFor = (id: Id): ResolvedMenu | null => {
      if (!document.menus.nodes.has(id)) return null;
      const known = menus.get(id) ?? resolveMenu(document, id, { compareTitles: compare });
      menus.set(id, known);
      return known;
    };
    const choices = {
      site: document.site,
      words: siteWords(document),
      pictures: PICTURES.replace(':siteKey', document.site.key),
      marks: !isTried,
    };
    const resolved = frameAreas.map((area) => {
      const bands = resolveArea(
        {
          document,
          compareTitles: compare,
          keepsEmpty: !isTried,
          menuOf: menuFor,
          exceptionFor: ({ id }) => frame.deciding(id),
        },
        area,
      );
      return { bands, html: filled(renderArea(area, bands, choices), facts.value) };
    });
    const [header, side, footer] = resolved.map(({ html }) => html);
    const parts = resolved.flatMap(({ bands }) => allParts(bands));
    return {
      kind: 'show',
      header: header ?? '',
      side: side ?? '',
      footer: footer ?? '',
      css: renderStyles(document.site, [...menus.values()], parts),
      title: frame.page?.title ?? document.site.name,
      language: document.site.language,
      direction: document.site.direction,
    };
  });

  function tell(message: ToFrame | null): void {
    if (!isReady.value || message === null) return;
    // The sandboxed iframe has an opaque origin, which no target can name. What is reactive cannot be sent.
    iframe.value?.contentWindow?.postMessage(JSON.parse(JSON.stringify(message)), '*');
  }
  const tellSelection = (): void =>
    tell({ kind: 'select', part: frame.partId, item: selection.item?.id ?? null });
  const tellAdding = (): void => tell({ kind: 'adding', spot: frame.adding });
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
        return framing.startAdding({ parent: message.parent, after: message.after });
      case 'mark':
        return adds(message.x, message.y);
      case 'move':
        return framing.move(message.id, { parent: message.parent, after: message.after });
      case 'height':
        return void (pageHeight.value = message.height);
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
  watch(() => frame.adding, tellAdding);
  watch(() => frame.isTried, tellTrying);
  onMounted(() => window.addEventListener('message', hear));
  onBeforeUnmount(() => {
    window.removeEventListener('message', hear);
    frame.isTried = false;
    frame.adding = null;
  });

  return { pageHeight };
}

/** A fragment with its slots filled. */
function filled({ html, slots }: Fragment, facts: PageFacts): string {
  // Slots are at bytes of UTF-8.
  const bytes = new TextEncoder().encode(html);
  const decoder = new TextDecoder();
  let made = '';
  let read = 0;
  for (const slot of slots) {
    made += decoder.decode(bytes.subarray(read, slot.at)) + fillSlot(slot, facts);
    read = slot.at;
  }
  return made + decoder.decode(bytes.subarray(read));
}
