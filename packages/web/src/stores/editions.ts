import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { routes, type EditionSummary } from '@zorvik/contract';
import { delivered } from '../api/delivered.ts';
import { ask, problemOf } from '../api/client.ts';
import type { MenuDifference, Published } from './differencesOf.ts';
import { useNotices } from './notices.ts';
import { useSession } from './session.ts';
import { useWorkingCopy } from './workingCopy.ts';

const SETTLING = 250;
/** Editions from before their frame was kept for comparing. */
const UNLISTED = 'The frame may have changed; this edition is too old to tell';

/** The editions of the open site, and how the working copy differs from the current one. */
export const useEditions = defineStore('editions', () => {
  const copy = useWorkingCopy();
  const session = useSession();
  const notices = useNotices();
  const editions = shallowRef<readonly EditionSummary[]>([]);
  const published = shallowRef<Published | null>(null);
  const differences = shallowRef<readonly MenuDifference[]>([]);
  const isPublishing = ref(false);
  const count = computed(() => differences.value.reduce((sum, { sentences }) => sum + sentences.length, 0));
  let timer: ReturnType<typeof setTimeout> | undefined;

  async function loadCurrent(): Promise<void> {
    const { siteKey, edition } = copy;
    if (siteKey === null || edition === null) {
      published.value = edition === null ? { menus: [], source: null } : null;
      return compare();
    }
    const answer = await ask(routes.readEdition, { params: { siteKey, number: edition.number } });
    if (answer.kind === 'reply' && siteKey === copy.siteKey) published.value = answer.value;
    await compare();
  }

  async function loadList(): Promise<void> {
    if (copy.siteKey === null) return;
    const answer = await ask(routes.listEditions, { params: { siteKey: copy.siteKey } });
    if (answer.kind === 'reply') editions.value = answer.value.editions;
  }

  /** What compares is loaded by itself: nobody waits for it who has just come to work. */
  async function compare(): Promise<void> {
    const { differencesOf } = await import('./differencesOf.ts');
    const { document } = copy;
    const isLater = copy.edition !== null && copy.revision > copy.edition.revision;
    differences.value =
      document === null || published.value === null
        ? []
        : differencesOf(document, published.value, isLater ? [UNLISTED] : []);
  }

  async function publish(note: string): Promise<boolean> {
    isPublishing.value = true;
    const isDone = await publishKept(note);
    isPublishing.value = false;
    if (isDone) await loadList();
    return isDone;
  }

  /** Publishes what is kept. The caller sees to it that nothing is on its way. */
  async function publishKept(note: string): Promise<boolean> {
    const { siteKey, revision } = copy;
    if (siteKey === null) return false;
    const body = { note, revision, name: session.shownName };
    const answer = await ask(routes.publish, { params: { siteKey }, body });
    if (answer.kind === 'reply') {
      copy.edition = answer.value;
      notices.say(`Published edition ${answer.value.number}`);
      return true;
    }
    notices.refuse(problemOf(answer, 'nothing was published'));
    if (answer.kind === 'refused' && answer.refusal.code === 'staleView') await copy.catchUp();
    return false;
  }

  watch(
    () => [copy.siteKey, copy.edition] as const,
    () => void loadCurrent(),
    { immediate: true },
  );
  watch(
    () => copy.document,
    () => {
      clearTimeout(timer);
      timer = setTimeout(() => void compare(), SETTLING);
    },
  );

  /** What the current edition delivers at a path, as text; null: nothing, or nobody answers. */
  const deliveredAt = async (path: string): Promise<string | null> =>
    copy.siteKey === null ? null : delivered(copy.siteKey, path);

  return { editions, differences, count, isPublishing, loadList, publish, compare, deliveredAt };
});
