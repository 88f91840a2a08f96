<script setup lang="ts">
import { computed } from 'vue';
import { keyNames, shortcuts } from '../../shortcuts/shortcuts.ts';

const isOpen = defineModel<boolean>({ required: true });
const groups = computed(() => [
  { title: 'In the outline', keys: shortcuts.filter(({ where }) => where === 'outline') },
  { title: 'Anywhere', keys: shortcuts.filter(({ where }) => where === 'anywhere') },
]);
</script>

<template>
  <v-dialog v-model="isOpen" max-width="720" aria-labelledby="all-keys">
    <section class="sheet" aria-labelledby="all-keys">
      <h1 id="all-keys">All keys</h1>
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
      <div class="end"><v-btn color="secondary" autofocus @click="isOpen = false">Close</v-btn></div>
    </section>
  </v-dialog>
</template>

<style scoped>
.sheet {
  display: grid;
  gap: 16px;
  padding: 20px;
  border-radius: 12px;
  background: var(--sheet);
  overflow: auto;
}
.groups {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(290px, 1fr));
  gap: 8px 28px;
}
dl {
  margin: 8px 0 0;
}
dl div {
  display: grid;
  grid-template-columns: 118px 1fr;
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
.end {
  display: flex;
  justify-content: end;
}
</style>
