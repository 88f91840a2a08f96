import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import {
  addFont,
  addFontFiles,
  addToken,
  LONGEST_TOKEN_NAME,
  setFontDisplay,
  type FontClass,
  type FontFile,
  paletteOf,
  removeToken,
  renameToken,
  setDarkToken,
  setToken,
  usesOfToken,
  type CommandContext,
  type Edit,
  type PaletteEntry,
  type Result,
  type TokenKind,
} from '@zorvik/core';
import { ownFile, sendFont } from '../api/sendFont.ts';
import { useWorkingCopy } from './workingCopy.ts';

const RECENT = 'zorvik-recent-colours';
const MOST_RECENT = 12;

/** Everything that has a name on the site: its colours, fonts and lengths, and the colours that were picked last. */
export const usePalette = defineStore('palette', () => {
  const copy = useWorkingCopy();
  const all = computed(() => (copy.document === null ? new Map<never, never>() : paletteOf(copy.document)));
  const entries = computed((): readonly PaletteEntry[] => [...all.value.values()]);
  const recent = ref<readonly string[]>(readRecent());

  function entriesOf(of: TokenKind): readonly PaletteEntry[] {
    return entries.value.filter((one) => one.of === of);
  }

  function uses(key: string): number {
    return copy.document === null ? 0 : usesOfToken(copy.document, key);
  }

  /** Does it, or says why not. */
  function attempt(make: (context: CommandContext) => Result<Edit>, group?: string): string | null {
    const done = copy.attempt(make);
    if (!done.ok) return done.refusal.code === 'changesNothing' ? null : done.refusal.message;
    copy.perform(make, group);
    return null;
  }
  const set = ({ key, of }: PaletteEntry, value: string | null): string | null =>
    attempt((context) => setToken(context, { key, of }, value), `token ${key}`);
  const setInDark = ({ key, of }: PaletteEntry, value: string | null): string | null =>
    attempt((context) => setDarkToken(context, { key, of }, value), `token ${key} dark`);
  const rename = ({ key, of }: PaletteEntry, name: string): string | null =>
    attempt((context) => renameToken(context, { key, of }, name));
  const remove = ({ key, of }: PaletteEntry): void =>
    void copy.perform((context) => removeToken(context, { key, of }));
  const add = (of: TokenKind, name: string, value: string): string | null =>
    attempt((context) => addToken(context, of, { name, value }));

  /** Keeps a colour among those that were picked last. */
  function remember(value: string): void {
    if (!/^#[0-9a-f]{6}$/.test(value)) return;
    recent.value = [value, ...recent.value.filter((one) => one !== value)].slice(0, MOST_RECENT);
    localStorage.setItem(RECENT, JSON.stringify(recent.value));
  }

  /** Sends font files and gives them to a font: a new one by this name, or one that is there. */
  async function sendFonts(
    to: { readonly name: string } | { readonly key: string },
    files: readonly { readonly blob: Blob; readonly range?: string }[],
  ): Promise<string | null> {
    const sent: FontFile[] = [];
    let looksLike: FontClass = 'sans';
    for (const [at, { blob, range }] of files.entries()) {
      const done = await sendFont(copy.siteKey ?? '', blob);
      if (!done.ok) return done.refusal.message;
      sent.push({ ...done.value.font, ...(range === undefined ? {} : { range }) });
      if (at === 0) ({ looksLike } = done.value);
    }
    const name = 'name' in to ? to.name || (sent[0]?.family ?? '') : '';
    return attempt((context) =>
      'key' in to
        ? addFontFiles(context, to.key, sent)
        : addFont(context, name.slice(0, LONGEST_TOKEN_NAME), { files: sent, looksLike }),
    );
  }
  /** Adds a font that comes with the editor. */
  async function addShipped(
    name: string,
    files: readonly { readonly url: string; readonly range: string }[],
  ) {
    const blobs = await Promise.all(
      files.map(async ({ url, range }) => ({ blob: await ownFile(url), range })),
    );
    return sendFonts({ name }, blobs);
  }
  const showAtOnce = ({ key }: PaletteEntry, is: boolean): string | null =>
    attempt((context) => setFontDisplay(context, key, is ? 'swap' : null));

  return {
    sendFonts,
    addShipped,
    showAtOnce,
    all,
    entriesOf,
    uses,
    set,
    setInDark,
    rename,
    remove,
    add,
    recent,
    remember,
  };
});

function readRecent(): string[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(RECENT) ?? '[]');
    return Array.isArray(kept)
      ? kept.filter((one): one is string => typeof one === 'string' && /^#[0-9a-f]{6}$/.test(one))
      : [];
  } catch {
    return [];
  }
}
