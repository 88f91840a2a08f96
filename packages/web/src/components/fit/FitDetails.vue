<script setup lang="ts">
import { computed } from 'vue';
import { listed, type FitMode, type FitProblem, type ModeProblem } from '@zorvik/core';
import {
  canBeMended,
  laneKind,
  laneName,
  modeWords,
  problemWords,
  rangeWords,
  tallWords,
  visitorFaultWords,
  visitorModeWords,
} from '../../stores/laneWords.ts';
import { suggestionWords } from '../../composables/suggestionWords.ts';
import { useFit } from '../../stores/fit.ts';
import { useFitChecks } from '../../stores/fitChecks.ts';
import { useFitWork } from '../../stores/fitWork.ts';
import { NARROWEST, useLiveView, WIDEST } from '../../stores/liveView.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import FitsField from '../common/FitsField.vue';
import FitOffer from './FitOffer.vue';

/** What does not fit, or, where a bar or a dropdown is chosen, what it does and what would mend it. */
const copy = useWorkingCopy();
const fit = useFit();
const work = useFitWork();
const checks = useFitChecks();
const live = useLiveView();
const SPAN = { least: NARROWEST, most: WIDEST };

const part = computed(() => {
  const id = fit.chosen?.part;
  return id === undefined ? null : (copy.document?.parts.nodes.get(id) ?? null);
});
const lane = computed(() =>
  fit.lanes.find((one) => one.part === fit.chosen?.part && one.item === fit.chosen.item),
);
const own = computed(() =>
  work.shownProblems.filter((one) => one.part === fit.chosen?.part && one.item === fit.chosen.item),
);
const name = computed(() =>
  copy.document === null || lane.value === undefined ? '' : laneName(copy.document, lane.value),
);
const offers = computed(() => {
  const { document } = copy;
  return document === null ? [] : fit.suggestions.map((one) => ({ one, ...suggestionWords(document, one) }));
});

/** Signs that a font does not have: their widths are those of another one. */
const lacking = computed(() =>
  fit.lacking.map(({ font, signs, text }) => {
    const token = [...(copy.document?.tokens.nodes.values() ?? [])].find(({ key }) => key === font);
    return {
      name: token?.name ?? font,
      words: `lacks “${signs}”, which is in “${text}”: browsers use another font there`,
    };
  }),
);

/** What only the drawn page can answer for: what fails for some visitors, and what is taller than some screens. */
interface Seen {
  readonly key: string;
  readonly name: string;
  readonly words: string;
  readonly tag: string;
  readonly show: () => void;
}
const seen = computed((): Seen[] => [
  ...checks.findings.map((one) => ({
    key: `${one.fault} ${one.name}`,
    name: one.name,
    words: `${visitorFaultWords[one.fault]}, on ${listed(one.devices)} screens`,
    tag: visitorModeWords[one.mode],
    show: () => {
      fit.mode = null;
      live.width = one.width;
      work.hasPath = one.mode === 'touch' || one.mode === 'keyboard';
      work.seenWith = one.mode === 'forcedColours' || one.mode === 'lessMotion' ? one.mode : null;
    },
  })),
  ...checks.tall.map((one) => ({
    key: `tall ${one.part} ${one.item ?? ''}`,
    name: one.name,
    words: tallWords(one),
    tag: 'height',
    show: () => {
      live.width = one.width;
      if (one.item !== undefined) fit.chosen = { part: one.part, item: one.item };
    },
  })),
]);
/** What is known of the chosen dropdown’s height. */
const tallHere = computed(() => checks.tallAt(fit.chosen?.part, fit.chosen?.item));

interface Line {
  readonly key: string;
  readonly name: string;
  readonly words: string;
  readonly mode: FitMode | null;
  readonly problem: FitProblem;
}
const lines = computed((): Line[] => {
  const { document } = copy;
  if (document === null) return [];
  const line = (problem: FitProblem, mode: FitMode | null): Line => ({
    key: `${mode} ${problem.of} ${problem.part} ${problem.item ?? ''} ${problem.from}`,
    name: laneName(document, problem),
    words: `${problemWords(problem)} ${rangeWords(problem, SPAN)}`,
    mode,
    problem,
  });
  return [
    ...fit.problems.map((one) => line(one, null)),
    ...fit.inModes.map((one: ModeProblem) => line(one, one.mode)),
  ];
});

/** The best suggestion for a problem, where those for all are asked for. */
function offerFor({ mode, problem }: Line): (typeof offers.value)[number] | undefined {
  if (!fit.isForAll || mode !== fit.mode) return undefined;
  return offers.value.find(({ one }) => one.part === problem.part && one.item === problem.item);
}

/** Shows it at the widest width at which it is worst, as a visitor has set it. */
function show({ problem, mode }: Line): void {
  work.seenWith = null;
  const { part: id, item, worstAt } = problem;
  fit.mode = mode;
  live.width = mode === 'zoom400' ? NARROWEST : Math.min(worstAt, WIDEST);
  if (canBeMended(problem)) fit.chosen = { part: id, ...(item === undefined ? {} : { item }) };
}
</script>

