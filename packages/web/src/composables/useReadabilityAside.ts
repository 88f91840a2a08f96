import { onBeforeUnmount, onMounted } from 'vue';

/** While a view is open, what is hard to read is found out aside, once nothing has changed for a moment. */
export function useReadabilityAside(): void {
  let isOpen = true;
  let end: (() => void) | null = null;
  onMounted(async () => {
    const { useReadability } = await import('../stores/readability.ts');
    if (!isOpen) return;
    const readability = useReadability();
    readability.isAside = true;
    end = () => (readability.isAside = false);
  });
  onBeforeUnmount(() => {
    isOpen = false;
    end?.();
  });
}
