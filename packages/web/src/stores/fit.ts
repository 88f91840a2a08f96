import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { isEqual, type BarFits, type BarLane, type Id } from '@zorvik/core';
import { PICTURES } from '@zorvik/contract';
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

/** How long nothing must change until it is asked again, in ms. */
const SETTLING = 120;

/** In which rows the bars of the header are at every width: told by a worker, a moment after each change. */
export const useFit = defineStore('fit', () => {
  const copy = useWorkingCopy();
  const frame = useFrame();
  const lanes = shallowRef<readonly BarLane[]>([]);
  /** What bars do where they do not fit, for the style sheet of the page that is looked at. */
  const fits = shallowRef<BarFits>({});
  const isEstimate = ref(false);
  let client: FitClient | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;

  async function look(): Promise<void> {
    const { stored, siteKey } = copy;
    if (stored === null || siteKey === null) return;
    client ??= fitClient();
    const found = await client.look(stored, frame.page?.id ?? null, PICTURES.replace(':siteKey', siteKey));
    if (found === null || copy.stored !== stored) return;
    lanes.value = found.lanes;
    // The page is drawn anew where they differ, and not at each answer.
    if (!isEqual(fits.value, found.fits)) fits.value = found.fits;
    isEstimate.value = found.isEstimate;
  }

  watch(
    () => [copy.stored, frame.page] as const,
    ([now]) => {
      clearTimeout(timer);
      if (now === null) [lanes.value, fits.value] = [[], {}];
      else timer = setTimeout(() => void look(), SETTLING);
    },
    { immediate: true },
  );

  /** Where bars have more than one row: stretches of the same number of rows are one. */
  const wrapping = computed((): Wrapping[] =>
    lanes.value.flatMap(({ part, stretches }) => {
      const menu = copy.document?.parts.nodes.get(part)?.shows;
      const name = copy.document?.menus.nodes.get(menu ?? '')?.name;
      if (menu === undefined || name === undefined || stretches === null) return [];
      const found: Wrapping[] = [];
      for (const { from, to, breaks } of stretches) {
        const rows = breaks.length + 1;
        const before = found.at(-1);
        if (before !== undefined && before.rows === rows && before.to + 1 === from)
          found[found.length - 1] = { ...before, to };
        else found.push({ part, menu, name, rows, from, to });
      }
      return found.filter(({ rows }) => rows > 1);
    }),
  );

  return { lanes, fits, wrapping, isEstimate };
});
