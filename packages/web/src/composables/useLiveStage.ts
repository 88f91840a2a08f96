import { computed, onBeforeUnmount, onMounted, ref, watch, type Ref } from 'vue';
import { keepInColumn, movePartTo, setPart, shapeCell } from '@zorvik/core';
import { PICTURES } from '@zorvik/contract';
import { fromStage, type FromStage, type ToStage } from '../live/messages.ts';
import { useComposer } from '../stores/composer.ts';
import { useLiveView } from '../stores/liveView.ts';
import { useSelection } from '../stores/selection.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';
import { useComposing } from './useComposing.ts';
import { useDrawing } from './useDrawing.ts';

/**
 * What the iframe may take of the window, in its own px: `peek` is what is seen while nobody is in it, `room`
 * the most.
 */
interface Heights {
  readonly peek: Ref<number>;
  readonly room: Ref<number>;
}

/**
 * The talk with the live header's iframe: what is shown, selected and composed there, and what somebody does
 * in it.
 */
export function useLiveStage(iframe: Ref<HTMLIFrameElement | null>, { peek, room }: Heights) {
  const copy = useWorkingCopy();
  const selection = useSelection();
  const live = useLiveView();
  const composer = useComposer();
  const composing = useComposing();
  const drawing = useDrawing();
  const isReady = ref(false);
  /** Somebody points at it, or has the focus in it. */
  const isActive = ref(false);
  /** The height that all in the iframe needs, open dropdowns included, in its own px. */
  const needed = ref(0);
  /** The height of the header alone, and from where to where its open dropdowns reach, in its own px. */
  const bar = ref(0);
  const span = ref({ left: 0, right: 0 });
  const isComposing = computed(() => composer.owner !== null && live.place !== 'inPage');

  const shown = computed((): ToStage | null => {
    const { document } = copy;
    const { menu } = selection;
    if (document === null || menu === null || drawing.value === null) return null;
    const { renderMenu, renderStyles, resolveMenu, sheetOf, styledIn } = drawing.value;
    const { compare } = new Intl.Collator(document.site.language, { numeric: true });
    const resolved = resolveMenu(document, menu.id, {
      compareTitles: compare,
      keepsEmpty: composer.owner !== null,
    });
    const html = renderMenu(resolved, {
      place: live.place,
      marks: true,
      styled: styledIn(document),
      pictures: PICTURES.replace(':siteKey', document.site.key),
    });
    const { name: siteName, direction } = document.site;
    return {
      kind: 'show',
      html,
      css: renderStyles(
        document.site,
        [resolved],
        undefined,
        sheetOf(document),
        PICTURES.replace(':siteKey', document.site.key),
      ),
      place: live.place,
      siteName,
      direction,
    };
  });

  function tell(message: ToStage | null): void {
    if (!isReady.value || message === null) return;
    // The sandboxed iframe has an opaque origin, which no target can name.
    iframe.value?.contentWindow?.postMessage(message, '*');
  }
  const tellHeights = (): void => tell({ kind: 'heights', peek: peek.value, room: room.value });
  const tellSelection = (): void =>
    tell({ kind: 'select', id: selection.item?.id ?? null, opens: !isActive.value });
  const tellComposing = (): void =>
    tell({ kind: 'compose', owner: isComposing.value ? composer.owner : null, part: composer.partId });

  function hear({ source, data }: MessageEvent): void {
    if (iframe.value === null || source !== iframe.value.contentWindow) return;
    const message = fromStage(data);
    if (message === null) return;
    if (message.kind !== 'ready') return heed(message);
    isReady.value = true;
    tellHeights();
    tell(shown.value);
    tellSelection();
    tellComposing();
  }

  function heed(message: FromStage): void {
    switch (message.kind) {
      case 'ready':
        return;
      case 'select':
        return selection.select(message.id);
      case 'size':
        [needed.value, bar.value] = [message.height, message.bar];
        span.value = { left: message.left, right: message.right };
        return;
      case 'active':
        return void (isActive.value = message.isActive);
      case 'boxes':
        return void (composer.boxes = message);
      case 'part':
        return composing.choose(message.id);
      case 'key':
        return void composing.press(message);
      case 'addCell':
        return composing.addCell(message.id);
      case 'column':
        return void copy.perform((context) => keepInColumn(context, message.id, message.column));
      case 'span':
        return void copy.perform((context) => shapeCell(context, message.id, message.span));
      case 'rowHeight':
        return void copy.perform((context) => setPart(context, message.id, { height: message.height }));
      case 'movePart':
        copy.perform((context) =>
          movePartTo(context, message.id, { parent: message.parent, after: message.after }),
        );
        return composing.choose(message.id);
    }
  }

  /**
   * The pointer over anything but the iframe means that it has left it; the way back has the grace that it
   * has on the site.
   */
  const GRACE = 320;
  let leaving: ReturnType<typeof setTimeout> | undefined;
  let lastPlace = '';
  function pointerOver({ target, screenX, screenY }: PointerEvent): void {
    // When something changes under where the pointer was, the browser says so again; only a pointer that
    // moved has gone anywhere.
    const place = `${screenX} ${screenY}`;
    if (place === lastPlace) return;
    lastPlace = place;
    clearTimeout(leaving);
    if (isActive.value && !isComposing.value && target !== iframe.value)
      leaving = setTimeout(() => tell({ kind: 'leave' }), GRACE);
  }

  watch(isActive, (now) => !now && tellSelection());
  watch(shown, (now) => {
    tell(now);
    // The selected item may be somewhere else now; while somebody is in the header, they decide what is open
    // there.
    if (!isActive.value) tellSelection();
  });
  watch([() => selection.item?.id, () => selection.menu?.id], tellSelection, { flush: 'post' });
  watch([peek, room], () => {
    tellHeights();
    if (!isActive.value) tellSelection();
  });
  watch(() => [isComposing.value, composer.owner, composer.partId, shown.value, peek.value], tellComposing, {
    flush: 'post',
  });

  onMounted(() => {
    window.addEventListener('message', hear);
    window.addEventListener('pointerover', pointerOver);
  });
  onBeforeUnmount(() => {
    window.removeEventListener('message', hear);
    window.removeEventListener('pointerover', pointerOver);
    clearTimeout(leaving);
  });

  return { shown, isActive, needed, bar, span, isComposing };
}
