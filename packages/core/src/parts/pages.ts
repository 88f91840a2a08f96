import { escapeHtml } from '../base/escape.ts';
import type { ResolvedPage } from '../resolve/resolved.ts';
import { element, titleOf } from './html.ts';
import { shownIf, type PartHandler } from './partHandler.ts';
import { looks, rule, type Rule } from '../style/rule.ts';

const rules: readonly Rule[] = [
  rule('.zv .zv-cards', 'display:grid;grid-template-columns:repeat(var(--_k,1),minmax(min(9rem,100%),1fr))'),
  rule('.zv .zv-cards>li>a', 'flex-direction:column;align-items:stretch;justify-content:flex-start'),
  rule('.zv-cards img', 'inline-size:100%;block-size:auto;aspect-ratio:3/2;object-fit:cover'),
  rule('.zv .zv-plain-list', 'columns:var(--_k,1)'),
  rule('.zv-plain-list>li', 'break-inside:avoid'),
  looks('cards', 'card', 'cardPicture', 'cardTitle', 'cardText'),
];

export const pages: PartHandler<'pages'> = {
  resolve({ source }, { base, pagesOf }) {
    const found = pagesOf(source);
    return shownIf(found.length > 0, { ...base, pages: found });
  },
  html(part, within, classes) {
    const { look, columns = 1 } = part;
    const entries = (part.pages ?? []).map(look === 'cards' ? cardOf : linkOf);
    const list = look === 'cards' ? 'zv-cards' : 'zv-plain-list';
    const several = columns > 1 ? ` zv-pages-columns-${columns}` : '';
    const inner = `${titleOf(part, within)}<ul class="${list}${several}">${entries.join('')}</ul>`;
    return element(part, within, ` zv-pages${classes}`, inner);
  },
  css: (parts) => {
    const counts = [...new Set(parts.flatMap(({ columns = 1 }) => (columns > 1 ? [columns] : [])))].sort();
    return [...rules, ...counts.map((count) => rule(`.zv-pages-columns-${count}`, `--_k:${count}`))];
  },
};

function linkOf({ href, label }: ResolvedPage): string {
  return `<li><a href="${escapeHtml(href)}">${escapeHtml(label)}</a></li>`;
}

function cardOf({ label, href, picture, summary }: ResolvedPage): string {
  const image =
    picture === undefined
      ? ''
      : `<img src="${escapeHtml(picture)}" width="480" height="320" alt="" loading="lazy" decoding="async">`;
  const line = summary === undefined ? '' : `<small>${escapeHtml(summary)}</small>`;
  return `<li><a href="${escapeHtml(href)}">${image}<b>${escapeHtml(label)}</b>${line}</a></li>`;
}
