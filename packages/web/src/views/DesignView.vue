<script setup lang="ts">
import { mdiArrowUp, mdiTrashCanOutline } from '@mdi/js';
import { ref } from 'vue';
import ChipSet from '../components/common/ChipSet.vue';
import ChoiceRow from '../components/common/ChoiceRow.vue';
import IconButton from '../components/common/IconButton.vue';
import LineField from '../components/common/LineField.vue';
import ColorPairs from '../components/common/ColorPairs.vue';

/** The design sheet as a screen: what docs/design.md says, to be looked at and tested. */
const choice = ref('same');
const ticked = ref<readonly ('wide' | 'narrow')[]>(['wide']);
const scale = [
  { size: 19, weight: 650, use: 'Title of a screen' },
  { size: 17, weight: 650, use: 'Name of what is selected' },
  { size: 15, weight: 650, use: 'Title of a part' },
  { size: 13, weight: 400, use: 'Text, rows, buttons' },
  { size: 12, weight: 400, use: 'Captions, addresses, states' },
  { size: 11, weight: 400, use: 'Counts, keys' },
];
</script>

<template>
  <div class="design">
    <h1>Design sheet</h1>
    <section>
      <h2>Type: Commissioner</h2>
      <p
        v-for="one in scale"
        :key="one.size"
        :style="{ fontSize: `${one.size / 16}rem`, fontWeight: one.weight }"
      >
        {{ one.size }} / {{ one.weight }} · {{ one.use }}
      </p>
    </section>
    <section>
      <h2>Colours with their contrast</h2>
      <ColorPairs />
    </section>
    <section>
      <h2>Spacing and rows</h2>
      <p>A grid of 8 px; rows 32 px, bar 46 px, targets at least 24 px; corners 7 px.</p>
      <div class="rows">
        <div>A row</div>
        <div class="on">The selected row</div>
        <div class="marked">The marked row</div>
      </div>
    </section>
    <section>
      <h2>Controls</h2>
      <div class="controls">
        <v-btn color="primary">Main</v-btn>
        <v-btn color="secondary">Second</v-btn>
        <v-btn variant="outlined">Other</v-btn>
        <v-btn variant="text">Quiet</v-btn>
        <v-btn color="primary" disabled>Not now</v-btn>
        <IconButton label="Move up" :icon="mdiArrowUp" />
        <IconButton label="Remove" :icon="mdiTrashCanOutline" reason="nothing is selected" />
        <button type="button" class="ringed">The focus ring</button>
      </div>
      <div class="controls">
        <LineField label="A line of text" value="Sow in autumn" note="own" :keep="() => null" />
        <LineField
          label="A refused one"
          value="Leave me changed"
          :keep="() => 'A name needs at least one visible character.'"
        />
        <v-text-field label="In a dialog" model-value="Main menu" />
        <ChoiceRow
          v-model="choice"
          label="A choice"
          :choices="[
            { value: 'same', label: 'same tab' },
            { value: 'new', label: 'new tab' },
          ]"
        />
        <ChipSet
          v-model="ticked"
          label="Any number"
          :choices="[
            { value: 'wide', label: 'wide' },
            { value: 'narrow', label: 'narrow' },
          ]"
        />
      </div>
    </section>
  </div>
</template>

<style scoped>
.design {
  height: 100%;
  overflow: auto;
  columns: 2 380px;
  column-gap: 32px;
  padding: 20px 24px;
}
.design h1 {
  column-span: all;
  margin-bottom: 12px;
}
section {
  break-inside: avoid;
  margin-bottom: 20px;
  display: grid;
  gap: 6px;
  align-content: start;
  min-width: 0;
}
.rows div {
  display: flex;
  align-items: center;
  height: 32px;
  padding-inline-start: 14px;
}
.rows .on {
  background: var(--field);
  box-shadow:
    inset 3px 0 var(--accent),
    0 1px var(--line),
    0 -1px var(--line);
}
.rows .marked {
  background: var(--accent-tint);
}
.controls {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
}
.controls > .field,
.controls > .v-text-field {
  flex: 1 1 190px;
}
.ringed {
  min-height: 32px;
  padding: 0 12px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--sheet);
  outline: 2px solid var(--ink);
  outline-offset: 2px;
}
</style>
