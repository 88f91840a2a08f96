import { firstFree } from '../base/firstFree.ts';
import { mintId, type Id } from '../base/ids.ts';
import { refusal } from '../base/refusal.ts';
import { no, type Result } from '../base/result.ts';
import { sentence, type Sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf, nodeAt, type Spot } from '../model/forest.ts';
import { canYield } from '../model/frameParts.ts';
import { nameOf } from '../model/labelOf.ts';
import { newPart, type UnplacedPart } from '../model/newPart.ts';
import { placeWords } from '../model/partProblem.ts';
import { areaId, areaWords, behaviourId, holderAt } from '../model/partRoots.ts';
import { partPhrase, partSentence } from '../ops/addPart.ts';
import { missing } from '../ops/kit/missing.ts';
import type { Edit } from '../ops/edit.ts';
import { placementOf } from '../resolve/placementOf.ts';
import type { Operation } from '../ops/registry.ts';
import {
  behaviours,
  definitionOf,
  exceptionId,
  heldBy,
  partWords,
  type AreaName,
  type Behaviour,
  type ExceptionOn,
  type Part,
  type PartFacts,
  type PartKind,
  type PartOf,
} from '../schema/part.ts';
import type { BeginsIn } from '../schema/parts/definePart.ts';
import { setPart } from './composing.ts';
import { makeEdit, type CommandContext } from './context.ts';
import { following } from './arrangement.ts';
import { partsIn } from '../model/partsIn.ts';
import { removal } from './panelParts.ts';
import { areaNeeded, newBand } from './placing.ts';

/** Adds a band to an area, behind another one; null: as the first. */
export function addBand(
  context: CommandContext,
  area: AreaName,
  after: Id | null,
  isGrid = area !== 'header',
): Result<Edit> {
  const { document, random } = context;
  const branch = newBand(areaId(area), isGrid, random);
  const [band] = branch;
  if (band === undefined) return no(refusal('nothingChosen'));
  return makeEdit(context, [...areaNeeded(document, area), { kind: 'addPart', after, branch }], {
    sentence: sentence('frameAdded', { what: partPhrase(document, band), label: areaWords[area] }),
  });
}

/** How a part is added to the frame. */
export interface FrameAddition {
  /** Facts of its own, besides what its kind begins with. */
  readonly facts?: PartFacts;
  /** The only pages on which it is shown; null: it is shown on all. */
  readonly on?: ExceptionOn | null;
}

/** Adds a part of a kind to a zone or a cell of the frame. */
export function addToFrame(
  context: CommandContext,
  spot: Spot,
  kind: PartKind,
  { facts = {}, on = null }: FrameAddition = {},
): Result<Edit> {
  const { document, random } = context;
  const holder = holderAt(document, spot.parent);
  if (!heldBy(holder).includes(kind))
    return no(refusal('wrongPartPlace', { what: partWords[kind], place: placeWords(holder) }));
  const { begin } = definitionOf(kind);
  const begun =
    begin?.(surroundings(document)) ?? refusal('wrongPartPlace', { what: partWords[kind], place: 'frame' });
  if ('code' in begun) return no(begun);
  const [first, ...inner] = begun as readonly UnplacedPart[];
  if (first === undefined) return no(refusal('nothingChosen'));
  const hidden = on === null ? {} : { isHidden: true as const };
  // What stands beside a part that is left to the drawer is left to it, too.
  const yields =
    spot.after !== null && document.parts.nodes.get(spot.after)?.yields === true && canYield({ kind })
      ? { yields: true as const }
      : {};
  const top = newPart(mintId('part', random), spot.parent, { ...first, ...facts, ...hidden, ...yields });
  const branch = [
    top,
    ...inner.map((one) => newPart(mintId('part', random), top.id, one)),
    ...(on === null ? [] : [exceptionOf(top, on, { isShown: true, shows: top.shows ?? null })]),
  ];
  const neighbour = spot.after ?? [...childrenOf(document.parts, spot.parent)][0] ?? null;
  return makeEdit(
    context,
    [{ kind: 'addPart', after: spot.after, branch }, ...following(context, top, neighbour)],
    { sentence: partSentence('added', document, top) },
  );
}

/** What parts of the frame begin with: a menu that shows nowhere yet comes before all others. */
function surroundings(document: SiteDocument): BeginsIn {
  const { site, menus } = document;
  const all = [...childrenOf(menus, site.id)];
  return {
    root: 'frame',
    label: site.name,
    destination: { kind: 'undecided' },
    page: null,
    child: null,
    otherMenu: all.find((id) => placementOf(document, id) === null) ?? all[0] ?? null,
    kinds: new Set(partsIn(document, site.id).map(({ kind }) => kind)),
  };
}

/** Adds a named place within the page, such as beside an article, for a menu or for none yet. */
export function addPlace(context: CommandContext, menu: Id | null = null): Result<Edit> {
  const { document, random } = context;
  const { parts, site } = document;
  if (menu !== null && !document.menus.nodes.has(menu)) return no(missing('menus', menu));
  const names = new Set([...childrenOf(parts, site.id)].map((id) => nodeAt(parts, id).text));
  const base = menu === null ? 'Place' : nameOf(document, 'menus', menu);
  const place = newPart(mintId('part', random), site.id, {
    kind: 'placement',
    text: firstFree(base, (name) => names.has(name)),
    ...(menu === null ? {} : { shows: menu }),
  });
  return makeEdit(context, [{ kind: 'addPart', after: childrenOf(parts, site.id).last(), branch: [place] }], {
    sentence: partSentence('added', document, place),
  });
}

