import { escapeHtml } from '../base/escape.ts';
import { opening } from './html.ts';
import { markRules, marksOf } from './marks.ts';
import { shownIf, type PartHandler } from './partHandler.ts';
import { looks } from '../style/rule.ts';

export const social: PartHandler<'social'> = {
  resolve: (_, { base, document: { site } }) =>
    shownIf((site.social ?? []).length > 0, {
      ...base,
      marks: (site.social ?? []).map(({ name, address, mark }) => ({ name, path: mark.path, href: address })),
    }),
  html(part, within, classes) {
    const filled = part.isFilled === true ? ' zv-filled' : '';
    const start = opening('div', part, within, ` zv-marks zv-social${filled}${classes}`);
    return [`<${start} role="group" aria-label="${escapeHtml(within.words.social)}">${marksOf(part)}</div>`];
  },
  css: () => [...markRules, looks('filledMark')],
};
