<script setup lang="ts">
import { computed } from 'vue';
import { childrenOf, counted, inWords, placementOf, placePhrase } from '@zorvik/core';
import { terms } from '../../shortcuts/terms.ts';
import { useArrange } from '../../stores/arrange.ts';
import { useDrift } from '../../stores/drift.ts';
import { useEditions } from '../../stores/editions.ts';
import { useFinder } from '../../stores/finder.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';

/** What is known of the menu while no item of it is selected, and what to do next. */
const copy = useWorkingCopy();
const selection = useSelection();
const arrange = useArrange();
const drift = useDrift();
const editions = useEditions();
const finder = useFinder();

const menu = computed(() => selection.menu);
const place = computed(() => {
  const { document } = copy;
  const found = document === null || menu.value === null ? null : placementOf(document, menu.value.id)?.place;
  return found == null ? 'Not placed' : `In the ${inWords(placePhrase(found))}`;
});
const isEmpty = computed(
  () =>
    copy.document !== null &&
    menu.value !== null &&
    childrenOf(copy.document.items, menu.value.id).size === 0,
);
const found = computed(() => (menu.value === null ? 0 : (drift.counts.get(menu.value.id) ?? 0)));
const toPublish = computed(() => (copy.edition === null ? 1 : editions.count));
const params = computed(() => ({ siteKey: copy.siteKey ?? '', menuKey: menu.value?.key ?? '' }));
</script>

<template>
  <div class="who">
    <h2>{{ menu?.name }}</h2>
    <p class="mute">{{ place }}</p>
    <p v-if="menu?.description" class="mute about" :title="menu.description">{{ menu.description }}</p>
  </div>
  <div class="next">
    <p class="mute">Select an item to edit it. Every change can be undone.</p>
    <ul>
      <li v-if="isEmpty">
        <strong>Next:</strong>
        add items.
        <button type="button" class="plain-button" @click="finder.open()">Add pages</button>
      </li>
      <li v-if="found > 0">
        <router-link :to="{ name: 'drift', params }" :title="terms.finding">
          Review {{ counted(found, '# finding', '# findings') }}
        </router-link>
        <span class="mute">differences between this menu and the site’s pages that nobody chose</span>
      </li>
      <li v-if="arrange.undecided.length > 0">
        <button type="button" class="link" @click="arrange.goToUndecided()">
          {{ counted(arrange.undecided.length, '# item without a link', '# items without a link') }}
        </button>
        <span class="mute">stay unpublished until they have one</span>
      </li>
      <li v-if="toPublish > 0 && !isEmpty">
        <router-link :to="{ name: 'editions', params }">
          {{
            copy.edition === null
              ? 'Publish the first edition'
              : counted(editions.count, 'Publish # change', 'Publish # changes')
          }}
        </router-link>
        <span class="mute">
          {{
            copy.edition === null
              ? 'so that visitors get this menu'
              : `made since edition ${copy.edition.number}`
          }}
        </span>
      </li>
    </ul>
  </div>
</template>

<style scoped src="./strip.css"></style>
<style scoped>
.about {
  display: -webkit-box;
  overflow: hidden;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
}
.next {
  display: grid;
  align-content: start;
  gap: 8px;
  padding-block: 12px;
  overflow: auto;
}
ul {
  display: grid;
  gap: 6px;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 8px;
}
a,
.link {
  padding: 0;
  border: 0;
  background: none;
  color: var(--accent);
  font-weight: 600;
  cursor: pointer;
}
.link {
  text-decoration: underline;
}
@media (max-width: 600px) {
  .next {
    display: none;
  }
}
</style>
