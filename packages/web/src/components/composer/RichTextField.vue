<script setup lang="ts">
import { mdiFormatBold, mdiFormatItalic, mdiFormatListBulleted, mdiFormatListNumbered } from '@mdi/js';
import { Editor } from '@tiptap/core';
import StarterKit from '@tiptap/starter-kit';
import { onBeforeUnmount, onMounted, ref, shallowRef, useTemplateRef, watch } from 'vue';
import { isEqual, type RichText } from '@zorvik/core';
import type { Picked } from '../../composables/picked.ts';
import { useTyping } from '../../composables/useTyping.ts';
import PagePick from '../arrange/PagePick.vue';
import { docOf, richTextOf } from './richTextDoc.ts';

/**
 * A text with a small set of forms, kept as one types. Whatever is pasted comes down to these forms: there
 * are no others to be in.
 */
const props = defineProps<{
  label: string;
  value: RichText;
  pageAddress: (page: string) => string | null;
  pageAt: (address: string) => string | null;
  /** The text may be taken away: `keep` gets null then. */
  mayBeEmpty: boolean;
  keep: (body: RichText | null) => string | null;
}>();
const place = useTemplateRef<HTMLDivElement>('place');
const editor = shallowRef<Editor | null>(null);
const isLinking = ref(false);
/** Raised whenever the selection or the text changes, so that the buttons say what holds there. */
const turn = ref(0);

/** The text in the editor; null: nothing is visible in it. */
const bodyInEditor = (): RichText | null =>
  editor.value === null ? props.value : richTextOf(editor.value.getJSON(), props.pageAt);

/** In which order fields are written, so that equal texts are the same line whatever order they came in. */
const FIELDS = ['kind', 'runs', 'text', 'bold', 'italic', 'to', 'page', 'anchor', 'address', 'number'];

/**
 * A text as one line: what the one rule for when typing becomes an edit works on. Empty: nothing is visible
 * in it.
 */
function asLine(body: RichText | null): string {
  const inOrder = (_: string, value: unknown): unknown =>
    typeof value === 'object' && value !== null && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => FIELDS.indexOf(a) - FIELDS.indexOf(b)))
      : value;
  return body === null || body.length === 0 ? '' : JSON.stringify(body, inOrder);
}

const { typed, problem, meanwhile, begin, input, composing, end } = useTyping({
  value: () => asLine(props.value),
  keep(line, isFinal) {
    if (line === '' && !props.mayBeEmpty)
      return isFinal ? 'The text needs at least one visible character.' : null;
    if (line === '') return isFinal ? props.keep(null) : null;
    return props.keep(JSON.parse(line) as RichText);
  },
});

onMounted(() => {
  editor.value = new Editor({
    element: place.value as HTMLElement,
    extensions: [
      StarterKit.configure({
        blockquote: false,
        code: false,
        codeBlock: false,
        heading: false,
        horizontalRule: false,
        strike: false,
        underline: false,
        hardBreak: false,
        link: { openOnClick: false, autolink: false, protocols: ['mailto', 'tel'] },
      }),
    ],
    content: docOf(props.value, props.pageAddress),
    editorProps: { attributes: { 'aria-label': props.label, role: 'textbox', 'aria-multiline': 'true' } },
    onFocus: begin,
    onUpdate: () => {
      begin();
      typed.value = asLine(bodyInEditor());
      input();
    },
    onTransaction: () => (turn.value += 1),
    onBlur: end,
  });
});
onBeforeUnmount(() => editor.value?.destroy());
watch(
  () => props.value,
  (now) => {
    if (editor.value === null || editor.value.isFocused || isEqual(now, bodyInEditor())) return;
    editor.value.commands.setContent(docOf(now, props.pageAddress), { emitUpdate: false });
  },
);

const isOn = (name: string): boolean => turn.value >= 0 && editor.value?.isActive(name) === true;
const buttons = [
  {
    name: 'bold',
    label: 'Bold',
    icon: mdiFormatBold,
    act: (one: Editor) => one.chain().focus().toggleBold().run(),
  },
  {
    name: 'italic',
    label: 'Italic',
    icon: mdiFormatItalic,
    act: (one: Editor) => one.chain().focus().toggleItalic().run(),
  },
  {
    name: 'bulletList',
    label: 'List',
    icon: mdiFormatListBulleted,
    act: (one: Editor) => one.chain().focus().toggleBulletList().run(),
  },
  {
    name: 'orderedList',
    label: 'Numbered list',
    icon: mdiFormatListNumbered,
    act: (one: Editor) => one.chain().focus().toggleOrderedList().run(),
  },
];

function link(picked: Picked): void {
  isLinking.value = false;
  const address =
    picked.kind === 'page' ? props.pageAddress(picked.id) : picked.kind === 'link' ? picked.address : null;
  const chain = editor.value?.chain().focus();
  if (address === null) chain?.unsetLink().run();
  else chain?.setLink({ href: address }).run();
}
</script>

<template>
  <div class="rich" @keydown.stop>
    <div class="tools" role="toolbar" aria-label="Text formatting">
      <span class="label">{{ label }}</span>
      <button
        v-for="one in buttons"
        :key="one.name"
        type="button"
        :aria-label="one.label"
        :title="one.label"
        :aria-pressed="isOn(one.name)"
        :class="{ on: isOn(one.name) }"
        @click="editor !== null && one.act(editor)"
      >
        <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true">
          <path :d="one.icon" fill="currentColor" />
        </svg>
      </button>
      <button
        type="button"
        :aria-pressed="isOn('link')"
        :class="{ on: isOn('link') }"
        @click="isOn('link') ? editor?.chain().focus().unsetLink().run() : (isLinking = true)"
      >
        {{ isOn('link') ? 'Remove link' : 'Link' }}
      </button>
      <PagePick
        v-if="isLinking"
        label="Link the selected words to"
        placeholder="Page, /path or https://…"
        @pick="link"
        @leave="isLinking = false"
      />
    </div>
    <div ref="place" class="text" @compositionstart="composing(true)" @compositionend="composing(false)" />
    <p v-if="problem !== null" class="problem small" role="alert">{{ problem }}</p>
    <p v-else-if="meanwhile !== null" class="problem small" role="status">
      Someone changed this text. Your version replaces it when you leave the field.
    </p>
  </div>
</template>

<style scoped>
.rich {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  min-width: 300px;
  border: 1px solid var(--line-strong);
  border-radius: 6px;
  background: var(--field);
}
.tools {
  display: flex;
  gap: 2px;
  padding: 2px;
  border-bottom: 1px solid var(--line);
}
.label {
  align-self: center;
  margin-inline: 7px 6px;
  color: var(--mute);
  font-size: 0.75rem;
}
.tools button {
  display: inline-grid;
  place-items: center;
  min-width: 28px;
  height: 26px;
  padding: 0 7px;
  border: 0;
  border-radius: 5px;
  background: none;
  cursor: pointer;
}
.tools button:hover {
  background: var(--paper-deep);
}
.tools button.on {
  background: var(--ink);
  color: var(--on-ink);
}
.text {
  max-height: 110px;
  overflow: auto;
}
.text :deep([contenteditable]) {
  min-height: 64px;
  padding: 6px 9px;
  outline: 0;
}
.text :deep(:is(ul, ol)) {
  padding-inline-start: 1.3em;
}
.rich:focus-within {
  border-color: var(--ink);
  box-shadow: 0 0 0 1px var(--ink);
}
</style>
