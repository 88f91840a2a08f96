<script setup lang="ts">
import { computed, nextTick, onMounted, ref, useTemplateRef, watch } from 'vue';
import { addableKinds, capitalised, definitionOf } from '@zorvik/core';
import { useFraming } from '../../composables/useFraming.ts';
import { useOffers } from '../../composables/useOffers.ts';
import { useFrame } from '../../stores/frame.ts';

/** What can be added at the mark: a few letters find it, Enter adds it. */
const props = defineProps<{ at: { readonly x: number; readonly y: number } | null }>();
const emit = defineEmits<{ left: [] }>();
const frame = useFrame();
const framing = useFraming();
const typed = ref('');
const input = useTemplateRef<HTMLInputElement>('input');
const list = useTemplateRef<HTMLElement>('list');
const kinds = addableKinds('frame');

const offers = computed(() => {
  const wanted = typed.value.trim().toLowerCase();
  return framing
    .offered(kinds)
    .map((kind) => {
      const { name, about = '' } = definitionOf(kind);
      return { kind, name: capitalised(name), about, rank: rankOf(wanted, name, about) };
    })
    .filter(({ rank }) => rank > 0)
    .sort((a, b) => b.rank - a.rank);
});
/** What begins with the letters comes first, then a word that does, then what has them anywhere. */
function rankOf(wanted: string, name: string, about: string): number {
  if (wanted === '') return 1;
  const plain = name.toLowerCase();
  if (plain.startsWith(wanted)) return 4;
  if (plain.split(/[ -]/).some((word) => word.startsWith(wanted))) return 3;
  return plain.includes(wanted) ? 2 : Number(about.toLowerCase().includes(wanted));
}
const { marked, listId, field, option } = useOffers({ count: () => offers.value.length, take });
watch(typed, () => (marked.value = 0));
watch(marked, async () => {
  await nextTick();
  list.value?.querySelector('.on')?.scrollIntoView({ block: 'nearest' });
});
onMounted(() => input.value?.focus());

function take(at: number): void {
  const offer = offers.value[at];
  if (offer === undefined) return;
  framing.add(offer.kind);
  emit('left');
}
function close(): void {
  frame.adding = null;
  emit('left');
}
function blurred({ relatedTarget }: FocusEvent): void {
  if (relatedTarget instanceof Node && relatedTarget !== document.body) close();
}
const WIDTH = 320;
const place = computed(() =>
  props.at === null
    ? { insetBlockEnd: '8px', insetInlineStart: '0' }
    : {
        insetBlockStart: `${props.at.y + 18}px`,
        insetInlineStart: `max(0px, min(${props.at.x - WIDTH / 2}px, 100% - ${WIDTH}px))`,
      },
);
</script>

<template>
  <section class="list" :style="place" aria-label="Add a part" @keydown.escape.stop="close">
    <input
      ref="input"
      v-model="typed"
      class="plain-field"
      v-bind="field"
      aria-label="Part to add"
      placeholder="Add here …"
      @blur="blurred"
    />
    <div :id="listId" ref="list" class="kinds" role="listbox" aria-label="Parts">
      <div v-for="(offer, index) in offers" :key="offer.kind" v-bind="option(index)">
        <strong>{{ offer.name }}</strong>
        <span class="mute">{{ offer.about }}</span>
      </div>
    </div>
    <p v-if="offers.length === 0" class="mute none">No part is called that.</p>
    <p v-if="frame.scopeOn !== null" class="note">Shown only where changes apply now, not on all pages.</p>
  </section>
</template>

<style scoped src="../common/offers.css"></style>
<style scoped>
.list {
  inset-block-start: auto;
  inset-inline-start: auto;
  width: 320px;
}
.kinds {
  max-height: 224px;
  overflow: auto;
}
strong {
  flex: none;
  font-weight: 600;
}
.mute {
  overflow: hidden;
  font-size: 0.75rem;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.none,
.note {
  padding-inline: 8px;
  font-size: 0.75rem;
}
.note {
  color: var(--ochre);
}
</style>
