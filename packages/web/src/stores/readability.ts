import { defineStore } from 'pinia';
import { computed, shallowRef, watch } from 'vue';
import {
  contrastPairs,
  fixesForAll,
  fixFor,
  isFailing,
  nearestPassing,
  pairKey,
  placesOf,
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
import type { PictureSign } from '../live/frameMessages.ts';
import { useFrame } from './frame.ts';
import { hardWords, useHardToRead } from './hardToRead.ts';
import { useWorkingCopy } from './workingCopy.ts';
import { composedHtml, pageOf } from './pageChoices.ts';

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

/** So many signs are on a picture at most: more would cover what it shows. */
const MOST_SIGNS = 24;

/** With more items than that, asking aside would be felt. */
const MOST_ASIDE = 1500;
/** How long nothing has to change until it is asked aside, in ms. */
const MOMENT = 600;

/** How well everything on the page can be read, in every state; what makes it readable. */
export const useReadability = defineStore('readability', () => {
  const copy = useWorkingCopy();
  const frame = useFrame();
  /** Nothing is asked as long as nobody looks. */
  const isWatched = shallowRef(false);
  /** It is asked once nothing has changed for a moment: where people work on other things. */
  const isAside = shallowRef(false);
  const settled = shallowRef<SiteDocument | null>(null);
  let pause: ReturnType<typeof setTimeout> | undefined;
  watch(
    [() => copy.document, isAside],
    ([document, is]) => {
      clearTimeout(pause);
      if (is) pause = setTimeout(() => (settled.value = document), MOMENT);
    },
    { immediate: true },
  );
  const asked = computed(() =>
    isWatched.value
      ? copy.document
      : isAside.value && (settled.value?.items.nodes.size ?? 0) <= MOST_ASIDE
        ? settled.value
        : null,
  );
  let known: Drawn | null = null;

  /** A page anew; `before`: what was found last, which is the same where nothing but values has changed. */
  function drawnOn(document: SiteDocument, situation: Situation, before: Drawn | null = null): Drawn {
    const html = composedHtml(document, situation);
    const sheet = { ...sheetOf(document), situations: situationsOfHeader(html) };
    const owners = [...sheet.set.map(({ scope }) => scope), ...sheet.starters]
      .map(({ within }) => within.join())
      .join('|');
    if (before?.html === html && before.owners === owners) return { ...before, sheet };
    return { sheet, html, owners, places: placesOf(pageOf(html).body, sheet) };
  }
  const drawn = (document: SiteDocument): Drawn =>
    (known = drawnOn(
      isWatched.value && frame.hasStandIns ? withStandIns(document) : document,
      frame.situation,
      known,
    ));
  const pairsOf = (document: SiteDocument): ContrastPair[] => pairsOn(drawn(document));
  function pairsOn({ sheet, places }: Drawn): ContrastPair[] {
    return contrastPairs(places, sheet, valueOfName(sheet.palette, 'paper') ?? '#ffffff');
  }

  const page = computed(() => (asked.value === null ? null : drawn(asked.value)));
  const pairs = computed((): readonly ContrastPair[] => (page.value === null ? [] : pairsOn(page.value)));
  /** The situations that the header of the page can be in. */
  const situations = computed(() => page.value?.sheet.situations ?? []);
  /** What is hard to read, the worst first. */
  const failing = computed(() =>
    pairs.value.filter(isFailing).sort((a, b) => a.ratio / a.needed - b.ratio / b.needed),
  );
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

  // Lists of items show it, too.
  const hard = useHardToRead();
  watch(failing, (now) => {
    const found = new Map<string, ContrastPair[]>();
    for (const pair of now)
      for (const item of pair.items) found.set(item, [...(found.get(item) ?? []), pair]);
    // Nothing to tell: lists need not be looked through again.
    if (found.size > 0 || hard.byItem.size > 0) hard.byItem = found;
  });
  /** What is hard to read right in a part: not of the items in it. */
  const failingPart = (part: string): readonly ContrastPair[] =>
    failing.value.filter((pair) => pair.part === part && pair.item === null);
  /** A sign for each place on the page where something is hard to read. */
  const signs = computed((): readonly PictureSign[] => {
    const found = new Map<string, PictureSign>();
    for (const pair of failing.value) {
      const { part, item } = pair;
      const key = `${part} ${item}`;
      if (!found.has(key)) found.set(key, { part, item, text: `${hardWords(pair)}. Press to fix it.` });
    }
    return [...found.values()].slice(0, MOST_SIGNS);
  });
  /** Makes readable what is hard to read in one place. */
  function fixAt(part: string | null, item: string | null): void {
    const { document } = copy;
    if (document === null) return;
    const found = fixesForAll(document, failingIn, (pair) => pair.part === part && pair.item === item);
    if (found.length > 0) copy.perform((context) => setFixes(context, found));
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
    fixAt,
    isAside,
    failingPart,
    signs,
    pairKey,
  };
});
