import { isSafeAddress } from '../base/address.ts';
import { escapeHtml } from '../base/escape.ts';
import type { ResolvedPart } from '../resolve/resolved.ts';
import { looks, rule, type Rule } from '../style/rule.ts';

/** Marks in a row, each with its name for those who do not see it. */
export function marksOf({ marks = [] }: ResolvedPart): string {
  return marks
    .map(({ name, path, href }) => {
      const outline = `<svg viewBox="0 0 24 24" aria-hidden="true"><path d="${escapeHtml(path)}"/></svg>`;
      return href !== undefined && isSafeAddress(href)
        ? `<a href="${escapeHtml(href)}" aria-label="${escapeHtml(name)}" rel="me">${outline}</a>`
        : `<span role="img" aria-label="${escapeHtml(name)}">${outline}</span>`;
    })
    .join('');
}

/** The rules of rows of marks. */
export const markRules: readonly Rule[] = [
  rule('.zv-marks', 'display:flex;flex-wrap:wrap'),
  rule('.zv-marks>*', 'box-sizing:border-box;display:grid;place-items:center'),
  rule('.zv-marks svg', 'display:block;fill:currentColor'),
  rule('.zv-marks>*', 'border:1px solid ButtonText', { medium: 'forcedColors', isLate: true }),
  looks('marks', 'mark', 'markPicture'),
];
