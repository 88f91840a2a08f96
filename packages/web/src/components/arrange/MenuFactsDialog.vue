<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import {
  badgePositions,
  dropdownForms,
  fitsType,
  inWords,
  placementOf,
  placeMenu,
  placePhrase,
  places,
  retireMenu,
  setMenu,
  sourcePhrase,
  unfollow,
  type MenuUsual,
  type OwnField,
  type Place,
  storedOrder,
} from '@zorvik/core';
import { useArrange } from '../../stores/arrange.ts';
import { useSelection } from '../../stores/selection.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import { dropdownWords, openingWords } from '../../composables/settingWords.ts';
import DialogSheet from '../common/DialogSheet.vue';
import WhenClicked from '../details/WhenClicked.vue';
import LanguageField from '../common/LanguageField.vue';
import LineField from '../common/LineField.vue';
import { useKeeping } from '../../composables/useKeeping.ts';

/** A menu's settings besides its items: notes, place, maximum of levels; and deleting it. */
const isOpen = defineModel<boolean>({ required: true });
const copy = useWorkingCopy();
const selection = useSelection();
const arrange = useArrange();
const router = useRouter();
const problem = ref<string | null>(null);
const menu = computed(() => selection.menu);
const keepBy = useKeeping();
const id = computed(() => menu.value?.id ?? '');
const describe = computed(() =>
  keepBy(`about ${id.value}`, (context, description) =>
    setMenu(context, id.value, { description: description.trim() }),
  ),
);
function setLanguage(language: string): void {
  const done = copy.perform((context) => setMenu(context, id.value, { language }));
  problem.value = done.ok || done.refusal.code === 'changesNothing' ? null : done.refusal.message;
}
const limit = computed({
  get: () => menu.value?.depthLimit ?? 0,
  set: (levels) =>
    void copy.perform((context) => setMenu(context, id.value, { depthLimit: levels === 0 ? null : levels })),
});
/** What holds for all entries that say nothing else. */
const usual = computed(() => menu.value?.usual ?? {});
function say(changes: { readonly [K in keyof MenuUsual]?: MenuUsual[K] | null }): void {
  const next = Object.fromEntries(
    Object.entries({ ...usual.value, ...changes }).filter(
      ([, value]) => value !== null && (typeof value !== 'object' || Object.keys(value).length > 0),
    ),
  ) as MenuUsual;
  const done = copy.perform((context) =>
    setMenu(context, id.value, { usual: Object.keys(next).length === 0 ? null : next }),
  );
  problem.value = done.ok || done.refusal.code === 'changesNothing' ? null : done.refusal.message;
}
const usualForm = computed({
  get: () => usual.value.form ?? 'list',
  set: (form) => say({ form: form === 'list' ? null : form }),
});
const usualOpens = computed({
  get: () => usual.value.opens ?? 'rest',
  set: (opens) => say({ opens: opens === 'rest' ? null : opens }),
});
const usualBadge = computed({
  get: () => usual.value.badgeAt ?? 'after',
  set: (badgeAt) => say({ badgeAt: badgeAt === 'after' ? null : badgeAt }),
});
const place = computed({
  get: () =>
    copy.document === null || menu.value === null
      ? null
      : (placementOf(copy.document, id.value)?.place ?? null),
  set: (next: Place | null) =>
    void (next !== null && copy.perform((context) => placeMenu(context, id.value, next))),
});
const fields = computed((): OwnField[] => {
  const { document } = copy;
  if (document === null) return [];
  return [...storedOrder(document, 'ownFields')].filter(({ of }) => of === 'menus');
});
const used = computed(() =>
  place.value === null
    ? 'This menu is not placed.'
    : `This menu is in the ${inWords(placePhrase(place.value))}. If you delete it, it disappears there with the next edition.`,
);

const followed = computed(() =>
  copy.document === null || menu.value?.follow === undefined
    ? 'nothing'
    : inWords(sourcePhrase(copy.document, menu.value.follow)),
);

function stopFollowing(): void {
  const done = copy.perform((context) => unfollow(context, id.value));
  problem.value = done.ok ? null : done.refusal.message;
}

function ownText({ key, type }: OwnField): string {
  const value = menu.value?.own?.[key];
  return fitsType(value, type) ? String(value) : '';
}

