<script setup lang="ts">
import { useId } from 'vue';
import { menuSigns, signPaths, type MenuSign } from '@zorvik/core';

/** One of the icons of a menu button that ship. */
defineProps<{ label: string }>();
const chosen = defineModel<MenuSign | undefined>({ required: true });
const name = useId();
const words: Readonly<Record<MenuSign, string>> = {
  bars: 'Three bars',
  'two-bars': 'Two bars',
  aligned: 'Bars of different lengths',
  grid: 'Four squares',
  dots: 'Three dots',
  compass: 'Compass',
};
</script>

<template>
  <fieldset>
    <legend>{{ label }}</legend>
    <span class="signs">
      <label
        v-for="(sign, at) in menuSigns"
        :key="sign"
        :title="words[sign]"
        :class="{ on: (chosen ?? menuSigns[0]) === sign }"
      >
        <input
          type="radio"
          :name="name"
          :value="sign"
          :checked="(chosen ?? menuSigns[0]) === sign"
          @change="chosen = at === 0 ? undefined : sign"
        />
        <svg viewBox="0 0 24 24" width="20" height="20" aria-hidden="true">
          <path :d="signPaths[sign]" fill="currentColor" />
        </svg>
        <span class="only-heard">{{ words[sign] }}</span>
      </label>
    </span>
  </fieldset>
</template>

<style scoped>
fieldset {
  margin: 0;
  padding: 0;
  border: 0;
}
legend {
  margin-block-end: 3px;
  padding: 0;
  color: var(--mute);
  font-size: 0.75rem;
}
.signs {
  display: flex;
  gap: 2px;
}
label {
  position: relative;
  display: grid;
  place-items: center;
  width: 32px;
  height: 32px;
  border: 1px solid transparent;
  border-radius: 6px;
  cursor: pointer;
}
label:hover {
  background: var(--paper-deep);
}
label.on {
  border-color: var(--accent);
  color: var(--accent);
}
label:has(:focus-visible) {
  outline: 2px solid var(--accent);
  outline-offset: 1px;
}
input {
  position: absolute;
  inset: 0;
  opacity: 0;
  cursor: pointer;
}
</style>
