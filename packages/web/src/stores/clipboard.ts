import { defineStore } from 'pinia';
import { ref } from 'vue';
import {
  branchesOf,
  bringIn,
  panelsOf,
  pasteItems,
  planSketch,
  removeItems,
  sketchOf,
  topmost,
  type Edit,
  type Id,
  type Item,
  type Part,
  type Result,
  type Spot,
} from '@zorvik/core';
import { useNotices } from './notices.ts';
import { useSelection } from './selection.ts';
import { useWorkingCopy } from './workingCopy.ts';

/**
 * What was copied last, for all windows of this browser: with it, what is pasted keeps all it had. The text
 * alone is for everything else.
 */
interface Kept {
  readonly text: string;
  readonly site: Id;
  readonly branches: readonly (readonly Item[])[];
  /** The parts of their panels. */
  readonly panels?: readonly (readonly Part[])[];
}
/** With a number, so that nothing is pasted that was copied before settings changed. */
const KEPT = 'zorvik-copied-2';

/**
 * Copying, cutting and pasting items: within a menu, across menus and windows, and as text from and to any
 * other program.
 */
export const useClipboard = defineStore('clipboard', () => {
  const copy = useWorkingCopy();
  const selection = useSelection();
  const notices = useNotices();
  /**
   * The browser lets nobody write to this computer's clipboard: then only what was copied here can be pasted.
   */
  const isClosed = ref(false);

  /** The chosen branches as an outline of text; null when nothing is chosen. */
  async function copyChosen(): Promise<string | null> {
    const { document } = copy;
    const { chosen } = selection;
    if (document === null || chosen.length === 0) return null;
    const { outlineText } = await import('@zorvik/formats');
    const text = outlineText.write({
      name: '',
      sketches: sketchOf(document, topmost(document.items, chosen)),
    });
    const branches = branchesOf({ document }, chosen);
    const kept: Kept = { text, site: document.site.id, branches, panels: panelsOf({ document }, branches) };
    try {
      localStorage.setItem(KEPT, JSON.stringify(kept));
    } catch {
      // No room: then the text alone is what can be pasted.
      localStorage.removeItem(KEPT);
    }
    notices.say(chosen.length === 1 ? 'Copied the item' : `Copied ${chosen.length} items`);
    return text;
  }

  async function cutChosen(): Promise<string | null> {
    const text = await copyChosen();
    if (text !== null) copy.perform((context) => removeItems(context, selection.chosen));
    return text;
  }

  /**
   * What was copied here last comes back with all it had; any other text is read as an outline, a table, a
   * list, whatever it is.
   */
  async function paste(text: string, spot: Spot): Promise<Result<Edit> | null> {
    const { document } = copy;
    if (document === null) return null;
    const kept = readKept();
    if (kept !== null && kept.site === document.site.id && (isClosed.value || sameText(kept.text, text)))
      return copy.perform((context) => pasteItems(context, kept.branches, spot, kept.panels));
    return text.trim() === '' ? null : pasteText(text, spot);
  }

  /** Text as an outline, a table, a list, whatever it is written in. */
  async function pasteText(text: string, spot: Spot): Promise<Result<Edit>> {
    const { readMenus } = await import('@zorvik/formats');
    const { found } = readMenus(text);
    if (!found.ok) {
      notices.refuse(found.refusal.message);
      return found;
    }
    const sketches = found.value.flatMap((one) => one.sketches);
    return copy.perform((context) =>
      bringIn(context, planSketch(context.document, sketches), spot, 'itemsPasted'),
    );
  }

  function readKept(): Kept | null {
    const kept = localStorage.getItem(KEPT);
    return kept === null ? null : (JSON.parse(kept) as Kept);
  }

  /** Puts a text on this computer's clipboard, for other programs. */
  async function writeText(text: string): Promise<void> {
    isClosed.value = await navigator.clipboard.writeText(text).then(
      () => false,
      () => true,
    );
  }

  /** For the button: keys have an event that brings the text. */
  async function readText(): Promise<string> {
    return navigator.clipboard.readText().catch(() => readKept()?.text ?? '');
  }

  return { copyChosen, cutChosen, paste, pasteText, writeText, readText };
});

/** Systems change line ends, and some programs the end of a text. */
function sameText(a: string, b: string): boolean {
  const plain = (text: string): string => text.replaceAll(/\r\n?/g, '\n').trimEnd();
  return plain(a) === plain(b);
}
