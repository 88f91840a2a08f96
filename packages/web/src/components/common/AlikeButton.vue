<script setup lang="ts">
import { defineAsyncComponent, ref } from 'vue';
import type { Id } from '@zorvik/core';

/** Offers to apply settings of one thing to others: which settings, and to which others, is asked first. */
const AlikeDialog = defineAsyncComponent(() => import('./AlikeDialog.vue'));
defineProps<{
  /** What has the settings. */
  id: Id;
  others: 'sibling' | 'part';
  /** Each setting that others have otherwise, with those that do. */
  settings: readonly { readonly key: string; readonly name: string; readonly unlike: readonly Id[] }[];
  nameOf: (id: Id) => string;
}>();
const emit = defineEmits<{ apply: [keys: readonly string[], ids: readonly Id[]] }>();
const isOpen = ref(false);
</script>

<template>
  <button v-if="settings.length > 0" type="button" class="plain-button" @click="isOpen = true">
    Apply to {{ others === 'part' ? 'other parts' : 'siblings' }} …
  </button>
  <AlikeDialog
    v-if="isOpen"
    v-model="isOpen"
    :name="nameOf(id)"
    :others="others"
    :settings="settings"
    :name-of="nameOf"
    @apply="(keys, ids) => emit('apply', keys, ids)"
  />
</template>
