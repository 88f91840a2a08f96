import type { PartKind } from '../schema/part.ts';
import { button } from './button.ts';
import { cell } from './cell.ts';
import { divider } from './divider.ts';
import { form } from './form.ts';
import { group } from './group.ts';
import { groups } from './groups.ts';
import { heading } from './heading.ts';
import { link } from './link.ts';
import { links } from './links.ts';
import { menu } from './menu.ts';
import { pages } from './pages.ts';
import { picture } from './picture.ts';
import { row } from './row.ts';
import { search } from './search.ts';
import { spacer } from './spacer.ts';
import { tab } from './tab.ts';
import { tabs } from './tabs.ts';
import { text } from './text.ts';
import { video } from './video.ts';
import { account } from './account.ts';
import { anchors } from './anchors.ts';
import { area } from './area.ts';
import { band } from './band.ts';
import { basket } from './basket.ts';
import { breadcrumb } from './breadcrumb.ts';
import { contact } from './contact.ts';
import { copyright } from './copyright.ts';
import { exception } from './exception.ts';
import { menuButton } from './menuButton.ts';
import { behaviour } from './behaviour.ts';
import { use } from './use.ts';
import { logo } from './logo.ts';
import { payment } from './payment.ts';
import { ownHtml } from './ownHtml.ts';
import { placement } from './placement.ts';
import { social } from './social.ts';
import { zone } from './zone.ts';
import type { PartHandler } from './partHandler.ts';

/** How each kind of part is shown; a kind that is missing fails the type check. */
export const partHandlers: { readonly [K in PartKind]: PartHandler<K> } = {
  row,
  cell,
  group,
  groups,
  links,
  link,
  heading,
  text,
  picture,
  button,
  divider,
  spacer,
  search,
  form,
  pages,
  menu,
  video,
  html: ownHtml,
  tabs,
  tab,
  area,
  band,
  zone,
  placement,
  exception,
  behaviour,
  use,
  logo,
  menuButton,
  account,
  basket,
  contact,
  social,
  payment,
  copyright,
  breadcrumb,
  anchors,
};

/** The same, for a kind that is known only when it runs. */
export function handlerOf(kind: PartKind): PartHandler {
  // Each handler is asked about parts of its own kind alone.
  return partHandlers[kind] as PartHandler;
}
