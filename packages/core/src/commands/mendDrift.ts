import { mintId, type Id, type RandomBits } from '../base/ids.ts';
import { plainLine } from '../base/plainLine.ts';
import { refusal } from '../base/refusal.ts';
import { no, ok, type Result } from '../base/result.ts';
import { sentence, type Sentence } from '../base/sentences.ts';
import { driftOfMenu } from '../drift/driftOf.ts';
import { findingPhrase, fixedSentence, type Finding, type MendKind } from '../drift/finding.ts';
import { agreedFacts } from '../model/agreedFacts.ts';
import { anchorOf } from '../model/destinationAt.ts';
import type { SiteDocument } from '../model/document.ts';
import { faceOf } from '../model/faceOf.ts';
import { childrenOf, nodeAt, spotOf, type Spot } from '../model/forest.ts';
import { labelOf } from '../model/labelOf.ts';
import { pageFace } from '../model/pageFace.ts';
import type { Edit } from '../ops/edit.ts';
import { kindOf, type Operation } from '../ops/registry.ts';
import { createFilling } from '../resolve/withFollowed.ts';
import type { AgreedFacts, Item } from '../schema/item.ts';
import { LONGEST_REASON } from '../schema/leftFinding.ts';
import { makeEdit, storedOf, withPanelsRemoved, type CommandContext } from './context.ts';
import { faceUpdate } from './faceUpdate.ts';
import { mendingPart } from './mendingPart.ts';

/** A finding, and which of its mends is to be done. */
export interface ToMend {
  readonly finding: Finding;
  readonly mend: MendKind;
}

/**
 * Does mends, each on what the ones before it made, as one edit. What cannot be done any more, because
 * another mend did it or somebody was there first, is left out; when nothing is left to do, that is refused.
 */
export function mendDrift(context: CommandContext, wanted: readonly ToMend[]): Result<Edit> {
  const [first] = wanted;
  if (first === undefined) return no(refusal('nothingChosen'));
  let stored = storedOf(context);
  const operations: Operation[] = [];
  let lastRefusal = refusal('changesNothing', { label: 'it' });
  let count = 0;
  for (const one of wanted) {
    const tried = applyAll(stored, [...mending(stored, one, context), ...leavingOut(stored, one, context)]);
    if (!tried.ok) {
      lastRefusal = tried.refusal;
      continue;
    }
    if (tried.value.document === stored) continue;
    stored = tried.value.document;
    operations.push(...tried.value.operations);
    count += 1;
  }
  if (operations.length === 0) return no(lastRefusal);
  const { finding, mend } = first;
  const fix = finding.mends.find(({ kind }) => kind === mend);
  const one =
    fix === undefined ? sentence('driftMended', { what: findingPhrase(finding) }) : fixedSentence(fix);
  const words: Sentence = wanted.length === 1 ? one : sentence('driftsMended', { count });
  return makeEdit(context, operations, { sentence: words, isStored: true });
}

function applyAll(
  document: SiteDocument,
  operations: readonly Operation[],
): Result<{ document: SiteDocument; operations: Operation[] }> {
  let current = document;
  const done: Operation[] = [];
  for (const operation of withPanelsRemoved(document, operations)) {
    const applied = kindOf(operation).apply(current, operation);
    if (!applied.ok) return applied;
    current = applied.value.document;
    done.push(applied.value.operation);
  }
  return ok({ document: current, operations: done });
}

/**
 * The operations of a mend, for the document as it is by then. None where what it is about is no longer
 * there.
 */
