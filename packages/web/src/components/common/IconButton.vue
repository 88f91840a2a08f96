<script setup lang="ts">
/**
 * A button that shows only an icon: it cannot be made without a label. `reason` says why it cannot be pressed
 * now.
 */
const props = defineProps<{
  label: string;
  icon: string;
  keys?: string;
  reason?: string | null;
  pressed?: boolean;
}>();
const emit = defineEmits<{ press: [] }>();

// Not `disabled`: focus stays where it is, and the reason can be read.
function press(): void {
  if (!props.reason) emit('press');
}
</script>

<template>
  <button
    class="icon-button"
    type="button"
    :aria-label="label"
    :aria-disabled="reason ? true : undefined"
    :aria-pressed="pressed"
    :aria-description="reason ?? undefined"
    :title="reason ? `${label}: ${reason}` : keys ? `${label} (${keys})` : label"
    @click="press"
  >
    <svg viewBox="0 0 24 24" width="18" height="18" aria-hidden="true">
      <path :d="icon" fill="currentColor" />
    </svg>
  </button>
</template>

<style scoped>
.icon-button {
  display: inline-grid;
  place-items: center;
  width: 30px;
  height: 30px;
  border: 0;
  border-radius: var(--radius);
  background: none;
  color: var(--mute);
  cursor: pointer;
  flex: none;
}
.icon-button:hover {
  background: var(--paper-deep);
  color: var(--ink);
}
.icon-button:focus-visible {
  outline-offset: -2px;
}
.icon-button[aria-disabled='true'] {
  color: var(--faint);
  cursor: default;
  background: none;
}
</style>
