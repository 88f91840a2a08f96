<script setup lang="ts">
import { defineAsyncComponent, ref } from 'vue';
import { useFraming } from '../../composables/useFraming.ts';

/** What there is to do first where nothing has been composed yet. */
const FrameStarters = defineAsyncComponent(() => import('./FrameStarters.vue'));
const framing = useFraming();
const isOpen = ref(false);
</script>

<template>
  <div class="start">
    <h2>Compose your frame here</h2>
    <p class="mute">
      A band is a row of the page with a start, a centre and an end. Start from a frame that has some, or add
      one and put the logo, a menu, search and whatever else your site needs into it.
    </p>
    <div class="ways">
      <v-btn color="primary" @click="isOpen = true">Choose a frame to start from</v-btn>
      <button type="button" class="plain-button" @click="framing.newBand('below', 'header')">
        Add a band to the header
      </button>
      <button type="button" class="plain-button" @click="framing.newBand('below', 'side')">
        Start with the side area
      </button>
      <button type="button" class="plain-button" @click="framing.newBand('below', 'footer')">
        Start with the footer
      </button>
    </div>
    <FrameStarters v-if="isOpen" v-model="isOpen" />
  </div>
</template>

<style scoped>
.start {
  position: absolute;
  inset-block-start: 20%;
  inset-inline: 0;
  display: grid;
  gap: 10px;
  justify-items: center;
  width: min(520px, 92%);
  margin-inline: auto;
  padding: 22px;
  border: 1px solid var(--line);
  border-radius: 10px;
  background: var(--sheet);
  text-align: center;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  justify-content: center;
  gap: 8px;
}
</style>