function mending(stored: SiteDocument, { finding, mend }: ToMend, { random }: CommandContext): Operation[] {
  if (finding.part !== undefined) return mendingPart(stored, finding, mend);
  const { at, page } = finding;
  const item = stored.items.nodes.get(at);
  const target = finding.mends.find(({ kind }) => kind === mend)?.target;
  switch (mend) {
    case 'addIt':
      return page === null || target === undefined
        ? []
        : addingInOrder(stored, target, page, mintId('item', random));
    case 'reorder':
      return page === null ? [] : reordering(stored, at, page, finding.items ?? []);
    case 'agree':
      return agreeing(stored, finding);
    case 'takeTitle':
      return item === undefined
        ? []
        : [faceUpdate(stored, at, { label: null, ...agreedNow(stored, at, ['title']) })];
    case 'takeLabel':
      return item === undefined
        ? []
        : [{ kind: 'updateItem', id: at, set: { label: null }, was: { label: item.label } }];
    case 'moveThere':
      return item === undefined || page === null || target === undefined
        ? []
        : movingInOrder(stored, item, target, page);
    case 'leadThere':
      return item === undefined || target === undefined ? [] : leading(stored, item, target);
    case 'otherAnchor':
      if (item === undefined || page === null || target === undefined) return [];
      return [faceUpdate(stored, at, { destination: { kind: 'page', page, anchor: target } })];
    case 'dropAnchor':
      return item === undefined || page === null
        ? []
        : [faceUpdate(stored, at, { destination: { kind: 'page', page, anchor: null } })];
    case 'makeHeading':
      return item === undefined
        ? []
        : [
            faceUpdate(stored, at, {
              label: labelOf(stored, item),
              destination: { kind: 'none' },
              agreed: null,
            }),
          ];
    case 'remove':
      return item === undefined ? [] : removing(stored, item, item.parent);
    case 'removeException':
      return item === undefined ? [] : removing(stored, item, item.parent, true);
    case 'unlink':
      return [];
  }
}

/**
 * A page that is taken out of a menu because it moved is not wanted where it went to either: it is left
 * there, too.
 */
function leavingOut(stored: SiteDocument, { finding, mend }: ToMend, context: CommandContext): Operation[] {
  if (mend !== 'remove' || finding.kind !== 'pageMoved' || finding.page === null) return [];
  const removal = mending(stored, { finding, mend }, context);
  const removed = applyAll(stored, removal);
  if (removal.length === 0 || !removed.ok) return [];
  const { document } = removed.value;
  const filled = (context.from?.fill ?? createFilling())(document);
  return driftOfMenu({ stored: document, filled }, finding.menu)
    .filter(({ kind, page }) => kind === 'pageNew' && page === finding.page)
    .map((one) => leaving(stored, one, 'Removed when its page moved', context.random));
}

function leaving(
  { site }: SiteDocument,
  { id, facts }: Finding,
  reason: string,
  random: RandomBits,
): Operation {
  return {
    kind: 'addLeftFinding',
    after: null,
    branch: [{ id: mintId('leftFinding', random), parent: site.id, finding: id, facts, reason }],
  };
}

/** The facts agreed on with some of them as they are now. */
function agreedNow(
  stored: SiteDocument,
  id: Id,
  fields: readonly (keyof AgreedFacts)[],
): { agreed?: AgreedFacts } {
  const face = faceOf(stored, nodeAt(stored.items, id));
  const page =
    face.destination.kind === 'page'
      ? face.destination.page
      : (nodeAt(stored.items, id).exception?.of ?? null);
  if (face.agreed === null || page === null || !stored.pages.nodes.has(page)) return {};
  const now = agreedFacts(stored, page);
  const kept = Object.entries(face.agreed).filter(([name]) => !fields.includes(name as keyof AgreedFacts));
  const taken = Object.entries(now).filter(([name]) => fields.includes(name as keyof AgreedFacts));
  return { agreed: Object.fromEntries([...kept, ...taken]) as AgreedFacts };
}

/** Which facts each kind of finding is about. */
const aboutFacts: Readonly<Partial<Record<Finding['kind'], readonly (keyof AgreedFacts)[]>>> = {
  titleStale: ['title'],
  addressChanged: ['address'],
  kindChanged: ['kind'],
  pageDraft: ['state'],
  plannedLive: ['planned', 'state'],
  pageMoved: ['parent', 'after', 'known'],
};

function agreeing(stored: SiteDocument, { kind, at, page }: Finding): Operation[] {
  if (kind === 'orderDiffers') return page === null ? [] : agreeingOnOrder(stored, at, page);
  const item = stored.items.nodes.get(at);
  if (item === undefined) return [];
  if (kind === 'sourceRenamed') {
    const { exception } = item;
    if (exception === undefined) return [];
    const { was: _, ...rest } = exception;
    return [{ kind: 'updateItem', id: at, set: { exception: rest }, was: { exception } }];
  }
  const set = agreedNow(stored, at, aboutFacts[kind] ?? []);
  return set.agreed === undefined ? [] : [faceUpdate(stored, at, set)];
}

/**
 * The items below a menu or an item that lead to live children of a page, as far as that was agreed on, in
 * the menu's order.
 */
