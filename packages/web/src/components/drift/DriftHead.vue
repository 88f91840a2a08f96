<script setup lang="ts">
import { computed } from 'vue';
import { counted, toneOf, type Finding, type FindingKind } from '@zorvik/core';
import type { DriftPicture } from '../../composables/driftRows.ts';
import { useDrift } from '../../stores/drift.ts';
import RefusalNote from '../common/RefusalNote.vue';
import MenuButton from '../common/MenuButton.vue';
import SinceLast from '../pages/SinceLast.vue';

/** How many differences there are and of which kinds, and what can be done about several at once. */
const props = defineProps<{ picture: DriftPicture | null }>();
const emit = defineEmits<{ read: [] }>();
const drift = useDrift();
const count = computed(() => drift.causes.length);
const broken = computed(() => drift.findings.filter((one) => toneOf(one) === 'broken').length);
const title = computed(() => {
  if (!drift.isKnown) return 'Comparing …';
  const here = count.value === 0 ? 'No differences' : counted(count.value, '# difference', '# differences');
  // The bar counts all menus: the number that it says is said here, too.
  return drift.total === count.value ? here : `${here} in this menu, ${drift.total} in all`;
});
const about = computed(() => {
  const lines = props.picture?.lines ?? [];
  const joined = lines.filter(({ tone }) => tone === 'agrees').length;
  const linkedCount = lines.filter(({ tone }) => tone !== 'new').length;
  const parts = [
    'Drift: differences between this menu and the site’s pages that nobody chose. Fix each finding, or ignore it.',
    counted(
      linkedCount,
      `${joined} of # item linked to a page matches it.`,
      `${joined} of # items linked to pages match them.`,
    ),
  ];
  if (broken.value > 0) parts.push(counted(broken.value, '# broken link.', '# broken links.'));
  return parts.join(' ');
});
const groups = computed(() => {
  const found = new Map<FindingKind, Finding[]>();
  for (const finding of drift.findings)
    found.set(finding.kind, [...(found.get(finding.kind) ?? []), finding]);
  return found;
});
/** Kinds of which there are several by different causes: one press does the likely mend of each. */
const many = computed(() =>
  [...groups.value].filter(
    ([, all]) =>
      all.length > 1 &&
      !drift.causes.some(
        ({ findings }) => findings.length === all.length && all[0] !== undefined && findings.includes(all[0]),
      ),
  ),
);
const kindWords: Readonly<Record<FindingKind, string>> = {
  pageGone: 'deleted pages',
  addressGone: 'links to deleted pages',
  anchorGone: 'missing anchors',
  linkDead: 'dead links',
  pageDraft: 'drafts',
  pageNew: 'new pages',
  pageMoved: 'moved pages',
  titleStale: 'old titles',
  addressChanged: 'new addresses',
  addressRedirects: 'redirects',
  addressOfPage: 'links to addresses of pages',
  orderDiffers: 'changed orders',
  kindChanged: 'changed kinds',
  plannedLive: 'planned pages',
  exceptionLost: 'lost exceptions',
  sourceRenamed: 'renamed items',
};
</script>

<template>
  <header>
    <h1>{{ title }}</h1>
    <div class="actions">
      <button
        type="button"
        class="plain-button"
        :disabled="drift.isChecking"
        title="Opens every external address once"
        @click="drift.checkLinks()"
      >
        {{ drift.isChecking ? 'Checking …' : 'Check external links' }}
      </button>
      <button type="button" class="plain-button" @click="emit('read')">Read the site …</button>
      <MenuButton v-if="many.length > 0" label="Fix by kind" list-label="Fix all of one kind">
        <v-list-item
          v-for="[kind, all] in many"
          :key="kind"
          :title="`Fix ${all.length} ${kindWords[kind]}`"
          @click="drift.mendKind(kind)"
        />
      </MenuButton>
      <button
        v-if="drift.safe.length > 0"
        type="button"
        class="all"
        title="Fixes that add or remove no items (A)"
        @click="drift.mend(drift.safe)"
      >
        {{ counted(drift.safe.length, 'Fix the safe one', 'Fix the # safe ones') }}
      </button>
    </div>
    <p class="mute about">
      {{ about }}
    </p>
    <SinceLast @look="emit('read')" />
    <RefusalNote />
  </header>
</template>

<style scoped>
header {
  position: relative;
  grid-column: 1 / -1;
  display: grid;
  /* The heading gives way: the buttons never move to another line, whatever there is to say. */
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  gap: 2px 18px;
  min-height: 64px;
  padding: 8px 14px 10px;
}
.about,
header > :deep(.since) {
  grid-column: 1 / -1;
}
@media (max-width: 760px) {
  header {
    grid-template-columns: minmax(0, 1fr);
  }
}
h1 {
  font-size: 1.25rem;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.all {
  min-height: 32px;
  padding: 0 14px;
  border: 0;
  border-radius: var(--radius);
  background: var(--ink);
  color: var(--on-ink);
  font-weight: 600;
  cursor: pointer;
}
</style>
