<script setup lang="ts">
import { mdiKeyboardOutline, mdiRedo, mdiUndo } from '@mdi/js';
import { computed } from 'vue';
import { counted, refusal } from '@zorvik/core';
import { workspaces } from '../../router.ts';
import { terms } from '../../shortcuts/terms.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import IconButton from '../common/IconButton.vue';
import { useDrift } from '../../stores/drift.ts';
import { usePeople } from '../../stores/people.ts';
import AppearanceMenu from './AppearanceMenu.vue';
import AppMark from './AppMark.vue';
import MenuSwitcher from './MenuSwitcher.vue';
import NamePrompt from './NamePrompt.vue';
import PersonTag from './PersonTag.vue';
import { useSession } from '../../stores/session.ts';
import SavingState from './SavingState.vue';

/** What a workspace is about, where its name does not say it. */
const about: Readonly<Record<string, string>> = { drift: terms.drift, editions: terms.edition };
defineProps<{ siteKey: string | null }>();
const emit = defineEmits<{ showKeys: [] }>();
const copy = useWorkingCopy();
const people = usePeople();
const session = useSession();
/** Who is here, too, where nobody has asked for a name yet. */
const newcomer = computed(() =>
  session.name === '' && !session.wasAsked ? (people.others[0]?.name ?? null) : null,
);
const drift = useDrift();
const noUndo = computed(() => (copy.canUndo ? null : refusal('nothingToUndo').message));
const noRedo = computed(() => (copy.canRedo ? null : refusal('nothingToRedo').message));
</script>

<template>
  <header class="bar">
    <router-link class="mark" :to="{ name: 'sites' }" aria-label="Zorvik: all sites">
      <AppMark />
      <span>Zorvik</span>
    </router-link>
    <template v-if="siteKey !== null && copy.document !== null">
      <MenuSwitcher :site-key="siteKey" />
      <nav class="works" aria-label="Workspaces">
        <router-link
          v-for="work in workspaces"
          :key="work.name"
          :to="{ name: work.name, params: { siteKey } }"
          :class="{ on: $route.name === work.name }"
          :title="about[work.name]"
        >
          {{ work.label }}
          <b
            v-if="work.name === 'drift' && drift.total > 0"
            class="badge number"
            :aria-label="counted(drift.total, '# difference in all menus', '# differences in all menus')"
          >
            {{ drift.total }}
          </b>
        </router-link>
      </nav>
      <div class="end">
        <span
          v-if="people.others.length > 0"
          class="people"
          :aria-label="`Also here: ${people.others.map(({ name }) => name).join(', ')}`"
        >
          <PersonTag v-for="person in people.others.slice(0, 2)" :key="person.session" :person="person" />
          <span v-if="people.others.length > 2" class="mute number">
            and {{ people.others.length - 2 }} more
          </span>
        </span>
        <IconButton
          class="back"
          label="Undo"
          :icon="mdiUndo"
          keys="Ctrl Z"
          :reason="noUndo"
          @press="copy.undo()"
        />
        <IconButton
          class="back"
          label="Redo"
          :icon="mdiRedo"
          keys="Ctrl Shift Z"
          :reason="noRedo"
          @press="copy.redo()"
        />
        <AppearanceMenu />
        <IconButton
          class="keys"
          label="Keyboard shortcuts"
          :icon="mdiKeyboardOutline"
          keys="?"
          @press="emit('showKeys')"
        />
        <SavingState />
        <router-link class="publish" :to="{ name: 'editions', params: { siteKey } }">Publish</router-link>
      </div>
      <NamePrompt v-if="newcomer !== null" :other="newcomer" />
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
  font-size: 0.9375rem;
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
  min-height: 2.875rem;
  padding: 0 12px;
  color: var(--mute);
  font-weight: 500;
  text-decoration: none;
}
.works .badge {
  padding: 0 6px;
  border-radius: 8px;
  background: var(--ochre-tint);
  color: var(--ochre);
  font-size: 0.6875rem;
  line-height: 1rem;
}
.works a:hover {
  background: var(--paper-deep);
  color: var(--ink);
}
/* Where one is: a bar along the edge, as in the mark. */
.works a.on {
  color: var(--ink);
  box-shadow: inset 0 -3px var(--accent);
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
  font-size: 0.75rem;
}
.publish {
  flex: none;
  display: grid;
  place-items: center;
  min-height: 30px;
  margin-inline-start: 10px;
  padding: 0 14px;
  border-radius: var(--radius);
  background: var(--accent-fill);
  color: var(--on-fill);
  font-weight: 600;
  text-decoration: none;
}
.publish:hover {
  background: var(--accent-fill-hover);
}
@media (max-width: 1060px) {
  .bar {
    gap: 6px;
    padding: 0 8px;
  }
  .mark span,
  .people {
    display: none;
  }
  .works a {
    padding: 0 7px;
  }
  .publish {
    margin-inline-start: 4px;
    padding-inline: 10px;
  }
}
@media (max-width: 940px) {
  .bar {
    gap: 3px;
  }
  .works a {
    padding: 0 5px;
    font-size: 0.8125rem;
  }
  .keys {
    display: none;
  }
}
/* On a phone and in a narrow window: the menu and its state, and below them the workspaces. */
@media (max-width: 760px) {
  .bar {
    flex-wrap: wrap;
  }
  .end {
    display: contents;
  }
  /* All in one row, so that nothing moves when the number of findings arrives. */
  .works {
    order: 3;
    margin: 0;
  }
  .works a {
    gap: 3px;
    padding: 0 6px;
  }
  .back {
    order: 4;
  }
  .keys {
    display: none;
  }
}
@media (max-width: 400px) {
  .works a {
    padding: 0 2px;
    font-size: 0.75rem;
  }
  .works .badge {
    padding: 0 4px;
  }
}
</style>
