import { childrenOf, frameLinks, linksIn, type SiteDocument } from '@zorvik/core';
import { fetchPage } from './fetchPage.ts';
import type { ReadingProblem } from './siteReading.ts';

const AT_ONCE = 6;
const PATIENCE = 10_000;
/** More than this many addresses are not asked for in one go. */
export const MOST_LINKS = 2000;

/** The addresses outside the site that its menus, panels and frame link to, each once. O(items + parts). */
export function outsideLinks(document: SiteDocument): string[] {
  const found = new Set<string>();
  const { menus, site } = document;
  const links = [...childrenOf(menus, site.id)].flatMap((menu) => linksIn(document, menu));
  const social = (site.social ?? []).map(({ address }) => ({ to: 'address' as const, value: address }));
  for (const { to, value } of [...links, ...frameLinks(document), ...social]) {
    if (to !== 'address' || !/^https?:\/\//i.test(value) || !URL.canParse(value)) continue;
    if (site.origin === '' || new URL(value).origin !== site.origin) found.add(value);
  }
  return [...found].slice(0, MOST_LINKS);
}

/**
 * Asks for each address once, a few at a time, and gives those that do not answer, or say that nothing is
 * there.
 */
export async function deadLinks(
  addresses: readonly string[],
  allowed: ReadonlySet<string>,
): Promise<ReadingProblem[]> {
  const waiting = [...addresses];
  const dead: ReadingProblem[] = [];
  const work = async (): Promise<void> => {
    for (let address = waiting.shift(); address !== undefined; address = waiting.shift()) {
      const found = await fetchPage(address, {
        most: 1,
        patience: PATIENCE,
        allowed,
        origin: null,
        isHeadEnough: true,
      });
      // Who asks for a sign-in, or has had enough of being asked, is there.
      const isThere =
        found.kind === 'answer' && (found.status < 400 || [401, 403, 405, 429].includes(found.status));
      if (!isThere)
        dead.push({
          address,
          reason: found.kind === 'failed' ? found.reason : `the server answers ${found.status}`,
        });
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, work));
  return dead;
}
