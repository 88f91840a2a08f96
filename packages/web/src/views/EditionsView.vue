<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { counted } from '@zorvik/core';
import { DELIVERY } from '@zorvik/contract';
import RefusalNote from '../components/common/RefusalNote.vue';
import { useEditions } from '../stores/editions.ts';
import { useNotices } from '../stores/notices.ts';
import { useSelection } from '../stores/selection.ts';
import { useSites } from '../stores/sites.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';

const copy = useWorkingCopy();
const editions = useEditions();
const sites = useSites();
const selection = useSelection();
const notices = useNotices();
const note = ref('');
const isQuillmere = computed(() => copy.siteKey === 'quillmere' && sites.standIn !== null);
const blocked = computed(() => {
  if (copy.pending.length > 0) return 'Some changes are not saved yet. Publish when the bar says “saved”.';
  if (selection.menus.length === 0) return 'There is no menu to publish yet. Create one in Arrange.';
  return copy.edition !== null && editions.count === 0 ? 'No changes to publish.' : null;
});
const next = computed(() => (copy.edition?.number ?? 0) + 1);

watch(
  () => copy.siteKey,
  () => void editions.loadList(),
  { immediate: true },
);
if (!sites.isLoaded) void sites.load();
notices.clear();

async function publish(): Promise<void> {
  if (blocked.value !== null || editions.isPublishing) return;
  if (await editions.publish(note.value.trim())) note.value = '';
}

function when(at: string): string {
  return new Date(at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' });
}
</script>

<template>
  <div v-if="copy.document !== null" class="editions">
    <section class="change" aria-labelledby="changes">
      <header>
        <h1 id="changes">
          {{
            copy.edition === null
              ? 'Not published yet'
              : editions.count === 0
                ? `Edition ${copy.edition.number} is live`
                : `${counted(editions.count, '# change', '# changes')} since edition ${copy.edition.number}`
          }}
        </h1>
        <p class="mute">
          {{
            copy.edition === null
              ? 'Publishing makes an edition: a numbered snapshot of all menus that visitors get. Until then they see nothing of this.'
              : 'An edition is a numbered snapshot of all menus. Visitors see the last one until you publish again.'
          }}
        </p>
      </header>
      <form class="publish" @submit.prevent="publish">
        <RefusalNote />
        <label for="note">Note for edition {{ next }}</label>
        <div>
          <input id="note" v-model="note" type="text" maxlength="400" placeholder="What changed? (optional)" autocomplete="off" />
          <button type="submit" :aria-disabled="blocked !== null" :aria-describedby="blocked === null ? undefined : 'blocked'">
            Publish edition {{ next }}
          </button>
        </div>
        <p v-if="blocked !== null" id="blocked" class="mute">{{ blocked }}</p>
      </form>
      <div class="list">
        <section v-for="menu in editions.differences" :key="menu.key">
          <h2>{{ menu.name }}</h2>
          <ul>
            <li v-for="(sentence, at) in menu.sentences" :key="at">{{ sentence }}</li>
          </ul>
        </section>
        <p v-if="editions.differences.length === 0 && copy.edition !== null" class="agrees">
          <span aria-hidden="true">✓</span>
          Visitors see the same menus as you do in Arrange.
        </p>
      </div>
    </section>
    <section class="past" aria-labelledby="past">
      <h2 id="past">Editions</h2>
      <ol v-if="editions.editions.length > 0">
        <li v-for="edition in editions.editions" :key="edition.number" :class="{ now: edition.number === copy.edition?.number }">
          <strong class="number">{{ edition.number }}</strong>
          <span>
            <span class="what">{{ edition.note || 'No note' }}</span>
            <span class="mute">{{ when(edition.at) }} · {{ edition.actor }} · {{ counted(edition.items, '# item', '# items') }}</span>
          </span>
          <span v-if="edition.number === copy.edition?.number" class="served">live</span>
        </li>
      </ol>
      <p v-else class="mute">No editions yet. An edition is a numbered snapshot of all menus that visitors get.</p>
      <h2>Delivery addresses</h2>
      <p v-if="copy.edition !== null" class="mute next">
        {{
          copy.edition.number === 1
            ? 'Next: use these addresses in your site’s templates, then check the site.'
            : 'Your site gets its menus from these addresses.'
        }}
      </p>
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
            <a :href="`${sites.delivery}${DELIVERY}/sites/${copy.siteKey}/menus/${menu.key}`" target="_blank" rel="noopener">JSON</a>
            <a :href="`${sites.delivery}${DELIVERY}/sites/${copy.siteKey}/menus/${menu.key}.html`" target="_blank" rel="noopener">HTML</a>
          </li>
          <li>
            <span class="name">All menus</span>
            <a :href="`${sites.delivery}${DELIVERY}/sites/${copy.siteKey}/navigation.css`" target="_blank" rel="noopener">CSS</a>
            <a :href="`${sites.delivery}${DELIVERY}/sites/${copy.siteKey}/navigation.js`" target="_blank" rel="noopener">script</a>
          </li>
        </template>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.editions {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(320px, 2fr);
  height: 100%;
}
.change {
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr);
  min-height: 0;
}
header {
  padding: 20px 24px 12px;
}
.list {
  overflow: auto;
  padding: 0 24px 16px;
}
.list section + section {
  margin-top: 16px;
}
h2 {
  font-size: 0.8125rem;
  margin-bottom: 4px;
}
.list ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
.list li {
  padding: 6px 0;
  border-bottom: 1px solid var(--line-soft);
  overflow-wrap: anywhere;
}
.agrees {
  display: inline-flex;
  gap: 8px;
  padding: 8px 12px;
  border-radius: var(--radius);
  background: var(--moss-tint);
  color: var(--moss);
}
.publish {
  position: relative;
  display: grid;
  gap: 4px;
  padding: 0 24px 20px;
}
.publish label {
  color: var(--mute);
  font-size: 0.75rem;
}
.publish div {
  display: flex;
  gap: 10px;
}
.publish input {
  flex: 1;
  min-width: 0;
  height: 36px;
  padding: 0 10px;
  border: 1px solid var(--line-strong);
  border-radius: var(--radius);
  background: var(--field);
}
.publish input::placeholder {
  color: var(--mute);
  opacity: 1;
}
.publish button {
  min-height: 36px;
  padding: 0 16px;
  border: 0;
  border-radius: var(--radius);
  background: var(--accent-fill);
  color: var(--on-fill);
  font-weight: 600;
  cursor: pointer;
}
.publish button[aria-disabled='true'] {
  background: var(--paper-deep);
  color: var(--mute);
  cursor: default;
}
.past {
  min-height: 0;
  overflow: auto;
  padding: 22px 24px;
  border-inline-start: 1px solid var(--line);
  background: var(--sheet);
}
.past ol {
  margin: 0 0 24px;
  padding: 0;
  list-style: none;
}
.past ol li {
  display: flex;
  align-items: center;
  gap: 14px;
  min-height: 48px;
  border-bottom: 1px solid var(--line-soft);
}
.past ol strong {
  min-width: 24px;
  font-size: 1.0625rem;
  text-align: end;
}
.past ol li > span:nth-child(2) {
  flex: 1;
  display: grid;
  min-width: 0;
  overflow-wrap: anywhere;
}
.past ol .mute {
  font-size: 0.75rem;
}
.served {
  flex: none;
  padding: 1px 8px;
  border-radius: 9px;
  background: var(--moss-tint);
  color: var(--moss);
  font-size: 0.75rem;
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
@media (max-width: 760px) {
  .editions {
    grid-template-columns: 1fr;
    overflow: auto;
  }
}
</style>
