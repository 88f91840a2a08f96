<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue';
import { counted, detachItem, nameOf, shareItem, usersOf, type Item } from '@zorvik/core';
import { useSettings } from '../../composables/useSettings.ts';
import { terms } from '../../shortcuts/terms.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import { useHardToRead } from '../../stores/hardToRead.ts';
import AlikeNote from './AlikeNote.vue';
import DetailBadge from './DetailBadge.vue';
import DetailIcon from './DetailIcon.vue';
import DetailLink from './DetailLink.vue';
import DetailShown from './DetailShown.vue';
import FollowNote from './FollowNote.vue';

/**
 * What most items need: label and link, how and where they are shown, badge and icon; and what else can be
 * done with them.
 */
const props = defineProps<{ item: Item }>();
const copy = useWorkingCopy();
const selection = useSelection();
const hardToRead = useHardToRead();
const HardToReadNotes = defineAsyncComponent(() => import('../style/HardToReadNotes.vue'));
const { faces } = useSettings();
const isOne = computed(() => selection.chosen.length === 1);
const shared = computed(() => {
  const { document } = copy;
  const { link } = props.item;
  if (document === null || link === undefined || !isOne.value) return null;
  return { label: nameOf(document, 'sharedLinks', link), count: usersOf(document, link).length };
});
</script>

<template>
  <div class="fields">
    <DetailLink v-if="isOne" class="wide" :item="item" />
    <p v-else class="mute wide">Select a single item to edit its label and link.</p>
    <DetailShown
      class="shown-part"
      :has-link="faces.some(({ destination }) => destination.kind !== 'none')"
    />
    <div class="stack">
      <DetailBadge />
      <DetailIcon />
    </div>
    <div class="stack">
      <p v-if="shared !== null" class="note">
        <strong>Shared link.</strong>
        {{ counted(shared.count, 'Used only here.', 'Used in # places; changes apply to all of them.') }}
        <button type="button" @click="copy.perform((context) => detachItem(context, item.id))">
          Unlink this item
        </button>
      </p>
      <template v-if="isOne">
        <FollowNote :id="item.id" />
        <button
          v-if="shared === null && item.exception === undefined"
          type="button"
          class="plain-button"
          :title="terms.sharedLink"
          @click="copy.perform((context) => shareItem(context, item.id))"
        >
          Make shared link
        </button>
        <AlikeNote :item="item" />
        <HardToReadNotes
          v-if="hardToRead.byItem.has(item.id)"
          :pairs="hardToRead.byItem.get(item.id) ?? []"
        />
      </template>
    </div>
  </div>
</template>

<style scoped src="./fields.css"></style>
<style scoped src="./note.css"></style>
<style scoped>
.fields > * {
  flex-basis: 212px;
}
.fields > .shown-part {
  flex-basis: 285px;
}
.fields > :last-child {
  flex-basis: 160px;
}
.stack {
  justify-items: start;
}
.stack > :deep(.badge),
.stack > :deep(.icon) {
  justify-self: stretch;
}
</style>
