<script setup lang="ts">
import { mdiDeleteOutline } from '@mdi/js';
import { computed, ref, useTemplateRef } from 'vue';
import {
  counted,
  fontFileName,
  fontOf,
  labelOf,
  setLooks,
  styleId,
  systemFonts,
  type PaletteEntry,
} from '@zorvik/core';
import { PICTURES } from '@zorvik/contract';
import { useFontFaces, type ShownFace } from '../../composables/useFontFaces.ts';
import { usePalette } from '../../stores/palette.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import { shippedFonts, type ShippedFont } from '../../theme/shippedFonts.ts';
import IconButton from '../common/IconButton.vue';
import LineField from '../common/LineField.vue';

/** The fonts of the site, and where more come from: what visitors have, what comes with Zorvik, and own files. */
const copy = useWorkingCopy();
const palette = usePalette();
const own = computed(() => palette.entriesOf('font').filter(({ key }) => key !== 'font'));
const base = computed(() => PICTURES.replace(':siteKey', copy.siteKey ?? ''));
const shippedFamily = ({ name }: ShippedFont): string => `sample ${name}`;

useFontFaces(
  computed((): readonly ShownFace[] => [
    ...own.value.flatMap(({ key, files = [] }) =>
      files.map((file): ShownFace => ({
        family: `sample ${key}`,
        url: base.value + fontFileName(file),
        weight: file.weight,
        ...(file.isItalic === true ? { isItalic: true } : {}),
        ...(file.range === undefined ? {} : { range: file.range }),
      })),
    ),
    ...shippedFonts.flatMap((font) =>
      font.files.map(({ url, range }) => ({ family: shippedFamily(font), url, weight: '100 900', range })),
    ),
  ]),
);
const familyOf = ({ key, set }: PaletteEntry): string => fontOf(set ?? '')?.css ?? `"sample ${key}"`;

/** A long label of the site: what a font has to cope with. */
const MOST_SAMPLE = 34;
const sample = computed(() => {
  const { document } = copy;
  let longest = '';
  for (const item of document?.items.nodes.values() ?? []) {
    const label = document === null ? '' : labelOf(document, item);
    if (label.length > longest.length && label.length <= MOST_SAMPLE) longest = label;
  }
  return longest || 'Opening times';
});

function factsOf({ set, files = [] }: PaletteEntry): string {
  if (files.length === 0) return `${fontOf(set ?? '')?.name ?? ''}, on visitors’ devices`;
  const size = Math.round(files.reduce((sum, { bytes }) => sum + bytes, 0) / 1024);
  const weights = [...new Set(files.map(({ weight }) => weight.replace(' ', '–')))].join(', ');
  return `${counted(files.length, '# file', '# files')}, ${size} KB, ${weights}`;
}

/** What all text is in: a value of the whole site like any other. */
const allText = computed(() => ({ owner: copy.document?.site.id ?? '', thing: 'site' as const }));
const textFont = computed(
  () => copy.document?.styles.nodes.get(styleId(allText.value))?.fontFamily ?? '@font',
);
function useForAll(value: string): void {
  copy.perform((context) =>
    setLooks(context, allText.value, { fontFamily: value === '@font' ? null : value }),
  );
}

const problem = ref<string | null>(null);
const busy = ref<string | null>(null);
const isOver = ref(false);
async function doing(name: string, work: () => Promise<string | null>): Promise<void> {
  busy.value = name;
  problem.value = null;
  problem.value = await work();
  busy.value = null;
}
const addShipped = (font: ShippedFont): Promise<void> =>
  doing(font.name, () => palette.addShipped(font.name, font.files));
function addSystem(name: keyof typeof systemFonts): void {
  problem.value = palette.add('font', systemFonts[name].name, `system:${name}`);
}
const input = useTemplateRef<HTMLInputElement>('input');
let into: PaletteEntry | null = null;
function choose(entry: PaletteEntry | null): void {
  into = entry;
  input.value?.click();
}
async function send(files: readonly File[], entry: PaletteEntry | null): Promise<void> {
  if (files.length === 0) return;
  await doing('file', () =>
    palette.sendFonts(
      entry === null ? { name: '' } : { key: entry.key },
      files.map((blob) => ({ blob })),
    ),
  );
}
function chosen(event: Event): void {
  const field = event.target as HTMLInputElement;
  void send([...(field.files ?? [])], into);
  field.value = '';
}
function dropped(event: DragEvent): void {
  isOver.value = false;
  void send([...(event.dataTransfer?.files ?? [])], null);
}
const isThere = (name: string): boolean => own.value.some((one) => one.name === name);
</script>

