<script setup lang="ts">
import { deviceClasses } from '@zorvik/core';
import { useLiveView } from '../../stores/liveView.ts';

/** Shows the picture at a width that is usual for a device class. */
const live = useLiveView();
</script>

<template>
  <div class="classes" role="group" aria-label="Device class">
    <button
      v-for="one in deviceClasses"
      :key="one"
      type="button"
      :class="{ on: live.deviceClass === one }"
      :aria-pressed="live.deviceClass === one"
      @click="live.showClass(one)"
    >
      {{ one }}
    </button>
  </div>
</template>

<style scoped>
.classes {
  display: flex;
}
.classes button {
  min-height: 26px;
  padding: 0 9px;
  border: 0;
  border-radius: 6px;
  background: none;
  color: var(--mute);
  cursor: pointer;
}
.classes button:hover {
  background: var(--paper-deep);
  color: var(--ink);
}
.classes button.on {
  color: var(--ink);
  font-weight: 650;
}
</style>
