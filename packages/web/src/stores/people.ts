import { defineStore } from 'pinia';
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue';
import { kindOf, type Id, type LoggedEdit } from '@zorvik/core';
import { peopleKey, routes, type Person } from '@zorvik/contract';
import { ask } from '../api/client.ts';
import { tellLeaving } from '../api/tellLeaving.ts';
import { useConnection } from './connection.ts';
import { useSelection } from './selection.ts';
import { useSession } from './session.ts';
import { useWorkingCopy } from './workingCopy.ts';

/** How often a window says that it is still there, in ms; the server lets go of it after three times that. */
const BEAT = 20_000;
/** What is selected is told when it has been so for this long: not each row that one passes. */
const SETTLING = 400;
/** For how long it is shown that somebody changed something, in ms. */
const FRESH = 4000;

/** Who else is at this site, where they are, and what they have just changed. */
export const usePeople = defineStore('people', () => {
  const session = useSession();
  const connection = useConnection();
  const copy = useWorkingCopy();
  const selection = useSelection();
  const all = shallowRef<readonly Person[]>([]);
  /** Who just changed each item, by its id. */
  const changed = shallowRef<ReadonlyMap<Id, string>>(new Map());
  const others = computed(() => all.value.filter((person) => person.session !== session.id));
  const joined = ref<string | null>(null);
  let settling: ReturnType<typeof setTimeout> | undefined;

  const byItem = computed(() => {
    const map = new Map<Id, Person[]>();
    for (const person of others.value)
      if (person.item !== null) map.set(person.item, [...(map.get(person.item) ?? []), person]);
    return map;
  });
  const nobody: readonly Person[] = [];

  function me(): Person {
    return {
      session: session.id,
      name: session.shownName,
      menu: selection.menu?.id ?? null,
      item: selection.item?.id ?? null,
    };
  }

  async function say(): Promise<void> {
    const { siteKey } = copy;
    if (siteKey === null || copy.document === null) return;
    joined.value = siteKey;
    const answer = await ask(routes.tellPresence, {
      params: { siteKey },
      body: { ...me(), isLeaving: false, known: peopleKey(all.value) },
    });
    if (answer.kind === 'reply' && copy.siteKey === siteKey && answer.value.people !== null)
      all.value = answer.value.people;
  }

  /** Takes up who came or changed, and who left. */
  function take(here: readonly Person[], left: readonly Id[]): void {
    const gone = new Set([...left, ...here.map(({ session }) => session)]);
    all.value = [...all.value.filter(({ session }) => !gone.has(session)), ...here];
  }

  function leave(): void {
    if (joined.value !== null) tellLeaving(joined.value, { ...me(), isLeaving: true });
    joined.value = null;
    all.value = [];
  }

  function fresh(edits: readonly LoggedEdit[]): void {
    const marks = new Map(changed.value);
    for (const { operations, actor } of edits) {
      for (const operation of operations.slice(0, 200))
        for (const { id } of kindOf(operation).touches(operation).slice(0, 200)) marks.set(id, actor);
    }
    changed.value = marks;
    setTimeout(() => {
      const left = new Map(changed.value);
      for (const [id, actor] of marks) if (left.get(id) === actor) left.delete(id);
      changed.value = left;
    }, FRESH);
  }

  watch(
    () =>
      [copy.siteKey, copy.document === null, selection.menu?.id, selection.item?.id, session.name] as const,
    ([siteKey]) => {
      if (siteKey !== joined.value) leave();
      clearTimeout(settling);
      settling = setTimeout(() => void say(), SETTLING);
    },
    { immediate: true },
  );
  watch(() => copy.news, fresh);

  const beat = setInterval(() => void (document.visibilityState === 'visible' && say()), BEAT);
  window.addEventListener('pagehide', leave);
  const deafen = connection.hear((message) => {
    if (message.kind !== 'news') return;
    if (message.news.kind === 'people' && message.news.site === copy.siteKey)
      take(message.news.here, message.news.left);
    // The server was away: it has forgotten who is here.
    if (message.news.kind === 'missed') void say();
  });
  onScopeDispose(() => {
    clearInterval(beat);
    window.removeEventListener('pagehide', leave);
    deafen();
  });

  return { others, changed, at: (id: Id): readonly Person[] => byItem.value.get(id) ?? nobody };
});
