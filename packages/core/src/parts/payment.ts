import { escapeHtml } from '../base/escape.ts';
import { opening } from './html.ts';
import { markRules, marksOf } from './marks.ts';
import { shownIf, type PartHandler } from './partHandler.ts';

export const payment: PartHandler<'payment'> = {
  resolve: (_, { base, document: { site } }) =>
    shownIf((site.payments ?? []).length > 0, {
      ...base,
      marks: (site.payments ?? []).map(({ name, mark }) => ({ name, path: mark.path })),
    }),
  html: (part, within, classes) => [
    `<${opening('div', part, within, ` zv-marks zv-payment${classes}`)} role="group" aria-label="${escapeHtml(within.words.payment)}">${marksOf(part)}</div>`,
  ],
  css: () => markRules,
};
