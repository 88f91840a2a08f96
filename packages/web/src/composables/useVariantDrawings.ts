import { computed, type ComputedRef } from 'vue';
import {
  escapeHtml,
  PLAIN_BUTTON,
  previewStyles,
  renderPage,
  variantClass,
  variantsOf,
  withStandIns,
  type Site,
} from '@zorvik/core';
import { useFrame } from '../stores/frame.ts';
import { pageChoices } from '../stores/pageChoices.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';
import { schemeShown } from './schemeShown.ts';

/** A variant as it is listed; the plain button is among them. */
export interface DrawnVariant {
  readonly key: string;
  readonly name: string;
  /** It is one of the site's own. */
  readonly isOwn: boolean;
  readonly uses: number;
  /** A whole page of HTML: a link that looks so, at rest, pointed at and focused. */
  readonly page: string;
}

/** The plain button and all variants, each drawn in some states. */
export function useVariantDrawings(): ComputedRef<readonly DrawnVariant[]> {
  const copy = useWorkingCopy();
  const frame = useFrame();
  const css = computed(() => {
    const { document } = copy;
    if (document === null) return '';
    const page = renderPage(withStandIns(document), frame.situation, pageChoices(document.site));
    return previewStyles(schemeShown(document, page.css, frame.scheme));
  });
  const uses = computed(() => {
    const counts = new Map<string, number>();
    const note = (key: string | undefined): void => {
      if (key !== undefined) counts.set(key, (counts.get(key) ?? 0) + 1);
    };
    const { document } = copy;
    for (const { look } of document?.items.nodes.values() ?? []) note(look);
    for (const { look } of document?.sharedLinks.nodes.values() ?? []) note(look);
    for (const { kind, variant } of document?.parts.nodes.values() ?? [])
      note(variant ?? (kind === 'button' ? PLAIN_BUTTON : undefined));
    return counts;
  });
  function drawn(key: string, name: string): string {
    const classes = `zv-button${key === PLAIN_BUTTON ? '' : ` ${variantClass(key)}`}`;
    const links = ['', 'hover', 'focus focus-within']
      .map(
        (state) => `<li><a class="${classes}" href="#" data-zv-state="${state}">${escapeHtml(name)}</a></li>`,
      )
      .join('');
    const { language = 'en', direction = 'ltr' } = copy.document?.site ?? {};
    return `<!doctype html><html lang="${escapeHtml(language)}" dir="${direction}"><head><style>${css.value}</style><style>${PAGE}</style></head><body><nav class="zv zv-list"><ul>${links}</ul></nav></body></html>`;
  }
  return computed(() => {
    const site: Pick<Site, 'variants'> = copy.document?.site ?? {};
    const own = site.variants ?? {};
    return [{ key: PLAIN_BUTTON, name: 'Button' }, ...variantsOf(site)].map(({ key, name }) => ({
      key,
      name,
      isOwn: Object.hasOwn(own, key),
      uses: uses.value.get(key) ?? 0,
      page: drawn(key, name),
    }));
  });
}

const PAGE =
  'html,body{height:100%;margin:0;overflow:hidden}body{display:grid;align-items:center;background:var(--page,#fff)}ul{display:grid!important;grid-template-columns:repeat(3,auto);justify-content:space-evenly;align-items:center}';
