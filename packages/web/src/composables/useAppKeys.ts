import { onScopeDispose, ref, type Ref } from 'vue';
import { useRoute } from 'vue-router';
import { shortcutFor } from '../shortcuts/shortcuts.ts';
import { useArrange } from '../stores/arrange.ts';
import { useFinder } from '../stores/finder.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';

/** The keys that work anywhere in the application. Gives whether the list of keys is open. */
export function useAppKeys(): Ref<boolean> {
  const copy = useWorkingCopy();
  const arrange = useArrange();
  const finder = useFinder();
  const route = useRoute();
  const isKeyListOpen = ref(false);

  function listen(event: KeyboardEvent): void {
    if (event.defaultPrevented || event.isComposing) return;
    const name = shortcutFor(event, 'anywhere');
    if (name === null) return;
    // Elsewhere, the browser finds what is on the page.
    if (name === 'findItems' && (route.name !== 'arrange' || isDialogOpen())) return;
    if (name !== 'findItems' && isTyping(event.target)) return;
    if (name === 'undo') copy.undo();
    else if (name === 'redo') copy.redo();
    else if (name === 'findPages') findPages();
    else if (name === 'findItems') arrange.find();
    else isKeyListOpen.value = true;
    event.preventDefault();
  }

  /** In Arrange the finder comes in; Pages has a field of its own for it. */
  function findPages(): void {
    if (route.name === 'arrange') finder.open();
    else document.querySelector<HTMLInputElement>('main input[type=search]')?.focus();
  }

  window.addEventListener('keydown', listen);
  onScopeDispose(() => window.removeEventListener('keydown', listen));
  return isKeyListOpen;
}

/** Whether something modal lies over the work. */
function isDialogOpen(): boolean {
  return document.querySelector('dialog[open], [role=dialog][aria-modal=true]') !== null;
}

/** Whether keys go into a text at the moment. */
function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || /^(?:INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) &&
    target.getAttribute('type') !== 'range'
  );
}
