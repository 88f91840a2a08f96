<script setup lang="ts">
import { mdiClose } from '@mdi/js';
import { useArrange } from '../../stores/arrange.ts';
import { useSelection } from '../../stores/selection.ts';
import IconButton from '../common/IconButton.vue';
import OutlineList from './OutlineList.vue';

/** Another menu next to the current one, to drag items between them. */
const arrange = useArrange();
const selection = useSelection();
</script>

<template>
  <section v-if="arrange.beside !== null" class="beside" :aria-label="`Other menu: ${arrange.beside.name}`">
    <header>
      <label>
        <span class="only-heard">Other menu</span>
        <select class="plain-field" v-model="arrange.besideId">
          <option
            v-for="menu in selection.menus.filter(({ id }) => id !== selection.menu?.id)"
            :key="menu.id"
            :value="menu.id"
          >
            {{ menu.name }}
          </option>
        </select>
      </label>
      <IconButton label="Close the other menu" :icon="mdiClose" keys="B" @press="arrange.ask('beside')" />
    </header>
    <OutlineList :key="arrange.beside.id" :menu="arrange.beside" is-narrow />
  </section>
</template>

<style scoped>
.beside {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  min-height: 0;
  min-width: 0;
  border-inline-start: 1px solid var(--line-strong);
  background: var(--paper);
}
header {
  display: flex;
  align-items: center;
  justify-content: space-between;
  padding: 4px 6px 4px 12px;
  border-bottom: 1px solid var(--line);
}
select {
  height: 28px;
  font-weight: 600;
}
</style>
