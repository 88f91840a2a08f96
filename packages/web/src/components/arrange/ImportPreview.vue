<script setup lang="ts">
import { computed, useTemplateRef } from 'vue';
import { counted, writtenOut, type ImportPlan, type PlannedItem } from '@zorvik/core';
import { ROW_HEIGHT } from '../../composables/rowHeight.ts';
import { useVirtualRows } from '../../composables/useVirtualRows.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';

/** What bringing in a file will do, entry by entry, before anything is stored. */
const props = defineProps<{ plan: ImportPlan }>();
const copy = useWorkingCopy();
/** A match that is less certain is marked, in percent. */
const CERTAIN = 80;
const scroller = useTemplateRef<HTMLElement>('scroller');
const rows = useVirtualRows(
  scroller,
  computed(() => props.plan.items.length),
);

function outcome({ destination, foundBy, sure, dropped }: PlannedItem): {
  readonly text: string;
  readonly tone: string;
} {
  if (dropped !== null) return { text: `skipped: ${dropped}`, tone: 'bad' };
  if (destination.kind === 'page') {
    const page = copy.document?.pages.nodes.get(destination.page);
    const how = sure === undefined ? `matched by ${foundBy}` : `${sure} % certain`;
    return {
      text: `${page?.address ?? ''}, ${how}`,
      tone: sure !== undefined && sure < CERTAIN ? 'look' : 'good',
    };
  }
  if (destination.kind === 'undecided') return { text: 'no link yet', tone: 'look' };
  if (destination.kind === 'none') return { text: 'heading', tone: '' };
  return { text: writtenOut(destination) ?? '', tone: '' };
}
</script>

<template>
  <div class="preview">
    <p class="sum" role="status">
      <b>{{ counted(plan.items.length - plan.dropped, '# new item', '# new items') }}</b>
      <span class="good">
        {{ counted(plan.matched, '# links to a page of this site', '# link to pages of this site') }}
      </span>
      <span v-if="plan.others > 0">
        {{ counted(plan.others, '# other link or heading', '# other links or headings') }}
      </span>
      <span v-if="plan.undecided > 0" class="look">{{ plan.undecided }} without a link</span>
      <span v-if="plan.dropped > 0" class="bad">{{ plan.dropped }} skipped</span>
    </p>
    <div ref="scroller" class="list" tabindex="0" role="region" aria-label="Preview">
      <ul :style="{ height: `${rows.height.value}px` }">
        <li
          v-for="{ index, start } in rows.rows.value"
          :key="index"
          :style="{
            transform: `translateY(${start}px)`,
            height: `${ROW_HEIGHT}px`,
            paddingInlineStart: `${12 + (plan.items[index]?.depth ?? 0) * 18}px`,
          }"
        >
          <span class="name" :class="{ out: plan.items[index]?.dropped !== null }">
            {{ plan.items[index]?.source || '(no label)' }}
          </span>
          <span class="outcome" :class="outcome(plan.items[index]!).tone">
            {{ outcome(plan.items[index]!).text }}
          </span>
        </li>
      </ul>
    </div>
  </div>
</template>

<style scoped>
.sum {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  margin-bottom: 8px;
}
.list {
  height: 260px;
  overflow: auto;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--field);
}
ul {
  position: relative;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  position: absolute;
  inset-inline: 0;
  display: flex;
  align-items: center;
  gap: 12px;
  padding-inline-end: 12px;
  white-space: nowrap;
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
}
.name.out {
  text-decoration: line-through;
  color: var(--mute);
}
.outcome {
  margin-inline-start: auto;
  flex: none;
  max-width: 55%;
  overflow: hidden;
  text-overflow: ellipsis;
  color: var(--mute);
  font-size: 0.75rem;
}
.good {
  color: var(--moss);
}
.look {
  color: var(--ochre);
}
.bad {
  color: var(--brick);
}
</style>