function groupOf(stored: SiteDocument, parent: Id, branch: Id): Item[] {
  return [...childrenOf(stored.items, parent)]
    .map((child) => nodeAt(stored.items, child))
    .filter(({ destination, agreed, link }) => {
      const page = destination.kind === 'page' ? stored.pages.nodes.get(destination.page) : undefined;
      return (
        link === undefined && agreed?.parent === branch && page?.parent === branch && page.state === 'live'
      );
    });
}

const pageOf = ({ destination }: Item): Id => (destination.kind === 'page' ? destination.page : '');

function agreeingOnOrder(stored: SiteDocument, parent: Id, branch: Id): Operation[] {
  return groupOf(stored, parent, branch).flatMap(({ id, agreed }): Operation[] => {
    const now = agreedNow(stored, id, ['after']).agreed;
    return agreed === null || now === undefined
      ? []
      : [{ kind: 'updateItem', id, set: { agreed: now }, was: { agreed } }];
  });
}

function reordering(stored: SiteDocument, parent: Id, branch: Id, items: readonly Id[]): Operation[] {
  const moving = new Set(items);
  const operations: Operation[] = [];
  const left = [...childrenOf(stored.items, parent)].filter((id) => !moving.has(id));
  const itemOf = new Map(groupOf(stored, parent, branch).map((item) => [pageOf(item), item.id]));
  // In the site's order, each goes behind the one before it there, which stands by then.
  let before: Id | null = null;
  for (const page of childrenOf(stored.pages, branch)) {
    const id = itemOf.get(page);
    if (id === undefined) continue;
    if (moving.has(id)) {
      const after: Id | null = before ?? predecessorOfFirst(left, [...itemOf.values()], moving);
      operations.push({ kind: 'moveItem', id, from: spotOf(stored.items, id), to: { parent, after } });
    }
    before = id;
  }
  return [...operations, ...agreeingOnOrder(stored, parent, branch)];
}

/** What stands before the first of a group that stays: what becomes its first goes there. */
function predecessorOfFirst(
  siblings: readonly Id[],
  group: readonly Id[],
  moving: ReadonlySet<Id>,
): Id | null {
  const first = siblings.findIndex((id) => group.includes(id) && !moving.has(id));
  return first <= 0 ? null : (siblings[first - 1] ?? null);
}

/**
 * Where an item for a page belongs in something: behind the one whose page stands before it on the site, or
 * before the first of its kin.
 */
export function spotInOrder(stored: SiteDocument, parent: Id, page: Id): Spot {
  const branch = nodeAt(stored.pages, page).parent;
  const itemOf = new Map<Id, Id>();
  const children = [...childrenOf(stored.items, parent)];
  for (const child of children) {
    const target = pageOf(nodeAt(stored.items, child));
    if (target !== '' && stored.pages.nodes.get(target)?.parent === branch) itemOf.set(target, child);
  }
  let after: Id | null = null;
  for (const sibling of childrenOf(stored.pages, branch)) {
    if (sibling === page) break;
    after = itemOf.get(sibling) ?? after;
  }
  if (after !== null || itemOf.size === 0) return { parent, after: after ?? children.at(-1) ?? null };
  const firstKin = children.findIndex((id) => [...itemOf.values()].includes(id));
  return { parent, after: children[firstKin - 1] ?? null };
}

function addingInOrder(stored: SiteDocument, parent: Id, page: Id, id: Id): Operation[] {
  if (!stored.pages.nodes.has(page) || !(stored.items.nodes.has(parent) || stored.menus.nodes.has(parent)))
    return [];
  const leadsThere = (child: Id): boolean => {
    const { destination } = faceOf(stored, nodeAt(stored.items, child));
    return destination.kind === 'page' && destination.page === page && destination.anchor === null;
  };
  // Somebody was there first, or the same fix was applied twice.
  if ([...childrenOf(stored.items, parent)].some(leadsThere)) return [];
  const { after } = spotInOrder(stored, parent, page);
  return [{ kind: 'addItem', after, branch: [{ id, parent, ...pageFace(stored, page) }] }];
}

function movingInOrder(stored: SiteDocument, { id, agreed }: Item, parent: Id, page: Id): Operation[] {
  const now = agreedNow(stored, id, ['parent', 'after', 'known']).agreed;
  const to = spotInOrder(stored, parent, page);
  const move: Operation = { kind: 'moveItem', id, from: spotOf(stored.items, id), to };
  return agreed === null || now === undefined
    ? [move]
    : [move, { kind: 'updateItem', id, set: { agreed: now }, was: { agreed } }];
}

