<script setup lang="ts">
import { computed, ref } from 'vue';
import { factsOf, propertyGroups, type PropertyGroup } from '@zorvik/core';
import { useStyling } from '../../stores/styling.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import StyleField from './StyleField.vue';
import WhyList from './WhyList.vue';

/** The values of what is chosen on the sheet. */
const styling = useStyling();
const wanted = ref<PropertyGroup>('colour');
const groups = computed(() =>
  propertyGroups.filter((group) => styling.properties.some((one) => factsOf(one).group === group)),
);
const group = computed({
  get: () => (groups.value.includes(wanted.value) ? wanted.value : (groups.value[0] ?? 'colour')),
  set: (next: PropertyGroup | null) => (wanted.value = next ?? 'colour'),
});
const shown = computed(() => styling.properties.filter((one) => factsOf(one).group === group.value));
const choices = computed(() => groups.value.map((value) => ({ value, label: value })));
</script>

<template>
  <section class="strip" aria-label="Values">
    <div class="what">
      <h2>{{ styling.row === null ? 'Nothing chosen' : styling.nameOfRow(styling.row) }}</h2>
      <p class="mute">
        {{ styling.state }}, {{ styling.device ?? 'all screens' }}
        {{ styling.scheme === null ? '' : `, ${styling.scheme}` }}
      </p>
      <ChoiceRow v-model="group" label="Kind of value" is-label-hidden :choices="choices" />
    </div>
    <div class="fields">
      <StyleField
        v-for="property in shown"
        :key="`${property} ${styling.row?.key} ${styling.state} ${styling.owner} ${styling.device}`"
        :property="property"
        @focusin="styling.asked = property"
      />
    </div>
    <WhyList />
  </section>
</template>

<style scoped>
.strip {
  display: grid;
  grid-template-columns: 292px minmax(0, 1fr) minmax(0, 270px);
  gap: 18px;
  block-size: 190px;
  padding: 12px 14px;
  border-block-start: 1px solid var(--line);
  background: var(--sheet);
}
.what {
  display: grid;
  align-content: start;
  gap: 8px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(268px, 1fr));
  align-content: start;
  gap: 8px 24px;
  overflow: auto;
  padding: 2px;
}
@media (max-width: 700px) {
  .strip {
    grid-template-columns: minmax(0, 1fr);
    block-size: 300px;
    overflow: auto;
  }
}
</style>
