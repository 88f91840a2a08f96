<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import {
  applyEdit,
  childrenOf,
  counted,
  follow,
  followOf,
  isFollowed,
  labelOf,
  MOST_LEVELS,
  nameOf,
  nodeAt,
  preorder,
  withFollowed,
  type Follow,
  type FollowOrder,
  type Id,
  type PageKind,
} from '@zorvik/core';
import type { Picked } from '../../composables/picked.ts';
import { useArrange } from '../../stores/arrange.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChipSet from '../common/ChipSet.vue';
import ChoiceRow from '../common/ChoiceRow.vue';
import DialogSheet from '../common/DialogSheet.vue';
import PagePick from './PagePick.vue';

/** The rule by which an item or a menu follows pages or another menu, with a preview of the result. */
const isOpen = defineModel<boolean>({ required: true });
const copy = useWorkingCopy();
const selection = useSelection();
const arrange = useArrange();
const source = ref<'pages' | 'menu' | null>('pages');
const page = ref<Id | null>(null);
const menu = ref<Id | null>(null);
const depth = ref<number | null>(1);
const order = ref<FollowOrder | null>('site');
const form = ref<'tree' | 'list' | null>('tree');
const kinds = ref<readonly PageKind[]>([]);
const categories = ref<readonly string[]>([]);
const limit = ref<number | ''>('');
const drafts = ref<readonly 'drafts'[]>([]);
const isPicking = ref(false);
const problem = ref<string | null>(null);
/** Rows of what comes of it. */
const SHOWN = 9;
const MOST_CATEGORIES = 12;

const follower = computed(() => arrange.followerId);
const name = computed(() =>
  copy.document === null || follower.value === null ? '' : nameOf(copy.document, 'items', follower.value),
);
const others = computed(() => selection.menus.filter(({ id }) => id !== selection.menu?.id));
const pageName = computed(() =>
  page.value === null ? 'the whole site' : (copy.document?.pages.nodes.get(page.value)?.title ?? ''),
);

watch(isOpen, (now) => {
  const { document } = copy;
  if (!now || document === null || follower.value === null) return;
  problem.value = null;
  isPicking.value = false;
  const was = followOf(document, follower.value);
  const item = document.items.nodes.get(follower.value);
  const linkedPage = item?.destination.kind === 'page' ? item.destination.page : null;
  source.value = was?.of.kind ?? 'pages';
  page.value = was?.of.kind === 'pages' ? was.of.page : linkedPage;
  menu.value = was?.of.kind === 'menu' ? was.of.menu : (others.value[0]?.id ?? null);
  depth.value = was?.depth ?? 1;
  order.value = was?.order ?? 'site';
  form.value = was?.flat === true ? 'list' : 'tree';
  kinds.value = was?.kinds ?? [];
  categories.value = was?.categories ?? [];
  limit.value = was?.limit ?? '';
  drafts.value = was?.drafts === true ? ['drafts'] : [];
});

/** The categories that the pages there have most. */
const known = computed(() => {
  const { document } = copy;
  if (document === null || !isOpen.value) return [];
  const counts = new Map<string, number>();
  const root = page.value ?? document.site.id;
  for (const { node } of preorder<Id>(childrenOf(document.pages, root), (id) =>
    childrenOf(document.pages, id),
  )) {
    for (const one of nodeAt(document.pages, node).categories ?? [])
      counts.set(one, (counts.get(one) ?? 0) + 1);
  }
  const most = [...counts].sort((a, b) => b[1] - a[1]).slice(0, MOST_CATEGORIES);
  return [...new Set([...most.map(([one]) => one), ...categories.value])].map((value) => ({
    value,
    label: value,
  }));
});

