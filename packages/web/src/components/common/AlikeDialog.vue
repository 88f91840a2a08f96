<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { counted, type Id } from '@zorvik/core';
import DialogSheet from './DialogSheet.vue';

/**
 * Gives settings of one thing to others: which settings, and which others, is chosen here, and said before it is done.
 */
const props = defineProps<{
  /** What has the settings. */
  name: string;
  /** What the others are: “sibling”, or “part”. */
  others: 'sibling' | 'part';
  /** Each setting that others have otherwise, with those that do. */
  settings: readonly { readonly key: string; readonly name: string; readonly unlike: readonly Id[] }[];
  nameOf: (id: Id) => string;
}>();
const emit = defineEmits<{ apply: [keys: readonly string[], ids: readonly Id[]] }>();
const isOpen = defineModel<boolean>({ required: true });
const keys = ref<readonly string[]>([]);
const left = ref<ReadonlySet<Id>>(new Set());
watch(
  isOpen,
  (now) => {
    if (!now) return;
    // Where there are several, which settings are meant is said by a press.
    keys.value = props.settings.length === 1 ? props.settings.map(({ key }) => key) : [];
    left.value = new Set();
  },
  { immediate: true },
);
const candidates = computed(() => [
  ...new Set(props.settings.filter(({ key }) => keys.value.includes(key)).flatMap(({ unlike }) => unlike)),
]);
const chosen = computed(() => candidates.value.filter((id) => !left.value.has(id)));
const noun = (count: number): string =>
  props.others === 'part' ? counted(count, '# part', '# parts') : counted(count, '# sibling', '# siblings');
function toggle(id: Id): void {
  const next = new Set(left.value);
  if (!next.delete(id)) next.add(id);
  left.value = next;
}
function apply(): void {
  if (chosen.value.length === 0) return;
  emit('apply', keys.value, chosen.value);
  isOpen.value = false;
}
</script>

<template>
  <DialogSheet v-model="isOpen" :title="`Apply settings of “${name}”`" :width="460" @submit="apply">
    <fieldset>
      <legend>Settings</legend>
      <label v-for="one in settings" :key="one.key">
        <input v-model="keys" type="checkbox" :value="one.key" />
        {{ one.name }}
        <span class="mute">{{ counted(one.unlike.length, 'differs in #', 'differs in #') }}</span>
      </label>
    </fieldset>
    <fieldset>
      <legend>{{ others === 'part' ? 'Parts of the same kind' : 'Siblings' }}</legend>
      <p v-if="candidates.length === 0" class="mute">Select a setting to see what it would change.</p>
      <label v-for="id in candidates" :key="id">
        <input type="checkbox" :checked="!left.has(id)" @change="toggle(id)" />
        {{ nameOf(id) }}
      </label>
    </fieldset>
    <template #actions>
      <v-btn variant="text" @click="isOpen = false">Cancel</v-btn>
      <v-btn color="primary" type="submit" :disabled="chosen.length === 0">
        {{ chosen.length === 0 ? 'Apply' : `Apply to ${noun(chosen.length)}` }}
      </v-btn>
    </template>
  </DialogSheet>
</template>

<style scoped>
fieldset {
  display: grid;
  gap: 2px;
  margin: 0;
  padding: 0;
  border: 0;
}
legend {
  margin-block-end: 4px;
  padding: 0;
  font-weight: 600;
}
label {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 28px;
}
p {
  margin: 0;
}
</style>
