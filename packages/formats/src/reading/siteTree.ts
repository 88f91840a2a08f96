import { placings, type IncomingPage, type Placing } from '@zorvik/core';
import { templatesOf } from './templatesOf.ts';
import { addressKey, type PageFacts } from './readPage.ts';

/**
 * How sure each kind of evidence is, in percent: what a page says for machines, for people, and what is only
 * guessed.
 */
export const sureness: Readonly<Record<Placing, number>> = {
  jsonLd: 95,
  microdata: 93,
  breadcrumb: 90,
  trail: 80,
  up: 75,
  list: 60,
  path: 40,
  none: 10,
};

export interface TreePage extends IncomingPage {
  readonly placing: Placing;
  /** How sure the guess of its template is, in percent; not there: nobody guessed. */
  readonly templateSure?: number;
  /** Parents that other evidence gives, by its kind: where they differ, a person may decide. */
  readonly otherwise: readonly { readonly by: Placing; readonly parent: string | null }[];
}

interface Claim {
  readonly by: Placing;
  /** Null: the top of the site. */
  readonly parent: string | null;
}

/**
 * Pages that were read as the tree that they tell of: each under what its surest evidence says. Evidence that
 * would close a circle gives way to the next. `start` is the page that the reading began with: it stands for
 * the site itself. Titles lose what nearly all of them have in common. `trust` puts one kind of evidence
 * first for all. O(pages * evidence).
 */
export function siteTree(
  facts: readonly PageFacts[],
  start: string,
  trust: Placing | null = null,
): TreePage[] {
  const known = new Map<string, PageFacts>();
  for (const page of facts) known.set(page.address, page);
  const home = addressKey(start);
  const titles = plainTitles(facts, home);
  const listed = listParents(facts, known, home);
  const claims = new Map(facts.map((page) => [page.address, claimsOf(page, known, home, listed, trust)]));
  const parentOf = new Map<string, Claim>();
  for (const page of facts) {
    const all = claims.get(page.address) ?? [];
    const fits = all.find(({ parent }) => !closesCircle(page.address, parent, parentOf));
    parentOf.set(page.address, fits ?? { by: 'none', parent: null });
  }
  const order = orderOf(facts, known, home);
  const childrenOf = new Map<string | null, string[]>();
  for (const [address, { parent }] of parentOf)
    childrenOf.set(parent, [...(childrenOf.get(parent) ?? []), address]);
  for (const siblings of childrenOf.values())
    siblings.sort((a, b) => (order.get(a) ?? 0) - (order.get(b) ?? 0));
  const guesses = guessedTemplates(facts);
  const pages: TreePage[] = [];
  const stack = [...(childrenOf.get(null) ?? [])].reverse();
  for (let address = stack.pop(); address !== undefined; address = stack.pop()) {
    const page = known.get(address);
    const claim = parentOf.get(address);
    if (page === undefined || claim === undefined) continue;
    pages.push({
      ...treePage(page, claim, claims.get(address) ?? [], titles.get(address) ?? page.title),
      ...(page.template === null ? guesses.get(address) : { template: page.template }),
    });
    stack.push(...[...(childrenOf.get(address) ?? [])].reverse());
  }
  return pages;
}

/** What the markup of pages tells of their templates, where the site names none. */
function guessedTemplates(
  facts: readonly PageFacts[],
): ReadonlyMap<string, Pick<TreePage, 'guessedTemplate' | 'templateSure'>> {
  if (facts.some(({ template }) => template !== null)) return new Map();
  return new Map(
    templatesOf(facts).flatMap(({ name, addresses, sure }) =>
      addresses.map((address) => [address, { guessedTemplate: name, templateSure: sure }] as const),
    ),
  );
}

function treePage(page: PageFacts, { by, parent }: Claim, all: readonly Claim[], title: string): TreePage {
  const { address, kind, date, summary, picture, anchors, language } = page;
  return {
    key: address,
    address,
    title,
    kind,
    above: parent === null ? [] : [parent],
    placing: by,
    placedBy: { by, sure: sureness[by] },
    otherwise: all.filter((one) => one.parent !== parent && one.by !== 'path'),
    ...(date === null ? {} : { date }),
    ...(summary === null ? {} : { summary }),
    ...(picture === null ? {} : { picture }),
    ...(anchors.length === 0 ? {} : { anchors: [...anchors] }),
    ...(language === null ? {} : { language }),
  };
}

function claimsOf(
  page: PageFacts,
  known: ReadonlyMap<string, PageFacts>,
  home: string,
  listed: ReadonlyMap<string, string | null>,
  trust: Placing | null,
): Claim[] {
  if (page.address === home) return [{ by: 'path', parent: null }];
  const claims: Claim[] = [];
  for (const { by, steps } of page.trails) {
    const linked = steps.filter(({ address }) => address !== null && address !== page.address);
    const last = linked.findLast(({ address }) => address === home || known.has(address ?? ''));
    if (last !== undefined) claims.push({ by, parent: last.address === home ? null : last.address });
  }
  if (page.up !== null && page.up !== page.address && (known.has(page.up) || page.up === home))
    claims.push({ by: 'up', parent: page.up === home ? null : page.up });
  const inList = listed.get(page.address);
  if (inList !== undefined) claims.push({ by: 'list', parent: inList });
  const above = pathAbove(page.address).find((path) => path !== home && known.has(path));
  if (above !== undefined) claims.push({ by: 'path', parent: above });
  const rank = ({ by }: Claim): number => (by === trust ? -1 : placings.indexOf(by));
  return claims.sort((a, b) => rank(a) - rank(b));
}

