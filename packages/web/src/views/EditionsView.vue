<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { counted } from '@zorvik/core';
import RefusalNote from '../components/common/RefusalNote.vue';
import DeliveryAddresses from '../components/editions/DeliveryAddresses.vue';
import BrokenLinks from '../components/editions/BrokenLinks.vue';
import SkippedItems from '../components/editions/SkippedItems.vue';
import DoesNotFit from '../components/editions/DoesNotFit.vue';
import HardToRead from '../components/editions/HardToRead.vue';
import EditionList from '../components/editions/EditionList.vue';
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
              ? 'Publishing makes an edition: a numbered snapshot of the frame and all menus that visitors get. Until then they see nothing of this.'
              : 'An edition is a numbered snapshot of the frame and all menus. Visitors see the last one until you publish again.'
          }}
        </p>
      </header>
      <div class="before">
        <BrokenLinks />
        <SkippedItems />
        <HardToRead />
        <DoesNotFit />
      </div>
      <form class="publish" @submit.prevent="publish">
        <RefusalNote />
        <label for="note">Note for edition {{ next }}</label>
        <div>
          <input
            class="plain-field"
            id="note"
            v-model="note"
            type="text"
            maxlength="400"
            placeholder="What changed? (optional)"
            autocomplete="off"
          />
          <button
            type="submit"
            :aria-disabled="blocked !== null"
            :aria-describedby="blocked === null ? undefined : 'blocked'"
          >
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
          Visitors see the same frame and menus as you do here.
        </p>
      </div>
    </section>
    <section class="past" aria-labelledby="past">
      <h2 id="past">Editions</h2>
      <EditionList />
      <DeliveryAddresses />
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
  grid-template-rows: auto minmax(0, auto) auto minmax(4rem, 1fr);
  min-height: 0;
}
header {
  padding: 20px 24px 12px;
}
/* However much is found, the button stays in sight. */
.before {
  min-height: 0;
  max-height: 42dvh;
  overflow: auto;
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
@media (max-width: 760px) {
  .editions {
    grid-template-columns: 1fr;
    overflow: auto;
  }
}
</style>
