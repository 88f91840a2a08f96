<script setup lang="ts">
import { onMounted } from 'vue';
import { useRouter } from 'vue-router';
import { useSites } from '../stores/sites.ts';

/**
 * Leads to where the work is: the one site there is, or the list of sites. Who comes back sees first what
 * changed at the site meanwhile.
 */
const BEEN_AT = 'zorvik-been-at';
const sites = useSites();
const router = useRouter();

onMounted(async () => {
  await sites.load();
  const [only] = sites.sites;
  if (sites.sites.length !== 1 || only === undefined) return void (await router.replace({ name: 'sites' }));
  const { key: siteKey } = only;
  await router.replace({
    name: localStorage.getItem(BEEN_AT) === siteKey ? 'drift' : 'arrange',
    params: { siteKey },
  });
  localStorage.setItem(BEEN_AT, siteKey);
});
</script>

<template>
  <p class="only-heard">Loading …</p>
</template>
