<script setup lang="ts">
import { computed } from 'vue';
import {
  areaId,
  behaviourId,
  exceptionsOf,
  pagesOf,
  setBehaviours,
  type AreaName,
  type Behaviour,
} from '@zorvik/core';
import { useFrame } from '../../stores/frame.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import FlagRow from '../common/FlagRow.vue';
import ExceptionList, { type ExceptionRow } from './ExceptionList.vue';

/** What the header or the side does while the page scrolls, on the pages that changes apply to. */
const props = defineProps<{ area: AreaName }>();
const copy = useWorkingCopy();
const frame = useFrame();

const does = (one: Behaviour): boolean => {
  const part = copy.document?.parts.nodes.get(behaviourId(areaId(props.area), one));
  if (part === undefined) return false;
  return frame.scopeOn === null ? part.isHidden !== true : frame.isShownHere(part);
};
const set = (changes: Partial<Record<Behaviour, boolean>>): void =>
  void copy.perform((context) => setBehaviours(context, props.area, changes, frame.scopeOn));

type Scrolling = 'away' | 'sticky' | 'returns';
const choices = computed((): { value: Scrolling; label: string }[] => [
  { value: 'away', label: 'scrolls away' },
  { value: 'sticky', label: 'stays' },
  ...(props.area === 'header' ? [{ value: 'returns' as const, label: 'returns on scrolling up' }] : []),
]);
const scrolling = computed<Scrolling | null>({
  get: () => (does('returns') ? 'returns' : does('sticky') ? 'sticky' : 'away'),
  set: (next) => set({ sticky: next === 'sticky', returns: next === 'returns' }),
});
const isOverlaid = computed({ get: () => does('overlaid'), set: (is) => set({ overlaid: is }) });
const isLower = computed({ get: () => does('lower'), set: (is) => set({ lower: is }) });

const words: Readonly<Record<Behaviour, readonly [on: string, off: string]>> = {
  sticky: ['stays', 'does not stay'],
  returns: ['returns on scrolling up', 'does not return'],
  lower: ['lower once scrolled', 'same height'],
  overlaid: ['over the content', 'above the content'],
};
const exceptions = computed((): ExceptionRow[] => {
  const { document } = copy;
  if (document === null) return [];
  return (Object.keys(words) as Behaviour[]).flatMap((one) =>
    exceptionsOf(document, behaviourId(areaId(props.area), one)).map((exception) => ({
      id: exception.id,
      pages: pagesOf(document, exception),
      says: words[one][exception.isShown ? 0 : 1],
      isDeciding: frame.deciding(behaviourId(areaId(props.area), one))?.id === exception.id,
    })),
  );
});
</script>

<template>
  <ChoiceRow v-model="scrolling" label="When scrolling" :choices="choices" />
  <FlagRow
    v-if="area === 'header' && scrolling !== 'away'"
    v-model="isLower"
    label="Once scrolled"
    off="same height"
    on="lower"
  />
  <FlagRow
    v-if="area === 'header'"
    v-model="isOverlaid"
    label="Position"
    off="above the content"
    on="over the content"
    hint="Transparent until the page is scrolled or something in the header is opened"
  />
  <ExceptionList label="Where this is different" :rows="exceptions" />
</template>
