<script setup lang="ts">
import { inWords, placePhrase, places, type Place } from '@zorvik/core';
import PlaceSketch from './PlaceSketch.vue';

/** Where a menu will appear, as tiles that show it. */
const place = defineModel<Place>({ required: true });
</script>

<template>
  <fieldset>
    <legend>Where will it appear?</legend>
    <div class="places">
      <label v-for="one in places" :key="one" class="place" :class="{ on: one === place }">
        <input v-model="place" type="radio" name="place" :value="one" />
        <PlaceSketch :place="one" />
        <span>{{ inWords(placePhrase(one)) }}</span>
      </label>
    </div>
  </fieldset>
</template>

<style scoped src="./newMenu.css"></style>
