<script setup lang="ts">
import { computed, ref } from 'vue';
import { declareField, removeField, type OwnFieldType, storedOrder } from '@zorvik/core';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChoiceRow from '../common/ChoiceRow.vue';

/** The fields of the site's own: declares one, removes one. */
const copy = useWorkingCopy();
const name = ref('');
const type = ref<OwnFieldType | null>('text');
const of = ref<'items' | 'menus' | null>('items');
const problem = ref<string | null>(null);
const isOpen = ref(false);
const fields = computed(() => {
  const { document } = copy;
  return document === null ? [] : [...storedOrder(document, 'ownFields')];
});

function declare(): void {
  const done = copy.perform((context) =>
    declareField(context, { name: name.value, type: type.value ?? 'text', of: of.value ?? 'items' }),
  );
  problem.value = done.ok ? null : done.refusal.message;
  if (done.ok) name.value = '';
}
</script>

<template>
  <form class="own" @submit.prevent="declare">
    <button type="button" class="plain-button" :aria-expanded="isOpen" @click="isOpen = !isOpen">
      Custom fields …
    </button>
    <template v-if="isOpen">
      <p v-for="field in fields" :key="field.id" class="known">
        {{ field.name }}
        <span class="mute">
          {{ field.key }}, {{ field.type === 'yesNo' ? 'yes or no' : field.type }}, for {{ field.of }}
        </span>
        <button
          type="button"
          class="plain-button"
          :aria-label="`Remove the custom field ${field.name}`"
          @click="copy.perform((context) => removeField(context, field.id))"
        >
          Remove
        </button>
      </p>
      <input
        class="plain-field"
        v-model="name"
        type="text"
        aria-label="Field name"
        placeholder="Name, for example Campaign"
        @input="problem = null"
      />
      <ChoiceRow
        v-model="type"
        label="Type"
        :choices="[
          { value: 'text', label: 'text' },
          { value: 'number', label: 'number' },
          { value: 'yesNo', label: 'yes or no' },
        ]"
      />
      <ChoiceRow
        v-model="of"
        label="Applies to"
        :choices="[
          { value: 'items', label: 'items' },
          { value: 'menus', label: 'menus' },
        ]"
      />
      <p v-if="problem !== null" class="problem small" role="alert">{{ problem }}</p>
      <button type="submit" class="plain-button">Add field</button>
    </template>
  </form>
</template>

<style scoped>
.own {
  display: grid;
  gap: 6px;
  justify-items: start;
}
input {
  width: 100%;
}
.known {
  font-size: 0.75rem;
}
</style>
