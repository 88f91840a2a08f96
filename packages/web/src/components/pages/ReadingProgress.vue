<script setup lang="ts">
import { numbered } from '@zorvik/core';
/** How far an import is; before the first piece is stored, the file is being read. */
defineProps<{ stored: number; of: number }>();
</script>

<template>
  <div class="progress" role="status">
    <v-progress-linear
      :model-value="of === 0 ? 0 : (stored / of) * 100"
      :indeterminate="of === 0"
      color="primary"
      height="6"
      rounded
      :aria-label="of === 0 ? 'Reading' : 'Importing pages'"
    />
    <p class="mute number">
      {{ of === 0 ? 'Reading the sitemap …' : `${numbered(stored)} of ${numbered(of)} pages imported` }}
    </p>
  </div>
</template>

<style scoped>
.progress {
  display: grid;
  gap: 6px;
}
</style>
