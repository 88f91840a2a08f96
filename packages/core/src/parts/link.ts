import { buttonRules } from './buttonRules.ts';
import { buttonClass, classAttribute } from './attributes.ts';
import { linkTo, opening, textOf } from './html.ts';
import { linked, type PartHandler } from './partHandler.ts';

export const link: PartHandler<'link'> = {
  resolve: linked,
  html: (part, within) => [
    `<${opening('li', part, within, '')}>${linkTo(part, textOf(part), classAttribute(buttonClass(part.variant)))}</li>`,
  ],
  css: (parts) => buttonRules(parts.map(({ variant }) => variant)),
};
