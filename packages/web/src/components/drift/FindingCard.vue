<script setup lang="ts">
import { mdiLinkOff, mdiAlertOutline } from '@mdi/js';
import { nextTick, ref, useTemplateRef, watch } from 'vue';
import { findingInWords, fixInWords, toneOf, type Finding, type MendKind } from '@zorvik/core';

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
      <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true">
        <path :d="toneOf(finding) === 'broken' ? mdiLinkOff : mdiAlertOutline" fill="currentColor" />
      </svg>
      <span>
        <span class="only-heard">{{ toneOf(finding) === 'broken' ? 'Broken: ' : '' }}</span>
        {{ findingInWords(finding) }}
      </span>
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

<style scoped>
.card {
  padding: 11px 16px 12px;
  border-bottom: 1px solid var(--line-soft);
  cursor: default;
}
.card.on {
  background: var(--accent-tint);
}
.what {
  display: flex;
  gap: 8px;
  font-weight: 600;
  overflow-wrap: anywhere;
}
.what svg {
  flex: none;
  margin-block-start: 1px;
  color: var(--ochre);
}
.broken .what svg {
  color: var(--brick);
}
.mends,
.leave {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  padding-block-start: 8px;
  padding-inline-start: 24px;
}
.mend {
  min-height: 26px;
  padding: 3px 10px;
  border: 1px solid var(--line-strong);
  border-radius: 6px;
  background: var(--field);
  font-size: 0.75rem;
  font-weight: 600;
  text-align: start;
  overflow-wrap: anywhere;
  cursor: pointer;
}
.mend.likely {
  border-color: var(--accent);
  background: var(--accent-fill);
  color: var(--on-fill);
}
.plain {
  min-height: 26px;
  padding: 0 6px;
  border: 0;
  background: none;
  color: var(--mute);
  font-size: 0.75rem;
  font-weight: 600;
  cursor: pointer;
}
.plain:hover {
  color: var(--ink);
}
.leave input {
  flex: 1;
  min-width: 180px;
  height: 28px;
}
</style>
