import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { exceptionsOf, winning, type Situation } from './frameExceptions.ts';
import type { AreaName } from '../schema/part.ts';
import { resolveArea, type ResolvedArea } from './resolveFrame.ts';
import { resolveMenu } from './resolveMenu.ts';
import type { ResolvedMenu } from './resolved.ts';

/** The areas of a page as its visitors get them, each resolved when it is asked for. O(parts + menus). */
export function areasOn(
  document: SiteDocument,
  situation: Situation,
  compareTitles: (a: string, b: string) => number,
): (area: AreaName) => ResolvedArea {
  const menus = new Map<Id, ResolvedMenu>();
  const menuOf = (id: Id): ResolvedMenu | null => {
    if (!document.menus.nodes.has(id)) return null;
    const menu = menus.get(id) ?? resolveMenu(document, id, { compareTitles });
    menus.set(id, menu);
    return menu;
  };
  const exceptionFor = ({ id }: { readonly id: Id }): ReturnType<typeof winning> =>
    winning(exceptionsOf(document, id), situation);
  return (area) => resolveArea({ document, compareTitles, keepsEmpty: false, menuOf, exceptionFor }, area);
}
