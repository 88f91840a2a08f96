import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { exceptionsOf, winning, type Situation } from './frameExceptions.ts';
import { resolveArea, type ResolvedArea } from './resolveFrame.ts';
import { resolveMenu } from './resolveMenu.ts';
import type { ResolvedMenu } from './resolved.ts';

/** The header of a page as its visitors get it. O(parts + menus). */
export function headerOn(
  document: SiteDocument,
  situation: Situation,
  compareTitles: (a: string, b: string) => number,
): ResolvedArea {
  const menus = new Map<Id, ResolvedMenu>();
  const menuOf = (id: Id): ResolvedMenu | null => {
    if (!document.menus.nodes.has(id)) return null;
    const menu = menus.get(id) ?? resolveMenu(document, id, { compareTitles });
    menus.set(id, menu);
    return menu;
  };
  const exceptionFor = ({ id }: { readonly id: Id }): ReturnType<typeof winning> =>
    winning(exceptionsOf(document, id), situation);
  return resolveArea({ document, compareTitles, keepsEmpty: false, menuOf, exceptionFor }, 'header');
}
