<script setup lang="ts">
import { computed } from 'vue';
import DialogSheet from '../common/DialogSheet.vue';
import { keyNames, shortcuts, type ShortcutName } from '../../shortcuts/shortcuts.ts';

const isOpen = defineModel<boolean>({ required: true });
const GOING = new Set<ShortcutName>([
  'up',
  'down',
  'extendUp',
  'extendDown',
  'chooseAll',
  'foldOrOut',
  'unfoldOrIn',
  'toggleFold',
  'foldAll',
  'unfoldAll',
  'first',
  'last',
  'nextUndecided',
  'switchForm',
  'beside',
  'nextMenu',
  'previousMenu',
]);
const inTree = (isGoing: boolean) =>
  shortcuts.filter(({ name, where }) => where === 'tree' && GOING.has(name) === isGoing);
const groups = computed(() => [
  { title: 'Selecting', keys: inTree(true) },
  { title: 'Editing', keys: inTree(false) },
  { title: 'Frame', keys: shortcuts.filter(({ where }) => where === 'frame') },
  { title: 'Panel composer', keys: shortcuts.filter(({ where }) => where === 'panel') },
  { title: 'Anywhere', keys: shortcuts.filter(({ where }) => where === 'anywhere') },
]);
</script>

<template>
  <DialogSheet v-model="isOpen" title="Keyboard shortcuts" :width="1120" @submit="isOpen = false">
    <div class="groups">
      <div v-for="group in groups" :key="group.title">
        <h2>{{ group.title }}</h2>
        <dl>
          <div v-for="one in group.keys" :key="one.name">
            <dt>
              <template v-for="(keys, at) in one.keys" :key="keys">
                <span v-if="at > 0" class="mute">or</span>
                <kbd v-for="key in keyNames(keys)" :key="key">{{ key }}</kbd>
              </template>
            </dt>
            <dd>{{ one.does }}</dd>
          </div>
        </dl>
      </div>
    </div>
    <template #actions><v-btn color="secondary" type="submit" autofocus>Close</v-btn></template>
  </DialogSheet>
</template>

<style scoped>
.groups {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(310px, 1fr));
  gap: 8px 28px;
}
dl {
  margin: 8px 0 0;
}
dl div {
  display: grid;
  grid-template-columns: 128px 1fr;
  gap: 10px;
  min-height: 28px;
  align-items: center;
  border-bottom: 1px solid var(--line-soft);
}
dd {
  margin: 0;
}
kbd + kbd {
  margin-inline-start: 3px;
}
</style>
