<script setup lang="ts">
import { ref, useId, watch } from 'vue';

/**
 * One line of text that is kept when it is left or Enter is pressed; Escape gives back what was there. `keep` says no with a
 * sentence, which then stands below the field, and what was typed stays.
 */
const props = defineProps<{ label: string; value: string; placeholder?: string; note?: string; keep: (typed: string) => string | null }>();
const id = useId();
const typed = ref(props.value);
const problem = ref<string | null>(null);

watch(
  () => props.value,
  (value) => {
    typed.value = value;
    problem.value = null;
  },
);

function keepIt(): void {
  if (typed.value === props.value) {
    problem.value = null;
    return;
  }
  problem.value = props.keep(typed.value);
  if (problem.value === null) typed.value = props.value;
}

function giveBack(event: KeyboardEvent): void {
  if (typed.value === props.value && problem.value === null) return;
  event.stopPropagation();
  typed.value = props.value;
  problem.value = null;
}
</script>

<template>
  <div class="field">
    <label :for="id">{{ label }}</label>
    <div class="box" :class="{ wrong: problem !== null }">
      <slot name="before" />
      <input
        :id="id"
        v-model="typed"
        type="text"
        spellcheck="false"
        autocomplete="off"
        :placeholder="placeholder"
        :aria-invalid="problem !== null"
        :aria-describedby="problem === null ? undefined : `${id}-problem`"
        @keydown.enter.prevent="keepIt"
        @keydown.escape="giveBack"
        @blur="keepIt"
      />
      <span v-if="note" class="note">{{ note }}</span>
      <slot name="after" />
    </div>
    <p v-if="problem !== null" :id="`${id}-problem`" class="problem" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.field {
  position: relative;
  min-width: 0;
}
label {
  display: block;
  color: var(--mute);
  font-size: 12px;
  margin-bottom: 3px;
}
.box {
  display: flex;
  align-items: center;
  gap: 7px;
  height: 32px;
  padding: 0 9px;
  border: 1px solid var(--line-strong);
  border-radius: 6px;
  background: var(--white);
}
.box:focus-within {
  border-color: var(--ink);
  box-shadow: 0 0 0 1px var(--ink);
}
.box.wrong {
  border-color: var(--brick);
}
input {
  flex: 1;
  min-width: 0;
  height: 100%;
  border: 0;
  outline: 0;
  background: none;
  text-overflow: ellipsis;
}
input::placeholder {
  color: var(--mute);
  opacity: 1;
}
.note {
  color: var(--mute);
  font-size: 12px;
  white-space: nowrap;
}
.problem {
  position: absolute;
  z-index: 5;
  inset-block-end: calc(100% - 14px);
  inset-inline: 0;
  padding: 6px 9px;
  border-radius: 6px;
  background: var(--brick);
  color: var(--white);
  font-size: 12px;
  box-shadow: var(--shadow);
}
</style>
