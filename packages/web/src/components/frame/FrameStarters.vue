<script setup lang="ts">
import { mdiTrashCanOutline } from '@mdi/js';
import { ref, useTemplateRef } from 'vue';
import { frameOnSite, portableFrame, removePreset, saveFrameStarter, useFrameStarter } from '@zorvik/core';
import { saveFile } from '../../composables/saveFile.ts';
import { useFrameStarters } from '../../composables/useFrameStarters.ts';
import { useFrame } from '../../stores/frame.ts';
import { useNotices } from '../../stores/notices.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import DialogSheet from '../common/DialogSheet.vue';
import IconButton from '../common/IconButton.vue';
import LineField from '../common/LineField.vue';
import PageDrawing from '../common/PageDrawing.vue';

/** Frames to start from, drawn with this site in them, and the site's own. */
const isOpen = defineModel<boolean>({ required: true });
const copy = useWorkingCopy();
const frame = useFrame();
const notices = useNotices();
const input = useTemplateRef<HTMLInputElement>('input');
const problem = ref<string | null>(null);
const extents = [
  { value: 'all' as const, label: 'the whole frame' },
  { value: 'header' as const, label: 'the header only' },
];
const extent = ref<'all' | 'header' | null>('all');
const offers = useFrameStarters();

async function exportFrame(): Promise<void> {
  const { document } = copy;
  if (document === null) return;
  const { writeFrameFile } = await import('../../composables/frameFile.ts');
  const text = writeFrameFile({ name: document.site.name, areas: portableFrame(document) });
  saveFile(`${document.site.key}-frame.json`, 'application/json', text);
}

async function chosen(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement;
  const [file] = field.files ?? [];
  const { document } = copy;
  if (file === undefined || document === null) return;
  const { readFrameFile } = await import('../../composables/frameFile.ts');
  const read = readFrameFile(await file.text());
  field.value = '';
  if (!read.ok) problem.value = read.refusal.message;
  else use({ name: read.value.name, of: { ...read.value, rows: frameOnSite(document, read.value.areas) } });
}

function use({
  of,
  name,
}: {
  readonly of: Parameters<typeof useFrameStarter>[1];
  readonly name: string;
}): void {
  const done = copy.perform((context) =>
    useFrameStarter(context, of, extent.value === 'header' ? 'header' : null),
  );
  problem.value = done.ok ? null : done.refusal.message;
  if (!done.ok) return;
  frame.select(null);
  isOpen.value = false;
  notices.say(`Started from “${name}”. Undo restores the previous frame.`);
}

function save(typed: string, isFinal: boolean): string | null {
  if (!isFinal || typed.trim() === '') return null;
  const done = copy.perform((context) => saveFrameStarter(context, typed));
  return done.ok ? null : done.refusal.message;
}
</script>

<template>
  <DialogSheet v-model="isOpen" title="Start from a frame" :problem="problem" :width="980">
    <ChoiceRow v-if="!frame.isEmpty" v-model="extent" label="Replaces" :choices="extents" />
    <ul class="all">
      <li v-for="one of offers" :key="one.key">
        <button type="button" class="use" @click="use(one)">
          <PageDrawing class="drawing" :page="one.page" :width="1280" :height="800" />
          <span class="name">{{ one.name }}</span>
          <span class="mute">{{ one.about }}</span>
        </button>
        <IconButton
          v-if="'preset' in one.of"
          :label="`Delete the starter “${one.name}”`"
          :icon="mdiTrashCanOutline"
          @press="copy.perform((context) => removePreset(context, one.key))"
        />
      </li>
    </ul>
    <LineField
      v-if="!frame.isEmpty"
      class="save"
      label="Save the current frame as a starter"
      value=""
      placeholder="Name, then Enter"
      :keep="save"
    />
    <template #actions>
      <input ref="input" type="file" accept=".json,application/json" hidden @change="chosen" />
      <button v-if="!frame.isEmpty" type="button" class="plain-button" @click="exportFrame">
        Export this frame
      </button>
      <button type="button" class="plain-button" @click="input?.click()">Import a frame …</button>
      <button type="button" class="plain-button" @click="isOpen = false">Close</button>
    </template>
  </DialogSheet>
</template>

<style scoped>
.all {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
  gap: 14px;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  position: relative;
}
li .icon-button {
  position: absolute;
  inset-block-end: 8px;
  inset-inline-end: 8px;
}
.use {
  display: grid;
  gap: 2px;
  width: 100%;
  height: 100%;
  align-content: start;
  padding: 10px;
  border: 1px solid var(--line-strong);
  border-radius: var(--radius);
  background: var(--sheet);
  color: var(--ink);
  text-align: start;
  cursor: pointer;
}
.use:hover {
  border-color: var(--accent);
}
.drawing {
  margin-bottom: 8px;
}
.name {
  font-weight: 600;
}
.save {
  max-width: 340px;
}
</style>
