import type { Params, Phrase } from '../base/fillIn.ts';
import type { FixCode } from '../base/findingWords.ts';
import { derivedId, type Id } from '../base/ids.ts';
import { isEqual } from '../base/isEqual.ts';
import { nameOf, partName } from '../model/labelOf.ts';
import { ownerOf } from '../model/partRoots.ts';
import { partsIn } from '../model/partsIn.ts';
import { partPhrase } from '../ops/addPart.ts';
import { partRefs } from '../refs/partRefs.ts';
import { valueAt } from '../refs/replacedAt.ts';
import type { Destination } from '../schema/item.ts';
import { partFacts, type Part } from '../schema/part.ts';
import { anchorAlike } from './anchorAlike.ts';
import type { Finding, FindingKind, Mend } from './finding.ts';
import type { DriftSources } from './menuDrift.ts';
import type { Successors } from './successors.ts';

/** Where a panel is; the frame of the site: `menu` and `item` are the site. */
interface PanelPlace {
  readonly menu: Id;
  readonly item: Id;
  readonly isInFrame?: true;
}

/**
 * What is amiss with the links of an item's panel: those of its parts and those in its texts. Parts keep no
 * agreed facts, so only what fails or redirects visitors is told. O(parts of the panel).
 */
export function panelFindings(
  sources: DriftSources,
  place: PanelPlace,
  seek: Successors,
): readonly Finding[] {
  return partsIn(sources.stored, place.item).flatMap((part) =>
    linksOf(part).flatMap((link) => new LinkInPanel(sources, place, part, link, seek).finding() ?? []),
  );
}

/** The same of the parts of the frame. O(parts of the frame). */
export function frameFindings(sources: DriftSources, seek: Successors): readonly Finding[] {
  const { id } = sources.stored.site;
  return panelFindings(sources, { menu: id, item: id, isInFrame: true }, seek);
}

type Link = Extract<Destination, { kind: 'page' | 'address' }>;

/** The destinations that a part links to, each once. */
function linksOf(part: Part): Link[] {
  const links: Link[] = [];
  for (const { to, value, role, path } of partRefs(part)) {
    if (role !== 'link') continue;
    const anchor = valueAt(part, [...path.slice(0, -1), 'anchor']);
    const link: Link =
      to === 'page'
        ? { kind: 'page', page: value, anchor: typeof anchor === 'string' ? anchor : null }
        : { kind: 'address', address: value };
    if (!links.some((one) => isEqual(one, link))) links.push(link);
  }
  return links;
}

/** One link of one part. */
class LinkInPanel {
  private readonly label: string;
  private readonly words: { readonly item: string; readonly part: Phrase };

  constructor(
    private readonly sources: DriftSources,
    private readonly place: PanelPlace,
    private readonly part: Part,
    private readonly link: Link,
    private readonly seek: Successors,
  ) {
    const { stored } = sources;
    this.label = partName(stored, part);
    const item =
      place.isInFrame === true ? ownerOf(stored, part.id).name : nameOf(stored, 'items', place.item);
    this.words = { item, part: partPhrase(stored, part) };
  }

  finding(): Finding | null {
    return this.link.kind === 'page'
      ? this.atPage(this.link.page, this.link.anchor)
      : this.atAddress(this.link.address);
  }

  private atPage(id: Id, anchor: string | null): Finding | null {
    const page = this.sources.stored.pages.nodes.get(id);
    if (page?.state === 'gone') {
      const next = this.seek.of(page);
      const lead =
        next === null ? [] : [this.leadThere('linkToPage', next, { address: next.address }, false)];
      return this.tell('pageGone', id, { page: page.title }, page.state, [...lead, this.without()]);
    }
    if (page?.anchors === undefined || anchor === null) return null;
    if (page.anchors.some((one) => one.id === anchor)) return null;
    const alike = anchorAlike(page.anchors, anchor, this.label);
    const other =
      alike === null
        ? []
        : [
            this.mend(
              'otherAnchor',
              'linkToAnchor',
              { title: alike.title, anchor: alike.id },
              false,
              alike.id,
            ),
          ];
    const mends = [...other, this.mend('dropAnchor', 'linkToTop', { page: page.title }, false)];
    const facts = derivedId('leftFinding', page.anchors.map((one) => one.id).join(' '));
    return this.tell('anchorGone', id, { anchor, page: page.title }, facts, mends);
  }

  private atAddress(address: string): Finding | null {
    const reason = this.sources.dead?.get(address);
    if (reason !== undefined)
      return this.tell('linkDead', null, { address, reason }, reason, [this.without()]);
    const known = this.seek.at(address);
    if (known === null) return null;
    const { page, isGone } = known;
    const lead = page === null || this.isAction ? [] : [this.leadThere('linkAndFollow', page, {}, !isGone)];
    if (isGone) return this.tell('addressGone', null, { address }, 'gone', [...lead, this.without()]);
    // What a form sends still arrives.
    if (page === null || this.isAction) return null;
    return this.tell('addressRedirects', page.id, { was: address, now: page.address }, page.address, lead);
  }

  /** The address is where a form is sent, and not a link. */
  private get isAction(): boolean {
    return this.link.kind === 'address' && this.link.address === this.part.address;
  }

  /** The part goes where it is nothing without its link, else the link alone. */
  private without(): Mend {
    const { isInFrame } = this.place;
    return partFacts[this.part.kind].always.includes('destination') || this.isAction
      ? this.mend('remove', isInFrame === true ? 'removeFramePart' : 'removePart', {}, false)
      : this.mend('unlink', isInFrame === true ? 'unlinkFramePart' : 'unlinkPart', {}, false);
  }

  private leadThere(
    code: FixCode,
    { id, title }: { readonly id: Id; readonly title: string },
    params: Params,
    isSafe: boolean,
  ): Mend {
    return this.mend('leadThere', code, { title, ...params }, isSafe, id);
  }

  private mend(kind: Mend['kind'], code: FixCode, params: Params, isSafe: boolean, target?: Id): Mend {
    const words = { label: this.label, ...this.words, ...params };
    return { kind, code, params: words, isSafe, ...(target === undefined ? {} : { target }) };
  }

  private tell(
    kind: FindingKind,
    page: Id | null,
    params: Params,
    facts: string,
    mends: readonly Mend[],
  ): Finding {
    const { part, link, place } = this;
    // Short, whatever is linked to.
    const to = link.kind === 'page' ? `${link.page}#${link.anchor ?? ''}` : link.address;
    return {
      id: [kind, part.id, derivedId('leftFinding', to)].join(' '),
      kind,
      menu: place.menu,
      at: place.item,
      page,
      part: part.id,
      ...(place.isInFrame === true ? { isInFrame: true as const } : {}),
      link,
      params: { ...this.words, ...params },
      facts,
      mends,
    };
  }
}
