import { escapeHtml } from '../base/escape.ts';
import type { Slot } from './renderFrame.ts';

/** What is known of a page where its slots are filled. */
export interface PageFacts {
  /** Its title and address, and those of the pages above it, the outermost first; empty: no page is known. */
  readonly way: readonly { readonly title: string; readonly path: string }[];
  readonly anchors: readonly { readonly id: string; readonly title: string }[];
  readonly year: number;
  /** Null: nobody knows the template of the page. */
  readonly template: string | null;
}

/** What is put into a slot on a page; nothing where the page has nothing of the kind. */
export function fillSlot({ kind, facts }: Slot, { way, anchors, year, template }: PageFacts): string {
  const [label = '', start = ''] = facts;
  if (kind === 'year') return String(year);
  if (kind === 'template') return template === null ? '' : ` data-zv-template="${escapeHtml(template)}"`;
  if (kind === 'anchors') {
    if (anchors.length === 0) return '';
    const entries = anchors.map(
      ({ id, title }) => `<li><a href="#${escapeHtml(encodeURIComponent(id))}">${escapeHtml(title)}</a></li>`,
    );
    return `<nav aria-label="${escapeHtml(label)}"><h2 class="zv-anchors-title">${escapeHtml(label)}</h2><ul>${entries.join('')}</ul></nav>`;
  }
  const below = way.filter(({ path }) => path !== '/');
  if (below.length === 0) return '';
  const entries = below.map(({ title, path }, at) =>
    at === below.length - 1
      ? `<li><span aria-current="page">${escapeHtml(title)}</span></li>`
      : `<li><a href="${escapeHtml(path)}">${escapeHtml(title)}</a></li>`,
  );
  return `<nav aria-label="${escapeHtml(label)}"><ol><li><a href="/">${escapeHtml(start)}</a></li>${entries.join('')}</ol></nav>`;
}
