import { account } from './account.ts';
import { anchors } from './anchors.ts';
import { areaPart } from './area.ts';
import { behaviour } from './behaviour.ts';
import { band } from './band.ts';
import { basket } from './basket.ts';
import { breadcrumb } from './breadcrumb.ts';
import { button } from './button.ts';
import { cell } from './cell.ts';
import { contact } from './contact.ts';
import { copyright } from './copyright.ts';
import type { PartDefinition } from './definePart.ts';
import { divider } from './divider.ts';
import { exception } from './exception.ts';
import { form } from './form.ts';
import { group } from './group.ts';
import { groups } from './groups.ts';
import { headingPart } from './heading.ts';
import { htmlPart } from './html.ts';
import { link } from './link.ts';
import { links } from './links.ts';
import { logo } from './logo.ts';
import { menuPart } from './menu.ts';
import { menuButton } from './menuButton.ts';
import { pages } from './pages.ts';
import { payment } from './payment.ts';
import { picturePart } from './picture.ts';
import { placement } from './placement.ts';
import { row } from './row.ts';
import { search } from './search.ts';
import { social } from './social.ts';
import { spacer } from './spacer.ts';
import { tab } from './tab.ts';
import { tabs } from './tabs.ts';
import { textPart } from './text.ts';
import { use } from './use.ts';
import { video } from './video.ts';
import { zone } from './zone.ts';

/** Every kind of part, in the order in which they are offered. All else about parts is derived from this. */
export const partDefinitions = {
  row,
  cell,
  group,
  groups,
  links,
  link,
  heading: headingPart,
  text: textPart,
  picture: picturePart,
  button,
  divider,
  spacer,
  search,
  form,
  pages,
  menu: menuPart,
  video,
  html: htmlPart,
  tabs,
  tab,
  area: areaPart,
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
} as const satisfies Readonly<Record<string, PartDefinition>>;
