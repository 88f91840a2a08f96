import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import {
  fitFix,
  inMode,
  isProblem,
  problemsOf,
  textIn,
  withFitFix,
  type BarFits,
  type FitSuggestion,
  type Id,
} from '@zorvik/core';
import { stateWords } from './laneWords.ts';
import type { PictureSign } from '../live/frameMessages.ts';
import { asForced, asStill } from '../live/visitorChecks.ts';
import { useFit } from './fit.ts';
import { useLiveView } from './liveView.ts';
import { useWorkingCopy } from './workingCopy.ts';

/** About what a browser makes of colours where they are forced (CSS Color Adjustment 1, 3.1). */
const FORCED = `.zv *,.zv,.zv-band *,.zv-band,.zv-header,.zv-drawer,.zv-footer,.zv-side{background-color:Canvas!important;color:CanvasText!important;fill:currentColor!important;border-color:CanvasText!important;box-shadow:none!important;text-shadow:none!important}
.zv a,.zv-band a{color:LinkText!important}.zv button,.zv-band button{color:ButtonText!important}`;

/** What the workspace Fit shows besides what everybody is told: the picture, and what is done with suggestions. */
export const useFitWork = defineStore('fitWork', () => {
  const copy = useWorkingCopy();
  const fit = useFit();
  const live = useLiveView();

  /** What does not fit in the mode that is shown. */
  const shownProblems = computed(() => problemsOf(fit.lanes));

  /** The site as the picture shows it: with the suggestion that is looked at, and as a visitor has set it. */
  const shown = computed(() => {
    const { document } = copy;
    const { previewed: suggestion } = fit;
    if (document === null) return null;
    const context = { document, base: 0, session: 'preview', random: () => 7 };
    const mended = suggestion === null ? null : withFitFix(context, suggestion.part, suggestion.fix);
    return inMode(mended ?? document, fit.mode);
  });
  /** What bars do where they do not fit, in the picture. */
  const shownFits = computed((): BarFits => {
    const at = fit.previewed === null ? -1 : fit.suggestions.indexOf(fit.previewed);
    return fit.previews[at] ?? fit.fits;
  });
  /** What the picture is shown with besides a mode: it changes nothing of what is measured. */
  const seenWith = ref<'forcedColours' | 'lessMotion' | null>(null);
  /** A style sheet with the size of text that a visitor has set. */
  const sized = (css: string): string =>
    textIn(fit.mode) === 100 ? css : `${css}\n:root{font-size:${textIn(fit.mode)}%}`;
  /** A style sheet with all that a visitor has set. */
  function dress(css: string): string {
    if (seenWith.value === 'lessMotion') return asStill(sized(css));
    return seenWith.value === 'forcedColours' ? `${asForced(sized(css))}\n${FORCED}` : sized(css);
  }

  /** What does not fit at the width of the picture, each at the entry with which it begins. */
  const signs = computed((): PictureSign[] =>
    fit.lanes.flatMap(({ part, item, stretches }) => {
      const state = stretches?.find(({ from, to }) => live.width >= from && live.width <= to)?.state;
      if (state === undefined || !isProblem(state)) return [];
      if (state.is === 'band')
        return state.firsts.map((first, at) => ({
          part: first,
          item: null,
          text: `Row ${at + 2} of the band`,
        }));
      if (state.is === 'rows')
        return state.firsts.length === 0
          ? [{ part, item: null, text: stateWords(state) }]
          : state.firsts.map((first, at) => ({ part, item: first, text: `Row ${at + 2} begins here` }));
      return [{ part, item: item ?? null, text: stateWords(state) }];
    }),
  );
  /** Chooses what a sign is about. */
  function chooseAt(part: Id | null, item: Id | null): void {
    if (part === null) return;
    const band = fit.lanes.find(({ stretches }) =>
      stretches?.some(({ state }) => state.is === 'band' && isProblem(state) && state.firsts.includes(part)),
    );
    if (band !== undefined && item === null) {
      fit.chosen = { part: band.part };
      return;
    }
    const isDrop = shownProblems.value.some((one) => one.part === part && one.item === item && item !== null);
    fit.chosen = { part, ...(isDrop && item !== null ? { item } : {}) };
  }

  function apply({ part, fix }: FitSuggestion): void {
    copy.perform((context) => fitFix(context, part, fix));
  }

  /** The way of the focus is drawn over the picture. */
  const hasPath = ref(false);
  /** What the picture says of that way; null: it has not been drawn. */
  const path = shallowRef<{ readonly stops: number; readonly back: number; readonly small: number } | null>(
    null,
  );

  return { hasPath, path, seenWith, shownProblems, shown, shownFits, sized, dress, signs, chooseAt, apply };
});
