<template>
  <!-- A bar with a branch hanging from it. -->
  <svg viewBox="0 0 22 20" width="22" height="20" aria-hidden="true">
    <path
      d="M2 3.5h18M11 3.5v8a3 3 0 0 0 3 3h2"
      fill="none"
      stroke="currentColor"
      stroke-width="2.6"
      stroke-linecap="round"
      stroke-linejoin="round"
    />
    <circle cx="18.2" cy="14.5" r="1.9" fill="currentColor" />
  </svg>
</template>

<style scoped>
svg {
  flex: none;
  color: var(--accent);
}
</style>
