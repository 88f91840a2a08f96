import { element, imageOf, linkTo, ratioClass, roundedClass, textOf } from './html.ts';
import { linked, type PartHandler } from './partHandler.ts';
import { pictureRules } from './pictureRules.ts';
import { looks, rule, type Rule } from '../style/rule.ts';

const rules: readonly Rule[] = [
  rule('.zv-video>:is(a,span)', 'display:block'),
  rule('.zv-poster', 'position:relative;display:block'),
  rule(
    '.zv-poster::after',
    'content:"";position:absolute;inset:0;margin:auto;background-position:35% 50%;background-size:45% 50%;background-repeat:no-repeat',
  ),
  looks('video', 'poster', 'playMark'),
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
