<script setup lang="ts">
import {
  mdiArrowDown,
  mdiArrowUp,
  mdiCellphone,
  mdiContentDuplicate,
  mdiTableColumnPlusAfter,
  mdiTableRowPlusAfter,
  mdiTrashCanOutline,
} from '@mdi/js';
import { computed, nextTick, onMounted, useTemplateRef } from 'vue';
import { labelOf, makePlain, partWords, sweepPanel, type WidthRange } from '@zorvik/core';
import { useComposing } from '../../composables/useComposing.ts';
import { useDropdown } from '../../composables/useDropdown.ts';
import { useComposer } from '../../stores/composer.ts';
import { useLiveView, WIDEST } from '../../stores/liveView.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import IconButton from '../common/IconButton.vue';
import RefusalNote from '../common/RefusalNote.vue';
import DetailDropdown from '../details/DetailDropdown.vue';
import AddPart from './AddPart.vue';
import PartFacts from './PartFacts.vue';
import PartTree from './PartTree.vue';
import PresetMenu from './PresetMenu.vue';
import WaitingTray from './WaitingTray.vue';

/**
 * The band in which a panel is composed: what is in it, what is chosen of it, and what waits to be shown. The
 * panel itself is above, in the live header.
 */
const copy = useWorkingCopy();
const composer = useComposer();
const live = useLiveView();
const composing = useComposing();
const { panel } = useDropdown();
const tree = useTemplateRef<InstanceType<typeof PartTree>>('tree');

const title = computed(() =>
  copy.document === null || composer.item === null ? '' : labelOf(copy.document, composer.item),
);
/** The device classes on which the panel shows rows of its own. */
const ownForms = computed(() =>
  (['medium', 'narrow'] as const).filter((device) => panel.value[device] === 'own'),
);
const nothing = computed(() => (composer.part === null ? 'select a part first' : null));
const chosenWord = computed(() => (composer.part === null ? 'panel' : partWords[composer.part.kind]));

/** What becomes of the panel on every screen that it drops on. */
const widthAdvice = computed(() => {
  const { boxes } = composer;
  const from = live.breakpoints.medium;
  if (boxes === null || boxes.screen < from) return null;
  const { extent = 'bar', align = 'item', offset = 0 } = panel.value;
  const { narrowed, shifted } = sweepPanel(extent, align, { ...boxes, offset, from, to: WIDEST });
  const notes = [
    ...narrowed.map((range) => `narrowed ${inWords(range)}`),
    ...shifted.map((range) => `shifted ${inWords(range)}`),
  ];
  return {
    words: `Fits from ${from} to ${WIDEST} px${notes.length > 0 ? `, ${notes.join(', ')}` : ''}`,
    isPlain: notes.length === 0,
  };
});
function inWords({ from, to }: WidthRange): string {
  return to === WIDEST
    ? `from ${from} px`
    : from === live.breakpoints.medium
      ? `up to ${to} px`
      : `from ${from} to ${to} px`;
}

async function done(): Promise<void> {
  composer.close();
  await nextTick();
  document.querySelector<HTMLElement>('[role=tree]')?.focus({ preventScroll: true });
}

onMounted(() => tree.value?.focus());
</script>

<template>
  <section class="composer" :aria-label="`Panel composer: ${title}`">
    <div class="strip">
      <button type="button" class="plain-button" title="Back to the menu (Esc)" @click="done">Done</button>
      <h1>Panel of {{ title }}</h1>
      <AddPart @left="tree?.focus()" />
      <IconButton label="Add a row" :icon="mdiTableRowPlusAfter" keys="R" @press="composing.newRow()" />
      <IconButton
        label="Add a cell"
        :icon="mdiTableColumnPlusAfter"
        keys="C"
        :reason="nothing"
        @press="composer.partId !== null && composing.addCell(composer.partId)"
      />
      <PresetMenu />
      <i class="rule" />
      <IconButton
        :label="`Move the ${chosenWord} back`"
        :icon="mdiArrowUp"
        keys="Alt ↑"
        :reason="nothing"
        @press="composing.actions.moveUp?.()"
      />
      <IconButton
        :label="`Move the ${chosenWord} forward`"
        :icon="mdiArrowDown"
        keys="Alt ↓"
        :reason="nothing"
        @press="composing.actions.moveDown?.()"
      />
      <IconButton
        :label="`Duplicate the ${chosenWord}`"
        :icon="mdiContentDuplicate"
        keys="Ctrl D"
        :reason="nothing"
        @press="composing.actions.duplicate?.()"
      />
      <IconButton
        :label="`Remove the ${chosenWord}`"
        :icon="mdiTrashCanOutline"
        keys="Del"
        :reason="nothing"
        @press="composing.actions.remove?.()"
      />
      <IconButton
        label="Show the narrow form next to it"
        :icon="mdiCellphone"
        :pressed="composer.isNarrowSeen"
        @press="composer.isNarrowSeen = !composer.isNarrowSeen"
      />
      <RefusalNote />
      <WaitingTray v-if="composer.waiting.length > 0" />
      <p v-else-if="widthAdvice !== null" class="fit" :class="{ plain: widthAdvice.isPlain }">
        {{ widthAdvice.words }}
      </p>
    </div>
    <div class="below">
      <PartTree ref="tree" />
      <div class="chosen">
        <PartFacts v-if="composer.part !== null" :key="composer.part.id" :part="composer.part" />
        <DetailDropdown v-else is-composed>
          <div v-if="ownForms.length > 0" class="own">
            <button
              v-for="device in ownForms"
              :key="device"
              type="button"
              class="plain-button"
              @click="composing.newRow(device)"
            >
              Add a row for {{ device }} screens
            </button>
          </div>
          <button
            v-if="composer.parts.length > 0"
            type="button"
            class="plain-button"
            title="Removes all rows; you can undo this"
            @click="
              composer.owner !== null && copy.perform((context) => makePlain(context, composer.owner ?? ''))
            "
          >
            Reset to simple columns
          </button>
        </DetailDropdown>
      </div>
    </div>
  </section>
</template>

<style scoped>
.composer {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  height: 100%;
  min-height: 0;
  background: var(--sheet);
}
.strip {
  position: relative;
  display: flex;
  align-items: center;
  gap: 6px;
  min-height: 42px;
  padding: 4px 14px;
  border-bottom: 1px solid var(--line);
  background: var(--paper);
}
h1 {
  margin: 0 8px;
  font-size: 0.9375rem;
  font-weight: 650;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.rule {
  width: 1px;
  height: 20px;
  margin: 0 4px;
  background: var(--line);
}
.own {
  display: flex;
  gap: 6px;
}
.waiting,
.fit {
  margin-inline-start: auto;
  font-size: 0.75rem;
}
.fit {
  color: var(--mute);
  text-align: end;
}
.fit.plain {
  color: var(--moss);
}
.below {
  display: grid;
  grid-template-columns: 250px minmax(0, 1fr);
  gap: 18px;
  min-height: 0;
  padding: 10px 14px;
}
.chosen {
  min-width: 0;
  overflow: auto;
}
@media (max-width: 720px) {
  .strip {
    flex-wrap: wrap;
  }
  .below {
    grid-template-columns: minmax(0, 1fr);
    overflow: auto;
  }
}
</style>
