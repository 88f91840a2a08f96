<script setup lang="ts">
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import { useNotices } from '../../stores/notices.ts';
import { useSites } from '../../stores/sites.ts';

/** Deletes the site once its name has been typed. */
const props = defineProps<{ siteKey: string; name: string }>();
const sites = useSites();
const notices = useNotices();
const router = useRouter();
const isAsked = ref(false);
const typed = ref('');
const problem = ref<string | null>(null);

async function remove(): Promise<void> {
  const answer = await sites.remove(props.siteKey, typed.value);
  if ('problem' in answer) return void (problem.value = answer.problem);
  await router.push({ name: 'sites' });
  notices.say(`Deleted ${props.name}. It can be restored for a day.`);
}
</script>

<template>
  <section class="delete" aria-labelledby="delete-site">
    <h2 id="delete-site">Delete this site</h2>
    <p class="mute">
      This deletes its pages, menus and editions, and its visitors no longer get any navigation. You can
      restore it within a day.
    </p>
    <button v-if="!isAsked" type="button" class="plain-button" @click="isAsked = true">
      Delete the site …
    </button>
    <div v-else class="ask">
      <label for="delete-name">Type “{{ name }}” to delete it</label>
      <input
        id="delete-name"
        v-model="typed"
        class="plain-field"
        type="text"
        autocomplete="off"
        :aria-invalid="problem !== null"
        aria-describedby="delete-problem"
        @keydown.enter.prevent="remove"
      />
      <button type="button" class="plain-button danger" :disabled="typed.trim() !== name" @click="remove">
        Delete {{ name }}
      </button>
      <p id="delete-problem" class="problem small" role="alert">{{ problem }}</p>
    </div>
  </section>
</template>

<style scoped>
.delete {
  display: grid;
  gap: 6px;
  justify-items: start;
  padding-top: 14px;
  border-top: 1px solid var(--line);
}
h2 {
  font-size: 0.875rem;
}
p {
  margin: 0;
}
.ask {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.ask input {
  width: 220px;
}
.danger:not(:disabled) {
  border-color: var(--brick);
  color: var(--brick);
}
.problem:empty {
  display: none;
}
</style>
