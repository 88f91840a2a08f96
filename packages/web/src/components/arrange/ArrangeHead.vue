<script setup lang="ts">
import {
  mdiArrowCollapseLeft,
  mdiArrowCollapseRight,
  mdiArrowDown,
  mdiArrowUp,
  mdiContentDuplicate,
  mdiPencilOutline,
  mdiPlus,
  mdiTextBoxSearchOutline,
  mdiTrashCanOutline,
} from '@mdi/js';
import { computed } from 'vue';
import { childrenOf, preorder, type Id } from '@zorvik/core';
import { useItemActions } from '../../composables/useItemActions.ts';
import { useFinder } from '../../stores/finder.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import IconButton from '../common/IconButton.vue';
import RefusalNote from '../common/RefusalNote.vue';
import MenuName from './MenuName.vue';

const emit = defineEmits<{ add: []; rename: [] }>();
const copy = useWorkingCopy();
const selection = useSelection();
const finder = useFinder();
const { reasons, act } = useItemActions();

const size = computed(() => {
  const { document } = copy;
  if (document === null || selection.menu === null) return '';
  let count = 0;
  let deepest = 0;
  for (const { depth } of preorder<Id>(childrenOf(document.items, selection.menu.id), (id) => childrenOf(document.items, id))) {
    count += 1;
    deepest = Math.max(deepest, depth + 1);
  }
  return count === 0 ? 'empty' : `${count} ${count === 1 ? 'item' : 'items'}, ${deepest} deep`;
});
const nothing = computed(() => (selection.item === null ? 'select an item first' : null));
</script>

<template>
  <div class="head">
    <MenuName />
    <span class="mute number">{{ size }}</span>
    <div class="tools" role="toolbar" aria-label="The selected item">
      <IconButton label="Move up" :icon="mdiArrowUp" keys="Alt ↑" :reason="reasons.moveUp" @press="act('moveUp')" />
      <IconButton label="Move down" :icon="mdiArrowDown" keys="Alt ↓" :reason="reasons.moveDown" @press="act('moveDown')" />
      <IconButton label="Move out of its parent" :icon="mdiArrowCollapseLeft" keys="Alt ←" :reason="reasons.moveOut" @press="act('moveOut')" />
      <IconButton label="Move into the item above" :icon="mdiArrowCollapseRight" keys="Alt →" :reason="reasons.moveIn" @press="act('moveIn')" />
      <i />
      <IconButton label="Rename" :icon="mdiPencilOutline" keys="F2" :reason="nothing" @press="emit('rename')" />
      <IconButton label="Duplicate" :icon="mdiContentDuplicate" keys="Ctrl D" :reason="reasons.duplicate" @press="act('duplicate')" />
      <IconButton label="Remove" :icon="mdiTrashCanOutline" keys="Del" :reason="reasons.remove" @press="act('remove')" />
    </div>
    <RefusalNote />
    <div class="add">
      <button type="button" class="plain-button" @click="finder.open()">
        <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true"><path :d="mdiTextBoxSearchOutline" fill="currentColor" /></svg>
        Pages
        <kbd>/</kbd>
      </button>
      <button type="button" class="plain-button" @click="emit('add')">
        <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true"><path :d="mdiPlus" fill="currentColor" /></svg>
        Item
        <kbd>Enter</kbd>
      </button>
    </div>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 40px;
  padding: 4px 14px;
  min-width: 0;
}
.mute {
  white-space: nowrap;
}
.tools {
  display: flex;
  align-items: center;
}
.tools i {
  height: 16px;
  margin: 0 5px;
  border-inline-start: 1px solid var(--line);
}
.add {
  display: flex;
  gap: 8px;
  margin-inline-start: auto;
}
@media (max-width: 760px) {
  .head {
    flex-wrap: wrap;
  }
}
</style>
