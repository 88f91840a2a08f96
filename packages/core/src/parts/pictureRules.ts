import { pictureRatios } from '../schema/part.ts';
import { looks, rule, type Rule } from '../style/rule.ts';

/** What pictures need, be they parts or the preview images of videos. */
export const pictureRules: readonly Rule[] = [
  rule('.zv-picture>a', 'display:block'),
  rule(':is(.zv-picture,.zv-poster) img', 'display:block;inline-size:100%;block-size:auto'),
  ...pictureRatios.map((ratio) =>
    rule(`.zv-ratio-${ratio.replace('/', '-')} img`, `aspect-ratio:${ratio};object-fit:cover`),
  ),
  rule('.zv-contained img', 'object-fit:contain', { weight: 1 }),
  rule('.zv-cell:first-child>.zv-full-bleed', 'margin-inline-start:calc(-1*var(--_inset))'),
  rule('.zv-cell:last-child>.zv-full-bleed', 'margin-inline-end:calc(-1*var(--_inset))'),
  rule('.zv-first-row>.zv-cell>.zv-full-bleed:first-child', 'margin-block-start:calc(-1*var(--_inset))'),
  rule('.zv-last-row>.zv-cell>.zv-full-bleed:last-child', 'margin-block-end:calc(-1*var(--_inset))'),
  looks('picture', 'roundedPicture', 'pictureLink'),
];
