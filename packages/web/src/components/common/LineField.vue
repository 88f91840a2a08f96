<script setup lang="ts">
import { useId } from 'vue';
import { useTyping } from '../../composables/useTyping.ts';

/**
 * One line of text, kept as one types (useTyping says when); Escape gives back what was there. `keep` says no
 * with a sentence, which then stands at the field, and what was typed stays.
 */
const props = defineProps<{
  label: string;
  /** The surroundings make it clear: only screen readers get the label. */
  isLabelHidden?: boolean;
  value: string;
  placeholder?: string;
  note?: string;
  keep: (typed: string, isFinal: boolean) => string | null;
}>();
const id = useId();
const { typed, problem, meanwhile, begin, input, composing, end, giveBack } = useTyping({
  value: () => props.value,
  keep: (...words) => props.keep(...words),
});

function escape(event: KeyboardEvent): void {
  if (giveBack()) event.stopPropagation();
}
</script>

<template>
  <div class="field">
    <label :for="id" :class="{ 'only-heard': isLabelHidden }">{{ label }}</label>
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
        @focus="begin"
        @input="input"
        @compositionstart="composing(true)"
        @compositionend="composing(false)"
        @keydown.enter.prevent="!$event.isComposing && end()"
        @keydown.escape="escape"
        @blur="end"
      />
      <span v-if="note" class="note">{{ note }}</span>
      <slot name="after" />
    </div>
    <p v-if="problem !== null" :id="`${id}-problem`" class="problem floating" role="alert">{{ problem }}</p>
    <p v-else-if="meanwhile !== null" class="problem floating look" role="status">
      Someone changed this to “{{ meanwhile }}”. Your text replaces it when you leave the field.
    </p>
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
  font-size: 0.75rem;
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
  background: var(--field);
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
  font-size: 0.75rem;
  white-space: nowrap;
}
.problem {
  inset-block-end: calc(100% - 14px);
  inset-inline: 0;
}
</style>
