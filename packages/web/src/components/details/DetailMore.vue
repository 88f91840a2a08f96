<script setup lang="ts">
import { computed } from 'vue';
import {
  deviceClasses,
  fitsType,
  type DeviceClass,
  type OwnField,
  type OwnValue,
  storedOrder,
} from '@zorvik/core';
import { useDropdown } from '../../composables/useDropdown.ts';
import { useSettings } from '../../composables/useSettings.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChipSet from '../common/ChipSet.vue';
import ChoiceRow from '../common/ChoiceRow.vue';
import LineField from '../common/LineField.vue';
import AnchorField from './AnchorField.vue';
import OwnFieldForm from './OwnFieldForm.vue';
import WhenClicked from './WhenClicked.vue';

/**
 * What fewer items need: tooltip and description, classes, what is hidden, what a click does, custom fields.
 */
const copy = useWorkingCopy();
const selection = useSelection();
const { common, set, keepTyped } = useSettings();
const { isTop, usual } = useDropdown();
const orNull = (typed: string): string | null => (typed.trim() === '' ? null : typed);
const placeholder = (name: 'tooltip' | 'description' | 'cssClass'): string =>
  common(name).isMixed ? 'differs' : 'none';

const hidden = computed({
  get: () => [
    ...(common('labelHidden').value === true ? ['label' as const] : []),
    ...(common('arrowHidden').value === true ? ['arrow' as const] : []),
  ],
  set: (names: readonly ('label' | 'arrow')[]) =>
    void set({
      labelHidden: names.includes('label') ? true : null,
      arrowHidden: names.includes('arrow') ? true : null,
    }),
});
const devices = (['wide', 'medium', 'narrow'] as const).map((value) => ({ value, label: value }));
const branchOn = computed({
  get: () => deviceClasses.filter((device) => !(common('branchHiddenOn').value ?? []).includes(device)),
  set: (shown: readonly DeviceClass[]) =>
    void set({ branchHiddenOn: deviceClasses.filter((device) => !shown.includes(device)) }),
});

const fields = computed((): OwnField[] => {
  const { document } = copy;
  if (document === null) return [];
  return [...storedOrder(document, 'ownFields')].filter(({ of }) => of === 'items');
});

function ownValue({ key, type }: OwnField): string {
  const value = common('own').value?.[key];
  return fitsType(value, type) ? String(value) : '';
}

function keepOwn(field: OwnField) {
  return keepTyped('own', (typed) => {
    const { [field.key]: _, ...rest } = common('own').value ?? {};
    const value = valueOf(field, typed.trim());
    return value === null ? rest : { ...rest, [field.key]: value };
  });
}

function valueOf({ type }: OwnField, typed: string): OwnValue | null {
  if (typed === '') return null;
  if (type === 'text') return typed;
  return Number.isFinite(Number(typed)) ? Number(typed) : null;
}

function setYesNo(field: OwnField, isYes: boolean | null): void {
  const { [field.key]: _, ...rest } = common('own').value ?? {};
  set({ own: isYes === null ? rest : { ...rest, [field.key]: isYes } });
}
</script>

<template>
  <div class="fields" role="group" aria-label="More settings">
    <div class="stack">
      <LineField
        label="Tooltip"
        :value="common('tooltip').value ?? ''"
        :placeholder="placeholder('tooltip')"
        :keep="keepTyped('tooltip', orNull)"
      />
      <LineField
        label="Description (below the label)"
        :value="common('description').value ?? ''"
        :placeholder="placeholder('description')"
        :keep="keepTyped('description', orNull)"
      />
      <LineField
        label="CSS class"
        :value="common('cssClass').value ?? ''"
        :placeholder="placeholder('cssClass')"
        :keep="keepTyped('cssClass', orNull)"
      />
    </div>
    <div class="stack">
      <AnchorField v-if="selection.item !== null && selection.chosen.length === 1" :item="selection.item" />
      <ChipSet
        v-model="hidden"
        label="Hide"
        :is-mixed="common('labelHidden').isMixed || common('arrowHidden').isMixed"
        :choices="[
          { value: 'label', label: 'label (icon only)' },
          { value: 'arrow', label: 'arrow' },
        ]"
      />
      <ChipSet
        v-model="branchOn"
        label="Show submenu on"
        :choices="devices"
        :is-mixed="common('branchHiddenOn').isMixed"
      />
    </div>
    <!-- For entries with a dropdown it is set beside “Opens on”. -->
    <WhenClicked
      v-if="!isTop"
      class="stack"
      :value="common('activation').isMixed ? null : (common('activation').value ?? {})"
      :usual="usual.activation ?? {}"
      @change="set({ activation: $event })"
    />
    <div class="stack">
      <template v-for="field in fields" :key="field.id">
        <ChoiceRow
          v-if="field.type === 'yesNo'"
          :label="field.name"
          :model-value="ownValue(field) === '' ? 'unset' : ownValue(field)"
          :choices="[
            { value: 'true', label: 'yes' },
            { value: 'false', label: 'no' },
            { value: 'unset', label: 'not set' },
          ]"
          @update:model-value="setYesNo(field, $event === 'unset' ? null : $event === 'true')"
        />
        <LineField
          v-else
          :label="field.name"
          :note="field.key"
          :value="ownValue(field)"
          placeholder="not set"
          :keep="keepOwn(field)"
        />
      </template>
      <OwnFieldForm />
    </div>
  </div>
</template>

<style scoped src="./fields.css"></style>
<style scoped></style>