/** What an exception says: whether the part is shown, and for a placement which menu; null: none. */
export interface ExceptionSays {
  readonly isShown: boolean;
  readonly shows?: Id | null;
}

/** Makes an exception of a part for some pages, or changes the one that there is. */
export function setException(
  context: CommandContext,
  id: Id,
  on: ExceptionOn,
  { isShown, shows = null }: ExceptionSays,
): Result<Edit> {
  const { document } = context;
  const part = document.parts.nodes.get(id);
  if (part === undefined) return no(missing('parts', id));
  if (!heldBy(part.kind).includes('exception'))
    return no(refusal('wrongPartPlace', { what: 'exception', place: partWords[part.kind] }));
  return makeEdit(context, [excepting(document, part, on, { isShown, shows })], {
    sentence: exceptionSentence(document, part, on),
    label: nameOf(document, 'parts', id),
  });
}

/** The operation that makes an exception of a part, or changes the one that there is. */
function excepting(
  { parts }: SiteDocument,
  part: Part,
  on: ExceptionOn,
  { isShown, shows = null }: ExceptionSays,
): Operation {
  const known = parts.nodes.get(exceptionId(part.id, on));
  if (known?.kind !== 'exception')
    return {
      kind: 'addPart',
      after: childrenOf(parts, part.id).last(),
      branch: [exceptionOf(part, on, { isShown, shows })],
    };
  const was = { isShown: known.isShown, shows: known.shows ?? null };
  return { kind: 'updatePart', id: known.id, set: { isShown, shows }, was };
}

function exceptionOf({ id }: Part, on: ExceptionOn, { isShown, shows = null }: ExceptionSays): Part {
  return newPart(exceptionId(id, on), id, {
    kind: 'exception',
    isShown,
    ...on,
    ...(shows === null ? {} : { shows }),
  });
}

/** Takes exceptions away, so that the part is there as everywhere else. */
export function removeExceptions(context: CommandContext, ids: readonly Id[]): Result<Edit> {
  const { document } = context;
  const found = ids.map((id) => document.parts.nodes.get(id));
  const [first] = found;
  if (first?.kind !== 'exception') return no(missing('parts', ids[0] ?? ''));
  const part = nodeAt(document.parts, first.parent);
  return makeEdit(
    context,
    ids.map((id) => removal(document, id)),
    {
      sentence: sentence('exceptionRemoved', {
        what: partPhrase(document, part),
        pages: pagesOf(document, first),
      }),
    },
  );
}

function exceptionSentence(document: SiteDocument, part: Part, on: ExceptionOn): Sentence {
  return sentence('exceptionSet', { what: partPhrase(document, part), pages: pagesOf(document, on) });
}

/** The pages that an exception is about, in words. */
export function pagesOf(
  document: SiteDocument,
  on: ExceptionOn | Pick<PartOf<'exception'>, 'template' | 'onPage' | 'isBelow'>,
): string {
  if ('template' in on && on.template !== undefined) return `the template “${on.template}”`;
  const page = 'onPage' in on ? on.onPage : undefined;
  const title = page === undefined ? '' : (document.pages.nodes.get(page)?.title ?? 'a deleted page');
  const isBelow = 'isBelow' in on && on.isBelow === true;
  return isBelow ? `“${title}” and below` : `“${title}”`;
}

/** Says what an area does while the page scrolls, on all pages or, by an exception, on some. */
export function setBehaviours(
  context: CommandContext,
  area: AreaName,
  changes: Readonly<Partial<Record<Behaviour, boolean>>>,
  on: ExceptionOn | null = null,
): Result<Edit> {
  const { document } = context;
  const { parts } = document;
  const root = areaId(area);
  const operations = behaviours.flatMap((does): Operation[] => {
    const isShown = changes[does];
    if (isShown === undefined) return [];
    const id = behaviourId(root, does);
    const known = parts.nodes.get(id);
    const isHidden = on === null && isShown ? null : true;
    if (known === undefined) {
      const made = newPart(id, root, { kind: 'behaviour', does, ...(isHidden === null ? {} : { isHidden }) });
      const branch = on === null ? [made] : [made, exceptionOf(made, on, { isShown })];
      // What nobody has said yet is so without saying it.
      return !isShown && on === null
        ? []
        : [{ kind: 'addPart', after: childrenOf(parts, root).last(), branch }];
    }
    if (on === null)
      return [{ kind: 'updatePart', id, set: { isHidden }, was: { isHidden: known.isHidden ?? null } }];
    return [excepting(document, known, on, { isShown })];
  });
  if (operations.length === 0) return no(refusal('changesNothing', { label: areaWords[area] }));
  return makeEdit(context, [...areaNeeded(document, area), ...operations], {
    sentence:
      on === null
        ? sentence('areaChanged', { label: areaWords[area] })
        : sentence('areaChangedOn', { label: areaWords[area], pages: pagesOf(document, on) }),
    label: areaWords[area],
  });
}

/** Which menu a placement shows on all pages that are no exception; null: none. */
export function setShownMenu(context: CommandContext, id: Id, menu: Id | null): Result<Edit> {
  if (context.document.parts.nodes.get(id)?.kind !== 'placement') return no(missing('parts', id));
  return setPart(context, id, { shows: menu });
}
