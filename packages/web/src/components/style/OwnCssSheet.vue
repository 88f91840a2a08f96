<script setup lang="ts">
import { computed, onBeforeUnmount, ref, useId, watch } from 'vue';
import {
  areaId,
  areas,
  areaWords,
  capitalised,
  counted,
  hasOwner,
  isEqual,
  nameOfOwner,
  ownCssId,
  tokenProperty,
  writeCss,
  writeOwnCss,
  type CssRule,
} from '@zorvik/core';
import { LONGEST_CSS, readCss, unknownToContrast, type CssProblem } from '@zorvik/formats/css';
import { useCssMatches } from '../../composables/useCssMatches.ts';
import { usePalette } from '../../stores/palette.ts';
import { useStyling } from '../../stores/styling.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';

/** CSS written by hand for one place, checked while it is typed; what it finds on the page. */
const copy = useWorkingCopy();
const styling = useStyling();
const palette = usePalette();
const id = useId();

/** The site, its areas, what the chosen thing stands in, and whatever has CSS. */
const places = computed(() => {
  const { document } = copy;
  if (document === null) return [];
  const site = document.site.id;
  const words = new Map<string, string>([
    [site, 'Everywhere'],
    ...areas.map((area): [string, string] => [areaId(area), `The ${areaWords[area]}`]),
  ]);
  for (const { owner, label } of styling.offers)
    if (!words.has(owner)) words.set(owner, capitalised(label.replace(/^(?:only|in|all) /, '')));
  for (const { owner } of document.ownCss.nodes.values())
    if (!words.has(owner) && hasOwner(document, owner)) words.set(owner, nameOfOwner(document, owner));
  return [...words].map(([owner, label]) => ({
    owner,
    label,
    count: document.ownCss.nodes.get(ownCssId(owner))?.rules.length ?? 0,
  }));
});
const wanted = ref<string | null>(null);
const owner = computed(
  () =>
    places.value.find((one) => one.owner === wanted.value)?.owner ??
    places.value.find(({ count }) => count > 0)?.owner ??
    copy.document?.site.id ??
    null,
);
const stored = computed((): readonly CssRule[] =>
  copy.document === null || owner.value === null
    ? []
    : (copy.document.ownCss.nodes.get(ownCssId(owner.value))?.rules ?? []),
);

const typed = ref(writeCss(stored.value));
const problem = ref<CssProblem | null>(null);
const refused = ref<string | null>(null);
let isTyping = false;
let pause: ReturnType<typeof setTimeout> | undefined;
/** What this field stored last: that coming back is no news. */
let kept: readonly CssRule[] = stored.value;
const PAUSE = 500;

watch([owner, stored], ([now, rules], [before]) => {
  if (now === before && isEqual(rules, kept)) return;
  kept = rules;
  typed.value = writeCss(rules);
  [problem.value, refused.value] = [null, null];
});

function input(): void {
  isTyping = true;
  clearTimeout(pause);
  pause = setTimeout(store, PAUSE);
}
function store(): void {
  clearTimeout(pause);
  const of = owner.value;
  if (!isTyping || of === null) return;
  isTyping = false;
  const read = readCss(typed.value);
  problem.value = read.ok ? null : read.problem;
  if (!read.ok || isEqual(read.rules, stored.value)) return;
  kept = read.rules;
  const done = copy.perform((context) => writeOwnCss(context, of, read.rules), `css ${of}`);
  refused.value = done.ok ? null : done.refusal.message;
}
/** Leaving the field stores what was typed; what is stored is shown tidied up. */
function left(): void {
  store();
  if (problem.value === null && refused.value === null) typed.value = writeCss(stored.value);
}
function choose(next: string): void {
  left();
  wanted.value = next;
}
onBeforeUnmount(store);

const matches = useCssMatches(owner, stored);
/** How pictures of the site are used in CSS: addresses are not allowed in it. */
const pictures = computed(() => palette.entriesOf('picture').map(({ key }) => `var(${tokenProperty(key)})`));
const unknown = computed(() => unknownToContrast(stored.value));
</script>

