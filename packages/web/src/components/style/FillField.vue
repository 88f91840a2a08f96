<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue';
import { dividerSigns, factsOf, fillOf } from '@zorvik/core';
import { usePalette } from '../../stores/palette.ts';
import { usePictures } from '../../stores/pictures.ts';
import { shownValue, useStyling } from '../../stores/styling.ts';

/**
 * What fills a place, or parts two entries: a picture of the site, one that is uploaded here, a gradient, a sign.
 * `other`: asks for a field in which a value can be typed.
 */
const props = defineProps<{ property: 'backgroundImage' | 'divider'; value: string }>();
const emit = defineEmits<{ other: [] }>();
const styling = useStyling();
const palette = usePalette();
const pictures = usePictures();
const input = useTemplateRef<HTMLInputElement>('input');
const isBusy = ref(false);
const problem = ref<string | null>(null);
const [UPLOAD, OTHER] = ['upload', 'other'];
const isDivider = computed(() => props.property === 'divider');

const named = computed(() => [
  ...palette.entriesOf('picture'),
  ...(isDivider.value ? [] : palette.entriesOf('gradient')),
]);
const options = computed(() => {
  const { name, gradient } = fillOf(props.value);
  const isPicture = !isDivider.value && named.value.some(({ key, of }) => key === name && of === 'picture');
  const ways = isPicture
    ? ['', ' contain', ' tile'].map((way) => `${gradient === null ? '' : `${gradient} `}@${name}${way}`)
    : [];
  const signs = isDivider.value ? ['line', ...Object.keys(dividerSigns)] : [];
  return [...new Set(['none', ...signs, props.value, ...ways, ...named.value.map(({ key }) => `@${key}`)])];
});

function wordsFor(value: string): string {
  const { name, gradient, as } = fillOf(value);
  const entry = named.value.find(({ key }) => key === name);
  if (entry === undefined) return shownValue(value);
  const way = as === 'tile' ? ', tiled' : as === 'contain' ? ', whole' : '';
  return `${entry.name}${way}${gradient === null ? '' : ', below a gradient'}`;
}

function choose(event: Event): void {
  const field = event.target as HTMLSelectElement;
  const { value } = field;
  if (value !== UPLOAD && value !== OTHER) {
    problem.value = styling.set(props.property, value);
    return;
  }
  field.value = props.value;
  if (value === UPLOAD) input.value?.click();
  else emit('other');
}

async function upload(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement;
  const [file] = field.files ?? [];
  field.value = '';
  if (file === undefined) return;
  isBusy.value = true;
  const sent = await pictures.sendForLooks(file);
  isBusy.value = false;
  problem.value = 'problem' in sent ? sent.problem : styling.fillWith(props.property, file.name, sent.value);
}
</script>

<template>
  <div>
    <label class="choice">
      <span>{{ factsOf(property).name }}</span>
      <select class="plain-field" :value="value" :aria-busy="isBusy" @change="choose">
        <option v-for="one in options" :key="one" :value="one">{{ wordsFor(one) }}</option>
        <option :value="UPLOAD">{{ isBusy ? 'Uploading …' : 'Upload a picture …' }}</option>
        <option v-if="!isDivider" :value="OTHER">Gradient …</option>
      </select>
    </label>
    <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
    <input
      ref="input"
      type="file"
      class="only-heard"
      tabindex="-1"
      accept="image/png,image/jpeg,image/webp,image/avif,image/gif,image/svg+xml"
      :aria-label="`Picture for ${factsOf(property).name}`"
      @change="upload"
    />
  </div>
</template>

<style scoped>
.choice span {
  display: block;
  margin-bottom: 3px;
  color: var(--mute);
  font-size: 0.75rem;
}
.choice select {
  inline-size: 100%;
}
.problem {
  color: var(--brick);
  font-size: 0.75rem;
}
</style>
