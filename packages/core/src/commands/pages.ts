import { escapedAddress, isPagePath } from '../base/address.ts';
import { capitalised } from '../base/capitalised.ts';
import { mintId, type Id } from '../base/ids.ts';
import { refusal } from '../base/refusal.ts';
import { no, ok, type Result } from '../base/result.ts';
import { phrase, sentence } from '../base/sentences.ts';
import { branchOf } from '../model/branchOf.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf, nodeAt, spotOf, type Spot } from '../model/forest.ts';
import { nameOf } from '../model/labelOf.ts';
import { latestSince } from '../model/latestSince.ts';
import { missing } from '../ops/kit/missing.ts';
import type { Edit } from '../ops/edit.ts';
import type { Operation } from '../ops/registry.ts';
import type { Page, PageKind, PageState } from '../schema/page.ts';
import { LONGEST_ADDRESS } from '../schema/shapes.ts';
import { checkLabel } from './checkLabel.ts';
import { makeEdit, type CommandContext } from './context.ts';
import { freeAddress } from './planPage.ts';
import { plannedPage } from './plannedPage.ts';
import { anchorOutside, stepAlong, stepIn, stepOut, type Step } from './spots.ts';
import { topmost } from './topmost.ts';

/** Adds a page that the site has not yet: a draft placeholder, until the site is read and has it. */
export function addPageAt(context: CommandContext, typed: string, spot: Spot): Result<Edit> {
  const { document, random } = context;
  const title = checkLabel(typed);
  if (!title.ok) return title;
  const under = spot.parent === document.site.id ? null : spot.parent;
  if (under !== null && !document.pages.nodes.has(under)) return no(missing('pages', under));
  const address = freeAddress(document, under, title.value);
  const planned = plannedPage({
    id: mintId('page', random),
    parent: spot.parent,
    title: title.value,
    address,
  });
  const page: Page = { ...planned, since: latestSince(document) + 1 };
  return makeEdit(context, [{ kind: 'addPage', after: spot.after, branch: [page] }]);
}

/** Gives a page another title. */
export function renamePage(context: CommandContext, id: Id, typed: string): Result<Edit> {
  const page = context.document.pages.nodes.get(id);
  if (page === undefined) return no(missing('pages', id));
  const title = checkLabel(typed);
  if (!title.ok) return title;
  return makeEdit(
    context,
    [{ kind: 'updatePage', id, set: { title: title.value }, was: { title: page.title } }],
    { label: page.title },
  );
}

/**
 * Puts pages elsewhere in the tree, in their order. With `isAddressMoved`, their addresses follow their new
 * parent, and the old ones are kept to lead there.
 */
export function movePages(
  context: CommandContext,
  chosen: readonly Id[],
  spot: Spot,
  isAddressMoved = false,
): Result<Edit> {
  const { document } = context;
  const ids = topmost(document.pages, chosen);
  let after = anchorOutside(document.pages, spot, new Set(ids));
  const since = latestSince(document) + 1;
  const operations: Operation[] = [];
  for (const id of ids) {
    const page = nodeAt(document.pages, id);
    operations.push({
      kind: 'movePage',
      id,
      from: spotOf(document.pages, id),
      to: { parent: spot.parent, after },
    });
    after = id;
    if (page.parent === spot.parent) continue;
    operations.push({ kind: 'updatePage', id, set: { since }, was: { since: page.since ?? null } });
    if (isAddressMoved)
      operations.push(...readdressing(document, id, addressUnder(document, spot.parent, page.address)));
  }
  const [first] = ids;
  const words =
    ids.length > 1
      ? {
          sentence: sentence('pagesMoved', {
            count: ids.length,
            parent: nameOf(document, 'pages', spot.parent),
          }),
        }
      : {};
  return makeEdit(
    context,
    operations,
    first === undefined ? {} : { label: nameOf(document, 'pages', first), ...words },
  );
}

/** A direction in which pages can be moved by one step. */
export type PageStep = 'up' | 'down' | 'in' | 'out';

/** Moves pages a step: along their siblings, into the one before them, out behind their parent. */
export function stepPages(
  context: CommandContext,
  chosen: readonly Id[],
  step: PageStep,
  isAddressMoved = false,
): Result<Edit> {
  const { document } = context;
  const { pages } = document;
  const naming = (id: Id): string => nameOf(document, 'pages', id);
  const found: Result<Step> =
    step === 'in'
      ? stepIn(pages, chosen, naming)
      : step === 'out'
        ? stepOut(pages, chosen, naming)
        : stepAlong(pages, chosen, step, naming);
  return found.ok ? movePages(context, found.value.ids, found.value.spot, isAddressMoved) : found;
}