const rule = computed((): Follow | null => {
  const of =
    source.value === 'menu'
      ? menu.value === null
        ? null
        : { kind: 'menu' as const, menu: menu.value }
      : { kind: 'pages' as const, page: page.value };
  if (of === null) return null;
  const most = limit.value === '' ? {} : { limit: Math.max(1, Math.min(1000, Math.round(limit.value))) };
  const base = { of, depth: depth.value ?? 1, ...most };
  if (of.kind === 'menu') return { ...base, order: 'site' };
  return {
    ...base,
    order: order.value ?? 'site',
    ...(form.value === 'list' ? { flat: true as const } : {}),
    ...(kinds.value.length === 0 ? {} : { kinds: [...kinds.value] }),
    ...(categories.value.length === 0 ? {} : { categories: [...categories.value] }),
    ...(drafts.value.length === 0 ? {} : { drafts: true as const }),
  };
});

/** What would stand there, or why nothing would. */
const outcome = computed(() => {
  const { stored } = copy;
  const id = follower.value;
  if (!isOpen.value || stored === null || id === null || rule.value === null) return null;
  const wanted = rule.value;
  const tried = copy.attempt((context) => follow(context, id, wanted));
  if (!tried.ok && tried.refusal.code !== 'changesNothing')
    return { problem: tried.refusal.message, rows: [], count: 0, own: 0, gone: 0 };
  const applied = tried.ok ? applyEdit(stored, tried.value) : null;
  const after = withFollowed(
    applied?.ok === true ? applied.value.document : stored,
    new Intl.Collator(stored.site.language, { numeric: true }).compare,
  );
  const rows: { readonly id: Id; readonly depth: number; readonly label: string; readonly isOwn: boolean }[] =
    [];
  let count = 0;
  let own = 0;
  for (const { node, depth: level } of preorder<Id>(childrenOf(after.items, id), (one) =>
    childrenOf(after.items, one),
  )) {
    const isOwn = !isFollowed(after, node);
    if (isOwn) own += 1;
    else count += 1;
    if (rows.length < SHOWN)
      rows.push({ id: node, depth: level, label: labelOf(after, nodeAt(after.items, node)), isOwn });
  }
  const gone = tried.ok ? tried.value.operations.filter((one) => one.kind === 'removeItem').length : 0;
  return { problem: null, rows, count, own, gone };
});

function pick(picked: Picked): void {
  isPicking.value = false;
  if (picked.kind === 'page') page.value = picked.id;
}

function keep(): void {
  const id = follower.value;
  const wanted = rule.value;
  if (id === null || wanted === null) return;
  const done = copy.perform((context) => follow(context, id, wanted));
  problem.value = done.ok || done.refusal.code === 'changesNothing' ? null : done.refusal.message;
  if (problem.value === null) isOpen.value = false;
}
</script>

