<script setup lang="ts">
import { onMounted } from 'vue';
import { useRouter } from 'vue-router';
import { useSites } from '../stores/sites.ts';

/** Leads to where the work is: the one site there is, or the list of sites. */
const sites = useSites();
const router = useRouter();

onMounted(async () => {
  await sites.load();
  const [only] = sites.sites;
  if (sites.sites.length === 1 && only !== undefined) await router.replace({ name: 'arrange', params: { siteKey: only.key } });
  else await router.replace({ name: 'sites' });
});
</script>

<template>
  <p class="only-heard">Opening …</p>
</template>
