<script setup lang="ts">
import { storeToRefs } from 'pinia';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { numbered, counted, type Placing } from '@zorvik/core';
import type { ReadingRhythm } from '@zorvik/contract';
import { evidenceWords } from '../../composables/evidenceWords.ts';
import {
  changeWords,
  placedByWords,
  readingCounts,
  templateWords,
} from '../../composables/readingChanges.ts';
import { useNotices } from '../../stores/notices.ts';
import { useReading, type ReadingChoices, type ReadingStart } from '../../stores/reading.ts';
import { useSites, type MissingPages } from '../../stores/sites.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import DialogSheet from '../common/DialogSheet.vue';

/** Reads the site over HTTP, shows the changes found, and imports them as one edit. */
const isOpen = defineModel<boolean>({ required: true });
const copy = useWorkingCopy();
const sites = useSites();
const site = useReading();
const notices = useNotices();
const { reading, problem, state, isRunning, difference, isSame } = storeToRefs(site);
const address = ref('');
const most = ref<number | ''>(2000);
const missing = ref<MissingPages | null>('retire');
const trust = ref<Placing | ''>('');
const every = ref<ReadingRhythm | null>('never');
const isTaking = ref(false);
/** The usual address and the state of a reading are known; before that there is nothing to start. */
const isPrepared = ref(false);
let isPlanKnown = false;
/** What somebody typed since the dialog opened is never written over. */
let isTyped = false;
let timer: ReturnType<typeof setTimeout> | undefined;
/** ms between two looks at how far it is. */
const LOOK = 400;

const templates = computed(() => (difference.value === null ? '' : templateWords(difference.value)));
const placedBy = computed(() => (difference.value === null ? '' : placedByWords(difference.value)));
const counts = computed(() => (difference.value === null ? [] : readingCounts(difference.value)));
const choices = computed(() => [
  ...new Set((difference.value?.contradictions ?? []).flatMap(({ by, other }) => [by, other])),
]);
const start = computed((): ReadingStart => ({
  address: address.value,
  pages: most.value === '' ? 2000 : Math.max(1, Math.min(20_000, Math.round(most.value))),
}));
const wanted = computed((): ReadingChoices => ({
  missing: missing.value ?? 'retire',
  trust: trust.value === '' ? null : trust.value,
}));

watch(isOpen, async (now) => {
  clearTimeout(timer);
  if (!now) return;
  problem.value = null;
  trust.value = '';
  isPlanKnown = false;
  isTyped = false;
  isPrepared.value = false;
  if (address.value === '') {
    await sites.load();
    if (!isTyped) address.value = sites.standIn ?? copy.document?.site.origin ?? '';
  }
  await look();
  isPrepared.value = true;
});
watch([missing, trust], () => state.value === 'done' && void look());
onBeforeUnmount(() => clearTimeout(timer));

async function look(): Promise<void> {
  clearTimeout(timer);
  if (await site.look(wanted.value)) takePlan();
  if (isOpen.value && isRunning.value) timer = setTimeout(() => void look(), LOOK);
}

/** The plan fills the form in once. */
function takePlan(): void {
  const plan = reading.value?.plan ?? null;
  if (plan === null || isPlanKnown) return;
  isPlanKnown = true;
  ({ pages: most.value, every: every.value } = plan);
  if (!isTyped) address.value = plan.address;
}

/** How often the server reads the site by itself is kept at once. */
async function keepRhythm(chosen: ReadingRhythm | null): Promise<void> {
  if (chosen === null) return;
  const before = every.value;
  every.value = chosen;
  if (await site.plan(start.value, chosen)) takePlan();
  else every.value = before;
}

async function begin(): Promise<void> {
  if (await site.begin(start.value)) timer = setTimeout(() => void look(), LOOK);
}

async function steer(act: 'pause' | 'goOn' | 'cancel'): Promise<void> {
  await site.steer(act);
  if (isRunning.value) await look();
}

