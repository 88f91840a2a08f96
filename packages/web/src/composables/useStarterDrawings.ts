import { computed, type ComputedRef, type Ref } from 'vue';
import {
  chosenStarter,
  emptyForest,
  escapeHtml,
  renderPage,
  starterByKey,
  starterKeys,
  type AreaName,
  type SiteDocument,
} from '@zorvik/core';
import { useFrame } from '../stores/frame.ts';
import { pageChoices } from '../stores/pageChoices.ts';

/** A starter as it is offered. */
export interface DrawnStarter {
  readonly key: string;
  readonly name: string;
  readonly about: string;
  readonly isOwn: boolean;
  readonly isChosen: boolean;
  /** A whole page of HTML: this site's own header with a panel open, or the area that it is for. */
  readonly page: string;
}

/**
 * All starters, the shipped and the saved, each drawn with this site. `area`: where it would be; null: the whole site.
 * `isPlain`: without what was set by hand.
 */
export function useStarterDrawings(
  area: Ref<AreaName | null>,
  isPlain: Ref<boolean>,
): ComputedRef<DrawnStarter[]> {
  const frame = useFrame();
  function drawn(document: SiteDocument, key: string): string {
    const { site } = document;
    const shown: SiteDocument = {
      ...document,
      ...(isPlain.value ? { styles: emptyForest(), tokens: emptyForest() } : {}),
      site:
        area.value === null
          ? { ...site, starter: key, areaStarters: {} }
          : { ...site, areaStarters: { ...site.areaStarters, [area.value]: key } },
    };
    const { header, side, footer, css } = renderPage(shown, frame.situation, {
      ...pageChoices(site),
    });
    const body = {
      site: () => opened(header),
      header: () => opened(header),
      side: () => `<div class="beside">${side}</div>`,
      footer: () => footer,
      drawer: () => openDrawer(header + side + footer),
    }[area.value ?? 'site']();
    return `<!doctype html><html lang="${escapeHtml(site.language)}" dir="${site.direction}"><head><style>${css}</style><style>${PAGE}</style></head><body>${body}</body></html>`;
  }

  return computed(() => {
    const document = frame.styled;
    if (document === null) return [];
    const { site } = document;
    const chosen = chosenStarter(site, area.value).key;
    return [...starterKeys, ...Object.keys(site.ownStarters ?? {})].flatMap((key) => {
      const starter = starterByKey(site, key);
      if (starter === null) return [];
      const { name, about, own } = starter;
      const isOwn = own !== undefined;
      return { key, name, about, isOwn, isChosen: key === chosen, page: drawn(document, key) };
    });
  });
}

/** A header whose first panel is open, or else its first dropdown. */
function opened(header: string): string {
  const { body } = new DOMParser().parseFromString(header, 'text/html');
  const button =
    [...body.querySelectorAll('.zv-bar>ul>li>.zv-panel')]
      .map((panel) => panel.parentElement?.querySelector(':scope>button'))
      .find((one) => one !== null && one !== undefined) ?? body.querySelector('.zv-bar>ul>li>button');
  button?.setAttribute('aria-expanded', 'true');
  for (const menu of body.querySelectorAll('.zv-bar')) menu.setAttribute('data-zv-on', '');
  // Over a picture, a header is not seen as it is elsewhere.
  for (const one of body.querySelectorAll('.zv-overlaid'))
    one.classList.remove('zv-overlaid', 'zv-over-content');
  return body.innerHTML;
}

/** The drawer alone, as it is when it is open. */
function openDrawer(page: string): string {
  const drawer = new DOMParser().parseFromString(page, 'text/html').querySelector('.zv-drawer');
  drawer?.setAttribute('open', '');
  return drawer?.outerHTML ?? '';
}

const PAGE =
  'html,body{height:100%;margin:0;overflow:hidden;background:#fff;font:16px/1.5 system-ui,sans-serif}.beside{max-width:300px;padding:32px}';
