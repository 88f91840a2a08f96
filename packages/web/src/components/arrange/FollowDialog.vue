<script setup lang="ts">
import { computed, reactive, ref, toRefs, watch } from 'vue';
import { counted, follow, MOST_LEVELS, nameOf } from '@zorvik/core';
import { commonCategories, followFormOf, ruleOf, type FollowForm } from '../../composables/followForm.ts';
import { followOutcome } from '../../composables/followOutcome.ts';
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
const fields = reactive<FollowForm>({
  source: 'pages',
  page: null,
  menu: null,
  depth: 1,
  order: 'site',
  form: 'tree',
  kinds: [],
  categories: [],
  limit: '',
  drafts: [],
});
const { source, page, menu, depth, order, form, kinds, categories, limit, drafts } = toRefs(fields);
const isPicking = ref(false);
const problem = ref<string | null>(null);
/** Rows of what comes of it. */
const SHOWN = 9;

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
  Object.assign(fields, followFormOf(document, follower.value, others.value[0]?.id ?? null));
});

const known = computed(() =>
  copy.document === null || !isOpen.value
    ? []
    : commonCategories(copy.document, page.value, categories.value).map((value) => ({ value, label: value })),
);
const rule = computed(() => ruleOf(fields));
/** What would stand there, or why nothing would. */
const outcome = computed(() => {
  const { stored } = copy;
  if (!isOpen.value || stored === null || follower.value === null || rule.value === null) return null;
  return followOutcome({
    stored,
    item: follower.value,
    rule: rule.value,
    attempt: copy.attempt,
    compareTitles: new Intl.Collator(stored.site.language, { numeric: true }).compare,
    most: SHOWN,
  });
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
          <select class="plain-field" v-model="menu">
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
            class="plain-field"
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
