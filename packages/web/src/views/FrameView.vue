<script setup lang="ts">
import { computed, onBeforeUnmount, useTemplateRef } from 'vue';
import type { Id } from '@zorvik/core';
import FrameHead from '../components/frame/FrameHead.vue';
import FramePicture from '../components/frame/FramePicture.vue';
import FrameStart from '../components/frame/FrameStart.vue';
import FrameStrip from '../components/frame/FrameStrip.vue';
import FrameTable from '../components/frame/FrameTable.vue';
import PictureHead from '../components/frame/PictureHead.vue';
import WidthRuler from '../components/live/WidthRuler.vue';
import { useReadabilityAside } from '../composables/useReadabilityAside.ts';
import { useDrawnPage } from '../composables/useFrameStage.ts';
import { useFrame } from '../stores/frame.ts';
import { useLiveView } from '../stores/liveView.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';

/**
 * The whole page as visitors get it, composed where it is drawn, with a narrow screen beside it; what is selected has
 * its settings below.
 */
const frame = useFrame();
const live = useLiveView();
const strip = useTemplateRef<InstanceType<typeof FrameStrip>>('strip');
const copy = useWorkingCopy();
useReadabilityAside();
const drawn = useDrawnPage(() => copy.document);

/** In smaller windows there is room for one picture: the ruler makes it narrow. */
const LEAST_FOR_TWO = 900;
const canPair = computed(() => live.windowWidth >= LEAST_FOR_TWO);
const isPair = computed(() => canPair.value && frame.isNarrowShown);

// What has been begun in a picture ends when somebody leaves, and not when one of the pictures is hidden.
onBeforeUnmount(() => {
  frame.isTried = false;
  frame.adding = null;
});

const rename = (item: Id): void => void strip.value?.rename(item);
const added = (): void => strip.value?.focus();
</script>

<template>
  <div class="frame">
    <FrameHead />
    <FrameTable v-if="frame.view === 'table'" class="table" />
    <section v-else class="picture" :class="{ pair: isPair }" aria-label="Live page">
      <PictureHead name="main" :device="live.deviceClass" :width="live.width" />
      <PictureHead
        v-if="isPair"
        name="narrow"
        :device="live.classAt(frame.narrowWidth)"
        :width="frame.narrowWidth"
      />
      <FramePicture
        name="main"
        title="Live page"
        :width="live.width"
        :shown="drawn"
        @rename="rename"
        @added="added"
        @room="live.follow"
      >
        <FrameStart v-if="frame.isEmpty" />
      </FramePicture>
      <FramePicture
        v-if="isPair"
        name="narrow"
        title="Live page on a narrow screen"
        :width="frame.narrowWidth"
        :shown="drawn"
        @rename="rename"
        @added="added"
      />
      <WidthRuler is-alone class="ruler">
        <button
          v-if="canPair"
          type="button"
          class="plain-button beside"
          :aria-pressed="frame.isNarrowShown"
          @click="frame.isNarrowShown = !frame.isNarrowShown"
        >
          {{ frame.isNarrowShown ? 'Hide narrow screen' : 'Show narrow screen' }}
        </button>
      </WidthRuler>
    </section>
    <FrameStrip v-if="frame.view === 'picture'" ref="strip" />
  </div>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  height: 100%;
}
.table {
  grid-row: 2 / -1;
}
.picture {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: auto minmax(0, 1fr) auto;
  gap: 0 18px;
  min-height: 0;
  padding: 4px 14px 0;
  background: repeating-linear-gradient(90deg, var(--paper-deep) 0 1px, transparent 1px 80px), var(--stage);
}
.picture.pair {
  grid-template-columns: minmax(0, 1fr) clamp(310px, 28%, 400px);
}
.ruler {
  grid-column: 1 / -1;
}
.beside {
  min-height: 26px;
  font-size: 0.75rem;
}
</style>