async function take(): Promise<void> {
  const found = difference.value;
  isTaking.value = true;
  const isTaken = await site.take(wanted.value);
  isTaking.value = false;
  if (!isTaken) return;
  isOpen.value = false;
  if (found !== null)
    notices.say(
      `Imported the changes: ${found.added} new, ${found.moved} moved, ${found.renamed} renamed, ${found.gone} deleted`,
    );
}

/** What a kind of evidence is called. */
function saidBy(by: Placing): string {
  return evidenceWords[by];
}

function submit(): void {
  if (difference.value !== null && !isSame.value) void take();
  else if (!isRunning.value && isPrepared.value) void begin();
}
</script>

<template>
  <DialogSheet
    v-model="isOpen"
    title="Read the site"
    :width="760"
    :problem="problem"
    :is-busy="isTaking"
    @submit="submit"
  >
    <p class="mute">
      Zorvik reads the site from its start page and sitemaps, obeying robots.txt, and places each page by its
      breadcrumbs, or else by its path.
    </p>
    <div v-if="!isRunning && difference === null" class="begin">
      <v-text-field
        v-model="address"
        label="Start page"
        placeholder="https://host/"
        autofocus
        hide-details
        @update:model-value="isTyped = true"
      />
      <label class="most">
        <span class="mute">Limit</span>
        <input class="plain-field" v-model="most" type="number" min="1" max="20000" aria-label="Max. pages" />
        <span class="mute">pages</span>
      </label>
    </div>
    <p v-if="state === 'failed'" class="bad" role="alert">
      The site could not be read: {{ reading?.reason }}.
    </p>
    <p v-if="state === 'cancelled'" class="mute">Stopped. Nothing was imported.</p>
    <div v-if="isRunning" class="running" role="status">
      <p>
        <b class="number">{{ numbered(reading?.read ?? 0) }}</b>
        pages read, {{ numbered(reading?.waiting ?? 0) }} waiting{{ state === 'paused' ? ' (paused)' : '' }}
      </p>
      <progress :value="reading?.read" :max="(reading?.read ?? 0) + (reading?.waiting ?? 0)" />
      <div class="row">
        <button v-if="state === 'running'" type="button" class="plain-button" @click="steer('pause')">
          Pause
        </button>
        <button v-else type="button" class="plain-button" @click="steer('goOn')">Resume</button>
        <button type="button" class="plain-button" @click="steer('cancel')">Stop</button>
      </div>
    </div>
    <section v-if="difference !== null" class="difference" aria-label="Changes found">
      <h2>{{ isSame ? 'No changes found' : 'Changes found' }}</h2>
      <p class="mute">
        {{ counted(reading?.read ?? 0, '# page read', '# pages read') }}. Positions: {{ placedBy }}.
      </p>
      <p v-if="templates !== ''" class="mute">Templates, guessed from the pages’ markup: {{ templates }}.</p>
      <p v-if="counts.length > 0" class="counts">{{ counts.join(' · ') }}</p>
      <ul
        v-if="difference.changes.rows.length > 0"
        class="tree"
        aria-label="Changes in their places"
        tabindex="0"
      >
        <li
          v-for="(row, at) in difference.changes.rows"
          :key="at"
          :style="{ paddingInlineStart: `${10 + row.depth * 16}px` }"
          :class="{ context: changeWords(row) === '' }"
        >
          <span class="title" :class="{ gone: row.isDeleted }">{{ row.title }}</span>
          <span v-if="changeWords(row) !== ''" class="tag" :class="{ fresh: row.isNew, gone: row.isDeleted }">
            {{ changeWords(row) }}
          </span>
          <span v-if="changeWords(row) !== ''" class="mute address" dir="ltr">{{ row.address }}</span>
        </li>
        <li v-if="difference.changes.left > 0" class="mute">
          {{ counted(difference.changes.left, 'and # more page', 'and # more pages') }}
        </li>
      </ul>
      <p v-if="difference.facts > 0">
        <b class="number">{{ difference.facts }}</b>
        {{ difference.facts === 1 ? 'page with new details' : 'pages with new details' }}
        <span class="mute">(anchors, dates, source of their position)</span>
      </p>
      <details v-if="difference.contradicting > 0">
        <summary>
          <b class="number">{{ difference.contradicting }}</b>
          {{ difference.contradicting === 1 ? 'page with' : 'pages with' }} contradicting positions
        </summary>
        <label class="most">
          <span class="mute">Prefer, for all of them</span>
          <select class="plain-field" v-model="trust">
            <option value="">the most certain source</option>
            <option v-for="by in choices" :key="by" :value="by">{{ saidBy(by) }}</option>
          </select>
        </label>
        <ul>
          <li v-for="(one, at) in difference.contradictions" :key="at">
            {{ one.title }}: under {{ one.under }} ({{ saidBy(one.by) }}), or under {{ one.otherUnder }} ({{
              saidBy(one.other)
            }})
          </li>
        </ul>
      </details>
      <ChoiceRow
        v-if="!isSame || missing === 'keep'"
        v-model="missing"
        label="Pages not found on the site"
        :choices="[
          { value: 'retire', label: 'delete (undoable)' },
          { value: 'keep', label: 'keep' },
        ]"
      />
    </section>
    <details v-if="(reading?.problems.length ?? 0) > 0 && state !== 'none'" class="problems">
      <summary>
        <b class="number">{{ reading?.problems.length }}</b>
        could not be read
      </summary>
      <ul>
        <li v-for="one in reading?.problems.slice(0, 100)" :key="one.address">
          {{ one.address }}: {{ one.reason }}
        </li>
      </ul>
    </details>
    <ChoiceRow
      :model-value="every"
      label="Read automatically"
      :choices="[
        { value: 'never', label: 'never' },
        { value: 'hourly', label: 'every hour' },
        { value: 'daily', label: 'every day' },
      ]"
      @update:model-value="keepRhythm"
    />
    <p v-if="every !== 'never'" class="mute">
      Results are not imported until someone confirms them in Pages or Drift.
    </p>
    <template #actions>
      <v-btn variant="text" @click="isOpen = false">{{ isRunning ? 'Run in background' : 'Close' }}</v-btn>
      <v-btn v-if="difference !== null" variant="outlined" @click="begin">Read again</v-btn>
      <v-btn v-if="difference !== null && !isSame" color="primary" type="submit">Import changes</v-btn>
      <v-btn
        v-else-if="!isRunning && difference === null"
        color="primary"
        type="submit"
        :disabled="!isPrepared"
      >
        Start
      </v-btn>
    </template>
  </DialogSheet>
