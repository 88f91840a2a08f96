import { escapeHtml } from '../base/escape.ts';
import type { ResolvedPart } from '../resolve/resolved.ts';
import { deviceClasses } from '../schema/deviceClass.ts';
import { looks, rule, type Rule } from '../style/rule.ts';
import { UNSEEN } from '../style/unseen.ts';
import { glyphOf } from './glyphs.ts';

/** Icon and text of a part of a frame: which of the two is seen is a class for each device class. */
export function faceOfPart({ glyph, text = '' }: ResolvedPart, usual: string): string {
  return `${glyphOf(glyph?.path ?? usual)}<span class="zv-face-text">${escapeHtml(text)}</span>`;
}

/** The classes that say what of it is seen, each with a space before it. */
export function faceClasses({ faces = {}, isIconAbove }: ResolvedPart): string {
  const shown = deviceClasses.flatMap((device) => {
    const face = faces[device];
    return face === undefined || face === 'both' ? [] : [` zv-${face}-only-${device}`];
  });
  return `${isIconAbove === true ? ' zv-icon-above' : ''}${shown.join('')}`;
}

/** The rules of what has an icon and a text. */
export const faceRules: readonly Rule[] = [
  rule('.zv-face', 'display:inline-flex;align-items:center;max-inline-size:100%'),
  rule('.zv-face-text', 'min-inline-size:0;overflow-wrap:anywhere'),
  rule('.zv-icon-above :is(.zv-face,.zv-action-link)', 'flex-direction:column', { weight: 1 }),
  rule('.zv-glyph', 'flex:none;display:block;fill:currentColor'),
  ...deviceClasses.flatMap((device) => [
    rule(`.zv-icon-only-${device} .zv-face-text`, UNSEEN, { medium: device, isLate: true }),
    rule(`.zv-text-only-${device} .zv-glyph`, 'display:none', { medium: device }),
  ]),
  looks('face', 'glyph'),
];
