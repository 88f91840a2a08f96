import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import {
  isEqual,
  type BarFits,
  type FitMode,
  type FitProblem,
  type FitSuggestion,
  type Id,
  type Lane,
  type ModeProblem,
} from '@zorvik/core';
import { PICTURES } from '@zorvik/contract';
import type { Lacking } from '@zorvik/formats/fonts';
import { fitClient, type FitClient } from '../workers/fitClient.ts';
import { useFrame } from './frame.ts';
import { useWorkingCopy } from './workingCopy.ts';

/** Widths of the window in which a bar has more than one row. */
export interface Wrapping {
  readonly part: Id;
  readonly menu: Id;
  readonly name: string;
  readonly rows: number;
  readonly from: number;
  readonly to: number;
}

/** A bar, or what drops from one of its entries. */
export interface LaneKey {
  readonly part: Id;
  readonly item?: Id | undefined;
}

/** How long nothing must change until it is asked again, in ms. */
const SETTLING = 120;

/** How the page that is looked at is at every width: told by a worker, a moment after each change. */
export const useFit = defineStore('fit', () => {
  const copy = useWorkingCopy();
  const frame = useFrame();
  const lanes = shallowRef<readonly Lane[]>([]);
  /** What bars do where they do not fit, for the style sheet of the page that is looked at. */
  const fits = shallowRef<BarFits>({});
  /** What does not fit where a visitor has set nothing. */
  const problems = shallowRef<readonly FitProblem[]>([]);
  const inModes = shallowRef<readonly ModeProblem[]>([]);
  const suggestions = shallowRef<readonly FitSuggestion[]>([]);
  const previews = shallowRef<readonly BarFits[]>([]);
  const lacking = shallowRef<readonly Lacking[]>([]);
  const isEstimate = ref(false);
  /** Everything has been worked out once. */
  const isKnown = ref(false);
  /** The workspace Fit is open: it shows more than the others. */
  const isWhole = ref(false);
  /** Every width of the page, or every dropdown at three. */
  const view = ref<'widths' | 'contact'>('widths');
  /** The lane that is chosen there; null: none. */
  const chosen = shallowRef<LaneKey | null>(null);
  /** Where nothing is chosen, the best suggestion for each problem is asked for. */
  const isForAll = ref(false);
  /** The suggestion that the picture shows as if it were applied; null: none. */
  const previewed = shallowRef<FitSuggestion | null>(null);
  /** What a visitor has set, as the picture shows it; null: nothing. */
  const mode = ref<FitMode | null>(null);
  let client: FitClient | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;

  async function look(): Promise<void> {
    const { stored, siteKey } = copy;
    if (stored === null || siteKey === null) return;
    client ??= fitClient();
    const found = await client.ask(stored, {
      page: frame.page?.id ?? null,
      isWhole: isWhole.value,
      about: chosen.value ?? (isForAll.value ? 'all' : null),
      mode: mode.value,
      files: PICTURES.replace(':siteKey', siteKey),
    });
    if (found === null || copy.stored !== stored) return;
    lanes.value = found.lanes;
    problems.value = found.problems;
    inModes.value = found.inModes;
    suggestions.value = found.suggestions;
    previews.value = found.previews;
    lacking.value = found.lacking;
    // The page is drawn anew where they differ, and not at each answer.
    if (!isEqual(fits.value, found.fits)) fits.value = found.fits;
    isEstimate.value = found.isEstimate;
    isKnown.value = true;
  }

  watch(
    () => [copy.stored, frame.page, isWhole.value] as const,
    ([now]) => {
      clearTimeout(timer);
      previewed.value = null;
      if (now === null) {
        [lanes.value, problems.value, inModes.value, suggestions.value] = [[], [], [], []];
        [fits.value, isKnown.value] = [{}, false];
      } else timer = setTimeout(() => void look(), SETTLING);
    },
    { immediate: true },
  );
  watch([chosen, mode, isForAll], () => {
    previewed.value = null;
    suggestions.value = [];
    clearTimeout(timer);
    void look();
  });

  /** Where bars have more than one row: stretches of the same number of rows are one. */
  const wrapping = computed((): Wrapping[] =>
    lanes.value.flatMap(({ of, part, stretches }) => {
      const menu = copy.document?.parts.nodes.get(part)?.shows;
      const name = copy.document?.menus.nodes.get(menu ?? '')?.name;
      if (of !== 'bar' || menu === undefined || name === undefined || stretches === null) return [];
      const found: Wrapping[] = [];
      for (const { from, to, state } of stretches) {
        const rows = state.is === 'rows' ? state.rows : 1;
        const before = found.at(-1);
        if (before !== undefined && before.rows === rows && before.to + 1 === from)
          found[found.length - 1] = { ...before, to };
        else found.push({ part, menu, name, rows, from, to });
      }
      return found.filter(({ rows }) => rows > 1);
    }),
  );
  /** The same of one menu; null: of all. */
  const wrappingOf = (menu: Id | null): Wrapping[] =>
    wrapping.value.filter((one) => menu === null || one.menu === menu);

  return {
    lanes,
    fits,
    problems,
    inModes,
    suggestions,
    previews,
    lacking,
    wrappingOf,
    isEstimate,
    isKnown,
    isWhole,
    view,
    chosen,
    isForAll,
    previewed,
    mode,
  };
});
