import { firstFree } from '../base/firstFree.ts';
import type { VisitorWords } from '../base/visitorWords.ts';
import type { Id } from '../base/ids.ts';
import { romanised } from '../base/romanised.ts';
import type { SiteDocument } from '../model/document.ts';
import type { CompareTitles } from '../resolve/followedPages.ts';
import { resolveArea, resolvePlaces, siteWords } from '../resolve/resolveFrame.ts';
import type { ResolvedMenu, ResolvedPart } from '../resolve/resolved.ts';
import { frameTable, varied, type Combination, type FrameTable, type Varied } from './frameVariants.ts';
import {
  allParts,
  fetchedPanels,
  frameAreas,
  renderArea,
  renderPlace,
  renderSkip,
  type FrameArea,
  type FrameChoices,
  type Slot,
} from './renderFrame.ts';

/** A fragment of a frame: where its HTML and its data are among the files of the edition, and its slots. */
export interface FragmentFile {
  readonly html: string;
  readonly data: string;
  readonly slots: readonly Slot[];
}

/** What delivery has to know of a frame, as JSON: which fragment is where, on which pages. */
export interface FrameIndex {
  readonly language: string;
  readonly direction: 'ltr' | 'rtl';
  readonly words: VisitorWords;
  readonly skip: string;
  /** For each area its variants. */
  readonly areas: Readonly<Record<FrameArea, readonly FragmentFile[]>>;
  /** For each variant of the named places, those that there are, by their keys. */
  readonly places: readonly Readonly<Record<string, FragmentFile>>[];
  /** The first is for pages that nobody knows. */
  readonly combinations: readonly Combination[];
  /** Of templates, places in `combinations`. */
  readonly templates: Readonly<Record<string, number>>;
}

/** A frame as an edition keeps it. */
export interface EditionFrame {
  readonly index: FrameIndex;
  readonly files: readonly { readonly path: string; readonly body: string }[];
  readonly table: FrameTable;
  /** All parts of all variants, for the style sheet and the files that are shown. */
  readonly parts: readonly ResolvedPart[];
}

/** Where an edition keeps what is delivered of its frame. No path that is asked for begins with a dot. */
const FOLDER = '.frame';

/**
 * The frame of a site in all its variants; null where it has none. `document` has what is followed filled in.
 * O(pages + variants * size of an area).
 */
export function editionFrame(
  document: SiteDocument,
  {
    compareTitles,
    pictures,
    table = frameTable(document),
    menuOf,
  }: {
    readonly compareTitles: CompareTitles;
    readonly pictures: string;
    /** The variants of the frame, where they are known already. */
    readonly table?: FrameTable | undefined;
    readonly menuOf: (menu: Id) => ResolvedMenu | null;
  },
): EditionFrame | null {
  const { site } = document;
  const words = siteWords(document);
  const choices: FrameChoices = { site, words, pictures, fetchesPanels: true };
  const files = new Map<string, string>();
  const parts: ResolvedPart[] = [];
  const keep = (
    area: Varied,
    resolved: readonly ResolvedPart[],
    path: string,
    html: string,
  ): Omit<FragmentFile, 'slots'> => {
    parts.push(...allParts(resolved));
    for (const panel of fetchedPanels(area, resolved, { pictures })) files.set(panel.path, panel.html);
    const kept = { html: `${path}.html`, data: `${path}.json` };
    files.set(kept.html, html);
    files.set(kept.data, JSON.stringify(resolved));
    return kept;
  };
  const resolvedIn = (area: Varied): ResolvedPart[][] =>
    table.variants[area].map((variant) => {
      const sources = {
        document,
        compareTitles,
        menuOf,
        keepsEmpty: false,
        exceptionFor: ({ id }: { readonly id: Id }) => variant.get(id) ?? null,
      };
      return area === 'page' ? resolvePlaces(sources) : resolveArea(sources, area);
    });
  const areas = Object.fromEntries(
    frameAreas.map((area) => [
      area,
      resolvedIn(area).map((bands, at): FragmentFile => {
        const { html, slots } = renderArea(area, bands, choices);
        return { ...keep(area, bands, `${FOLDER}/${area}/${at}`, html), slots };
      }),
    ]),
  ) as Record<FrameArea, FragmentFile[]>;
  const places = resolvedIn('page').map((some, at) => {
    const made: Record<string, FragmentFile> = {};
    for (const placement of some) {
      const key = firstFree(placeKey(placement), (name) => name in made);
      const { html, slots } = renderPlace(placement, choices);
      made[key] = { ...keep('page', [placement], `${FOLDER}/page/${at}/${key}`, html), slots };
    }
    return made;
  });
  if (parts.length === 0) return null;
  const index: FrameIndex = {
    language: site.language,
    direction: site.direction,
    words,
    skip: renderSkip(choices),
    areas,
    places,
    combinations: table.combinations,
    templates: Object.fromEntries(table.ofTemplate),
  };
  return { index, files: [...files].map(([path, body]) => ({ path, body })), table, parts };
}

/** The key of a named place in addresses: its name in plain letters. */
function placeKey({ text = '', id }: ResolvedPart): string {
  const plain = romanised(text)
    .replaceAll(/[^a-z0-9]+/g, '-')
    .replaceAll(/^-+|-+$/g, '');
  return plain === '' ? id : plain;
}

/** Whether any fragment asks for titles, or for anchors. */
export function slotNeeds({ areas, places }: FrameIndex): {
  readonly hasTitles: boolean;
  readonly hasAnchors: boolean;
} {
  const fragments = [
    ...varied.flatMap((name) => (name === 'page' ? [] : areas[name])),
    ...places.flatMap((some) => Object.values(some)),
  ];
  const has = (kind: Slot['kind']): boolean =>
    fragments.some(({ slots }) => slots.some((one) => one.kind === kind));
  return { hasTitles: has('breadcrumb'), hasAnchors: has('anchors') };
}
