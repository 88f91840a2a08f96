<script setup lang="ts">
import { mdiBackupRestore, mdiDeleteOutline, mdiPlus } from '@mdi/js';
import { computed, ref } from 'vue';
import {
  counted,
  isRole,
  pictureName,
  tokenExpected,
  tokenKinds,
  valueOfName,
  widthsOf,
  type PaletteEntry,
  type TokenKind,
} from '@zorvik/core';
import { PICTURES } from '@zorvik/contract';
import { usePalette } from '../../stores/palette.ts';
import { shownValue } from '../../stores/styling.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import IconButton from '../common/IconButton.vue';
import LineField from '../common/LineField.vue';

/** What has a name besides colours and fonts: lengths, weights, times, shadows, gradients, pictures. */
const palette = usePalette();
const copy = useWorkingCopy();
/** Pictures are added where they are used. */
const kinds = tokenKinds.filter((kind) => kind !== 'colour' && kind !== 'font' && kind !== 'picture');
const entries = computed(() => [...kinds, 'picture' as const].flatMap((kind) => palette.entriesOf(kind)));
const addressOf = ({ picture }: PaletteEntry): string | null =>
  picture === undefined
    ? null
    : PICTURES.replace(':siteKey', copy.siteKey ?? '') +
      pictureName(picture, widthsOf(picture)[0] ?? picture.width);
const valueOf = ({ key, set }: PaletteEntry): string =>
  shownValue(set ?? valueOfName(palette.all, key) ?? '');

const isAdding = ref(false);
const kind = ref<TokenKind>('length');
const name = ref('');
const value = ref('');
const problem = ref<string | null>(null);
function add(): void {
  problem.value = palette.add(kind.value, name.value, value.value);
  if (problem.value !== null) return;
  [name.value, value.value] = ['', ''];
  isAdding.value = false;
}
</script>

<template>
  <div class="group">
    <div class="head">
      <h2>Lengths, weights, times, shadows, gradients, pictures</h2>
      <button type="button" class="plain-button" @click="isAdding = true">
        <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true">
          <path :d="mdiPlus" fill="currentColor" />
        </svg>
        Add a name
      </button>
    </div>
    <form v-if="isAdding" class="adding" @submit.prevent="add">
      <label>
        <span class="caption">Kind</span>
        <select v-model="kind" class="plain-field">
          <option v-for="one in kinds" :key="one" :value="one">{{ one }}</option>
        </select>
      </label>
      <label>
        <span class="caption">Name</span>
        <input v-model="name" class="plain-field" maxlength="40" autocomplete="off" />
      </label>
      <label class="wide">
        <span class="caption">Value: {{ tokenExpected[kind] }}</span>
        <input v-model="value" class="plain-field" maxlength="300" autocomplete="off" />
      </label>
      <button type="submit" class="plain-button">Add</button>
      <button type="button" class="plain-button" @click="isAdding = false">Cancel</button>
      <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
    </form>
    <div v-for="entry in entries" :key="entry.key" class="row">
      <span class="mute">{{ entry.of }}</span>
      <b v-if="isRole(entry.key)">{{ entry.name }}</b>
      <LineField
        is-label-hidden
        v-else
        :label="`Name of ${entry.name}`"
        :value="entry.name"
        :keep="(typed, isFinal) => (isFinal ? palette.rename(entry, typed) : null)"
      />
      <img v-if="entry.picture !== undefined" class="thumb" :src="addressOf(entry) ?? ''" alt="" />
      <LineField
        v-else
        is-label-hidden
        :label="`Value of ${entry.name}`"
        :value="valueOf(entry)"
        :keep="(typed, isFinal) => (isFinal && typed !== valueOf(entry) ? palette.set(entry, typed) : null)"
      />
      <span class="mute uses">
        {{
          palette.uses(entry.key) > 0
            ? counted(palette.uses(entry.key), '# use', '# uses')
            : !isRole(entry.key)
              ? 'not used yet'
              : entry.set === null
                ? 'starter'
                : 'set here'
        }}
      </span>
      <IconButton
        v-if="isRole(entry.key)"
        :icon="mdiBackupRestore"
        :label="`Reset ${entry.name}`"
        :reason="entry.set === null ? 'nobody has set it' : null"
        @press="palette.set(entry, null)"
      />
      <IconButton
        v-else
        :icon="mdiDeleteOutline"
        :label="`Remove ${entry.name}`"
        @press="palette.remove(entry)"
      />
    </div>
  </div>
</template>

<style scoped>
.group {
  display: grid;
  align-content: start;
}
.head {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  min-block-size: 36px;
}
.row {
  display: grid;
  grid-template-columns: 68px minmax(96px, 1fr) minmax(120px, 2fr) 84px 30px;
  align-items: center;
  gap: 12px;
  min-block-size: 46px;
  border-block-start: 1px solid var(--line);
}
.row b {
  font-weight: 600;
}
.thumb {
  block-size: 36px;
  max-inline-size: 100%;
  justify-self: start;
  object-fit: cover;
  border-radius: 4px;
}
.uses {
  font-size: 0.75rem;
}
.adding {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 10px;
  padding-block: 8px 12px;
  border-block-start: 1px solid var(--line);
}
.wide {
  flex: 1 1 260px;
}
.wide input {
  inline-size: 100%;
}
</style>
