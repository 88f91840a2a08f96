import type { ResolvedMenu } from '../resolve/resolved.ts';
import { resolvedParts } from './resolvedParts.ts';
import { pictureRatios, type PartKind } from '../schema/part.ts';

/**
 * What composed panels need of the style sheet, for the kinds of part that are in use; empty where nobody
 * composed one. O(parts).
 */
export function partStyles(menus: readonly ResolvedMenu[]): string {
  const parts = menus.flatMap(({ items }) => items.flatMap(resolvedParts));
  if (parts.length === 0) return '';
  const kinds = new Set(parts.map(({ kind }) => kind));
  const used = (...some: PartKind[]): boolean => some.some((kind) => kinds.has(kind));
  const spans = [...new Set(parts.flatMap(({ span }) => span ?? []))].sort((a, b) => a - b);
  const heights = [...new Set(parts.flatMap(({ height }) => height ?? []))].sort((a, b) => a - b);
  const counts = [
    ...new Set(
      parts.flatMap(({ kind, columns }) =>
        kind === 'pages' && columns !== undefined && columns > 1 ? [columns] : [],
      ),
    ),
  ].sort();
  const tabs = Math.max(
    0,
    ...parts.filter(({ kind }) => kind === 'tabs').map((part) => part.parts?.length ?? 0),
  );
  return [
    `/* Panel contents: a grid of twelve columns, and the parts in its cells. */
.zv-rows{gap:1rem}
.zv-r{display:grid;grid-template-columns:repeat(12,minmax(0,1fr));gap:1rem 1.5rem;align-items:start}
.zv-cell{display:flex;flex-direction:column;gap:.75rem;min-inline-size:0}
.zv-across{flex-flow:row wrap}
.zv-across>*{flex:1 1 9rem;min-inline-size:0}
.zv-all.zv-all,.zv-only-medium,.zv-only-narrow{display:none}
.zv-heads>li:has(>ul)>:is(a,span){font-weight:600}
.zv-heads>li+li:has(>ul){margin-block-start:.75rem}
.zv-groups{display:grid;grid-template-columns:repeat(var(--_columns,1),minmax(0,1fr));gap:.75rem 1.5rem}
.zv .zv-title{margin:0;padding:.25rem .5rem;font:inherit;font-weight:650}
.zv-title>a{display:block;margin:-.25rem -.5rem;padding:.25rem .5rem;border-radius:var(--_radius);color:inherit;text-decoration:none}
.zv-title>a:hover{background:var(--_tint)}
.zv-rows :is(a,input,label):focus-visible,.zv-tabs>input:focus-visible+label{outline:2px solid var(--_accent);outline-offset:-2px}
.zv-stacked .zv-cell{grid-column:span 12}
.zv-stacked .zv-groups{--_columns:1}
`,
    ...spans.map((span) => `.zv-s${span}{grid-column:span ${span}}`),
    ...heights.map((height) => `.zv-h${height}{min-block-size:${height}px}`),
    used('text') ? PROSE : '',
    used('picture', 'video') ? PICTURE : '',
    used('video') ? VIDEO : '',
    used('button') ? PRESS : '',
    used('divider')
      ? '.zv .zv-line{inline-size:100%;margin:.25rem 0;border:0;border-block-start:1px solid var(--_edge)}'
      : '',
    used('search') ? SEARCH : '',
    used('pages') ? PAGES : '',
    ...counts.map((count) => `.zv-k${count}{--_k:${count}}`),
    tabs > 0 ? TABS + tabRules(tabs) : '',
  ]
    .filter((rule) => rule !== '')
    .map((rule) => (rule.endsWith('\n') ? rule : `${rule}\n`))
    .join('');
}

const PROSE = `.zv-prose{padding:.25rem .5rem;font-weight:400}
.zv-prose p{margin:0}
.zv-prose>p+*,.zv-prose>*+p{margin-block-start:.5em}
.zv .zv-prose :is(ul,ol){display:block;padding-inline-start:1.25em;list-style:disc}
.zv .zv-prose ol{list-style:decimal}
.zv .zv-prose li{display:list-item}
.zv-prose a{color:var(--_accent)}`;

