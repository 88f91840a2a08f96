<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue';
import { DELIVERY } from '@zorvik/contract';
import { useSelection } from '../../stores/selection.ts';
import { useSites } from '../../stores/sites.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';

/** Where a site gets its menus, each with its address. */
const copy = useWorkingCopy();
const sites = useSites();
const selection = useSelection();
const EmbedSheet = defineAsyncComponent(() => import('./EmbedSheet.vue'));
const isEmbedOpen = ref(false);
const isQuillmere = computed(() => copy.siteKey === 'quillmere' && sites.standIn !== null);
</script>

<template>
  <section>
    <h2>Delivery addresses</h2>
    <p v-if="copy.edition !== null" class="mute next">
      {{
        copy.edition.number === 1
          ? 'Next: put the navigation into your pages, then check the site.'
          : 'Your site gets its menus from these addresses.'
      }}
    </p>
    <p class="next">
      <button type="button" class="plain-button" @click="isEmbedOpen = true">Put it into your pages …</button>
    </p>
    <EmbedSheet v-if="isEmbedOpen" v-model="isEmbedOpen" />
    <ul class="addresses">
      <li v-if="isQuillmere">
        <a :href="sites.standIn ?? ''" target="_blank" rel="noopener">
          The stand-in site
          <span class="only-heard">(opens in a new tab)</span>
        </a>
        <span class="mute">shows Quillmere’s pages with the live edition</span>
      </li>
      <template v-if="copy.edition !== null">
        <li v-for="menu in selection.menus" :key="menu.key">
          <span class="name">{{ menu.name }}</span>
          <a
            :href="`${sites.delivery}${DELIVERY}/sites/${copy.siteKey}/menus/${menu.key}`"
            target="_blank"
            rel="noopener"
          >
            JSON
          </a>
          <a
            :href="`${sites.delivery}${DELIVERY}/sites/${copy.siteKey}/menus/${menu.key}.html`"
            target="_blank"
            rel="noopener"
          >
            HTML
          </a>
        </li>
        <li>
          <span class="name">Frame, by page</span>
          <a
            :href="`${sites.delivery}${DELIVERY}/sites/${copy.siteKey}/frame?page=/`"
            target="_blank"
            rel="noopener"
          >
            JSON
          </a>
          <a
            :href="`${sites.delivery}${DELIVERY}/sites/${copy.siteKey}/frame/header.html?page=/`"
            target="_blank"
            rel="noopener"
          >
            header
          </a>
          <a
            :href="`${sites.delivery}${DELIVERY}/sites/${copy.siteKey}/frame/footer.html?page=/`"
            target="_blank"
            rel="noopener"
          >
            footer
          </a>
        </li>
        <li>
          <span class="name">All menus</span>
          <a
            :href="`${sites.delivery}${DELIVERY}/sites/${copy.siteKey}/navigation.css`"
            target="_blank"
            rel="noopener"
          >
            CSS
          </a>
          <a
            :href="`${sites.delivery}${DELIVERY}/sites/${copy.siteKey}/navigation.js`"
            target="_blank"
            rel="noopener"
          >
            script
          </a>
        </li>
      </template>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  font-size: 0.8125rem;
  margin-bottom: 4px;
}
.next {
  margin-bottom: 8px;
}
.addresses {
  margin: 0;
  padding: 0;
  list-style: none;
}
.addresses li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  min-height: 30px;
  align-items: center;
}
.addresses a {
  min-height: 24px;
  display: inline-grid;
  align-items: center;
}
.name {
  min-width: 170px;
}
</style>
