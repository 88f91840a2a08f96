<script setup lang="ts">
import { computed } from 'vue';
import { listed, type Id } from '@zorvik/core';
import { useDrawer } from '../../stores/drawer.ts';

/** That visitors do not reach a part on some screens, or that an arrangement does not show it; with the way on. */
const props = defineProps<{ part: Id }>();
const drawer = useDrawer();
const unplaced = computed(() => drawer.unplaced.filter(({ id }) => id === props.part));
/** Where an arrangement lacks it, that is what is said. */
const lost = computed(() =>
  (drawer.lost.find(({ part }) => part.id === props.part)?.on ?? []).filter(
    (device) => !unplaced.value.some(({ on }) => on === device),
  ),
);
</script>

<template>
  <div v-if="lost.length > 0 || unplaced.length > 0" class="reach" role="note">
    <p v-if="lost.length > 0 && drawer.isInDrawer(part)">
      Visitors can’t reach this on {{ listed([...lost]) }} screens: the menu button is hidden there.
      <button type="button" class="plain-button" @click="drawer.selectButton">Go to the menu button</button>
    </p>
    <p v-else-if="lost.length > 0">
      Visitors can’t reach this on {{ listed([...lost]) }} screens.
      <button type="button" class="plain-button" @click="drawer.addPart(part)">Add to drawer</button>
    </p>
    <p v-for="one in unplaced" :key="one.on">
      Not placed on {{ one.on }}.
      <button type="button" class="plain-button" @click="drawer.place(one.id, one.on)">
        Place it on {{ one.on }}
      </button>
      <button type="button" class="plain-button" @click="drawer.addPart(part)">Add to drawer</button>
    </p>
  </div>
</template>

<style scoped>
.reach {
  flex-basis: 100%;
}
p {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  margin: 0;
  color: var(--ochre);
  font-weight: 600;
}
.plain-button {
  min-height: 28px;
}
</style>
