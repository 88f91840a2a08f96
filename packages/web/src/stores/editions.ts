import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import {
  changeInWords,
  compareMenus,
  resolvedMenus,
  type ResolvedMenu,
  type SiteDocument,
} from '@zorvik/core';
import { routes, type EditionSummary } from '@zorvik/contract';
import { ask, problemOf } from '../api/client.ts';
import { useNotices } from './notices.ts';
import { useSession } from './session.ts';
import { useWorkingCopy } from './workingCopy.ts';

/** What changed in one menu since the current edition, in plain words. */
export interface MenuDifference {
  readonly key: string;
  readonly name: string;
  readonly sentences: readonly string[];
}

const SETTLING = 250;

/** The editions of the open site, and how the working copy differs from the current one. */
export const useEditions = defineStore('editions', () => {
  const copy = useWorkingCopy();
  const session = useSession();
  const notices = useNotices();
  const editions = shallowRef<readonly EditionSummary[]>([]);
  const published = shallowRef<readonly ResolvedMenu[] | null>(null);
  const differences = shallowRef<readonly MenuDifference[]>([]);
  const isPublishing = ref(false);
  const count = computed(() => differences.value.reduce((sum, { sentences }) => sum + sentences.length, 0));
  let timer: ReturnType<typeof setTimeout> | undefined;

  async function loadCurrent(): Promise<void> {
    const { siteKey, edition } = copy;
    if (siteKey === null || edition === null) {
      published.value = edition === null ? [] : null;
      return compare();
    }
    const answer = await ask(routes.readEdition, { params: { siteKey, number: edition.number } });
    if (answer.kind === 'reply' && siteKey === copy.siteKey) published.value = answer.value.menus;
    compare();
  }

  async function loadList(): Promise<void> {
    if (copy.siteKey === null) return;
    const answer = await ask(routes.listEditions, { params: { siteKey: copy.siteKey } });
    if (answer.kind === 'reply') editions.value = answer.value.editions;
  }

  function compare(): void {
    const { document } = copy;
    differences.value =
      document === null || published.value === null ? [] : differencesOf(document, published.value);
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
      timer = setTimeout(compare, SETTLING);
    },
  );

  return { editions, differences, count, isPublishing, loadList, publish, compare };
});

function differencesOf(document: SiteDocument, published: readonly ResolvedMenu[]): MenuDifference[] {
  const now = resolvedMenus(document, new Intl.Collator(document.site.language, { numeric: true }).compare);
  const present = now.map(({ menu }): MenuDifference => {
    const before = published.find(({ key }) => key === menu.key) ?? null;
    const sentences = compareMenus(before, menu).map(changeInWords);
    return {
      key: menu.key,
      name: menu.name,
      sentences: before === null ? ['New menu', ...sentences] : sentences,
    };
  });
  const gone = published
    .filter(({ key }) => !now.some(({ menu }) => menu.key === key))
    .map(({ key, name }): MenuDifference => ({ key, name, sentences: ['Menu deleted'] }));
  return [...present, ...gone].filter(({ sentences }) => sentences.length > 0);
}
