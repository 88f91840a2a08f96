<script setup lang="ts">
import { nextTick, ref, useTemplateRef, watch } from 'vue';
import { findingInWords, fixInWords, toneOf, type Finding, type MendKind } from '@zorvik/core';
import ToneIcon from './ToneIcon.vue';

/** One finding with its fixes. */
const props = defineProps<{ finding: Finding; isChosen: boolean; isLeaving: boolean }>();
const emit = defineEmits<{
  mend: [kind: MendKind];
  leave: [reason: string];
  askLeave: [isAsking: boolean];
  choose: [];
}>();
const reason = ref('');
const input = useTemplateRef<HTMLInputElement>('input');
watch(
  () => props.isLeaving,
  async (isLeaving) => {
    reason.value = '';
    await nextTick();
    if (isLeaving) input.value?.focus();
  },
);
</script>

<template>
  <li
    :id="`finding-${finding.id.replaceAll(' ', '-')}`"
    class="card"
    :class="[toneOf(finding), { on: isChosen }]"
    :aria-current="isChosen"
    @click="emit('choose')"
  >
    <p class="what">
      <ToneIcon :tone="toneOf(finding)" />
      <span>{{ findingInWords(finding) }}</span>
    </p>
    <form
      v-if="isLeaving"
      class="leave"
      @click.stop
      @submit.prevent="emit('leave', reason)"
      @keydown.escape.stop="emit('askLeave', false)"
    >
      <input
        class="plain-field"
        ref="input"
        v-model="reason"
        type="text"
        maxlength="1000"
        aria-label="Reason (optional)"
        placeholder="Reason (optional)"
      />
      <button type="submit" class="mend likely">Ignore</button>
      <button type="button" class="plain" @click.stop="emit('askLeave', false)">Cancel</button>
    </form>
    <div v-else class="mends">
      <button
        v-for="(mend, at) in finding.mends"
        :key="mend.kind"
        type="button"
        class="mend"
        :class="{ likely: at === 0 && isChosen }"
        :title="`${at + 1}`"
        @click.stop="emit('mend', mend.kind)"
      >
        {{ fixInWords(mend) }}
      </button>
      <button type="button" class="plain" title="L" @click.stop="emit('askLeave', true)">Ignore …</button>
    </div>
  </li>
</template>

<style scoped src="./findingCard.css"></style>
