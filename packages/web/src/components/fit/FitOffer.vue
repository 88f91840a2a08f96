<script setup lang="ts">
import type { FitSuggestion } from '@zorvik/core';
import { useFit } from '../../stores/fit.ts';
import { useFitWork } from '../../stores/fitWork.ts';

/** A suggestion with its effect: it can be looked at, and applied. */
const props = defineProps<{ one: FitSuggestion; what: string; effect: string }>();
const fit = useFit();
const work = useFitWork();
function preview(): void {
  fit.previewed = fit.previewed === props.one ? null : props.one;
}
</script>

<template>
  <li :class="{ seen: fit.previewed === one }">
    <b>{{ what }}</b>
    <span>{{ effect }}</span>
    <button type="button" class="plain-button" :aria-pressed="fit.previewed === one" @click="preview">
      Preview
    </button>
    <button type="button" class="plain-button" @click="work.apply(one)">Apply</button>
  </li>
</template>
