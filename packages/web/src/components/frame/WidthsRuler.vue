<script setup lang="ts">
import { computed } from 'vue';
import { areaId, LEAST_TAKEOVER, MOST_TAKEOVER, setPart, setSite } from '@zorvik/core';
import { useDrawer } from '../../stores/drawer.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import LineField from '../common/LineField.vue';

/** The three widths at which something changes, on one ruler, and what happens between them. */
const WIDEST = 1600;
const copy = useWorkingCopy();
const drawer = useDrawer();

const breakpoints = computed(() => copy.document?.site.breakpoints ?? { medium: 768, wide: 1024 });
const own = computed(() => copy.document?.parts.nodes.get(areaId('drawer'))?.takeover);
const isNumber = computed(() => typeof drawer.takeover === 'number');
const kind = computed<'width' | 'always' | 'never' | null>({
  get: () => (typeof drawer.takeover === 'string' ? drawer.takeover : 'width'),
  set: (next) =>
    void copy.perform((context) =>
      setPart(context, areaId('drawer'), { takeover: next === 'width' || next === null ? null : next }),
    ),
});
const kinds = [
  { value: 'width' as const, label: 'below a width' },
  { value: 'always' as const, label: 'always' },
  { value: 'never' as const, label: 'never' },
];

function keep(least: number, most: number, set: (px: number | null) => string | null) {
  return (typed: string): string | null => {
    if (typed.trim() === '') return set(null);
    const px = Number(typed.trim());
    return Number.isInteger(px) && px >= least && px <= most
      ? set(px)
      : `Use a whole number from ${least} to ${most} px.`;
  };
}
const keepTakeover = keep(LEAST_TAKEOVER, MOST_TAKEOVER, (px) => {
  const isUsual = px === null || px === breakpoints.value.medium;
  const done = copy.perform((context) =>
    setPart(context, areaId('drawer'), { takeover: isUsual ? null : px }),
  );
  return done.ok || done.refusal.code === 'changesNothing' ? null : done.refusal.message;
});
const keepBreakpoint = (name: 'medium' | 'wide') =>
  keep(2, MOST_TAKEOVER, (px) => {
    if (px === null) return 'Type a width in px.';
    const next = { ...breakpoints.value, [name]: px };
    if (next.medium >= next.wide) return `Medium has to begin below wide, which begins at ${next.wide} px.`;
    const done = copy.perform((context) => setSite(context, { breakpoints: next }));
    return done.ok || done.refusal.code === 'changesNothing' ? null : done.refusal.message;
  });

const share = (px: number): string => `${Math.min(100, (px / WIDEST) * 100)}%`;
/** What happens between two marks. */
const spans = computed(() => {
  const { medium, wide } = breakpoints.value;
  const at = typeof drawer.takeover === 'number' ? [drawer.takeover] : [];
  const edges = [...new Set([0, ...at, medium, wide])].sort((a, b) => a - b);
  return edges.map((from, index) => {
    const to = edges[index + 1];
    const device = from >= wide ? 'wide' : from >= medium ? 'medium' : 'narrow';
    const what = drawer.takesOver(from) && drawer.isThere ? 'drawer' : 'header';
    const range =
      to === undefined ? `from ${from} px` : from === 0 ? `below ${to} px` : `${from} to ${to - 1} px`;
    return { from, to: to ?? WIDEST, device, what, range };
  });
});
const line = computed(() =>
  spans.value.map(({ range, device, what }) => `${range}: ${device}, ${what}`).join(' · '),
);
</script>

<template>
  <div class="widths">
    <div class="fields">
      <ChoiceRow v-model="kind" label="Drawer takes over" :choices="kinds" />
      <LineField
        v-if="isNumber"
        class="px"
        label="Takes over below (px)"
        :value="String(own ?? breakpoints.medium)"
        :keep="keepTakeover"
      />
      <LineField
        class="px"
        label="Medium from (px)"
        :value="String(breakpoints.medium)"
        :keep="keepBreakpoint('medium')"
      />
      <LineField
        class="px"
        label="Wide from (px)"
        :value="String(breakpoints.wide)"
        :keep="keepBreakpoint('wide')"
      />
    </div>
    <div class="ruler" aria-hidden="true">
      <i
        v-for="one in spans"
        :key="one.from"
        :class="{ drawer: one.what === 'drawer' }"
        :style="{ insetInlineStart: share(one.from), width: share(one.to - one.from) }"
      >
        {{ one.device }}
        <b v-if="one.what === 'drawer'">drawer</b>
      </i>
    </div>
    <p class="mute">{{ line }}</p>
  </div>
</template>

<style scoped>
.widths {
  display: grid;
  flex-basis: 100%;
  gap: 6px;
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: end;
}
.px {
  width: 130px;
}
.ruler {
  position: relative;
  height: 20px;
  max-width: 720px;
}
i {
  position: absolute;
  box-sizing: border-box;
  height: 100%;
  overflow: hidden;
  padding-inline: 6px;
  border-inline-start: 2px solid var(--line-strong);
  background: var(--paper-deep);
  color: var(--mute);
  font-size: 0.6875rem;
  font-style: normal;
  line-height: 20px;
  white-space: nowrap;
}
i.drawer {
  background: var(--moss-tint, var(--paper-deep));
  color: var(--ink);
}
b {
  margin-inline-start: 6px;
  font-weight: 600;
}
p {
  margin: 0;
  font-size: 0.75rem;
}
</style>
