<script setup lang="ts">
import { useConnection } from '../../stores/connection.ts';

/**
 * Another tab, or the server, is of a newer version than this window. What was done here waits in the
 * browser; loading it again is safe.
 */
const connection = useConnection();
const loadAgain = (): void => window.location.reload();
</script>

<template>
  <p v-if="connection.isOutdated" class="outdated" role="alert">
    Zorvik was updated. Your changes are safe in this browser. Reload to continue.
    <button type="button" class="plain-button" @click="loadAgain">Reload</button>
  </p>
</template>

<style scoped>
.outdated {
  position: fixed;
  z-index: 25;
  inset-block-start: 46px;
  inset-inline: 0;
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 14px;
  padding: 8px 14px;
  background: var(--ochre-tint);
  color: var(--ochre);
}
</style>