<template>
  <DialogSheet
    v-model="isOpen"
    :title="`Follow pages in “${name}”`"
    :width="820"
    :problem="problem"
    @submit="keep"
  >
    <p class="mute">
      Items below it are taken from the site’s pages or from another menu and kept up to date automatically.
      If you change one of them, it becomes an exception.
    </p>
    <div class="two">
      <div class="rule">
        <ChoiceRow
          v-if="others.length > 0"
          v-model="source"
          label="Source"
          :choices="[
            { value: 'pages', label: 'Pages' },
            { value: 'menu', label: 'Another menu' },
          ]"
        />
        <div v-if="source === 'pages'">
          <span class="caption">Pages under</span>
          <PagePick
            v-if="isPicking"
            label="Pages under which page"
            placeholder="Part of a title or an address"
            @pick="pick"
            @leave="isPicking = false"
          />
          <div v-else class="line">
            <button type="button" class="plain-button" @click="isPicking = true">{{ pageName }}</button>
            <button v-if="page !== null" type="button" class="plain-button" @click="page = null">
              Whole site
            </button>
          </div>
        </div>
        <label v-else class="line">
          <span class="mute">Menu</span>
          <select v-model="menu">
            <option v-for="one in others" :key="one.id" :value="one.id">{{ one.name }}</option>
          </select>
        </label>
        <ChoiceRow
          v-model="depth"
          label="Include levels"
          :choices="[
            { value: 1, label: '1' },
            { value: 2, label: '2' },
            { value: 3, label: '3' },
            { value: MOST_LEVELS, label: 'all' },
          ]"
        />
        <template v-if="source === 'pages'">
          <ChoiceRow
            v-model="form"
            label="Structure"
            :choices="[
              { value: 'tree', label: 'nested' },
              { value: 'list', label: 'flat list' },
            ]"
          />
          <ChoiceRow
            v-model="order"
            label="Order"
            :choices="[
              { value: 'site', label: 'as on the site' },
              { value: 'title', label: 'A to Z' },
              { value: 'visits', label: 'most visited' },
              { value: 'date', label: 'newest' },
            ]"
          />
        </template>
        <label class="line">
          <span class="mute">Max. items</span>
          <input
            v-model="limit"
            type="number"
            min="1"
            max="1000"
            placeholder="no limit"
            aria-label="Max. items"
          />
          <span class="mute">{{ form === 'list' && source === 'pages' ? 'in total' : 'per parent' }}</span>
        </label>
        <template v-if="source === 'pages'">
          <ChipSet
            v-model="kinds"
            label="Kinds (none selected: all)"
            :choices="[
              { value: 'page', label: 'page' },
              { value: 'category', label: 'category' },
              { value: 'article', label: 'article' },
              { value: 'product', label: 'product' },
              { value: 'event', label: 'event' },
            ]"
          />
          <ChipSet
            v-if="known.length > 0"
            v-model="categories"
            label="Categories (none selected: all)"
            :choices="known"
          />
          <ChipSet
            v-model="drafts"
            label="Drafts"
            :choices="[{ value: 'drafts', label: 'include drafts, unpublished until they are live' }]"
          />
        </template>
      </div>
      <section class="outcome" aria-label="Preview" aria-live="polite">
        <template v-if="outcome !== null">
          <p v-if="outcome.problem !== null" class="bad">{{ outcome.problem }}</p>
          <template v-else>
            <h2>
              {{
                outcome.count === 0
                  ? 'No pages match yet'
                  : counted(outcome.count, '# followed item', '# followed items')
              }}
            </h2>
            <ul>
              <li
                v-for="row in outcome.rows"
                :key="row.id"
                :class="{ own: row.isOwn }"
                :style="{ paddingInlineStart: `${row.depth * 16}px` }"
              >
                {{ row.label }}
                <em v-if="row.isOwn">own item</em>
              </li>
            </ul>
            <p v-if="outcome.count + outcome.own > outcome.rows.length" class="mute">
              and {{ outcome.count + outcome.own - outcome.rows.length }} more
            </p>
            <p v-if="outcome.gone > 0" class="mute">
              {{
                counted(
                  outcome.gone,
                  '# existing item is replaced by its followed page; its settings are kept.',
                  '# existing items are replaced by their followed pages; their settings are kept.',
                )
              }}
            </p>
          </template>
        </template>
      </section>
    </div>
    <template #actions>
      <v-btn variant="text" @click="isOpen = false">Cancel</v-btn>
      <v-btn color="primary" type="submit">Follow</v-btn>
    </template>
  </DialogSheet>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 250px;
  gap: 22px;
  align-items: start;
}
.rule {
  display: grid;
  gap: 11px;
  min-width: 0;
}
.line {
  display: flex;
  align-items: center;
  gap: 10px;
}
select,
input {
  height: 32px;
  padding: 0 8px;
  border: 1px solid var(--line-strong);
  border-radius: 6px;
  background: var(--field);
}
input {
  width: 110px;
}
.outcome {
  padding: 12px 14px;
  border-radius: var(--radius);
  background: var(--paper-deep);
  min-height: 200px;
}
h2 {
  font-size: 0.8125rem;
  margin-bottom: 6px;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  line-height: 1.5rem;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
li.own {
  color: var(--mute);
}
em {
  font-size: 0.6875rem;
}
.outcome .mute {
  font-size: 0.75rem;
}
.bad {
  color: var(--brick);
}
</style>
