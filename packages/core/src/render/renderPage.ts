import type { Id } from '../base/ids.ts';
import { pathKey } from '../base/pathKey.ts';
import type { SiteDocument } from '../model/document.ts';
import type { CompareTitles } from '../resolve/followedPages.ts';
import { exceptionsOf, winning, type Situation } from '../resolve/frameExceptions.ts';
import type { ResolvedMenu } from '../resolve/resolved.ts';
import { allAreaFacts, resolveArea, siteWords } from '../resolve/resolveFrame.ts';
import { sheetOf, styledIn } from '../resolve/sheetOf.ts';
import { resolveMenu } from '../resolve/resolveMenu.ts';
import { currentMarks, markPlaces } from './currentMarks.ts';
import { fillFragment } from './fillFragment.ts';
import type { PageFacts } from './fillSlot.ts';
import { barFits, type BarFits } from '../fit/barFits.ts';
import type { Measure } from '../fit/measure.ts';
import { frameAreas, partsOfArea, renderArea, renderSkip, withFits, type FrameArea } from './renderFrame.ts';
import { renderStyles } from './renderStyles.ts';

/** The frame of one page of a document, and the style sheet that it needs. */
export type RenderedPage = Readonly<Record<FrameArea | 'skip' | 'css', string>>;

/** How the frame of a page is written. */
export interface PageChoices {
  readonly compareTitles: CompareTitles;
  /** What the names of picture files are put behind. */
  readonly pictures: string;
  readonly year: number;
  /** What the bars of the header do where they do not fit (`barFits`); not there: what `measure` says. */
  readonly fits?: BarFits;
  /** Menus as they are to be shown, by their keys, such as those of an edition; not there: as the document has them. */
  readonly menus?: ReadonlyMap<string, ResolvedMenu>;
  /** Measures text, for bars that do something where they do not fit; not there: they wrap. */
  readonly measure?: Measure;
  /** For composing: parts and entries have their ids, and what is empty stays. */
  readonly isComposed?: boolean;
}

/**
 * The frame of one page as it would be delivered if the document were published now. `document` has what is
 * followed filled in. O(parts + items of the menus that it shows).
 */
export function renderPage(
  document: SiteDocument,
  situation: Situation,
  { compareTitles, pictures, year, fits, measure, menus: given, isComposed = false }: PageChoices,
): RenderedPage {
  const menus = new Map<Id, ResolvedMenu>();
  const menuOf = (id: Id): ResolvedMenu | null => {
    const node = document.menus.nodes.get(id);
    if (node === undefined) return null;
    if (given !== undefined) return noted(id, given.get(node.key) ?? null);
    const known = menus.get(id) ?? resolveMenu(document, id, { compareTitles });
    menus.set(id, known);
    return known;
  };
  function noted(id: Id, menu: ResolvedMenu | null): ResolvedMenu | null {
    if (menu !== null) menus.set(id, menu);
    return menu;
  }
  const words = siteWords(document);
  const choices = {
    site: document.site,
    words,
    pictures,
    marks: isComposed,
    styled: styledIn(document),
  };
  const facts = factsOn(document, situation, year);
  const [here, ...above] = facts.way.map(({ path }) => pathKey(path)).reverse();
  const areas = frameAreas.map((area) => {
    const plain = resolveArea(
      {
        document,
        compareTitles,
        keepsEmpty: isComposed,
        menuOf,
        exceptionFor: ({ id }) => winning(exceptionsOf(document, id), situation),
      },
      area,
    );
    const resolved =
      area === 'header'
        ? withFits(plain, fits ?? (measure === undefined ? {} : barFits(document, plain, measure)))
        : plain;
    const fragment = renderArea(area, resolved, choices);
    const marks =
      here === undefined
        ? []
        : currentMarks(
            markPlaces(fragment.html, { inMenus: true }),
            here,
            new Set(above.filter((path) => path !== '/')),
          );
    return { resolved, html: fillFragment(fragment, facts, marks) };
  });
  const [header = '', side = '', footer = ''] = areas.map(({ html }) => html);
  const parts = areas.flatMap(({ resolved }) => partsOfArea(resolved));
  const look = {
    parts,
    areas: allAreaFacts(document),
    does: new Set(areas.flatMap(({ resolved }) => resolved.does)),
  };
  const css = renderStyles(document.site, [...menus.values()], look, sheetOf(document), pictures);
  return { header, side, footer, skip: renderSkip(choices), css };
}

/** What is known of the page for the slots of its frame. */
function factsOn({ pages }: SiteDocument, situation: Situation, year: number): PageFacts {
  const way = situation.pages.flatMap((id) => pages.nodes.get(id) ?? []);
  return {
    way: way.map(({ title, address }) => ({ title, path: address })).reverse(),
    anchors: way[0]?.anchors ?? [],
    year,
    template: situation.template,
  };
}
