<script setup lang="ts">
import { mdiBackupRestore, mdiDeleteOutline, mdiPlus } from '@mdi/js';
import { computed, nextTick, ref } from 'vue';
import {
  colourSteps,
  contrastOf,
  counted,
  isRole,
  setDark,
  stepOf,
  valueOfName,
  type PaletteEntry,
  type RoleName,
} from '@zorvik/core';
import { usePalette } from '../../stores/palette.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import IconButton from '../common/IconButton.vue';
import LineField from '../common/LineField.vue';
import ColourField from './ColourField.vue';
import OtherNames from './OtherNames.vue';
import TokenFiles from './TokenFiles.vue';

/** All colours that have a name: the roles that every site has, and the site's own, each with its tints and shades. */
const palette = usePalette();
const colours = computed(() => palette.entriesOf('colour'));
const groups = computed(() => [
  {
    title: 'Roles',
    note: 'Everything uses these until you set something else.',
    some: colours.value.filter(({ key }) => isRole(key)),
  },
  {
    title: 'Your colours',
    note: 'Name a colour once, use it anywhere.',
    some: colours.value.filter(({ key }) => !isRole(key)),
  },
]);
const copy = useWorkingCopy();
const hasDark = computed(() => copy.document?.site.hasDark === true);
const darkOfEntry = ({ key }: PaletteEntry): string => valueOfName(palette.all, key, 'dark') ?? '#000000';
const darkPaper = computed(() => valueOfName(palette.all, 'paper', 'dark') ?? '#000000');
const hexOfEntry = ({ key }: PaletteEntry): string => valueOfName(palette.all, key) ?? '#000000';
const paper = computed(() => valueOfName(palette.all, 'paper') ?? '#ffffff');
/** What a colour is mostly seen with: text on surfaces, a surface below text. */
const partners: Readonly<Record<string, RoleName>> = {
  paper: 'ink',
  tint: 'ink',
  button: 'button-ink',
  'button-ink': 'button',
  'button-hover': 'button-ink',
};
function contrastWords(entry: PaletteEntry): string {
  const partner = partners[entry.key] ?? 'paper';
  const other = valueOfName(palette.all, partner) ?? '#ffffff';
  const ratio = contrastOf(hexOfEntry(entry), other).toFixed(1);
  const inDark = contrastOf(darkOfEntry(entry), valueOfName(palette.all, partner, 'dark') ?? '#000000');
  const both = hasDark.value ? `${ratio} / ${inDark.toFixed(1)}` : ratio;
  const joined = partner === 'ink' || partner === 'button-ink' ? 'with' : 'on';
  return `${both} ${joined} ${palette.all.get(partner)?.name ?? partner}`;
}

const isAdding = ref(false);
const name = ref('');
const colour = ref('#2f6b8a');
const problem = ref<string | null>(null);
const field = ref<HTMLInputElement | null>(null);
async function begin(): Promise<void> {
  isAdding.value = true;
  problem.value = null;
  await nextTick();
  field.value?.focus();
}
function add(): void {
  problem.value = palette.add('colour', name.value, colour.value);
  if (problem.value !== null) return;
  name.value = '';
  isAdding.value = false;
}
</script>

