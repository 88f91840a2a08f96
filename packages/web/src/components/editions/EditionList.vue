<script setup lang="ts">
import { momentOf } from '../../composables/momentOf.ts';
import { counted } from '@zorvik/core';
import { useEditions } from '../../stores/editions.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';

/** All editions, the latest first. */
const copy = useWorkingCopy();
const editions = useEditions();
</script>

<template>
  <ol v-if="editions.editions.length > 0">
    <li
      v-for="edition in editions.editions"
      :key="edition.number"
      :class="{ now: edition.number === copy.edition?.number }"
    >
      <strong class="number">{{ edition.number }}</strong>
      <span>
        <span class="what">{{ edition.note || 'No note' }}</span>
        <span class="mute">
          {{ momentOf(edition.at) }} · {{ edition.actor }} · {{ counted(edition.items, '# item', '# items') }}
        </span>
      </span>
      <span v-if="edition.number === copy.edition?.number" class="served">live</span>
    </li>
  </ol>
  <p v-else class="mute none">
    No editions yet. An edition is a numbered snapshot of all menus that visitors get.
  </p>
</template>

<style scoped>
.none {
  margin-block-end: 24px;
}
ol {
  margin: 0 0 24px;
  padding: 0;
  list-style: none;
}
ol li {
  display: flex;
  align-items: center;
  gap: 14px;
  min-height: 48px;
  border-bottom: 1px solid var(--line-soft);
}
ol strong {
  min-width: 24px;
  font-size: 1.0625rem;
  text-align: end;
}
ol li > span:nth-child(2) {
  flex: 1;
  display: grid;
  min-width: 0;
  overflow-wrap: anywhere;
}
ol .mute {
  font-size: 0.75rem;
}
.served {
  flex: none;
  padding: 1px 8px;
  border-radius: 9px;
  background: var(--moss-tint);
  color: var(--moss);
  font-size: 0.75rem;
}
</style>