const PICTURE = `.zv-picture>a{display:block}
:is(.zv-picture,.zv-poster) img{display:block;inline-size:100%;block-size:auto;background:var(--_tint)}
.zv-rounded img{border-radius:calc(var(--_radius)*1.5)}
${pictureRatios.map((ratio) => `.zv-ratio-${ratio.replace('/', '-')} img{aspect-ratio:${ratio};object-fit:cover}`).join('')}.zv-whole.zv-whole img{object-fit:contain}
.zv-cell:first-child>.zv-bled{margin-inline-start:calc(-1*var(--_inset))}
.zv-cell:last-child>.zv-bled{margin-inline-end:calc(-1*var(--_inset))}
.zv-top>.zv-cell>.zv-bled:first-child{margin-block-start:calc(-1*var(--_inset))}
.zv-bottom>.zv-cell>.zv-bled:last-child{margin-block-end:calc(-1*var(--_inset))}`;

const VIDEO = `.zv-video>:is(a,span){display:block;color:inherit;font-weight:600;text-decoration:none}
.zv-video>a:hover{text-decoration:underline}
.zv-poster{position:relative;display:block;min-block-size:5rem;margin-block-end:.5rem;border-radius:var(--_radius);background:var(--_tint)}
.zv-poster::after{content:"";position:absolute;inset:0;inline-size:3rem;block-size:3rem;margin:auto;border-radius:50%;background:conic-gradient(from 60deg at 30% 50%,#fff 60deg,#0000 0) 35% 50%/45% 50% no-repeat #000b}`;

const PRESS = `.zv .zv-press{display:inline-flex;align-items:center;min-height:2.75rem;margin-inline:.5rem;padding:.375rem 1.1rem;border-radius:var(--_radius);background:var(--zv-button,var(--_accent));color:var(--zv-button-ink,#fff);font-weight:600;text-decoration:none}
.zv a.zv-press:hover{background:var(--zv-button-hover,var(--_ink))}
@media (forced-colors:active){.zv .zv-press{border:1px solid ButtonText}}`;

const SEARCH = `.zv-search{display:grid;grid-template-columns:minmax(0,1fr) auto;gap:.25rem .5rem;padding:.25rem .5rem}
.zv-search label{grid-column:1/-1;font-weight:600}
.zv-search :is(input,button){box-sizing:border-box;min-inline-size:0;min-block-size:2.5rem;padding:.25rem .75rem;border:1px solid currentColor;border-radius:var(--_radius);background:var(--_paper);color:inherit;font:inherit}
.zv-search button{border-color:#0000;background:var(--zv-button,var(--_accent));color:var(--zv-button-ink,#fff);cursor:pointer}
.zv-search svg{display:block}
.zv-bar .zv-search button::after{content:none}
@media (forced-colors:active){.zv-search button{border-color:ButtonText}}`;

const PAGES = `.zv .zv-cards{display:grid;grid-template-columns:repeat(var(--_k,1),minmax(min(9rem,100%),1fr));gap:.75rem}
.zv .zv-cards>li>a{flex-direction:column;align-items:stretch;justify-content:flex-start;gap:.25rem;padding:.5rem}
.zv-cards img{inline-size:100%;block-size:auto;aspect-ratio:3/2;object-fit:cover;border-radius:var(--_radius);background:var(--_tint)}
.zv-cards b{font-weight:600}
.zv-cards small{font-size:.85em;font-weight:400}
.zv .zv-plain-list{columns:var(--_k,1)}
.zv-plain-list>li{break-inside:avoid}`;

const TABS = `.zv-tabs{position:relative;display:flex;flex-wrap:wrap;gap:0 .25rem}
.zv-tabs>input{position:absolute;opacity:0;pointer-events:none}
.zv-tabs>label{padding:.5rem .75rem;border-block-end:2px solid #0000;border-radius:var(--_radius) var(--_radius) 0 0;cursor:pointer}
.zv-tabs>label:hover{background:var(--_tint)}
.zv-tabs>input:checked+label{border-color:var(--_accent);font-weight:600}
.zv-tab{display:none;flex:1 0 100%;flex-direction:column;gap:.75rem;min-inline-size:0;padding-block-start:.75rem;border-block-start:1px solid var(--_edge);margin-block-start:-1px}
`;

function tabRules(count: number): string {
  const pairs = Array.from(
    { length: count },
    (_, at) => `.zv-tabs>input:nth-of-type(${at + 1}):checked~.zv-tab:nth-of-type(${at + 1})`,
  );
  return `${pairs.join(',')}{display:flex}`;
}