function closesCircle(address: string, parent: string | null, parentOf: ReadonlyMap<string, Claim>): boolean {
  for (let at = parent; at !== null; at = parentOf.get(at)?.parent ?? null) if (at === address) return true;
  return false;
}

/** Addresses above one by its path, nearest first, with a slash at the end and without. */
function pathAbove(address: string): string[] {
  const found: string[] = [];
  let path = address.split('?')[0] ?? '';
  if (address.includes('?')) found.push(path);
  path = path.replace(/\/+$/, '');
  for (let slash = path.lastIndexOf('/'); slash >= 0; slash = path.lastIndexOf('/')) {
    path = path.slice(0, slash);
    found.push(`${path}/`, path === '' ? '/' : path);
  }
  return found;
}

/**
 * The parent that nested lists give each page, by most of the pages that say so; null: the top. Lists that
 * all pages have count once.
 */
function listParents(
  facts: readonly PageFacts[],
  known: ReadonlyMap<string, PageFacts>,
  home: string,
): Map<string, string | null> {
  const votes = new Map<string, Map<string, number>>();
  for (const { lists } of facts) {
    for (const { address, above } of lists) {
      if (above === null || above === address || !known.has(address)) continue;
      if (!known.has(above) && above !== home) continue;
      const counts = votes.get(address) ?? new Map<string, number>();
      votes.set(address, counts.set(above, (counts.get(above) ?? 0) + 1));
    }
  }
  return new Map(
    [...votes].map(([address, counts]) => {
      const [[best] = [home]] = [...counts].sort((a, b) => b[1] - a[1]);
      return [address, best === home ? null : best];
    }),
  );
}

/** A place for each page: along `next` where pages say so, else as lists and links name them first. */
function orderOf(
  facts: readonly PageFacts[],
  known: ReadonlyMap<string, PageFacts>,
  home: string,
): Map<string, number> {
  const order = new Map<string, number>();
  const place = (address: string): void =>
    void (known.has(address) && !order.has(address) && order.set(address, order.size));
  place(home);
  const chained = facts.filter(({ next }) => next !== null && known.has(next));
  if (chained.length * 2 > facts.length) {
    const followed = new Set(chained.map(({ next }) => next));
    for (const { address } of facts) {
      if (followed.has(address)) continue;
      const walked = new Set<string>();
      for (
        let at: string | null = address;
        at !== null && known.has(at) && !walked.has(at);
        at = known.get(at)?.next ?? null
      ) {
        walked.add(at);
        place(at);
      }
    }
  }
  for (const { lists } of facts) for (const { address } of lists) place(address);
  for (const { links } of facts) for (const address of links) place(address);
  for (const { address } of facts) place(address);
  return order;
}

/** The number of a chapter or section. */
const NUMBER = /^\d+(?:\.\d+)*\.?\s+(?=\p{L})/u;

const SEPARATOR = /(?:^|\s+)(?:[-–—|·•»«:]|::|\/)\s+/g;
/** From this share of all titles on, what they have in common is the site's name and not theirs. */
const COMMON = 0.5;

/**
 * Titles as a person would put them in a menu: without the part at their end or beginning that most of them
 * repeat.
 */
function plainTitles(facts: readonly PageFacts[], home: string): Map<string, string> {
  const parts = facts.map(({ title }) => cuts(title));
  const common = (side: 'head' | 'tail'): Set<string> => {
    const counts = new Map<string, number>();
    for (const one of parts)
      for (const text of new Set(one.map((cut) => cut[side]))) counts.set(text, (counts.get(text) ?? 0) + 1);
    return new Set(
      [...counts].filter(([, count]) => count >= 3 && count > facts.length * COMMON).map(([text]) => text),
    );
  };
  const [heads, tails] = [common('head'), common('tail')];
  // Where most pages are numbered, the numbers say where they stand, and a menu says that itself.
  const isNumbered = facts.filter(({ title }) => NUMBER.test(title)).length > facts.length * COMMON;
  return new Map(
    facts.map(({ address, title, heading }, at) => {
      // The longest common part goes: of `Page – Guide – Site` all that repeats.
      const tail = (parts[at] ?? []).find((cut) => tails.has(cut.tail));
      const head = (parts[at] ?? []).findLast((cut) => heads.has(cut.head));
      const cut = tail?.head ?? head?.tail ?? title;
      const named = cut === '' ? heading : cut;
      const plain = isNumbered ? named.replace(NUMBER, '') : named;
      return [address, plain === '' ? lastOf(address, home) : plain];
    }),
  );
}

function cuts(title: string): { head: string; tail: string }[] {
  return [...title.matchAll(SEPARATOR)].map(({ index, 0: sign }) => ({
    head: title.slice(0, index),
    tail: title.slice(index + sign.length),
  }));
}

function lastOf(address: string, home: string): string {
  return address === home
    ? 'Home'
    : decodeURIComponentSafe(address.split('/').findLast((part) => part !== '') ?? address);
}

function decodeURIComponentSafe(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
}
