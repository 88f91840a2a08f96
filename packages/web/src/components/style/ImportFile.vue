<script setup lang="ts" generic="T">
import { computed, ref, shallowRef, useTemplateRef, type Ref } from 'vue';
import { counted, type CommandContext, type Edit, type Result } from '@zorvik/core';
import { useNotices } from '../../stores/notices.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import DialogSheet from '../common/DialogSheet.vue';

/** A button that imports a file: what it would change, and what of it is skipped, is said before it is done. */
const props = defineProps<{
  title: string;
  fileLabel: string;
  accept: string;
  read: (text: string) => Promise<Result<T>>;
  preview: (context: CommandContext, given: T) => ImportPreview;
  take: (context: CommandContext, given: T) => Result<Edit>;
  /** What was imported, with its number: `# name`, `# names`. */
  unit: readonly [one: string, many: string];
}>();
/** What an import would change, in sentences; and what cannot be taken, and why. */
interface ImportPreview {
  readonly changes: readonly string[];
  readonly problems: readonly string[];
}
const copy = useWorkingCopy();
const notices = useNotices();
const input = useTemplateRef<HTMLInputElement>('input');
/** What was read from the file that was chosen. */
const given: Ref<T | null> = shallowRef<T | null>(null);
const problem = ref<string | null>(null);
const isOpen = computed({
  get: () => given.value !== null || problem.value !== null,
  set: (is) => {
    if (!is) [given.value, problem.value] = [null, null];
  },
});
/** What would change now, also when somebody else has changed something meanwhile. */
const found = computed(() => {
  const { value: some } = given;
  let now: ImportPreview = { changes: [], problems: [] };
  if (some !== null && copy.document !== null)
    copy.attempt((context) => {
      now = props.preview(context, some);
      return props.take(context, some);
    });
  return now;
});

async function chosen(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement;
  const [file] = field.files ?? [];
  if (file === undefined) return;
  const read = await props.read(await file.text());
  field.value = '';
  problem.value = read.ok ? null : read.refusal.message;
  given.value = read.ok ? read.value : null;
}
function submit(): void {
  const { value: some } = given;
  if (some === null) return;
  const { length } = found.value.changes;
  const done = copy.perform((context) => props.take(context, some));
  problem.value = done.ok ? null : done.refusal.message;
  if (!done.ok) return;
  given.value = null;
  notices.say(`Imported ${counted(length, ...props.unit)}.`);
}
</script>

<template>
  <button type="button" class="plain-button" @click="input?.click()">{{ title }} …</button>
  <input
    ref="input"
    type="file"
    class="only-heard"
    tabindex="-1"
    :aria-label="fileLabel"
    :accept="accept"
    @change="chosen"
  />
  <DialogSheet v-model="isOpen" :title="title" :problem="problem" :width="620" @submit="submit">
    <p v-if="problem === null && found.changes.length === 0">
      Nothing in this file would change anything here.
    </p>
    <template v-else-if="problem === null">
      <p>{{ counted(found.changes.length, '# change', '# changes') }} when you import. You can undo this.</p>
      <ul class="changes">
        <li v-for="(change, at) in found.changes" :key="at">{{ change }}</li>
      </ul>
    </template>
    <div v-if="found.problems.length > 0" class="left">
      <h3>Skipped</h3>
      <ul>
        <li v-for="(one, at) in found.problems" :key="at">{{ one }}</li>
      </ul>
    </div>
    <template #actions>
      <button type="button" class="plain-button" @click="isOpen = false">Cancel</button>
      <v-btn v-if="problem === null && found.changes.length > 0" type="submit" color="primary">Import</v-btn>
    </template>
  </DialogSheet>
</template>

<style scoped>
ul {
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}
.changes {
  max-height: 300px;
  overflow: auto;
}
li {
  padding: 4px 0;
  border-block-end: 1px solid var(--line-soft);
  overflow-wrap: anywhere;
}
.left {
  margin-block-start: 14px;
  color: var(--mute);
}
h3 {
  font-size: 0.8125rem;
}
</style>
