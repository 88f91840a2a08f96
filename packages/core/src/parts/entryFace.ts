import { escapeHtml } from '../base/escape.ts';
import type { ResolvedItem } from '../resolve/resolved.ts';
import { looks, rule, type Rule } from '../style/rule.ts';
import { buttonClass } from './attributes.ts';

/** What is seen of an entry of a list: of an item, or of a link that is only in a panel. */
export type EntryFace = Pick<ResolvedItem, 'label' | 'labelHidden' | 'description' | 'icon' | 'badge'>;

/**
 * Label, description, icon and badge. The label stays for those who do not see the icon that stands for it.
 */
export function entryFace({ label, labelHidden, description, icon, badge }: EntryFace): string {
  const escaped = escapeHtml(label);
  if (icon === undefined && badge === undefined && description === undefined) return escaped;
  const isHidden = labelHidden === true && icon !== undefined;
  const line = description === undefined ? '' : `<small>${escapeHtml(description)}</small>`;
  const text = isHidden
    ? `<i class="zv-visually-hidden">${escaped}</i>${line}`
    : line === ''
      ? escaped
      : `<i class="zv-label">${escaped}${line}</i>`;
  const sign =
    icon === undefined
      ? ''
      : `<svg${icon.position === 'after' ? ' class="zv-after"' : ''} viewBox="0 0 24 24" aria-hidden="true"><path d="${escapeHtml(icon.path)}"/></svg>`;
  const mark =
    badge === undefined
      ? ''
      : `<b class="zv-badge${badge.position === 'before' ? ' zv-before' : ''}">${escapeHtml(badge.text)}</b>`;
  const withSign = icon?.position === 'after' ? text + sign : sign + text;
  return badge?.position === 'before' || badge?.position === 'above' ? mark + withSign : withSign + mark;
}

/** The classes of what has such a face, each with a space before it. */
export function entryFaceClasses(
  { icon, badge }: Pick<EntryFace, 'icon' | 'badge'>,
  look: string | undefined,
): string {
  const isStacked = icon?.position === 'above' || badge?.position === 'above';
  return `${buttonClass(look)}${isStacked ? ' zv-face-stacked' : ''}`;
}

/** The rules of icons, badges and descriptions. */
export const entryFaceRules: readonly Rule[] = [
  rule('.zv li>*>svg', 'flex:none'),
  rule('.zv li>*>svg', 'fill:currentColor'),
  rule('.zv li>*>i', 'font-style:normal'),
  rule('.zv small', 'display:block'),
  rule('.zv li>:has(>.zv-badge)', 'flex-wrap:wrap'),
  rule('.zv-badge', 'box-sizing:border-box;max-inline-size:100%;overflow-wrap:anywhere'),
  rule('.zv li>.zv-face-stacked', 'flex-direction:column;justify-content:center;text-align:center'),
  rule('.zv .zv-face-stacked>*', 'margin-inline:0', { isLate: true }),
  rule('.zv-badge', 'border:1px solid ButtonText', {
    medium: 'forcedColors',
    isLate: true,
  }),
  looks('icon', 'iconAfter', 'description', 'badge', 'badgeBefore'),
];
