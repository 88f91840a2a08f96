<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { counted } from '@zorvik/core';
import NewSiteDialog from '../components/pages/NewSiteDialog.vue';
import { momentOf } from '../composables/momentOf.ts';
import { useNotices } from '../stores/notices.ts';
import { useSites } from '../stores/sites.ts';

const sites = useSites();
const notices = useNotices();
const isNewOpen = ref(false);
onMounted(() => void sites.load());

async function restore(key: string): Promise<void> {
  const answer = await sites.restore(key);
  if ('problem' in answer) notices.refuse(answer.problem);
  else notices.say(`Restored ${answer.value.name}`);
}
</script>

<template>
  <div class="sites">
    <div class="column">
      <header>
        <h1>Sites</h1>
        <v-btn color="primary" @click="isNewOpen = true">New site …</v-btn>
      </header>
      <p v-if="sites.problem !== null" class="problem" role="alert">{{ sites.problem }}</p>
      <ul v-if="sites.sites.length > 0">
        <li v-for="site in sites.sites" :key="site.key">
          <router-link :to="{ name: 'arrange', params: { siteKey: site.key } }">
            <strong>{{ site.name }}</strong>
            <span class="mute">{{ site.origin || 'no address yet' }}</span>
            <span class="number">{{ counted(site.pages, '# page', '# pages') }}</span>
            <span class="number">{{ counted(site.menus, '# menu', '# menus') }}</span>
            <span class="number" :class="{ mute: site.edition === null }">
              {{ site.edition === null ? 'not published' : `edition ${site.edition}` }}
            </span>
          </router-link>
        </li>
      </ul>
      <p v-else-if="sites.isLoaded" class="mute">
        No sites yet. Create one from its sitemap to get its pages.
      </p>
      <section v-if="sites.deleted.length > 0" aria-labelledby="deleted">
        <h2 id="deleted">Deleted</h2>
        <ul>
          <li v-for="site in sites.deleted" :key="site.key" class="gone">
            <strong>{{ site.name }}</strong>
            <span class="mute">deleted for good on {{ momentOf(site.until) }}</span>
            <button type="button" class="plain-button" @click="restore(site.key)">
              Restore {{ site.name }}
            </button>
          </li>
        </ul>
      </section>
    </div>
    <NewSiteDialog v-model="isNewOpen" />
  </div>
</template>

<style scoped>
.sites {
  height: 100%;
  overflow: auto;
}
.column {
  max-width: 860px;
  margin: 0 auto;
  padding: 40px 14px;
}
header {
  display: flex;
  align-items: center;
  justify-content: space-between;
  margin-bottom: 16px;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
  border-top: 1px solid var(--line);
}
li {
  border-bottom: 1px solid var(--line);
}
li a {
  display: grid;
  grid-template-columns: minmax(160px, 2fr) minmax(140px, 3fr) 110px 80px 110px;
  align-items: center;
  gap: 16px;
  min-height: 52px;
  padding: 0 12px;
  color: var(--ink);
  text-decoration: none;
}
li a:hover {
  background: var(--sheet);
}
section {
  margin-top: 32px;
}
h2 {
  margin-bottom: 8px;
  font-size: 0.875rem;
}
.gone {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
  min-height: 52px;
  padding: 0 12px;
}
.gone button {
  margin-inline-start: auto;
}
li span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
strong {
  font-size: 0.9375rem;
}
.problem {
  margin-bottom: 16px;
}
@media (max-width: 760px) {
  li a {
    grid-template-columns: 1fr auto;
    padding: 8px 12px;
    gap: 2px 12px;
  }
}
</style>
