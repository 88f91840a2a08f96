<script setup lang="ts">
import { counted } from '@zorvik/core';
import { useDrawer } from '../../stores/drawer.ts';
import { useDrift } from '../../stores/drift.ts';
import { useFrame } from '../../stores/frame.ts';

/** What is to be checked in the frame; each press goes on to the next part that it is about. */
const frame = useFrame();
const drift = useDrift();
const drawer = useDrawer();

/** Selects the next of some parts, behind the selected one. */
function goOn(parts: readonly string[]): void {
  frame.view = 'picture';
  frame.select(parts[(parts.indexOf(frame.partId ?? '') + 1) % parts.length] ?? null);
}
</script>

<template>
  <span v-if="drift.inFrame.length > 0 || drawer.toCheck.length > 0" class="notes">
    <button
      v-if="drift.inFrame.length > 0"
      type="button"
      class="plain-button look"
      @click="goOn(drift.inFrame.flatMap(({ part }) => part ?? []))"
    >
      {{ counted(drift.inFrame.length, '# link to check', '# links to check') }}
    </button>
    <button
      v-if="drawer.toCheck.length > 0"
      type="button"
      class="plain-button reach"
      @click="goOn(drawer.toCheck)"
    >
      {{
        counted(drawer.toCheck.length, '# part missing on small screens', '# parts missing on small screens')
      }}
    </button>
  </span>
</template>

<style scoped>
.notes {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.look {
  color: var(--brick);
}
.reach {
  color: var(--ochre);
}
</style>