function leading(stored: SiteDocument, item: Item, page: Id): Operation[] {
  const face = faceOf(stored, item);
  const { title } = nodeAt(stored.pages, page);
  // A label that says what the page says takes the page's title from now on; another one was somebody's own.
  const label = face.label === title ? null : face.label;
  const { destination } = face;
  // The anchor that was typed, or is there already.
  const anchor =
    destination.kind === 'address'
      ? anchorOf(destination.address)
      : destination.kind === 'page' && destination.page === page
        ? destination.anchor
        : null;
  return [
    faceUpdate(stored, item.id, {
      label,
      destination: { kind: 'page', page, anchor },
      agreed: agreedFacts(stored, page),
    }),
  ];
}

/** Takes an item out; what is below it goes up to where it stood, or to the end among what is followed. */
function removing(stored: SiteDocument, item: Item, parent: Id, isException = false): Operation[] {
  const operations: Operation[] = [];
  let after: Id | null = isException ? childrenOf(stored.items, parent).last() : item.id;
  for (const child of ownBelow(stored, item.id)) {
    operations.push({
      kind: 'moveItem',
      id: child,
      from: spotOf(stored.items, child),
      to: { parent, after },
    });
    const { pin } = nodeAt(stored.items, child);
    if (pin !== undefined)
      operations.push({ kind: 'updateItem', id: child, set: { pin: null }, was: { pin } });
    after = child;
  }
  return [...operations, { kind: 'removeItem', after: null, branch: [item] }];
}

/**
 * The items of one's own right below an item. Exceptions go with what follows; what stands below them is not
 * theirs.
 */
function ownBelow(stored: SiteDocument, id: Id): Id[] {
  return [...childrenOf(stored.items, id)].flatMap((child) =>
    nodeAt(stored.items, child).exception === undefined ? [child] : ownBelow(stored, child),
  );
}

/** Leaves a finding as it is, for a reason, until what the site says changes again. */
export function leaveFinding(
  context: CommandContext,
  findings: readonly Finding[],
  reason: string,
): Result<Edit> {
  const { document, random } = context;
  const plainReason = plainLine(reason);
  if (plainReason.length > LONGEST_REASON)
    return no(refusal('tooLong', { what: 'a reason', length: plainReason.length, most: LONGEST_REASON }));
  const [first] = findings;
  if (first === undefined) return no(refusal('nothingChosen'));
  const operations = findings.flatMap((finding): Operation[] => [
    ...takingUp(document, finding.id),
    leaving(document, finding, plainReason, random),
  ]);
  const words =
    findings.length === 1
      ? sentence('findingLeft', { what: findingPhrase(first) })
      : sentence('findingsLeft', { count: findings.length });
  return makeEdit(context, operations, { sentence: words, isStored: true });
}

/** Takes up again a finding that was left. */
export function takeUpFinding(context: CommandContext, id: string): Result<Edit> {
  const operations = takingUp(context.document, id);
  return operations.length === 0 ? no(refusal('notLeft')) : makeEdit(context, operations, { isStored: true });
}

function takingUp(document: SiteDocument, finding: string): Operation[] {
  return [...document.leftFindings.nodes.values()]
    .filter((left) => left.finding === finding)
    .map((left): Operation => ({
      kind: 'removeLeftFinding',
      after: spotOf(document.leftFindings, left.id).after,
      branch: [left],
    }));
}

/** What of the findings is open, and what is left as it is, with the reason. */
export function openFindings(
  document: SiteDocument,
  findings: readonly Finding[],
): { readonly open: Finding[]; readonly left: { finding: Finding; reason: string }[] } {
  const reasons = new Map(
    [...document.leftFindings.nodes.values()].map(({ finding, facts, reason }) => [
      `${finding} ${facts}`,
      reason,
    ]),
  );
  const open: Finding[] = [];
  const left: { finding: Finding; reason: string }[] = [];
  for (const finding of findings) {
    const reason = reasons.get(`${finding.id} ${finding.facts}`);
    if (reason === undefined) open.push(finding);
    else left.push({ finding, reason });
  }
  return { open, left };
}

/**
 * All mends that are safe, the likely one of each finding: what can be done at once without looking at each.
 */
export function safeMends(findings: readonly Finding[]): ToMend[] {
  return findings.flatMap((finding) => {
    const [mend] = finding.mends;
    return mend?.isSafe === true ? [{ finding, mend: mend.kind }] : [];
  });
}
