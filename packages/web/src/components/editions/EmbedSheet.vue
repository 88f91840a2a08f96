<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { DELIVERY } from '@zorvik/contract';
import { dataExample, embedSnippet, includesExample } from '@zorvik/core';
import { useEditions } from '../../stores/editions.ts';
import { useSelection } from '../../stores/selection.ts';
import { useSites } from '../../stores/sites.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import ChoiceRow from '../common/ChoiceRow.vue';
import CodeBlock from '../common/CodeBlock.vue';
import DialogSheet from '../common/DialogSheet.vue';

/** How a site gets its navigation into its pages: what to copy for each way. */
const isOpen = defineModel<boolean>({ required: true });
const copy = useWorkingCopy();
const editions = useEditions();
const sites = useSites();
const selection = useSelection();

type Way = 'includes' | 'snippet' | 'files' | 'data';
const ways = [
  { value: 'includes' as const, label: 'Whole frame' },
  { value: 'snippet' as const, label: 'One menu' },
  { value: 'files' as const, label: 'Files' },
  { value: 'data' as const, label: 'Data' },
];
const way = ref<Way | null>('includes');
const base = computed(() => `${sites.delivery}${DELIVERY}/sites/${copy.siteKey}`);
const includes = computed(() => {
  const site = copy.document?.site;
  return site === undefined ? null : includesExample({ base: base.value, ...site });
});

/** What can be put into a page by itself: parts of the frame, named places, menus; by path. */
const pieces = ref<readonly { readonly path: string; readonly name: string }[]>([]);
const chosen = ref('');
const snapshot = ref<string | null>(null);
const problem = ref<string | null>(null);

watch(
  [isOpen, () => copy.edition?.number],
  async ([open, edition]) => {
    if (!open || edition === undefined) return;
    const text = await editions.deliveredAt('frame?template=');
    const frame =
      text === null ? null : (JSON.parse(text) as { readonly places: Readonly<Record<string, string>> });
    const areas = frame === null ? [] : ['header', 'footer'];
    pieces.value = [
      ...selection.menus.map(({ key, name }) => ({ path: `menus/${key}.html`, name })),
      ...Object.keys(frame?.places ?? {}).map((key) => ({
        path: `frame/places/${key}.html`,
        name: `Place: ${key}`,
      })),
      ...areas.map((area) => ({ path: `frame/${area}.html`, name: `Frame: ${area}` })),
    ];
    if (!pieces.value.some(({ path }) => path === chosen.value)) chosen.value = pieces.value[0]?.path ?? '';
  },
  { immediate: true },
);
watch(
  [chosen, isOpen, () => copy.edition?.number],
  async ([path, open]) => {
    if (!open || path === '') return;
    snapshot.value = null;
    problem.value = null;
    const text = await editions.deliveredAt(path);
    if (path !== chosen.value) return;
    snapshot.value = text;
    if (text === null) problem.value = 'This menu is not in the live edition. Publish, then open this again.';
  },
  { immediate: true },
);
const snippet = computed(() =>
  snapshot.value === null
    ? null
    : embedSnippet(
        { base: base.value },
        { path: chosen.value, html: snapshot.value, date: new Date().toISOString().slice(0, 10) },
      ),
);
</script>

<template>
  <DialogSheet v-model="isOpen" title="Put the navigation into your pages" :width="760">
    <p v-if="copy.edition === null">
      Nothing is published yet. Publish the first edition; what to copy into your pages is here then.
    </p>
    <template v-else>
      <ChoiceRow v-model="way" label="How" is-label-hidden :choices="ways" />
      <template v-if="way === 'includes' && includes !== null">
        <p>
          Your web server puts header, side area and footer into each page as it sends it. Visitors get
          complete pages, with the current page marked, and need no script.
        </p>
        <CodeBlock label="Page" :code="includes.page" />
        <CodeBlock label="Server configuration: nginx" :code="includes.nginx" />
        <CodeBlock label="Server configuration: Apache" :code="includes.apache" />
      </template>
      <template v-else-if="way === 'snippet'">
        <p>
          Paste this anywhere in a page. It contains today’s menu, so it works without the script; the script
          updates it and marks the current page.
        </p>
        <div class="pick">
          <label for="embed-what">What</label>
          <select id="embed-what" v-model="chosen" class="plain-field">
            <option v-for="{ path, name } of pieces" :key="path" :value="path">{{ name }}</option>
          </select>
        </div>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <CodeBlock v-if="snippet !== null" label="Snippet" :code="snippet" />
      </template>
      <template v-else-if="way === 'files'">
        <p>
          For a site that serves files only. Unpack the archive in the root folder of the site, and copy what
          you need from example.html into your pages or your generator’s templates. The frame of each template
          has a folder. Download it again after you publish.
        </p>
        <p>
          <a :href="`${base}/static.zip`" download class="plain-button">
            Download edition {{ copy.edition.number }} as files (.zip)
          </a>
        </p>
      </template>
      <template v-else>
        <p>
          For sites that write their own HTML. This example builds a header with logo and menus from the data;
          change it as you like. docs/delivery.md describes everything that comes.
        </p>
        <CodeBlock label="Example" :code="dataExample({ base })" />
      </template>
    </template>
    <template #actions>
      <button type="button" class="plain-button" @click="isOpen = false">Close</button>
    </template>
  </DialogSheet>
</template>

<style scoped>
p {
  margin: 0;
  max-width: 66ch;
}
.pick {
  display: grid;
  gap: 3px;
  max-width: 320px;
}
.pick label {
  color: var(--mute);
  font-size: 0.75rem;
}
</style>
