<script setup lang="ts">
import { useFinder } from '../../stores/finder.ts';

const emit = defineEmits<{ add: [] }>();
const finder = useFinder();
</script>

<template>
  <div class="empty">
    <p class="what">This menu is empty.</p>
    <p class="mute">Add pages or whole branches from the site, or type items one after another.</p>
    <div>
      <v-btn color="primary" @click="finder.open()">Add pages</v-btn>
      <v-btn variant="outlined" @click="emit('add')">Type items</v-btn>
    </div>
  </div>
</template>

<style scoped>
.empty {
  position: absolute;
  inset-inline: 0;
  inset-block-start: 40px;
  display: grid;
  gap: 8px;
  justify-items: center;
  text-align: center;
  pointer-events: none;
}
.what {
  font-size: 0.9375rem;
  font-weight: 600;
}
.empty div {
  display: flex;
  gap: 8px;
  margin-top: 6px;
  pointer-events: auto;
}
</style>
