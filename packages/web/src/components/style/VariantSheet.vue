<script setup lang="ts">
import { mdiTrashCanOutline } from '@mdi/js';
import { ref } from 'vue';
import { addVariant, counted, PLAIN_BUTTON, removeVariant, renameVariant } from '@zorvik/core';
import { useVariantDrawings, type DrawnVariant } from '../../composables/useVariantDrawings.ts';
import { useNotices } from '../../stores/notices.ts';
import { useStyling } from '../../stores/styling.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import IconButton from '../common/IconButton.vue';
import LineField from '../common/LineField.vue';
import PageDrawing from '../common/PageDrawing.vue';

/** The looks that buttons and links can have by name: all at once, in some states. */
const copy = useWorkingCopy();
const styling = useStyling();
const notices = useNotices();
const drawings = useVariantDrawings();

function rename({ key, name }: DrawnVariant, typed: string, isFinal: boolean): string | null {
  if (!isFinal || typed === name) return null;
  const done = copy.perform((context) => renameVariant(context, key, typed));
  return done.ok ? null : done.refusal.message;
}
function remove({ key, name, uses }: DrawnVariant): void {
  const done = copy.perform((context) => removeVariant(context, key));
  if (done.ok)
    notices.say(
      uses === 0
        ? `Deleted “${name}”.`
        : `Deleted “${name}”. ${counted(uses, '# link now looks like a plain button', '# links now look like plain buttons')}.`,
    );
}

const name = ref('');
const like = ref<string>(PLAIN_BUTTON);
const problem = ref<string | null>(null);
function add(): void {
  const done = copy.perform((context) =>
    addVariant(context, name.value, like.value === PLAIN_BUTTON ? null : like.value),
  );
  problem.value = done.ok ? null : done.refusal.message;
  if (done.ok) name.value = '';
}
</script>

<template>
  <section class="variants" aria-label="Variants of buttons and links">
    <p class="mute">
      Pick one under “Shown as” wherever you edit a link. Here you see each at rest, under the pointer and in
      focus.
    </p>
    <ul>
      <li v-for="one of drawings" :key="one.key">
        <PageDrawing class="drawing" :page="one.page" :width="560" :height="64" loading="eager" />
        <LineField
          v-if="one.isOwn"
          is-label-hidden
          :label="`Name of ${one.name}`"
          :value="one.name"
          :keep="(typed, isFinal) => rename(one, typed, isFinal)"
        />
        <b v-else>{{ one.name }}</b>
        <span class="mute">{{ one.uses === 0 ? 'not used yet' : counted(one.uses, '# use', '# uses') }}</span>
        <button
          type="button"
          class="plain-button"
          :aria-label="`Edit look of ${one.name}`"
          @click="styling.showVariant(one.key)"
        >
          Edit look
        </button>
        <IconButton
          v-if="one.isOwn"
          :label="`Delete ${one.name}`"
          :icon="mdiTrashCanOutline"
          @press="remove(one)"
        />
      </li>
    </ul>
    <form class="adding" @submit.prevent="add">
      <label>
        <span class="caption">New variant</span>
        <input v-model="name" class="plain-field" maxlength="400" autocomplete="off" placeholder="Name" />
      </label>
      <label>
        <span class="caption">Starts like</span>
        <select v-model="like" class="plain-field">
          <option v-for="one in drawings" :key="one.key" :value="one.key">{{ one.name }}</option>
        </select>
      </label>
      <button type="submit" class="plain-button">Add</button>
      <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
    </form>
  </section>
</template>

<style scoped>
.variants {
  display: grid;
  align-content: start;
  gap: 8px;
  overflow: auto;
  padding: 8px 14px 20px;
}
ul {
  display: grid;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: minmax(200px, 460px) minmax(110px, 220px) 92px auto 30px;
  align-items: center;
  justify-content: start;
  gap: 6px 18px;
  padding-block: 7px;
  border-block-start: 1px solid var(--line);
}
.drawing {
  border-radius: 6px;
}
.adding {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 10px;
  padding-block: 10px;
  border-block-start: 1px solid var(--line);
}
.adding label {
  display: grid;
  gap: 3px;
}
.caption {
  color: var(--mute);
  font-size: 0.75rem;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 1fr auto 30px;
  }
  .drawing {
    grid-column: 1 / -1;
  }
}
</style>