/** Gives pages another state: retires them (`gone`), puts them back to draft, brings them back. */
export function setPageState(context: CommandContext, chosen: readonly Id[], state: PageState): Result<Edit> {
  const { document } = context;
  const since = latestSince(document) + 1;
  const operations = chosen.flatMap((id): Operation[] => {
    const page = document.pages.nodes.get(id);
    if (page === undefined || page.state === state) return [];
    // What is back is new to menus that went on without it.
    const back = state === 'live' ? { since } : {};
    return [{ kind: 'updatePage', id, set: { state, ...back }, was: { state: page.state } }];
  });
  const [first] = chosen;
  if (operations.length === 0)
    return no(
      refusal('changesNothing', { label: first === undefined ? 'it' : nameOf(document, 'pages', first) }),
    );
  return makeEdit(
    context,
    operations,
    operations.length > 1
      ? {
          sentence: sentence('pagesState', {
            count: operations.length,
            state: phrase(`state${capitalised(state)}`),
          }),
        }
      : {},
  );
}

/** Sets the kind of the chosen pages. */
export function setPageKind(context: CommandContext, chosen: readonly Id[], kind: PageKind): Result<Edit> {
  const { document } = context;
  const operations = chosen.flatMap((id): Operation[] => {
    const page = document.pages.nodes.get(id);
    return page === undefined || page.kind === kind
      ? []
      : [{ kind: 'updatePage', id, set: { kind }, was: { kind: page.kind } }];
  });
  return operations.length === 0
    ? no(refusal('changesNothing', { label: 'it' }))
    : makeEdit(context, operations);
}

/**
 * Gives a page another address, and those below it that begin with its own; the old ones are kept to lead
 * there.
 */
export function readdressPage(context: CommandContext, id: Id, typed: string): Result<Edit> {
  const { document } = context;
  const page = document.pages.nodes.get(id);
  if (page === undefined) return no(missing('pages', id));
  const address = checkPath(document, id, typed);
  if (!address.ok) return address;
  const operations = readdressing(document, id, address.value);
  const params = { label: page.title, address: address.value };
  const count = operations.length - 1;
  return makeEdit(context, operations, {
    label: page.title,
    sentence:
      count > 0 ? sentence('branchReaddressed', { ...params, count }) : sentence('pageReaddressed', params),
  });
}

function checkPath(document: SiteDocument, id: Id, typed: string): Result<string> {
  const address = escapedAddress(typed.trim());
  if (!isPagePath(address) || address.length > LONGEST_ADDRESS) return no(refusal('badPath', { address }));
  for (const page of document.pages.nodes.values()) {
    if (page.id !== id && page.address === address && page.state !== 'gone')
      return no(refusal('addressTaken', { address, title: page.title }));
  }
  return ok(address);
}

/** How many pages below a page change their addresses with it. O(pages below). */
export function readdressedBelow(document: SiteDocument, id: Id): number {
  const { address } = nodeAt(document.pages, id);
  return branchOf(document.pages, id).filter((page) => page.id !== id && isUnder(page.address, address))
    .length;
}

function isUnder(address: string, above: string): boolean {
  return address.startsWith(`${above.replace(/\/+$/, '')}/`);
}

/** The operations that give a page and those below it other addresses. */
function readdressing(document: SiteDocument, id: Id, address: string): Operation[] {
  const from = nodeAt(document.pages, id).address;
  return branchOf(document.pages, id).flatMap((page): Operation[] => {
    if (page.id !== id && !isUnder(page.address, from)) return [];
    const next =
      page.id === id
        ? address
        : address.replace(/\/+$/, '') + page.address.slice(from.replace(/\/+$/, '').length);
    if (next === page.address) return [];
    const formerAddresses = [
      ...(page.formerAddresses ?? []).filter((one) => one !== next && one !== page.address),
      page.address,
    ].slice(-MOST_FORMER);
    return [
      {
        kind: 'updatePage',
        id: page.id,
        set: { address: next, formerAddresses },
        was: { address: page.address, formerAddresses: page.formerAddresses ?? null },
      },
    ];
  });
}

const MOST_FORMER = 50;

function addressUnder(document: SiteDocument, parent: Id, address: string): string {
  const above = parent === document.site.id ? '' : nodeAt(document.pages, parent).address.replace(/\/+$/, '');
  const last = address.replace(/\/+$/, '').split('/').at(-1) ?? '';
  const wanted = `${above}/${last}`;
  const isTaken = [...document.pages.nodes.values()].some(
    (page) => page.address === wanted && page.state !== 'gone',
  );
  return isTaken ? address : wanted;
}

/** Old addresses with the ones that they lead to now, in the order of the pages. O(pages). */
export function redirectMap(document: SiteDocument): { readonly from: string; readonly to: string }[] {
  const rows: { from: string; to: string }[] = [];
  const live = new Set(
    [...document.pages.nodes.values()].filter(({ state }) => state !== 'gone').map(({ address }) => address),
  );
  const stack = [...childrenOf(document.pages, document.site.id)].reverse();
  for (let id = stack.pop(); id !== undefined; id = stack.pop()) {
    const page = nodeAt(document.pages, id);
    // An old address that another page has taken since leads there of itself.
    for (const from of page.formerAddresses ?? [])
      if (page.state !== 'gone' && !live.has(from)) rows.push({ from, to: page.address });
    stack.push(...[...childrenOf(document.pages, id)].reverse());
  }
  return rows;
}
