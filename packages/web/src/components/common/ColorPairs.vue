<script setup lang="ts">
import { nextTick, onMounted, ref, watch } from 'vue';
import { useAppearance } from '../../stores/appearance.ts';
import { contrast } from '../../theme/contrast.ts';
import { markPairs, textPairs } from '../../theme/pairs.ts';

/** Every pair of colours that the editor uses, with its contrast in the current theme. */
const appearance = useAppearance();
const tokens = ref<Record<string, string>>({});

/** Colours as they are in the theme that holds now, `#rrggbb`. */
async function look(): Promise<void> {
  await nextTick();
  const probe = document.createElement('i');
  document.body.append(probe);
  const names = new Set([...textPairs, ...markPairs].flatMap(({ text, ground }) => [text, ground]));
  tokens.value = Object.fromEntries(
    [...names].map((name) => {
      probe.style.color = `var(--${name})`;
      const channels = getComputedStyle(probe).color.match(/\d+/g)?.slice(0, 3) ?? [];
      return [name, `#${channels.map((channel) => Number(channel).toString(16).padStart(2, '0')).join('')}`];
    }),
  );
  probe.remove();
}
onMounted(look);
watch(() => appearance.isDark, look, { flush: 'post' });

function ratio(text: string, ground: string): string {
  const a = tokens.value[text];
  const b = tokens.value[ground];
  return a === undefined || b === undefined ? '' : `${contrast(a, b).toFixed(1)} : 1`;
}
</script>

<template>
  <div class="pairs">
    <p
      v-for="pair in textPairs"
      :key="pair.text + pair.ground + pair.use"
      :style="{ color: `var(--${pair.text})`, background: `var(--${pair.ground})` }"
      data-pair
    >
      <span>{{ pair.text }} on {{ pair.ground }}: {{ pair.use }}</span>
      <span class="number">{{ ratio(pair.text, pair.ground) }}</span>
    </p>
    <p v-for="pair in markPairs" :key="pair.text + pair.ground" class="mark">
      <i :style="{ borderColor: `var(--${pair.text})`, background: `var(--${pair.ground})` }" />
      <span>{{ pair.text }} on {{ pair.ground }}: {{ pair.use }}</span>
      <span class="number">{{ ratio(pair.text, pair.ground) }}</span>
    </p>
  </div>
</template>

<style scoped>
.pairs {
  display: grid;
  gap: 2px;
}
.pairs p {
  display: flex;
  justify-content: space-between;
  padding: 3px 10px;
  border-radius: 4px;
}
.pairs .mark {
  justify-content: start;
  gap: 10px;
}
.mark i {
  width: 28px;
  height: 18px;
  border: 2px solid;
  border-radius: 4px;
}
.mark .number {
  margin-inline-start: auto;
}
</style>
