<script setup lang="ts">
import { computed } from 'vue';
import {
  exceptionWords,
  followOf,
  holderOf,
  inWords,
  isFollowed,
  nameOf,
  sourcePhrase,
  takeExceptionBack,
  unfollow,
  type Id,
} from '@zorvik/core';
import { useArrange } from '../../stores/arrange.ts';
import { terms } from '../../shortcuts/terms.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';

/**
 * What an item follows, or of whose following it stands there, with what is otherwise about it and how that
 * is taken back.
 */
const props = defineProps<{ id: Id }>();
const copy = useWorkingCopy();
const arrange = useArrange();

const holder = computed(() =>
  copy.document !== null && isFollowed(copy.document, props.id) ? holderOf(copy.document, props.id) : null,
);
const rule = computed(() =>
  copy.document === null ? null : followOf(copy.document, holder.value ?? props.id),
);
const holderName = computed(() =>
  copy.document === null || holder.value === null ? '' : nameOf(copy.document, 'items', holder.value),
);
const source = computed(() =>
  copy.document === null || rule.value === null ? '' : inWords(sourcePhrase(copy.document, rule.value)),
);
const exceptions = computed(() => (copy.stored === null ? [] : exceptionWords(copy.stored, props.id)));
const isHolderHere = computed(() => holder.value !== null);

const takeBack = (): void => void copy.perform((context) => takeExceptionBack(context, props.id));
const stop = (): void => void copy.perform((context) => unfollow(context, holder.value ?? props.id));
</script>

<template>
  <div v-if="rule !== null" class="note">
    <p v-if="isHolderHere">
      <strong>Followed.</strong>
      “{{ holderName }}” follows {{ source }}.
      <template v-if="exceptions.length > 0">
        Exception: {{ exceptions.join(', ') }}.
        <button type="button" @click="takeBack">Reset exception</button>
      </template>
      <template v-else>If you change, move or remove it, it becomes an exception.</template>
    </p>
    <p v-else>
      <strong>Follows</strong>
      {{ source }}.
      <button type="button" @click="arrange.letFollow(id)">Change …</button>
      <button type="button" title="Keeps the current items as your own" @click="stop">Stop</button>
    </p>
  </div>
  <div v-else class="row">
    <button type="button" class="plain-button" :title="`${terms.follow} (F)`" @click="arrange.letFollow(id)">
      Follow pages …
    </button>
  </div>
</template>

<style scoped src="./note.css"></style>
<style scoped>
.note button {
  min-height: 24px;
  margin-inline-end: 6px;
}
</style>