<template>
  <section class="details" aria-label="What does not fit">
    <template v-if="fit.chosen === null || lane === undefined">
      <div class="who">
        <h2>
          {{
            lines.length + checks.findings.length === 0
              ? fit.isKnown
                ? 'Everything fits'
                : 'Measuring …'
              : 'What does not fit'
          }}
        </h2>
        <button
          v-if="fit.problems.length > 0"
          type="button"
          class="plain-button"
          :aria-pressed="fit.isForAll"
          @click="fit.isForAll = !fit.isForAll"
        >
          Suggest fixes for all
        </button>
        <p class="mute">
          Also checked: text at 150 and 200 %, zoom to 400 %, direction reversed, labels 35 % longer, a
          scrollbar, touch, keyboard, forced colours, reduced motion, and screens 390, 640 and 768 px high{{
            checks.isPartial ? ' (some of the dropdowns; the contact sheet has all)' : ''
          }}.
        </p>
      </div>
      <ul v-if="lines.length + lacking.length + seen.length > 0" class="list">
        <template v-for="line in lines" :key="line.key">
          <li>
            <b>{{ line.name }}</b>
            <span>{{ line.words }}</span>
            <em v-if="line.mode !== null">{{ modeWords[line.mode] }}</em>
            <button type="button" class="plain-button" @click="show(line)">Show</button>
          </li>
          <FitOffer
            v-for="offer in [offerFor(line)].filter((found) => found !== undefined)"
            :key="offer.what"
            class="offer"
            v-bind="offer"
          />
        </template>
        <li v-for="one in seen" :key="one.key">
          <b>{{ one.name }}</b>
          <span>{{ one.words }}</span>
          <em>{{ one.tag }}</em>
          <button type="button" class="plain-button" @click="one.show()">Show</button>
        </li>
        <li v-for="one in lacking" :key="one.words">
          <b>{{ one.name }}</b>
          <span>{{ one.words }}</span>
        </li>
      </ul>
      <p v-else-if="fit.isKnown" class="fine">
        No bar wraps, no label breaks and nothing leaves the screen, from {{ NARROWEST }} to {{ WIDEST }} px.
      </p>
    </template>
    <template v-else>
      <div class="who">
        <h2 :title="name">{{ name }}</h2>
        <p v-for="one in own" :key="one.from" class="trouble">
          {{ problemWords(one) }} {{ rangeWords(one, SPAN) }}
        </p>
        <p v-if="own.length === 0" class="mute">{{ laneKind(lane) }}, fits at every width</p>
        <p v-if="tallHere !== null" class="mute">{{ tallWords(tallHere) }}</p>
        <p v-if="fit.isEstimate" class="mute">An estimate: a font of the visitor’s system is used.</p>
        <button type="button" class="plain-button" @click="fit.chosen = null">All problems</button>
      </div>
      <FitsField
        v-if="lane.of === 'bar' && part !== null"
        class="does"
        :part="part"
        label="When it does not fit"
      />
      <ul class="list" aria-label="Suggestions">
        <FitOffer v-for="offer in offers" :key="offer.what" v-bind="offer" />
        <li v-if="own.length > 0 && offers.length === 0" class="mute">
          Nothing that Zorvik knows of would help here.
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.details {
  display: grid;
  grid-template-columns: minmax(170px, 220px) auto minmax(0, 1fr);
  gap: 0 22px;
  height: clamp(8.5rem, 22dvh, 11rem);
  padding: 10px 14px;
  border-block-start: 1px solid var(--line);
  background: var(--sheet);
}
.who {
  display: grid;
  align-content: start;
  justify-items: start;
  gap: 4px;
  min-width: 0;
  overflow: auto;
}
h2 {
  font-size: 1.0625rem;
}
p {
  margin: 0;
  font-size: 0.75rem;
}
.trouble {
  color: var(--ochre);
}
.fine {
  grid-column: 2 / -1;
  color: var(--moss);
  font-size: 0.8125rem;
}
.who .plain-button,
.list :deep(.plain-button) {
  min-height: 26px;
  font-size: 0.75rem;
}
.does {
  align-content: start;
  max-width: 240px;
}
.does :deep(label) {
  flex-basis: 100%;
}
.does :deep(label > span) {
  width: 52px;
}
.does :deep(select) {
  min-height: 28px;
  padding-block: 0;
}
.list {
  grid-column: -2 / -1;
  margin: 0;
  padding: 0;
  overflow: auto;
  list-style: none;
}
.details > .list:nth-child(2) {
  grid-column: 2 / -1;
}
.list :deep(li) {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 32px;
  padding-inline: 6px 2px;
  border-block-end: 1px solid var(--line-soft);
  font-size: 0.8125rem;
}
.list :deep(li > span) {
  flex: 1;
  min-width: 0;
  color: var(--mute);
}
.list :deep(b) {
  font-weight: 600;
}
.list em {
  padding: 1px 7px;
  border: 1px solid var(--line);
  border-radius: 9px;
  color: var(--mute);
  font-size: 0.75rem;
  font-style: normal;
}
.list .offer {
  padding-inline-start: 22px;
}
.list :deep(.seen) {
  background: var(--accent-veil);
}
.who [aria-pressed='true'],
.list :deep([aria-pressed='true']) {
  border-color: var(--accent);
  color: var(--accent);
}
@media (max-width: 760px) {
  .details {
    grid-template-columns: minmax(0, 1fr);
    height: 42dvh;
    overflow: auto;
  }
  .details > .list:nth-child(2),
  .list {
    grid-column: 1;
    overflow: visible;
  }
  .list :deep(li) {
    flex-wrap: wrap;
  }
}
</style>
