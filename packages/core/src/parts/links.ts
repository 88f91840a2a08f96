import { opening, titleOf } from './html.ts';
import { holder, type PartHandler } from './partHandler.ts';

export const links: PartHandler<'links'> = {
  resolve: holder,
  html: (part, within, classes) => [
    `<${opening('div', part, within, ` zv-links${classes}`)}>${titleOf(part, within)}<ul>`,
    ...within.inside(part),
    '</ul>',
    '</div>',
  ],
};