<template>
  <section class="css" aria-label="CSS written by hand">
    <ul class="places" aria-label="Places">
      <li v-for="one of places" :key="one.owner">
        <button
          type="button"
          :class="{ on: one.owner === owner }"
          :aria-pressed="one.owner === owner"
          @click="choose(one.owner)"
        >
          <span>{{ one.label }}</span>
          <span v-if="one.count > 0" class="mute">{{ counted(one.count, '# rule', '# rules') }}</span>
        </button>
      </li>
    </ul>
    <div class="writing">
      <label :for="id">CSS for this place</label>
      <textarea
        :id="id"
        v-model="typed"
        class="plain-field"
        spellcheck="false"
        autocapitalize="off"
        :maxlength="LONGEST_CSS"
        placeholder=".zv-badge { letter-spacing: .04em }"
        :aria-invalid="problem !== null"
        :aria-describedby="`${id}-about`"
        @input="input"
        @blur="left"
      />
      <p :id="`${id}-about`">
        <span v-if="problem !== null" class="problem" role="alert">
          Line {{ problem.line }}, column {{ problem.column }}: {{ problem.message }}
        </span>
        <span v-else-if="refused !== null" class="problem" role="alert">{{ refused }}</span>
        <span v-else class="mute">
          It applies only within this place, and wins over what is set under “States”. Later rules win over
          earlier ones.
          <template v-if="pictures.length > 0">
            Pictures of this site:
            <code>background-image: {{ pictures[0] }}</code>
          </template>
        </span>
      </p>
    </div>
    <div class="found">
      <h2>On this page</h2>
      <p v-if="matches.length === 0" class="mute">No rules yet.</p>
      <ul v-else>
        <li v-for="(one, at) in matches" :key="at" :class="{ none: one.count === 0 }">
          <code>{{ one.selector }}</code>
          <span>{{ one.count === 0 ? 'nothing' : counted(one.count, '# element', '# elements') }}</span>
        </li>
      </ul>
      <p v-if="unknown.length > 0" class="note">
        Contrast checks ignore this CSS. Check for yourself what it changes: {{ unknown.join(', ') }}.
      </p>
    </div>
  </section>
</template>

<style scoped>
.css {
  display: grid;
  grid-template-columns: 200px minmax(0, 1fr) 300px;
  gap: 0 18px;
  padding: 8px 14px 14px;
  overflow: auto;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
.places {
  overflow: auto;
}
.places button {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  width: 100%;
  min-block-size: 32px;
  align-items: center;
  padding: 0 10px;
  border: 0;
  border-radius: 6px;
  background: none;
  color: var(--ink);
  text-align: start;
  cursor: pointer;
}
.places button:hover {
  background: var(--paper);
}
.places .on {
  background: var(--chosen);
  box-shadow: inset 2px 0 var(--accent);
  font-weight: 600;
}
.writing {
  display: grid;
  grid-template-rows: auto minmax(96px, 1fr) auto;
  gap: 4px;
  min-height: 0;
}
.writing label,
h2 {
  color: var(--mute);
  font-size: 0.75rem;
  font-weight: 400;
}
textarea {
  height: 100%;
  padding: 8px 10px;
  resize: none;
  font:
    0.8125rem/1.5 ui-monospace,
    monospace;
  tab-size: 2;
  white-space: pre;
}
.writing p {
  min-block-size: 2.25rem;
  padding-block-start: 4px;
}
.found {
  min-height: 0;
  overflow: auto;
}
.found li {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  padding-block: 4px;
  border-block-end: 1px solid var(--line);
}
.found code {
  overflow-wrap: anywhere;
}
.found .none span {
  color: var(--ochre);
}
.note {
  margin-block-start: 8px;
  color: var(--ochre);
}
@media (max-width: 900px) {
  .css {
    grid-template-columns: minmax(0, 1fr);
    gap: 10px;
  }
  textarea {
    min-height: 160px;
  }
}
</style>
