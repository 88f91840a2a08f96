import { element, imageOf, linkTo, ratioClass, roundedClass, textOf } from './html.ts';
import { linked, type PartHandler } from './partHandler.ts';
import { pictureRules } from './pictureRules.ts';
import { rule, type Rule } from '../style/rule.ts';

const rules: readonly Rule[] = [
  rule('.zv-video>:is(a,span)', 'display:block;color:inherit;font-weight:600;text-decoration:none'),
  rule('.zv-video>a:hover', 'text-decoration:underline'),
  rule(
    '.zv-poster',
    'position:relative;display:block;min-block-size:5rem;margin-block-end:.5rem;border-radius:var(--_radius);background:var(--_tint)',
  ),
  rule(
    '.zv-poster::after',
    'content:"";position:absolute;inset:0;inline-size:3rem;block-size:3rem;margin:auto;border-radius:50%;background:conic-gradient(from 60deg at 30% 50%,#fff 60deg,#0000 0) 35% 50%/45% 50% no-repeat #000b',
  ),
];

export const video: PartHandler<'video'> = {
  resolve: linked,
  html(part, within, classes) {
    const image = part.picture === undefined ? '' : imageOf(part.picture, '', within);
    const poster = `<i class="zv-poster${roundedClass(part)}${ratioClass(part)}">${image}</i>`;
    return element(part, within, ` zv-video${classes}`, linkTo(part, `${poster}${textOf(part)}`));
  },
  css: () => [...pictureRules, ...rules],
};
