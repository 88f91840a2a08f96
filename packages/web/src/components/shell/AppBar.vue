<script setup lang="ts">
import { mdiKeyboardOutline, mdiRedo, mdiUndo } from '@mdi/js';
import { computed } from 'vue';
import { counted, refusal } from '@zorvik/core';
import { workspaces } from '../../router.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import IconButton from '../common/IconButton.vue';
import { useDrift } from '../../stores/drift.ts';
import { usePeople } from '../../stores/people.ts';
import MenuSwitcher from './MenuSwitcher.vue';
import PersonTag from './PersonTag.vue';
import SavingState from './SavingState.vue';

defineProps<{ siteKey: string | null }>();
const emit = defineEmits<{ showKeys: [] }>();
const copy = useWorkingCopy();
const people = usePeople();
const drift = useDrift();
const noUndo = computed(() => (copy.canUndo ? null : refusal('nothingToUndo').message));
const noRedo = computed(() => (copy.canRedo ? null : refusal('nothingToRedo').message));
</script>

<template>
  <header class="bar">
    <router-link class="mark" :to="{ name: 'sites' }" aria-label="Zorvik: all sites">
      <svg viewBox="0 0 18 18" width="18" height="18" aria-hidden="true">
        <rect width="18" height="18" rx="5" fill="var(--persimmon)" />
        <g fill="#fff">
          <rect x="3" y="4" width="3" height="10" rx="1" />
          <rect x="7.5" y="4" width="3" height="6" rx="1" />
          <rect x="12" y="4" width="3" height="8" rx="1" />
        </g>
      </svg>
      <span>Zorvik</span>
    </router-link>
    <template v-if="siteKey !== null && copy.document !== null">
      <MenuSwitcher :site-key="siteKey" />
      <nav class="works" aria-label="Workspaces">
        <router-link v-for="work in workspaces" :key="work.name" :to="{ name: work.name, params: { siteKey } }" :class="{ on: $route.name === work.name }">
          {{ work.label }}
          <b
            v-if="work.name === 'drift' && drift.open.length > 0"
            class="badge number"
            :aria-label="counted(drift.open.length, '# open finding in all menus', '# open findings in all menus')"
          >
            {{ drift.open.length }}
          </b>
        </router-link>
      </nav>
      <div class="end">
        <span v-if="people.others.length > 0" class="people" :aria-label="`Also here: ${people.others.map(({ name }) => name).join(', ')}`">
          <PersonTag v-for="person in people.others.slice(0, 2)" :key="person.session" :person="person" />
          <span v-if="people.others.length > 2" class="mute number">and {{ people.others.length - 2 }} more</span>
        </span>
        <IconButton label="Undo" :icon="mdiUndo" keys="Ctrl Z" :reason="noUndo" @press="copy.undo()" />
        <IconButton label="Redo" :icon="mdiRedo" keys="Ctrl Shift Z" :reason="noRedo" @press="copy.redo()" />
        <IconButton label="Keyboard shortcuts" :icon="mdiKeyboardOutline" keys="?" @press="emit('showKeys')" />
        <SavingState />
        <router-link class="publish" :to="{ name: 'editions', params: { siteKey } }">Publish</router-link>
      </div>
    </template>
  </header>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: 14px;
  min-height: 46px;
  padding: 0 14px;
  background: var(--sheet);
  border-bottom: 1px solid var(--line);
  min-width: 0;
}
.mark {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 30px;
  font-weight: 700;
  font-size: 15px;
  color: var(--ink);
  text-decoration: none;
}
.works {
  display: flex;
  gap: 2px;
  margin: 0 auto;
}
.works a {
  display: flex;
  align-items: center;
  gap: 6px;
  min-height: 30px;
  padding: 0 12px;
  border-radius: var(--radius);
  color: var(--mute);
  font-weight: 500;
  text-decoration: none;
}
.works .badge {
  padding: 0 6px;
  border-radius: 8px;
  background: #f0c462;
  color: var(--ink);
  font-size: 11px;
  line-height: 16px;
}
.works a:hover {
  background: var(--paper-deep);
  color: var(--ink);
}
.works a.on {
  background: var(--ink);
  color: var(--white);
}
.end {
  display: flex;
  align-items: center;
  gap: 4px;
  min-width: 0;
}
.people {
  display: flex;
  align-items: center;
  gap: 4px;
  margin-inline-end: 6px;
  font-size: 12px;
}
.publish {
  flex: none;
  display: grid;
  place-items: center;
  min-height: 30px;
  margin-inline-start: 10px;
  padding: 0 14px;
  border-radius: var(--radius);
  background: var(--persimmon);
  color: var(--white);
  font-weight: 600;
  text-decoration: none;
}
.publish:hover {
  background: #a23a16;
}
@media (max-width: 900px) {
  .bar {
    flex-wrap: wrap;
    gap: 2px 6px;
    padding: 6px 8px;
  }
  .mark span,
  .people {
    display: none;
  }
  .works {
    order: 1;
    margin: 0;
  }
  .works a {
    padding: 0 9px;
  }
  .end {
    margin-inline-start: auto;
  }
}
</style>
