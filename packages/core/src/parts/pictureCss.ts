import { pictureRatios } from '../schema/part.ts';

/** What pictures need, be they parts or the preview images of videos. */
export const pictureCss = `.zv-picture>a{display:block}
:is(.zv-picture,.zv-poster) img{display:block;inline-size:100%;block-size:auto;background:var(--_tint)}
.zv-rounded img{border-radius:calc(var(--_radius)*1.5)}
${pictureRatios.map((ratio) => `.zv-ratio-${ratio.replace('/', '-')} img{aspect-ratio:${ratio};object-fit:cover}`).join('')}.zv-contained.zv-contained img{object-fit:contain}
.zv-cell:first-child>.zv-full-bleed{margin-inline-start:calc(-1*var(--_inset))}
.zv-cell:last-child>.zv-full-bleed{margin-inline-end:calc(-1*var(--_inset))}
.zv-first-row>.zv-cell>.zv-full-bleed:first-child{margin-block-start:calc(-1*var(--_inset))}
.zv-last-row>.zv-cell>.zv-full-bleed:last-child{margin-block-end:calc(-1*var(--_inset))}`;