function keepOwn({ key, type }: OwnField) {
  return keepBy(`own ${key} ${id.value}`, (context, typed) => {
    const { [key]: _, ...rest } = menu.value?.own ?? {};
    const value =
      type === 'number' ? Number(typed) : type === 'yesNo' ? /^(?:yes|true)$/i.test(typed) : typed;
    const own = typed.trim() === '' ? rest : { ...rest, [key]: value };
    return setMenu(context, id.value, { own: Object.keys(own).length === 0 ? null : own });
  });
}

function retire(): void {
  const done = copy.perform((context) => retireMenu(context, id.value));
  problem.value = done.ok ? null : done.refusal.message;
  if (!done.ok) return;
  isOpen.value = false;
  const next = selection.menus[0];
  void router.push({ name: 'arrange', params: { siteKey: copy.siteKey ?? '', menuKey: next?.key ?? '' } });
}
</script>

<template>
  <DialogSheet
    v-model="isOpen"
    :title="`Settings of “${menu?.name ?? ''}”`"
    :problem="problem"
    @submit="isOpen = false"
  >
    <template v-if="menu !== null">
      <LineField label="Notes" :value="menu.description" placeholder="For other editors" :keep="describe" />
      <LanguageField :value="menu.language" @set="setLanguage" />
      <label class="line">
        <span>Place</span>
        <select class="plain-field" v-model="place">
          <option v-for="one in places" :key="one" :value="one">{{ inWords(placePhrase(one)) }}</option>
        </select>
      </label>
      <label class="line">
        <span>Max. levels</span>
        <select class="plain-field" v-model.number="limit">
          <option :value="0">no limit</option>
          <option v-for="levels in 8" :key="levels" :value="levels">{{ levels }}</option>
        </select>
      </label>
      <fieldset class="usual">
        <legend>For all entries, unless an item has its own setting</legend>
        <label class="line">
          <span>Dropdown type</span>
          <select v-model="usualForm" class="plain-field">
            <option v-for="one in dropdownForms" :key="one" :value="one">
              {{ dropdownWords[one].label }}
            </option>
          </select>
        </label>
        <label class="line">
          <span>Opens on</span>
          <select v-model="usualOpens" class="plain-field">
            <option v-for="(words, one) in openingWords" :key="one" :value="one">{{ words }}</option>
          </select>
        </label>
        <label class="line">
          <span>Badges</span>
          <select v-model="usualBadge" class="plain-field">
            <option v-for="one in badgePositions" :key="one" :value="one">{{ one }} the label</option>
          </select>
        </label>
        <WhenClicked :value="usual.activation ?? {}" @change="say({ activation: $event })" />
      </fieldset>
      <div class="line">
        <span>Follows</span>
        <span>{{ followed }}</span>
        <button type="button" class="plain-button" @click="arrange.letFollow(id)">
          {{ menu.follow === undefined ? 'Follow pages …' : 'Change …' }}
        </button>
        <button v-if="menu.follow !== undefined" type="button" class="plain-button" @click="stopFollowing">
          Stop
        </button>
      </div>
      <LineField
        v-for="field in fields"
        :key="field.id"
        :label="field.name"
        :note="field.key"
        :value="ownText(field)"
        placeholder="not set"
        :keep="keepOwn(field)"
      />
      <p class="line">
        <span>ID</span>
        <code>{{ menu.key }}</code>
        <span class="mute">used in the delivery address</span>
      </p>
      <div class="retire">
        <p class="mute">{{ used }} You can undo this.</p>
        <v-btn variant="outlined" @click="retire">Delete menu</v-btn>
      </div>
    </template>
    <template #actions>
      <v-btn color="primary" type="submit">Done</v-btn>
    </template>
  </DialogSheet>
</template>

<style scoped>
.line {
  display: flex;
  align-items: center;
  gap: 10px;
}
.line > span:first-child {
  width: 120px;
  color: var(--mute);
}
.usual {
  display: grid;
  gap: 8px;
  margin: 0;
  padding: 12px 0 0;
  border: 0;
  border-block-start: 1px solid var(--line);
  /* The selects by device class line up with the others. */
  --device-name-width: 120px;
}
.usual > legend {
  float: inline-start;
  padding: 0;
  font-weight: 600;
}
.retire {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 14px;
  padding-top: 12px;
  border-top: 1px solid var(--line);
}
</style>
