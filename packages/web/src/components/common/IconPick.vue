<script setup lang="ts">
import { ref, useTemplateRef } from 'vue';
import IconSet from './IconSet.vue';

/** An icon of the open set. */
type Found = { readonly name: string; readonly path: string };
const props = defineProps<{ label: string; icon: Found | null }>();
const emit = defineEmits<{ pick: [icon: Found] }>();
const isOpen = ref(false);
const opener = useTemplateRef<HTMLButtonElement>('opener');

function take(icon: Found): void {
  emit('pick', icon);
  close();
}
function close(): void {
  isOpen.value = false;
  opener.value?.focus();
}
</script>

<template>
  <div class="pick" @keydown.escape.stop="close">
    <button
      ref="opener"
      type="button"
      class="plain-field shown"
      :aria-label="`${label}: ${props.icon?.name ?? 'none'}`"
      :aria-expanded="isOpen"
      @click="isOpen = !isOpen"
    >
      <svg v-if="props.icon !== null" viewBox="0 0 24 24" width="18" height="18" aria-hidden="true">
        <path :d="props.icon.path" fill="currentColor" />
      </svg>
      <span v-else class="mute">Icon</span>
    </button>
    <div v-if="isOpen" class="list"><IconSet @pick="take" /></div>
  </div>
</template>

<style scoped src="./offers.css"></style>
<style scoped>
.pick {
  position: relative;
}
.shown {
  display: grid;
  place-items: center;
  min-width: 44px;
  cursor: pointer;
}
.list {
  z-index: 30;
  width: 310px;
}
</style>
