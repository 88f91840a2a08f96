<script setup lang="ts">
import { computed } from 'vue';
import { deviceClasses, fitsType, type Activation, type DeviceClass, type OwnField, type OwnValue, storedOrder } from '@zorvik/core';
import { useSettings } from '../../composables/useSettings.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChipSet from '../common/ChipSet.vue';
import ChoiceRow from '../common/ChoiceRow.vue';
import LineField from '../common/LineField.vue';
import OwnFieldForm from './OwnFieldForm.vue';

/** What fewer items need: lines beside the label, classes, what is not shown, what activating does, the site's own fields. */
const copy = useWorkingCopy();
const { common, set, keepTyped } = useSettings();
const orNull = (typed: string): string | null => (typed.trim() === '' ? null : typed);
const placeholder = (name: 'tooltip' | 'description' | 'cssClass'): string => (common(name).isMixed ? 'differs' : 'none');

const hidden = computed({
  get: () => [...(common('labelHidden').value === true ? ['label' as const] : []), ...(common('arrowHidden').value === true ? ['arrow' as const] : [])],
  set: (names: readonly ('label' | 'arrow')[]) =>
    void set({ labelHidden: names.includes('label') ? true : null, arrowHidden: names.includes('arrow') ? true : null }),
});
const devices = (['wide', 'medium', 'narrow'] as const).map((value) => ({ value, label: value }));
const branchOn = computed({
  get: () => deviceClasses.filter((device) => !(common('branchHiddenOn').value ?? []).includes(device)),
  set: (shown: readonly DeviceClass[]) => void set({ branchHiddenOn: deviceClasses.filter((device) => !shown.includes(device)) }),
});

function activationOn(device: DeviceClass): Activation | null {
  return common('activation').isMixed ? null : (common('activation').value?.[device] ?? 'split');
}

function activate(device: DeviceClass, what: Activation | null): void {
  const { [device]: _, ...rest } = common('activation').value ?? {};
  set({ activation: what === null || what === 'split' ? rest : { ...rest, [device]: what } });
}

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
  <div class="more" role="group" aria-label="More settings">
    <LineField label="Tooltip" :value="common('tooltip').value ?? ''" :placeholder="placeholder('tooltip')" :keep="keepTyped('tooltip', orNull)" />
    <LineField
      label="Description (below the label)"
      :value="common('description').value ?? ''"
      :placeholder="placeholder('description')"
      :keep="keepTyped('description', orNull)"
    />
    <LineField label="CSS class" :value="common('cssClass').value ?? ''" :placeholder="placeholder('cssClass')" :keep="keepTyped('cssClass', orNull)" />
    <ChipSet
      v-model="hidden"
      label="Hide"
      :is-mixed="common('labelHidden').isMixed || common('arrowHidden').isMixed"
      :choices="[
        { value: 'label', label: 'label (icon only)' },
        { value: 'arrow', label: 'arrow' },
      ]"
    />
    <ChipSet v-model="branchOn" label="Show submenu on" :choices="devices" :is-mixed="common('branchHiddenOn').isMixed" />
    <div class="acts">
      <span class="caption">When clicked (items with a link and a submenu)</span>
      <ChoiceRow
        v-for="{ value: device } in devices"
        :key="device"
        :label="device"
        :model-value="activationOn(device)"
        :choices="[
          { value: 'split', label: 'label opens the page, arrow opens the dropdown' },
          { value: 'open', label: 'opens the dropdown' },
          { value: 'follow', label: 'opens the page' },
        ]"
        @update:model-value="activate(device, $event)"
      />
    </div>
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
      <LineField v-else :label="field.name" :note="field.key" :value="ownValue(field)" placeholder="not set" :keep="keepOwn(field)" />
    </template>
    <OwnFieldForm />
  </div>
</template>

<style scoped>
.more {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  align-items: start;
  gap: 8px 22px;
  padding-top: 10px;
  border-top: 1px solid var(--line-soft);
}
.acts {
  grid-column: span 2;
}
.caption {
  margin-bottom: 0;
}
.acts :deep(fieldset) {
  display: flex;
  align-items: baseline;
}
.acts :deep(legend) {
  float: inline-start;
  width: 60px;
}
</style>
