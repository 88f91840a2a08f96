import { isEqual } from '../base/isEqual.ts';
import type { Id } from '../base/ids.ts';
import { inWords } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf, emptyForest, withNodesLast } from '../model/forest.ts';
import type { PartDeed } from '../model/partRoots.ts';
import { partsIn } from '../model/partsIn.ts';
import { partSentence } from '../ops/addPart.ts';
import type { Part } from '../schema/part.ts';
import type { Site } from '../schema/site.ts';
import type { Style } from '../schema/style.ts';
import type { OwnCss } from '../schema/ownCss.ts';
import type { Token } from '../schema/token.ts';
import { longestIncreasing } from '../walk/longestIncreasing.ts';

/** What a frame was made of when an edition was published: its parts, in preorder, and the facts of the site. */
export interface FrameSource {
  readonly site: Site;
  readonly parts: Part[];
  /** The looks that were set; not there: nobody could set any then. */
  readonly styles?: Style[];
  /** What had a name; not there: nothing could have one then. */
  readonly tokens?: Token[];
  /** CSS that people wrote; not there: nobody could then. */
  readonly ownCss?: OwnCss[];
}

/** What the frame of a document is made of now. O(parts of the frame). */
export function frameSource(document: SiteDocument): FrameSource {
  return {
    site: document.site,
    parts: partsIn(document, document.site.id),
    styles: [...document.styles.nodes.values()],
    tokens: [...document.tokens.nodes.values()],
    ownCss: [...document.ownCss.nodes.values()],
  };
}

/** A document as an edition had its frame and its looks; its menus are those of the working copy. O(parts). */
export function withSource(
  document: SiteDocument,
  { site, parts, styles = [], tokens = [], ownCss = [] }: FrameSource,
): SiteDocument {
  return {
    ...document,
    site,
    parts: withNodesLast(emptyForest<Part>(), parts),
    styles: withNodesLast(emptyForest<Style>(), styles),
    tokens: withNodesLast(emptyForest<Token>(), tokens),
    ownCss: withNodesLast(emptyForest<OwnCss>(), ownCss),
  };
}

/** What these are called in a list of what has changed. */
const factWords: Readonly<Record<Exclude<keyof Site, 'id' | 'key'>, string>> = {
  name: 'name',
  language: 'language',
  direction: 'writing direction',
  timeZone: 'time zone',
  origin: 'address',
  breakpoints: 'breakpoints',
  contentWidth: 'content width',
  margins: 'page margins',
  logo: 'logo',
  phone: 'phone number',
  email: 'e-mail address',
  postal: 'postal address',
  hours: 'opening hours',
  holder: 'copyright holder',
  social: 'social links',
  payments: 'payment marks',
  words: 'words that visitors read',
  hasDark: 'dark colours',
  starter: 'starter',
  areaStarters: 'starters of areas',
  variants: 'variants of buttons and links',
  ownStarters: 'saved starters',
};

/**
 * What has changed in the frame and in the facts of the site since then, in plain words, each part once. What came
 * or went with the part around it is not said again; an exception counts for the part that it is about. O(parts *
 * log parts).
 */
export function compareFrames(before: FrameSource, document: SiteDocument): string[] {
  const after = frameSource(document);
  const were: SiteDocument = { ...document, parts: withNodesLast(emptyForest<Part>(), before.parts) };
  const old = new Map(before.parts.map((part) => [part.id, part]));
  const now = new Map(after.parts.map((part) => [part.id, part]));
  const facts = (Object.keys(factWords) as (keyof typeof factWords)[])
    .filter((name) => !isEqual(before.site[name] ?? null, after.site[name] ?? null))
    .map((name) => `Changed the site’s ${factWords[name]}`);
  const say = (deed: PartDeed, from: SiteDocument, part: Part): string =>
    inWords(partSentence(deed, from, part));
  const reordered = reorderedParts(were, document, old, now);
  const changes: string[] = [];
  for (const part of after.parts) {
    const was = old.get(part.id);
    if (part.kind === 'area' && isAreaChanged(part.id, were, document))
      changes.push(say('changed', document, part));
    if (!isSaid(part)) continue;
    if (was === undefined) {
      if (!comesWith(part, now, old)) changes.push(say('added', document, part));
      continue;
    }
    const { parent: from, ...facts } = was;
    const { parent: to, ...present } = part;
    const exceptions = (of: SiteDocument): Part[] =>
      [...childrenOf(of.parts, part.id)]
        .flatMap((id) => of.parts.nodes.get(id) ?? [])
        .filter(({ kind }) => kind === 'exception');
    if (from !== to || reordered.has(part.id)) changes.push(say('moved', document, part));
    if (!isEqual(facts, present) || !isEqual(exceptions(were), exceptions(document)))
      changes.push(say('changed', document, part));
  }
  for (const part of before.parts)
    if (isSaid(part) && !now.has(part.id) && !comesWith(part, old, now))
      changes.push(say('removed', were, part));
  return [...facts, ...changes];
}

/** What is said with what it belongs to; areas are always there. */
const unsaid: ReadonlySet<Part['kind']> = new Set(['zone', 'area', 'exception', 'behaviour']);
function isSaid({ kind }: Part): boolean {
  return !unsaid.has(kind);
}

/** Whether an area that was there is otherwise now: what is said of it, or what it does on which pages. */
function isAreaChanged(id: Id, were: SiteDocument, document: SiteDocument): boolean {
  const about = ({ parts }: SiteDocument): Part[] => {
    const does = [...childrenOf(parts, id)].filter((one) => parts.nodes.get(one)?.kind === 'behaviour');
    return [id, ...does, ...does.flatMap((one) => [...childrenOf(parts, one)])].flatMap(
      (one) => parts.nodes.get(one) ?? [],
    );
  };
  return were.parts.nodes.has(id) && !isEqual(about(were), about(document));
}

/** Whether something around a part came, or went, with it: that is said then. */
function comesWith({ parent }: Part, here: ReadonlyMap<Id, Part>, there: ReadonlyMap<Id, Part>): boolean {
  for (let around = here.get(parent); around !== undefined; around = here.get(around.parent))
    if (isSaid(around)) return !there.has(around.id);
  return false;
}

/** Parts that kept their parent, but left the longest run that kept its order. */
function reorderedParts(
  were: SiteDocument,
  document: SiteDocument,
  old: ReadonlyMap<Id, Part>,
  now: ReadonlyMap<Id, Part>,
): Set<Id> {
  const moved = new Set<Id>();
  for (const parent of new Set([...now.values()].map((part) => part.parent))) {
    const ranks = new Map([...childrenOf(were.parts, parent)].map((id, at) => [id, at]));
    const stayed = [...childrenOf(document.parts, parent)].filter(
      (id) => now.has(id) && old.get(id)?.parent === parent,
    );
    const kept = longestIncreasing(
      stayed.map((id) => ranks.get(id) ?? 0),
      () => 1,
    );
    stayed.forEach((id, at) => {
      if (!kept.has(at)) moved.add(id);
    });
  }
  return moved;
}
