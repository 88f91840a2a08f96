import { linkTo, opening, textOf } from './html.ts';
import type { PartHandler } from './partHandler.ts';

export const heading: PartHandler<'heading'> = {
  html: (part, within, classes) => [
    `<${opening(within.heading, part, within, ` zv-title${classes}`)}>${linkTo(part, textOf(part))}</${within.heading}>`,
  ],
};
