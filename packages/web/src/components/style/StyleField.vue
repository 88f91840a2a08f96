<script setup lang="ts">
import { mdiBackupRestore } from '@mdi/js';
import { computed, ref } from 'vue';
import { counted, factsOf, thingOf, valueKinds, type Property, type ValueFacts } from '@zorvik/core';
import { useOrigins } from '../../composables/useOrigins.ts';
import { shownValue, useStyling } from '../../stores/styling.ts';
import { usePalette } from '../../stores/palette.ts';
import IconButton from '../common/IconButton.vue';
import LineField from '../common/LineField.vue';
import ColourField from './ColourField.vue';
import FillField from './FillField.vue';

/** One value: what it comes to here, where that was set, and what is set nearer. */
const props = defineProps<{ property: Property }>();
const styling = useStyling();
const palette = usePalette();
const facts = computed(() => factsOf(props.property));
const kind = computed((): ValueFacts => valueKinds[facts.value.kind]);
const ranked = computed(() => styling.ranked(props.property));
const winner = computed(() => ranked.value[0] ?? null);
const own = computed(() => styling.own(props.property));
const nearer = computed(() => styling.nearer(props.property));

/** Names of the site are typed and shown without their sign. */
const names = computed(() => new RegExp(`(?<![\\w@#-])(${[...palette.all.keys()].join('|')})(?![a-z])`, 'g'));
const value = computed(() => shownValue(own.value ?? winner.value?.value ?? ''));

function keep(typed: string, isFinal: boolean): string | null {
  const text = typed.trim();
  if (text === value.value) return null;
  // A value that is half typed is no mistake yet.
  if (!isFinal) return null;
  return styling.set(props.property, text === '' ? null : text.replaceAll(names.value, '@$1'));
}

function choose(event: Event): void {
  styling.set(props.property, (event.target as HTMLSelectElement).value);
}

/** Values to start from; the last choice lets one type another. */
const OTHER = 'other';
const offerWords: Readonly<Record<string, string>> = {
  'inset 0 -3px 0 @accent': 'bar below',
  'inset 0 3px 0 @accent': 'bar above',
  'inset 3px 0 0 @accent': 'bar at the side',
  '0 2px 8px #00000033': 'small shadow',
  '0 12px 28px -12px #00000066': 'large shadow',
};
const isTyping = ref(false);
const offers = computed(() => {
  const some = kind.value.offers ?? [];
  return some.length === 0 || some.includes(stored.value) ? some : [stored.value, ...some];
});
function offered(event: Event): void {
  const { value: chosen } = event.target as HTMLSelectElement;
  if (chosen === OTHER) isTyping.value = true;
  else styling.set(props.property, chosen);
}

const { originOf, placeOf } = useOrigins();
const origin = computed(() =>
  own.value !== null ? 'set here' : winner.value === null ? '' : originOf(winner.value),
);
const first = computed(() => nearer.value[0]?.target ?? null);
const stored = computed(() => own.value ?? winner.value?.value ?? '');
const isColour = computed(() => facts.value.kind === 'colour');
const fonts = computed(() => palette.entriesOf('font'));
</script>

<template>
  <div class="value" :class="{ own: own !== null }">
    <FillField
      v-if="(property === 'backgroundImage' || property === 'divider') && !isTyping"
      :property="property"
      :value="stored"
      @other="isTyping = true"
    />
    <label v-else-if="kind.choices !== undefined" class="choice">
      <span>{{ facts.name }}</span>
      <select class="plain-field" :value="own ?? winner?.value" @change="choose">
        <option v-for="one in kind.choices" :key="one" :value="one">{{ one }}</option>
      </select>
    </label>
    <label v-else-if="facts.kind === 'font'" class="choice">
      <span>{{ facts.name }}</span>
      <select class="plain-field" :value="stored" @change="choose">
        <option value="inherit">as around it</option>
        <option v-for="one in fonts" :key="one.key" :value="`@${one.key}`">{{ one.name }}</option>
      </select>
    </label>
    <ColourField
      v-else-if="isColour"
      :label="facts.name"
      :value="stored"
      :against="null"
      :keep="(to) => styling.set(property, to.trim() === '' ? null : to)"
    />
    <label v-else-if="offers.length > 0 && !isTyping" class="choice">
      <span>{{ facts.name }}</span>
      <select class="plain-field" :value="stored" @change="offered">
        <option v-for="one in offers" :key="one" :value="one">
          {{ offerWords[one] ?? shownValue(one) }}
        </option>
        <option :value="OTHER">Other …</option>
      </select>
    </label>
    <LineField v-else :label="facts.name" :value="value" :keep="keep" :placeholder="facts.initial" />
    <div class="origin">
      <button
        v-if="own === null && winner?.origin.from === 'set'"
        type="button"
        class="link"
        :title="`Go to where ${facts.name} was set`"
        @click="winner.origin.from === 'set' && styling.goTo(winner.origin.target)"
      >
        {{ origin }}
      </button>
      <span v-else>{{ origin }}</span>
      <IconButton
        v-if="own !== null"
        :icon="mdiBackupRestore"
        :label="`Reset ${facts.name}`"
        @click="styling.set(property, null)"
      />
    </div>
    <p v-if="first !== null" class="nearer" role="status">
      No effect on
      <button type="button" class="link" @click="styling.goTo(first)">
        {{
          nearer.length === 1
            ? `${thingOf(first.thing).name}, ${placeOf(first)}`
            : counted(nearer.length, '# place', '# places')
        }}
      </button>
      (set separately).
      <button type="button" class="link" @click="styling.resetNearer(property)">
        {{ nearer.length === 1 ? 'Reset it' : 'Reset them' }}
      </button>
    </p>
  </div>
</template>

<style scoped>
.value {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 96px;
  align-items: end;
  gap: 0 8px;
}
.choice span {
  display: block;
  margin-bottom: 3px;
  color: var(--mute);
  font-size: 0.75rem;
}
.choice select {
  inline-size: 100%;
}
.origin {
  display: flex;
  align-items: center;
  justify-content: space-between;
  min-height: 32px;
  color: var(--mute);
  font-size: 0.75rem;
}
.own .origin span {
  color: var(--accent);
  font-weight: 600;
}
.link {
  padding: 0;
  border: 0;
  background: none;
  color: var(--accent);
  font-size: 0.75rem;
  text-align: start;
  text-decoration: underline;
  cursor: pointer;
}
.nearer {
  grid-column: 1 / -1;
  color: var(--ochre);
  font-size: 0.75rem;
}
</style>
