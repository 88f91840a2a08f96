import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import {
  contrastPairs,
  fixesForAll,
  fixFor,
  isFailing,
  nearestPassing,
  pairKey,
  placesOf,
  renderPage,
  setFixes,
  sheetOf,
  situationOn,
  situationsOfHeader,
  valueOfName,
  withStandIns,
  type ContrastPair,
  type DrawnPlace,
  type Page,
  type Sheet,
  type Situation,
  type SiteDocument,
  type State,
} from '@zorvik/core';
import { useFrame } from './frame.ts';
import { useWorkingCopy } from './workingCopy.ts';
import { pageChoices } from './pageChoices.ts';

/** What the page that is looked at has, as its style sheet finds it. */
interface Drawn {
  readonly sheet: Sheet;
  readonly places: readonly DrawnPlace[];
  /** What they follow from: the same places as long as both are the same. */
  readonly html: string;
  readonly owners: string;
}

/** Something that is hard to read, and a page on which it is. */
export interface SurveyedPair {
  readonly page: Page;
  readonly pair: ContrastPair;
}

/** How well everything on the page can be read, in every state; what makes it readable. */
export const useReadability = defineStore('readability', () => {
  const copy = useWorkingCopy();
  const frame = useFrame();
  /** Nothing is asked as long as nobody looks. */
  const isWatched = shallowRef(false);
  let known: Drawn | null = null;

  /** All areas of the page as they are delivered. */
  function htmlOf(document: SiteDocument, situation: Situation): string {
    const { site } = document;
    const { header, side, footer, skip } = renderPage(document, situation, {
      ...pageChoices(site),
      isComposed: true,
    });
    return skip + header + side + footer;
  }

  /** A page anew; `before`: what was found last, which is the same where nothing but values has changed. */
  function drawnOn(document: SiteDocument, situation: Situation, before: Drawn | null = null): Drawn {
    const html = htmlOf(document, situation);
    const sheet = { ...sheetOf(document), situations: situationsOfHeader(html) };
    const owners = [...sheet.set.map(({ scope }) => scope), ...sheet.starters]
      .map(({ within }) => within.join())
      .join('|');
    if (before?.html === html && before.owners === owners) return { ...before, sheet };
    const page = window.document.implementation.createHTMLDocument('');
    page.body.innerHTML = html;
    return { sheet, html, owners, places: placesOf(page.body, sheet) };
  }
  const drawn = (document: SiteDocument): Drawn =>
    (known = drawnOn(frame.hasStandIns ? withStandIns(document) : document, frame.situation, known));
  const pairsOf = (document: SiteDocument): ContrastPair[] => pairsOn(drawn(document));
  function pairsOn({ sheet, places }: Drawn): ContrastPair[] {
    return contrastPairs(places, sheet, valueOfName(sheet.palette, 'paper') ?? '#ffffff');
  }

  const page = computed(() => (isWatched.value && copy.document !== null ? drawn(copy.document) : null));
  const pairs = computed((): readonly ContrastPair[] => (page.value === null ? [] : pairsOn(page.value)));
  /** The situations that the header of the page can be in. */
  const situations = computed(() => page.value?.sheet.situations ?? []);
  const failing = computed(() => pairs.value.filter(isFailing));
  const failingIn = (document: SiteDocument): readonly ContrastPair[] => pairsOf(document).filter(isFailing);

  /**
   * The pair of a thing in a part and a state that is hardest to read; null: nothing is there to read. What has no
   * states of its own is asked in all states of what it is in.
   */
  function pairFor(
    thing: string,
    part: string | null,
    state: State,
    states: readonly State[],
  ): ContrastPair | null {
    let worst: ContrastPair | null = null;
    for (const pair of pairs.value) {
      if (pair.thing !== thing || pair.part !== part) continue;
      if (pair.scheme !== null && pair.scheme !== frame.scheme) continue;
      if (pair.state !== state && states.length > 1) continue;
      if (worst === null || pair.ratio / pair.needed < worst.ratio / worst.needed) worst = pair;
    }
    return worst;
  }

  /** The colour nearest to that of a pair that can be read; null: none. */
  const suggestion = ({ colour, grounds, needed }: ContrastPair): string | null =>
    nearestPassing(colour, grounds, needed);

  /**
   * What is hard to read anywhere: on the page that is looked at, and on one of each template, since pages of one kind look
   * alike. Null: it is being found out. Each finding once, with the first page that has it.
   */
  const surveyed = shallowRef<readonly SurveyedPair[] | null>(null);
  let survey = 0;
  async function lookEverywhere(): Promise<void> {
    const { document } = copy;
    survey += 1;
    const mine = survey;
    surveyed.value = null;
    if (document === null) return;
    const found = new Map<string, SurveyedPair>();
    const pages = [frame.page, ...frame.templates.map(({ page }) => page)].filter((page) => page !== null);
    for (const page of new Set(pages)) {
      // The window stays at hand between two pages.
      await new Promise((done) => setTimeout(done));
      if (mine !== survey) return;
      for (const pair of pairsOn(drawnOn(document, situationOn(document, page.id))).filter(isFailing))
        if (!found.has(pairKey(pair))) found.set(pairKey(pair), { page, pair });
    }
    surveyed.value = [...found.values()];
  }

  /** Makes one pair readable; gives false where nothing that we know of does. */
  function fix(pair: ContrastPair): boolean {
    const { document } = copy;
    const found = document === null ? null : fixFor(document, pair, failingIn);
    if (found === null) return false;
    copy.perform((context) => setFixes(context, [found]));
    return true;
  }
  /** Makes all readable that can be; gives how many cannot. */
  function fixAll(): number {
    const { document } = copy;
    if (document === null) return 0;
    const found = fixesForAll(document, failingIn);
    if (found.length > 0) copy.perform((context) => setFixes(context, found));
    return copy.document === null ? 0 : failingIn(copy.document).length;
  }

  return {
    surveyed,
    lookEverywhere,
    isWatched,
    pairs,
    situations,
    failing,
    pairFor,
    suggestion,
    fix,
    fixAll,
    pairKey,
  };
});
