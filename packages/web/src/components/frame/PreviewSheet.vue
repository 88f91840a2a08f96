<script setup lang="ts">
import { computed, watch } from 'vue';
import { momentOf } from '../../composables/momentOf.ts';
import { useCopying } from '../../composables/useCopying.ts';
import { useFrame } from '../../stores/frame.ts';
import { usePreviews } from '../../stores/previews.ts';
import { useSites } from '../../stores/sites.ts';
import DialogSheet from '../common/DialogSheet.vue';

/** Private addresses of the draft, for other browsers, phones, and people who decide. */
const isOpen = defineModel<boolean>({ required: true });
const previews = usePreviews();
const sites = useSites();
const frame = useFrame();
const copyText = useCopying();
const path = computed(() => frame.page?.address ?? '/');
/** Nobody but this computer reaches it. */
const isLocal = computed(() => /^https?:\/\/(?:127\.|localhost|\[::1\])/.test(sites.delivery));

watch(isOpen, (open) => open && void previews.load(), { immediate: true });
</script>

<template>
  <DialogSheet v-model="isOpen" title="Preview the draft" :problem="previews.problem" :width="640">
    <p>
      Anyone with the address sees the latest draft, on any page, in any browser or on a phone. An address
      expires after a day. Search engines don’t index it.
    </p>
    <p v-if="isLocal" class="mute">
      Only this computer can open it now. To open it on a phone, start Zorvik with DELIVERY_HOST=0.0.0.0 and
      set ZORVIK_DELIVERY_URL to this computer’s address in your network.
    </p>
    <ul v-if="previews.previews.length > 0">
      <li v-for="{ token, endsAt, actor } of previews.previews" :key="token">
        <a :href="previews.addressOf(token, path)" target="_blank" rel="noopener">
          {{ previews.addressOf(token, path) }}
          <span class="only-heard">(opens in a new tab)</span>
        </a>
        <span class="mute">made by {{ actor }}, expires {{ momentOf(endsAt) }}</span>
        <span class="deeds">
          <button
            type="button"
            class="plain-button"
            @click="copyText(previews.addressOf(token, path), 'Copied the preview address')"
          >
            Copy
          </button>
          <button type="button" class="plain-button" @click="previews.revoke(token)">Revoke</button>
        </span>
      </li>
    </ul>
    <p v-else class="mute">There is no address yet.</p>
    <template #actions>
      <button type="button" class="plain-button" @click="isOpen = false">Close</button>
      <v-btn color="primary" @click="previews.make()">Create an address</v-btn>
    </template>
  </DialogSheet>
</template>

<style scoped>
p {
  margin: 0;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 14px;
  align-items: center;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
li a {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  min-height: 24px;
}
.deeds {
  grid-area: 1 / 2 / span 2;
  display: flex;
  gap: 8px;
}
</style>
