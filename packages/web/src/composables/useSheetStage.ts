import { computed, onBeforeUnmount, onMounted, ref, watch, type Ref } from 'vue';
import {
  previewStyles,
  renderPage,
  selectorsIn,
  states,
  thingNames,
  thingOf,
  type DeviceClass,
  type HeaderSituation,
  type State,
} from '@zorvik/core';
import { fromSheet, type SheetThing, type ToSheet } from '../live/sheetMessages.ts';
import { useFrame } from '../stores/frame.ts';
import { useStyling } from '../stores/styling.ts';
import { schemeShown } from './schemeShown.ts';
import { pageChoices } from '../stores/pageChoices.ts';

/** How large the cells of the sheet are, in px. */
export interface SheetSizes {
  readonly rowHeight: number;
  readonly cellHeight: number;
  readonly cell: number;
  readonly gap: number;
}

/** All things with their selectors, as the iframe needs them. */
const things: readonly SheetThing[] = thingNames.map((name) => ({
  name,
  states: Object.fromEntries(
    states.flatMap((state) => {
      const selector = thingOf(name).in[state];
      return selector === undefined ? [] : [[state, selectorsIn(selector)]];
    }),
  ),
}));
const knownThings: ReadonlySet<string> = new Set(thingNames);
const knownStates: ReadonlySet<string> = new Set(states);

/**
 * Breakpoints with which every window is of a device class: the sheet is as wide as the editor, whatever it shows.
 */
const always: Readonly<Record<DeviceClass, { readonly medium: number; readonly wide: number }>> = {
  narrow: { medium: 99_998, wide: 99_999 },
  medium: { medium: 1, wide: 99_999 },
  wide: { medium: 1, wide: 2 },
};

/** A header as it is once the page has been scrolled; else as it has loaded. */
function heldIn(header: string, situation: HeaderSituation | null): string {
  if (situation !== 'scrolled') return header;
  return header.replace(/^<header class="([^"]*)"/, (_, classes: string) => {
    const kept = classes.split(' ').filter((one) => one !== 'zv-over-content');
    return `<header class="${[...kept, 'zv-scrolled'].join(' ')}"`;
  });
}

/** The talk with the state sheet: what it draws, and what it has found on the page. */
export function useSheetStage(
  iframe: Ref<HTMLIFrameElement | null>,
  columns: Ref<readonly State[]>,
  sizes: Ref<SheetSizes>,
): void {
  const frame = useFrame();
  const styling = useStyling();
  const isReady = ref(false);

  const shown = computed((): ToSheet | null => {
    const document = frame.styled;
    if (document === null) return null;
    const site = { ...document.site, breakpoints: always[styling.device ?? 'wide'] };
    const { header, side, footer, skip, css } = renderPage({ ...document, site }, frame.situation, {
      ...pageChoices(site),
      isComposed: true,
    });
    return {
      kind: 'show',
      html: skip + heldIn(header, styling.situation) + side + footer,
      css: previewStyles(schemeShown(document, css, frame.scheme)),
      things,
      language: site.language,
      direction: site.direction,
    };
  });
  const rows = computed((): ToSheet => ({
    kind: 'rows',
    keys: styling.shownRows.map(({ key }) => key),
    states: columns.value,
    ...sizes.value,
  }));

  function tell(message: ToSheet | null): void {
    if (!isReady.value || message === null) return;
    // The sandboxed iframe has an opaque origin, which no target can name. What is reactive cannot be sent.
    iframe.value?.contentWindow?.postMessage(JSON.parse(JSON.stringify(message)), '*');
  }

  function hear({ source, data }: MessageEvent): void {
    if (iframe.value === null || source !== iframe.value.contentWindow) return;
    const message = fromSheet(data, knownThings, knownStates);
    if (message === null) return;
    if (message.kind === 'found') return void (styling.rows = message.rows);
    isReady.value = true;
    tell(shown.value);
    tell(rows.value);
  }

  watch(shown, tell);
  watch(rows, tell);
  onMounted(() => window.addEventListener('message', hear));
  onBeforeUnmount(() => window.removeEventListener('message', hear));
}
