<script setup lang="ts">
import {
  mdiContentCopy,
  mdiContentCut,
  mdiContentPaste,
  mdiArrowCollapseLeft,
  mdiArrowCollapseRight,
  mdiArrowDown,
  mdiArrowUp,
  mdiContentDuplicate,
  mdiMagnify,
  mdiPencilOutline,
  mdiPlus,
  mdiTextBoxSearchOutline,
  mdiTrashCanOutline,
} from '@mdi/js';
import { computed } from 'vue';
import { childrenOf, counted, preorder, type Id } from '@zorvik/core';
import { useSpotForNew } from '../../composables/useSpotForNew.ts';
import { useItemActions } from '../../composables/useItemActions.ts';
import { useArrange } from '../../stores/arrange.ts';
import { useClipboard } from '../../stores/clipboard.ts';
import { useFinder } from '../../stores/finder.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import IconButton from '../common/IconButton.vue';
import RefusalNote from '../common/RefusalNote.vue';
import MenuActions from './MenuActions.vue';
import MenuName from './MenuName.vue';

const emit = defineEmits<{ add: []; rename: []; back: [] }>();
const copy = useWorkingCopy();
const selection = useSelection();
const finder = useFinder();
const arrange = useArrange();
const clipboard = useClipboard();
const { reasons, act, selectAdded } = useItemActions();
const spot = useSpotForNew();

const size = computed(() => {
  const { document } = copy;
  if (document === null || selection.menu === null) return '';
  let count = 0;
  let deepest = 0;
  for (const { depth } of preorder<Id>(childrenOf(document.items, selection.menu.id), (id) =>
    childrenOf(document.items, id),
  )) {
    count += 1;
    deepest = Math.max(deepest, depth + 1);
  }
  return count === 0
    ? 'empty'
    : `${counted(count, '# item', '# items')}, ${counted(deepest, '# level', '# levels')}`;
});
const form = computed({
  get: () => arrange.form,
  set: (next) => void (next !== null && arrange.setForm(next)),
});
const nothing = computed(() => (selection.item === null ? 'select an item first' : null));

async function copyChosen(isCut: boolean): Promise<void> {
  const text = await (isCut ? clipboard.cutChosen() : clipboard.copyChosen());
  if (text !== null) await clipboard.writeText(text);
  emit('back');
}

async function paste(): Promise<void> {
  const at = spot.value;
  const result = at === null ? null : await clipboard.paste(await clipboard.readText(), at);
  if (result?.ok === true) selectAdded(result.value);
  emit('back');
}
</script>

<template>
  <div class="head">
    <MenuName />
    <span class="mute number">{{ size }}</span>
    <ChoiceRow
      v-model="form"
      class="form"
      label="View"
      is-label-hidden
      :choices="[
        { value: 'spread', label: 'Columns', hint: 'Branches side by side, as in the bar (S)' },
        { value: 'outline', label: 'List', hint: 'One indented list to type in (S)' },
      ]"
    />
    <div class="tools" role="toolbar" aria-label="The selected item">
      <IconButton
        label="Move up"
        :icon="mdiArrowUp"
        keys="Alt ↑"
        :reason="reasons.moveUp"
        @press="act('moveUp')"
      />
      <IconButton
        label="Move down"
        :icon="mdiArrowDown"
        keys="Alt ↓"
        :reason="reasons.moveDown"
        @press="act('moveDown')"
      />
      <IconButton
        label="Move out of its parent"
        :icon="mdiArrowCollapseLeft"
        keys="Alt ←"
        :reason="reasons.moveOut"
        @press="act('moveOut')"
      />
      <IconButton
        label="Move into the item above"
        :icon="mdiArrowCollapseRight"
        keys="Alt →"
        :reason="reasons.moveIn"
        @press="act('moveIn')"
      />
      <i />
      <IconButton
        label="Rename"
        :icon="mdiPencilOutline"
        keys="F2"
        :reason="nothing"
        @press="emit('rename')"
      />
      <IconButton
        label="Duplicate"
        :icon="mdiContentDuplicate"
        keys="Ctrl D"
        :reason="reasons.duplicate"
        @press="act('duplicate')"
      />
      <IconButton
        label="Cut"
        :icon="mdiContentCut"
        keys="Ctrl X"
        :reason="nothing"
        @press="copyChosen(true)"
      />
      <IconButton
        label="Copy"
        :icon="mdiContentCopy"
        keys="Ctrl C"
        :reason="nothing"
        @press="copyChosen(false)"
      />
      <IconButton label="Paste" :icon="mdiContentPaste" keys="Ctrl V" @press="paste" />
      <IconButton
        label="Remove"
        :icon="mdiTrashCanOutline"
        keys="Del"
        :reason="reasons.remove"
        @press="act('remove')"
      />
      <i />
      <IconButton label="Find in this menu" :icon="mdiMagnify" keys="Ctrl F" @press="arrange.find()" />
    </div>
    <RefusalNote />
    <button
      v-if="arrange.undecided.length > 0"
      type="button"
      class="undecided"
      title="Go to the next item without a link (U)"
      @click="arrange.goToUndecided()"
    >
      {{ arrange.undecided.length }} without a link
    </button>
    <div class="add">
      <MenuActions />
      <button type="button" class="plain-button" title="Find pages (/)" @click="finder.open()">
        <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true">
          <path :d="mdiTextBoxSearchOutline" fill="currentColor" />
        </svg>
        <span>Pages</span>
        <kbd>/</kbd>
      </button>
      <button type="button" class="plain-button" title="Add an item (Enter)" @click="emit('add')">
        <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true">
          <path :d="mdiPlus" fill="currentColor" />
        </svg>
        <span>Item</span>
        <kbd>Enter</kbd>
      </button>
    </div>
  </div>
</template>

<style scoped>
.head {
  position: relative;
  display: flex;
  align-items: center;
  gap: 4px 12px;
  min-height: 2.625rem;
  padding: 4px 14px;
  min-width: 0;
}
.mute {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.form {
  flex: none;
}
.undecided {
  flex: none;
  min-height: 1.625rem;
  padding: 0 10px;
  border: 1px dashed var(--ochre);
  border-radius: 6px;
  background: var(--ochre-tint);
  color: var(--ochre);
  font-weight: 600;
  cursor: pointer;
}
.tools {
  display: flex;
  flex: none;
  align-items: center;
}
.tools i {
  height: 16px;
  margin: 0 5px;
  border-inline-start: 1px solid var(--line);
}
.add {
  display: flex;
  flex: none;
  gap: 6px;
  margin-inline-start: auto;
}
@media (max-width: 1060px) {
  .head > .mute,
  .add kbd,
  .add button span {
    display: none;
  }
}
@media (max-width: 860px) {
  .head {
    flex-wrap: wrap;
    gap: 4px 8px;
  }
  .tools {
    order: 1;
  }
}
@media (max-width: 420px) {
  .tools {
    width: 100%;
    justify-content: space-between;
  }
  .tools i {
    display: none;
  }
}
</style>
