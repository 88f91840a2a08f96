import { computed, type ComputedRef } from 'vue';
import {
  applyEdit,
  escapeHtml,
  frameStarters,
  isFramePreset,
  renderPage,
  seededRandom,
  situationOn,
  useFrameStarter,
  type FrameStarter,
  type Id,
  type SiteDocument,
} from '@zorvik/core';
import { useWorkingCopy } from '../stores/workingCopy.ts';
import { pageChoices } from '../stores/pageChoices.ts';

/** A starter as it is offered: with a page that shows this site in it. */
export interface OfferedStarter {
  readonly key: string;
  readonly name: string;
  readonly about: string;
  readonly of: FrameStarter | { readonly preset: Id };
  /** A whole page of HTML. */
  readonly page: string;
}

/** The starters that ship and the site's own, each drawn with this site's menus and facts. */
export function useFrameStarters(): ComputedRef<OfferedStarter[]> {
  const copy = useWorkingCopy();
  return computed(() => {
    const { document } = copy;
    if (document === null) return [];
    const own = [...document.presets.nodes.values()].filter(isFramePreset);
    return [
      ...frameStarters.map((one) => ({ ...one, of: one })),
      ...own.map(({ id, name }) => ({ key: id, name, about: 'Saved on this site', of: { preset: id } })),
    ].map(({ key, name, about, of }) => ({ key, name, about, of, page: drawn(document, of) }));
  });
}

/** A page of the site with a starter, as it would be. */
function drawn(document: SiteDocument, of: OfferedStarter['of']): string {
  const context = { document, base: 0, session: 'wdrawing', random: seededRandom(1) };
  const made = useFrameStarter(context, of);
  const applied = made.ok ? applyEdit(document, made.value) : made;
  if (!applied.ok) return '';
  const { site } = applied.value.document;
  const { header, footer, side, css } = renderPage(applied.value.document, situationOn(document, null), {
    ...pageChoices(site),
  });
  return `<!doctype html><html lang="${escapeHtml(site.language)}" dir="${site.direction}"><head><style>${css}</style><style>${PAGE}</style></head><body>${header}<div class="page">${side}<main><i></i><i></i><i></i></main></div>${footer}</body></html>`;
}

const PAGE =
  'html,body{height:100%;margin:0;overflow:hidden}body{display:flex;flex-direction:column;font:16px/1.5 system-ui,sans-serif}.page{flex:1;display:flex;gap:32px;padding:40px;min-height:120px}i{display:block;height:18px;width:700px;margin-block:22px;border-radius:9px;background:#0001}';
