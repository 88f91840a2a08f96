import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { faceOf, itemsOf, labelOf, nodeAt, refusal, type Id } from '@zorvik/core';
import { useDetails } from './details.ts';
import { useNotices } from './notices.ts';
import { useSelection } from './selection.ts';
import { useWorkingCopy } from './workingCopy.ts';

export type ArrangeForm = 'spread' | 'outline';
/** What may lie over or beside the work. */
export type ArrangeSheet = 'planPage' | 'bringIn' | 'menuFacts' | 'sharedLinks' | 'follow';
const FORM = 'zorvik-arrange-form';

/** How Arrange shows the menu, and what of it is called at the moment. */
export const useArrange = defineStore('arrange', () => {
  const copy = useWorkingCopy();
  const selection = useSelection();
  const details = useDetails();
  const notices = useNotices();
  const form = ref<ArrangeForm>(localStorage.getItem(FORM) === 'outline' ? 'outline' : 'spread');
  const sheet = ref<ArrangeSheet | null>(null);
  /** Items of the menu are being looked for; each call leads to the field again. */
  const isFinding = ref(false);
  const findCalls = ref(0);
  function find(): void {
    isFinding.value = true;
    findCalls.value += 1;
  }
  /** The menu that is shown beside, by its id. */
  const besideId = ref<Id | null>(null);
  const beside = computed(
    () => selection.menus.find(({ id }) => id === besideId.value && id !== selection.menu?.id) ?? null,
  );

  function setForm(next: ArrangeForm): void {
    form.value = next;
    localStorage.setItem(FORM, next);
    notices.say(next === 'spread' ? 'Menu as columns' : 'Menu as a list');
  }

  function switchForm(): void {
    setForm(form.value === 'spread' ? 'outline' : 'spread');
  }

  function ask(what: ArrangeSheet | 'target' | 'more' | 'beside'): void {
    if (what === 'target') askTarget();
    else if (what === 'more') details.toggleMore();
    else if (what === 'beside')
      besideId.value =
        beside.value === null
          ? (selection.menus.find(({ id }) => id !== selection.menu?.id)?.id ?? null)
          : null;
    else sheet.value = sheet.value === what ? null : what;
    if (what === 'follow') followerId.value = selection.item?.id ?? selection.menu?.id ?? null;
  }

  function askTarget(): void {
    const { item } = selection;
    const { document } = copy;
    if (item?.exception === undefined || document === null) {
      details.isAskingTarget = item !== null;
      details.isSheetOpen = true;
      if (details.view !== 'item') details.view = 'item';
      return;
    }
    notices.refuse(refusal('isFollowed', { label: labelOf(document, item) }).message);
  }

  /** The item, or the menu, that is to follow something. */
  const followerId = ref<Id | null>(null);
  function letFollow(id: Id): void {
    sheet.value = 'follow';
    followerId.value = id;
  }

  /** Items that lead to what is not yet decided, in the order of the menu. */
  const undecided = computed((): readonly Id[] => {
    const { document } = copy;
    if (document === null || selection.menu === null) return [];
    return [...itemsOf(document, selection.menu.id)].filter(
      (id) => faceOf(document, nodeAt(document.items, id)).destination.kind === 'undecided',
    );
  });

  /** Selects the next undecided item after the selected one, and asks where it leads. */
  function goToUndecided(): void {
    const { document } = copy;
    if (document === null || selection.menu === null) return;
    const all = [...itemsOf(document, selection.menu.id)];
    const from = selection.item === null ? -1 : all.indexOf(selection.item.id);
    const open = new Set(undecided.value);
    const next = [...all.slice(from + 1), ...all.slice(0, from + 1)].find((id) => open.has(id));
    if (next === undefined) return notices.say('Every item in this menu has a link');
    selection.select(next);
    details.isAskingTarget = true;
  }

  const wantedMenu = ref<string | null>(null);
  /** Asks for the menu before or after the one shown; the router goes there. */
  function goToMenu(step: 1 | -1): void {
    const at = selection.menus.findIndex(({ id }) => id === selection.menu?.id);
    const next = selection.menus[(at + step + selection.menus.length) % Math.max(1, selection.menus.length)];
    wantedMenu.value = next?.key ?? null;
  }

  return {
    followerId,
    letFollow,
    form,
    isFinding,
    findCalls,
    find,
    sheet,
    beside,
    besideId,
    undecided,
    wantedMenu,
    setForm,
    switchForm,
    ask,
    goToUndecided,
    goToMenu,
  };
});