<template>
  <section class="fonts" aria-label="Fonts">
    <div class="group">
      <div class="head">
        <h2>Fonts of this site</h2>
        <label class="all">
          <span class="mute">All text in</span>
          <select
            class="plain-field"
            :value="textFont"
            @change="useForAll(($event.target as HTMLSelectElement).value)"
          >
            <option value="@font">the system’s font</option>
            <option v-for="one in own" :key="one.key" :value="`@${one.key}`">{{ one.name }}</option>
          </select>
        </label>
      </div>
      <div v-for="entry in own" :key="entry.key" class="row">
        <p class="sample" :style="{ fontFamily: familyOf(entry) }">{{ sample }}</p>
        <LineField
          is-label-hidden
          label="Name"
          :value="entry.name"
          :keep="(typed, isFinal) => (isFinal ? palette.rename(entry, typed) : null)"
        />
        <span class="facts">
          {{ factsOf(entry) }}
          <span class="mute">
            {{
              palette.uses(entry.key) === 0
                ? 'not used yet'
                : counted(palette.uses(entry.key), '# use', '# uses')
            }}
          </span>
        </span>
        <span class="acts">
          <template v-if="entry.files !== undefined">
            <button type="button" class="link" @click="choose(entry)">Add weights</button>
            <label
              class="swap"
              title="Text is shown in a similar font first, and may move when this one has loaded."
            >
              <input
                type="checkbox"
                :checked="entry.display === 'swap'"
                @change="palette.showAtOnce(entry, ($event.target as HTMLInputElement).checked)"
              />
              even on the first page
            </label>
          </template>
        </span>
        <IconButton :icon="mdiDeleteOutline" :label="`Remove ${entry.name}`" @press="palette.remove(entry)" />
      </div>
      <p v-if="own.length === 0" class="mute none">
        None yet: all text is in the font of each visitor’s system. Add one from the right, then choose it for
        all text here, or for headings, the logo or anything else under States.
      </p>
      <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
    </div>
    <div class="group">
      <div class="head"><h2>Add a font</h2></div>
      <div
        class="drop"
        :class="{ over: isOver }"
        @dragover.prevent="isOver = true"
        @dragleave="isOver = false"
        @drop.prevent="dropped"
      >
        <button type="button" class="plain-button" :aria-busy="busy === 'file'" @click="choose(null)">
          {{ busy === 'file' ? 'Uploading …' : 'Choose files …' }}
        </button>
        <span class="mute">or drop your own here: WOFF2, up to 2 MB each</span>
        <input
          ref="input"
          type="file"
          class="only-heard"
          tabindex="-1"
          aria-label="Font files"
          accept=".woff2,font/woff2"
          multiple
          @change="chosen"
        />
      </div>
      <h3>Open fonts, delivered with the site</h3>
      <ul>
        <li v-for="font in shippedFonts" :key="font.name">
          <span class="sample" :style="{ fontFamily: `'${shippedFamily(font)}'` }">{{ font.name }}</span>
          <button
            type="button"
            class="link"
            :aria-label="isThere(font.name) ? `${font.name} added` : `Add ${font.name}`"
            :disabled="busy !== null || isThere(font.name)"
            @click="addShipped(font)"
          >
            {{ busy === font.name ? 'Adding …' : isThere(font.name) ? 'added' : 'Add' }}
          </button>
        </li>
      </ul>
      <h3>On visitors’ devices, nothing to load</h3>
      <ul>
        <li v-for="(font, name) in systemFonts" :key="name">
          <span class="sample" :style="{ fontFamily: font.css }">{{ font.name }}</span>
          <button
            type="button"
            class="link"
            :aria-label="isThere(font.name) ? `${font.name} added` : `Add ${font.name}`"
            :disabled="isThere(font.name)"
            @click="addSystem(name)"
          >
            {{ isThere(font.name) ? 'added' : 'Add' }}
          </button>
        </li>
      </ul>
    </div>
  </section>
</template>

<style scoped>
.fonts {
  display: grid;
  grid-template-columns: minmax(0, 7fr) minmax(0, 5fr);
  align-content: start;
  gap: 10px 32px;
  overflow: auto;
  padding: 12px 14px 20px;
}
.head {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  min-block-size: 36px;
}
.all {
  display: flex;
  align-items: center;
  gap: 8px;
}
.row {
  display: grid;
  grid-template-columns: minmax(110px, 170px) minmax(0, 1fr) auto 30px;
  align-items: center;
  gap: 4px 14px;
  padding-block: 10px;
  border-block-start: 1px solid var(--line);
}
.row .sample {
  grid-column: 1 / -1;
  overflow: hidden;
  font-size: 1.5rem;
  line-height: 1.3;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.facts {
  display: grid;
  font-size: 0.75rem;
}
.acts {
  display: grid;
  justify-items: start;
  font-size: 0.75rem;
}
.swap {
  display: flex;
  align-items: center;
  gap: 5px;
}
.swap input {
  inline-size: 16px;
  block-size: 16px;
  margin: 4px;
  accent-color: var(--accent-fill);
}
.drop {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
  padding: 9px;
  border: 1px dashed var(--line-strong);
  border-radius: 6px;
}
.drop.over {
  border-color: var(--accent);
  background: var(--accent-tint);
}
h3 {
  margin-block: 14px 2px;
  color: var(--mute);
  font-size: 0.75rem;
  font-weight: 500;
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  gap: 0 24px;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  min-block-size: 36px;
  border-block-start: 1px solid var(--line);
}
li .sample {
  font-size: 1.0625rem;
}
.link {
  min-block-size: 24px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--accent);
  font-size: 0.75rem;
  text-decoration: underline;
  cursor: pointer;
}
.link:disabled {
  color: var(--mute);
  text-decoration: none;
  cursor: default;
}
.none {
  padding-block: 14px;
  border-block-start: 1px solid var(--line);
}
@media (max-width: 800px) {
  .fonts {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
