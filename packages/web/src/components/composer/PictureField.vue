<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue';
import { pictureName, widthsOf, type Picture } from '@zorvik/core';
import { PICTURES } from '@zorvik/contract';
import { usePictures } from '../../stores/pictures.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';

/** A picture that is uploaded: dropped here or chosen as a file. A file that is refused says why. */
const props = defineProps<{
  label: string;
  picture: Picture | undefined;
  keep: (picture: Picture | null) => void;
}>();
const copy = useWorkingCopy();
const pictures = usePictures();
const input = useTemplateRef<HTMLInputElement>('input');
const problem = ref<string | null>(null);
const isBusy = ref(false);
const isOver = ref(false);
const address = computed(() => {
  const { picture } = props;
  return picture === undefined
    ? null
    : PICTURES.replace(':siteKey', copy.siteKey ?? '') +
        pictureName(picture, widthsOf(picture)[0] ?? picture.width);
});

async function send(file: File | undefined): Promise<void> {
  if (file === undefined || copy.siteKey === null) return;
  isBusy.value = true;
  problem.value = null;
  const sent = await pictures.send(file);
  isBusy.value = false;
  if ('value' in sent) props.keep(sent.value);
  else problem.value = sent.problem;
}

function dropped(event: DragEvent): void {
  isOver.value = false;
  void send(event.dataTransfer?.files[0]);
}

function chosen(event: Event): void {
  const field = event.target as HTMLInputElement;
  void send(field.files?.[0]);
  field.value = '';
}
</script>

<template>
  <div
    class="picture"
    :class="{ over: isOver }"
    @dragover.prevent="isOver = true"
    @dragleave="isOver = false"
    @drop.prevent="dropped"
  >
    <span class="caption">{{ label }}</span>
    <div class="box">
      <img v-if="address !== null" :src="address" alt="" />
      <div class="acts">
        <button type="button" class="plain-button" :aria-busy="isBusy" @click="input?.click()">
          {{ isBusy ? 'Uploading …' : picture === undefined ? 'Choose a picture …' : 'Replace …' }}
        </button>
        <button v-if="picture !== undefined" type="button" class="plain-button" @click="keep(null)">
          Remove
        </button>
        <p class="mute">
          {{
            picture === undefined
              ? 'or drop it here: PNG, JPEG, WebP, AVIF, GIF, SVG, up to 5 MB'
              : `${picture.width} × ${picture.height} px`
          }}
        </p>
      </div>
    </div>
    <input
      ref="input"
      type="file"
      class="only-heard"
      tabindex="-1"
      :aria-label="label"
      accept="image/png,image/jpeg,image/webp,image/avif,image/gif,image/svg+xml"
      @change="chosen"
    />
    <p v-if="problem !== null" class="problem small" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.picture {
  width: 270px;
}
.box {
  display: flex;
  gap: 10px;
  padding: 8px;
  border: 1px dashed var(--line-strong);
  border-radius: 6px;
  background: var(--field);
}
.over .box {
  border-color: var(--accent);
  background: var(--accent-tint);
}
img {
  width: 84px;
  height: 64px;
  object-fit: cover;
  border-radius: 4px;
}
button + button {
  margin-inline-start: 6px;
}
.mute {
  margin-top: 4px;
  font-size: 0.75rem;
}
</style>
