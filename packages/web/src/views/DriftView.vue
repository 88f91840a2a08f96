<script setup lang="ts">
import { computed, nextTick, onMounted, ref, useTemplateRef, watch } from 'vue';
import { counted, type Cause, type Finding, type MendKind } from '@zorvik/core';
import DriftPicture from '../components/drift/DriftPicture.vue';
import DriftHead from '../components/drift/DriftHead.vue';
import CauseCard from '../components/drift/CauseCard.vue';
import IgnoredList from '../components/drift/IgnoredList.vue';
import ReadSiteDialog from '../components/pages/ReadSiteDialog.vue';
import { driftPicture } from '../composables/driftRows.ts';
import { shortcutFor, type ShortcutName } from '../shortcuts/shortcuts.ts';
import { useDrift } from '../stores/drift.ts';
import { useSelection } from '../stores/selection.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';

/**
 * The differences between the menu and the site's pages that nobody chose, drawn and explained, each with its
 * fixes.
 */
const copy = useWorkingCopy();
const selection = useSelection();
const drift = useDrift();
const list = useTemplateRef<HTMLElement>('list');
// Coming here, the keys go through the findings at once.
onMounted(
  () =>
    (document.activeElement === document.body || document.activeElement?.closest('header') != null) &&
    focus(),
);
const leaving = ref<string | null>(null);
const isReadingSite = ref(false);

const picture = computed(() => {
  const { document, stored } = copy;
  const { menu } = selection;
  return document === null || stored === null || menu === null
    ? null
    : driftPicture(stored, document, menu.id, drift.findings);
});
const count = computed(() => drift.findings.length);
const elsewhere = computed(() =>
  selection.menus.filter(({ id }) => id !== selection.menu?.id && (drift.counts.get(id) ?? 0) > 0),
);

watch(
  () => drift.chosen?.id,
  async (id) => {
    // A reason that is being typed stays where it is typed.
    if (leaving.value !== id) leaving.value = null;
    await nextTick();
    if (id !== undefined)
      document.getElementById(`finding-${id.replaceAll(' ', '-')}`)?.scrollIntoView({ block: 'nearest' });
  },
);

function mendCause(cause: Cause): void {
  drift.mendCause(cause);
  focus();
}

function mend(finding: Finding, kind: MendKind): void {
  drift.mendOne(finding, kind);
  focus();
}

/** The card whose reason is asked for is the current one: keys and pointer mean the same. */
function askToLeave(finding: Finding, isAsking: boolean): void {
  leaving.value = isAsking ? finding.id : null;
  if (isAsking) drift.chosenId = finding.id;
}

function leave(finding: Finding, reason: string): void {
  if (drift.leave(finding, reason)) leaving.value = null;
  focus();
}

function focus(): void {
  list.value?.focus({ preventScroll: true });
}

const doing: Partial<Record<ShortcutName, (event: KeyboardEvent) => void>> = {
  findingUp: () => drift.step(-1),
  findingDown: () => drift.step(1),
  mend: () => drift.chosen !== null && likely(drift.chosen),
  mendNth: ({ key }) => {
    const finding = drift.chosen;
    const chosen = finding?.mends[Number(key) - 1];
    if (finding !== null && chosen !== undefined) mend(finding, chosen.kind);
  },
  leaveFinding: () => (leaving.value = drift.chosen?.id ?? null),
  mendSafe: () => drift.safe.length > 0 && drift.mend(drift.safe),
  nextMenu: () => goToMenu(1),
  previousMenu: () => goToMenu(-1),
};

function likely(finding: Finding): void {
  const cause = drift.standsFor(finding);
  if (cause !== null) return mendCause(cause);
  const [first] = finding.mends;
  if (first !== undefined) mend(finding, first.kind);
}

function press(event: KeyboardEvent): void {
  if (event.target !== list.value || event.isComposing) return;
  const name = shortcutFor(event, 'drift');
  const action = name === null ? undefined : doing[name];
  if (action === undefined) return;
  event.preventDefault();
  action(event);
}

function goToMenu(step: 1 | -1): void {
  const at = selection.menus.findIndex(({ id }) => id === selection.menu?.id);
  const next = selection.menus[(at + step + selection.menus.length) % Math.max(1, selection.menus.length)];
  if (next !== undefined) selection.showMenu(next.key);
}
</script>

<template>
  <div class="drift">
    <DriftHead :picture="picture" @read="isReadingSite = true" />
    <DriftPicture
      v-if="picture !== null && selection.menu !== null"
      :picture="picture"
      :menu-name="selection.menu.name"
      :chosen="drift.chosen"
      @choose="drift.chosenId = $event.id"
    />
    <aside aria-label="Findings">
      <div
        ref="list"
        class="list"
        tabindex="0"
        role="group"
        aria-label="Findings: arrow keys select, Enter applies the first fix"
        @keydown="press"
      >
        <ul v-if="count > 0">
          <CauseCard
            v-for="cause in drift.causes"
            :key="cause.key"
            :cause="cause"
            :leaving="leaving"
            @mend="mend"
            @mend-all="mendCause(cause)"
            @ask-leave="askToLeave"
            @leave="leave"
          />
        </ul>
        <div v-else-if="drift.isKnown" class="empty">
          <p class="good">This menu is up to date.</p>
          <p v-if="elsewhere.length > 0" class="mute">Other menus with differences:</p>
          <button
            v-for="menu in elsewhere"
            :key="menu.id"
            type="button"
            class="plain-button"
            @click="selection.showMenu(menu.key)"
          >
            {{ menu.name }}
            <b class="number">{{ drift.counts.get(menu.id) }}</b>
          </button>
        </div>
      </div>
      <p v-if="drift.inFrame.length > 0" class="frame-links">
        <router-link
          :to="{
            name: 'frame',
            params: { siteKey: copy.siteKey ?? '' },
            query: { part: drift.inFrame[0]?.part },
          }"
        >
          {{ counted(drift.inFrame.length, '# link in the frame', '# links in the frame') }} to check
        </router-link>
      </p>
      <IgnoredList v-if="drift.leftHere.length > 0" />
    </aside>
    <ReadSiteDialog v-model="isReadingSite" />
  </div>
</template>

<style scoped>
.drift {
  display: grid;
  grid-template: auto minmax(0, 1fr) / minmax(0, 1fr) minmax(320px, 432px);
  height: 100%;
}
aside {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto auto;
  min-height: 0;
  border-inline-start: 1px solid var(--line);
  background: var(--sheet);
}
.list {
  overflow: auto;
}
.frame-links {
  margin: 0;
  padding: 8px 16px;
  border-block-start: 1px solid var(--line);
}
/* The keys go through the findings: the current one is ringed, not the list. */
.list:focus-visible {
  outline: none;
}
.list:focus-visible :deep(.card.on) {
  outline: 2px solid var(--ink);
  outline-offset: -2px;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
.empty {
  display: grid;
  justify-items: start;
  gap: 8px;
  padding: 16px;
}
.good {
  padding: 8px 11px;
  border-radius: var(--radius);
  background: var(--moss-tint);
  color: var(--moss);
  font-weight: 600;
}
@media (max-width: 900px) {
  .drift {
    grid-template: auto minmax(200px, 1fr) minmax(0, 1fr) / minmax(0, 1fr);
  }
  aside {
    border-inline-start: 0;
    border-block-start: 1px solid var(--line);
  }
}
</style>