<template>
  <section class="colours" :class="{ both: hasDark }" aria-label="Colours">
    <div v-for="group in groups" :key="group.title" class="group">
      <div class="head">
        <h2>{{ group.title }}</h2>
        <span class="mute">{{ group.note }}</span>
        <button
          v-if="group.title === 'Roles'"
          type="button"
          class="plain-button"
          title="For visitors who have chosen dark for all that they see"
          @click="copy.perform((context) => setDark(context, !hasDark))"
        >
          {{ hasDark ? 'Turn off dark colours' : 'Add dark colours' }}
        </button>
        <button v-if="group.title !== 'Roles'" type="button" class="plain-button" @click="begin">
          <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true">
            <path :d="mdiPlus" fill="currentColor" />
          </svg>
          Add a colour
        </button>
      </div>
      <form v-if="isAdding && group.title !== 'Roles'" class="adding" @submit.prevent="add">
        <label>
          <span class="caption">Name</span>
          <input
            :ref="(one) => (field = one as HTMLInputElement | null)"
            v-model="name"
            class="plain-field"
            maxlength="40"
            autocomplete="off"
            placeholder="Moss"
          />
        </label>
        <ColourField
          label="Colour"
          :value="colour"
          is-plain
          location="bottom start"
          :against="paper"
          :keep="(to) => ((colour = to), null)"
        />
        <button type="submit" class="plain-button">Add</button>
        <button type="button" class="plain-button" @click="isAdding = false">Cancel</button>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
      </form>
      <div v-for="entry in group.some" :key="entry.key" class="row">
        <i class="large" :style="{ background: hexOfEntry(entry) }" />
        <LineField
          is-label-hidden
          v-if="!isRole(entry.key)"
          label="Name"
          :value="entry.name"
          :keep="(typed, isFinal) => (isFinal ? palette.rename(entry, typed) : null)"
        />
        <b v-else>{{ entry.name }}</b>
        <ColourField
          is-label-hidden
          :label="isRole(entry.key) ? entry.name : `Colour of ${entry.name}`"
          :value="hexOfEntry(entry)"
          is-plain
          location="bottom start"
          :against="paper"
          :keep="(to) => palette.set(entry, to)"
        />
        <span v-if="hasDark" class="dark">
          <i class="large" :style="{ background: darkOfEntry(entry) }" />
          <ColourField
            is-label-hidden
            :label="`${entry.name} in dark`"
            :value="darkOfEntry(entry)"
            is-plain
            location="bottom start"
            :against="darkPaper"
            :keep="(to) => palette.setInDark(entry, to)"
          />
          <IconButton
            :icon="mdiBackupRestore"
            :label="`Reset ${entry.name} in dark`"
            :reason="entry.dark === undefined ? 'it follows the light colour' : null"
            @press="palette.setInDark(entry, null)"
          />
        </span>
        <div class="family" aria-hidden="true">
          <i
            v-for="step in colourSteps"
            :key="step"
            :style="{ background: stepOf(hexOfEntry(entry), step) }"
            :title="`${entry.name} ${step}, ${stepOf(hexOfEntry(entry), step)}`"
          />
        </div>
        <span class="facts number">
          {{ contrastWords(entry) }}
          <span class="mute">
            {{
              isRole(entry.key) && entry.set === null
                ? 'starter'
                : palette.uses(entry.key) === 0
                  ? isRole(entry.key)
                    ? 'set here'
                    : 'not used yet'
                  : counted(palette.uses(entry.key), '# use', '# uses')
            }}
          </span>
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
      <p v-if="group.some.length === 0 && !isAdding" class="mute none">
        None yet. The tints and shades of the roles can be used as well.
      </p>
    </div>
    <OtherNames />
    <TokenFiles class="files" />
  </section>
</template>

<style scoped>
.colours {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 560px), 1fr));
  align-content: start;
  gap: 10px 32px;
  overflow: auto;
  padding: 12px 14px 20px;
}
.group {
  display: grid;
  align-content: start;
}
.head {
  display: flex;
  align-items: center;
  gap: 12px;
  min-block-size: 36px;
}
.head button {
  margin-inline-start: auto;
}
.row {
  display: grid;
  grid-template-columns: 40px minmax(96px, 132px) 124px minmax(120px, 1fr) 132px 30px;
  align-items: center;
  gap: 12px;
  min-block-size: 58px;
  border-block-start: 1px solid var(--line);
}
.both {
  grid-template-columns: minmax(0, 1fr);
}
.both .row {
  grid-template-columns: 40px minmax(96px, 160px) 124px 210px minmax(120px, 1fr) 168px 30px;
}
.dark {
  display: grid;
  grid-template-columns: 40px 124px 30px;
  align-items: center;
  gap: 8px;
}
.row b {
  font-weight: 600;
}
.large {
  inline-size: 40px;
  block-size: 40px;
  border: 1px solid var(--line-strong);
  border-radius: 8px;
}
.family {
  display: flex;
  block-size: 26px;
  overflow: hidden;
  border-radius: 5px;
}
.family i {
  flex: 1;
}
.facts {
  display: grid;
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
.files {
  align-self: start;
}
.none {
  padding-block: 14px;
  border-block-start: 1px solid var(--line);
}
@media (max-width: 640px) {
  .row {
    grid-template-columns: 40px minmax(0, 1fr) 130px 30px;
    padding-block: 8px;
  }
  .family,
  .facts {
    display: none;
  }
}
</style>
