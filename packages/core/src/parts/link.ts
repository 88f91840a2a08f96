import { withUsualBadge } from '../model/menuUsual.ts';
import { classAttribute } from './attributes.ts';
import { buttonRules } from './buttonRules.ts';
import { entryFace, entryFaceClasses, entryFaceRules } from './entryFace.ts';
import { linkTo, opening } from './html.ts';
import { linked, type PartHandler } from './partHandler.ts';

export const link: PartHandler<'link'> = {
  resolve(part, within) {
    const badge = withUsualBadge(part.badge, within.usual);
    const base = badge === undefined ? within.base : { ...within.base, badge };
    return linked(part, { ...within, base });
  },
  html(part, within, classes) {
    const seen = entryFace({ ...part, label: part.text ?? '' });
    const face = classAttribute(entryFaceClasses(part, part.variant));
    // While it leads nowhere, which only its composer sees, it has the room and the looks of a link.
    const inner = part.href === undefined ? `<span${face}>${seen}</span>` : linkTo(part, seen, face);
    return [`<${opening('li', part, within, classes)}>${inner}</li>`];
  },
  css: (parts) => [
    ...(parts.some(({ icon, badge }) => icon !== undefined || badge !== undefined) ? entryFaceRules : []),
    ...buttonRules(parts.map(({ variant }) => variant)),
  ],
};
