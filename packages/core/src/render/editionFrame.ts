import { firstFree } from '../base/firstFree.ts';
import type { VisitorWords } from '../base/visitorWords.ts';
import type { Id } from '../base/ids.ts';
import { romanised } from '../base/romanised.ts';
import { sheetOf, styledIn } from '../resolve/sheetOf.ts';
import { fontPreloads } from './renderStyles.ts';
import { barFits } from '../fit/barFits.ts';
import type { Measure } from '../fit/measure.ts';
import type { BarFit } from '../resolve/barFit.ts';
import type { SiteDocument } from '../model/document.ts';
import type { CompareTitles } from '../resolve/followedPages.ts';
import {
  resolveArea,
  resolvePlaces,
  siteWords,
  type AreaFacts,
  type FrameSources,
} from '../resolve/resolveFrame.ts';
import type { AreaName, Behaviour } from '../schema/part.ts';
import type { ResolvedMenu, ResolvedPart } from '../resolve/resolved.ts';
import { frameTable, varied, type Combination, type FrameTable, type Variant } from './frameVariants.ts';
import {
  allParts,
  fetchedPanels,
  frameAreas,
  renderArea,
  renderPlace,
  renderSkip,
  withFits,
  type FrameArea,
  type FrameChoices,
  type Slot,
} from './renderFrame.ts';

/** A fragment of a frame: where its HTML and its data are among the files of the edition, and its slots. */
export interface FragmentFile {
  readonly html: string;
  readonly data: string;
  /** Of a header: where the data of its drawer is; not there: it has none. */
  readonly drawer?: string;
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
  /** What the header and the side do while the page scrolls, on some pages at least. */
  readonly does: ReadonlySet<Behaviour>;
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
    measure,
    menuOf,
  }: {
    readonly compareTitles: CompareTitles;
    readonly pictures: string;
    /** The variants of the frame, where they are known already. */
    readonly table?: FrameTable | undefined;
    readonly measure?: Measure | undefined;
    readonly menuOf: (menu: Id) => ResolvedMenu | null;
  },
): EditionFrame | null {
  const { site } = document;
  const words = siteWords(document);
  const styled = styledIn(document);
  const choices: FrameChoices = { site, words, pictures, styled, fetchesPanels: true };
  const files = new Map<string, string>();
  const parts: ResolvedPart[] = [];
  const does = new Set<Behaviour>();
  /** Keeps the data of some parts, and the panels in them that are fetched; where the data is. */
  const keep = (
    area: AreaName | 'page',
    resolved: readonly ResolvedPart[],
    path: string,
    facts: AreaFacts = {},
  ): string => {
    parts.push(...allParts(resolved));
    for (const panel of fetchedPanels(area, resolved, { pictures, styled, facts }))
      files.set(panel.path, panel.html);
    // How a bar is folded is no part of the data.
    files.set(
      path,
      JSON.stringify(resolved, (name, value: unknown) => (name === 'fit' ? undefined : value)),
    );
    return path;
  };
  const written = (path: string, html: string): string => {
    files.set(path, html);
    return path;
  };
  /** A bar has several ways where its neighbours differ on some pages: each has a name of its own. */
  const ways = new Map<Id, string[]>();
  const fitNamed = (part: Id, fit: BarFit): string => {
    const known = ways.get(part) ?? [];
    ways.set(part, known);
    const way = JSON.stringify(fit);
    if (!known.includes(way)) known.push(way);
    const at = known.indexOf(way);
    return at === 0 ? part : `${part}-${at}`;
  };
  const sourcesOf = (variant: Variant): FrameSources => ({
    document,
    compareTitles,
    menuOf,
    keepsEmpty: false,
    exceptionFor: ({ id }) => variant.get(id) ?? null,
  });
  const areas = Object.fromEntries(
    frameAreas.map((area) => [
      area,
      table.variants[area].map((variant, at): FragmentFile => {
        const plain = resolveArea(sourcesOf(variant), area);
        const resolved =
          area === 'header' && measure !== undefined
            ? withFits(plain, barFits(document, plain, measure), fitNamed)
            : plain;
        const { html, slots } = renderArea(area, resolved, choices);
        const { bands, facts, drawer = null } = resolved;
        resolved.does.forEach((one) => does.add(one));
        const path = `${FOLDER}/${area}/${at}`;
        return {
          html: written(`${path}.html`, html),
          data: keep(area, bands, `${path}.json`, facts),
          slots,
          ...(drawer === null ? {} : { drawer: keep('drawer', drawer.bands, `${FOLDER}/drawer/${at}.json`) }),
        };
      }),
    ]),
  ) as Record<FrameArea, FragmentFile[]>;
  const places = table.variants.page.map((variant, at) => {
    const made: Record<string, FragmentFile> = {};
    for (const placement of resolvePlaces(sourcesOf(variant))) {
      const key = firstFree(placeKey(placement), (name) => name in made);
      const { html, slots } = renderPlace(placement, choices);
      const path = `${FOLDER}/page/${at}/${key}`;
      made[key] = {
        html: written(`${path}.html`, html),
        data: keep('page', [placement], `${path}.json`),
        slots,
      };
    }
    return made;
  });
  if (parts.length === 0) return null;
  const index: FrameIndex = {
    language: site.language,
    direction: site.direction,
    words,
    skip: fontPreloads(sheetOf(document), pictures) + renderSkip(choices),
    areas,
    places,
    combinations: table.combinations,
    templates: Object.fromEntries(table.ofTemplate),
  };
  return { index, files: [...files].map(([path, body]) => ({ path, body })), table, parts, does };
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