</template>

<style scoped>
.counts {
  font-weight: 600;
}
.tree {
  max-height: min(300px, 34dvh);
  margin: 0;
  padding: 4px 0;
  overflow: auto;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--field);
  list-style: none;
}
.tree li {
  display: flex;
  align-items: baseline;
  gap: 8px;
  min-height: 26px;
  padding-inline-end: 10px;
}
.tree .context {
  color: var(--mute);
}
.tree .title {
  overflow-wrap: anywhere;
}
.tree .title.gone {
  text-decoration: line-through;
}
.tag {
  padding: 0 7px;
  border-radius: 8px;
  background: var(--ochre-tint);
  color: var(--ochre);
  font-size: 0.75rem;
}
.tag.fresh {
  background: var(--moss-tint);
  color: var(--moss);
}
.tag.gone {
  background: var(--brick-tint);
  color: var(--brick);
}
.address {
  margin-inline-start: auto;
  overflow: hidden;
  text-overflow: ellipsis;
  font-size: 0.75rem;
  white-space: nowrap;
}
.begin,
.most,
.row {
  display: flex;
  align-items: center;
  gap: 10px;
}
.begin > :first-child {
  flex: 1;
}
.most input {
  width: 90px;
}
.running,
.difference {
  display: grid;
  gap: 8px;
}
progress {
  width: 100%;
  height: 8px;
  accent-color: var(--moss);
}
h2 {
  font-size: 0.875rem;
}
summary {
  min-height: 26px;
  cursor: pointer;
}
ul {
  max-height: 190px;
  overflow: auto;
  margin: 0;
  padding: 0 0 6px 18px;
  font-size: 0.75rem;
}
li {
  overflow-wrap: anywhere;
  line-height: 1.25rem;
}
.bad {
  color: var(--brick);
}
</style>
