import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import {
  inMode,
  renderPage,
  starterByKey,
  starterKeys,
  withSource,
  type FrameSource,
  type ResolvedMenu,
  type SiteDocument,
} from '@zorvik/core';
import { routes } from '@zorvik/contract';
import { ask, problemOf } from '../api/client.ts';
import type { PictureSign } from '../live/frameMessages.ts';
import { useEditions } from './editions.ts';
import { useFit } from './fit.ts';
import { useFrame } from './frame.ts';
import { useNotices } from './notices.ts';
import { pageChoices, pageOf } from './pageChoices.ts';
import { useWorkingCopy } from './workingCopy.ts';

/** What the working copy is compared with: an edition, or the looks of a starter. */
export type ComparedWith =
  { readonly kind: 'edition'; readonly number: number } | { readonly kind: 'starter'; readonly key: string };

/** So many editions are offered, the latest first. */
const MOST_EDITIONS = 20;

/** Another state of the page, beside the working copy. */
export const useComparing = defineStore('comparing', () => {
  const copy = useWorkingCopy();
  const frame = useFrame();
  const fit = useFit();
  const editions = useEditions();
  const notices = useNotices();
  const other = shallowRef<ComparedWith | null>(null);
  const loaded = shallowRef<{
    readonly number: number;
    readonly menus: ReadonlyMap<string, ResolvedMenu>;
    readonly source: FrameSource;
  } | null>(null);
  /** How far both pictures are scrolled, in px. */
  const top = ref(0);

  const choices = computed(() => {
    const { site } = copy.document ?? {};
    if (site === undefined) return [];
    return [
      ...editions.editions.slice(0, MOST_EDITIONS).map(({ number, note }) => ({
        value: `edition ${number}`,
        label: note === '' ? `Edition ${number}` : `Edition ${number}: ${note}`,
        of: { kind: 'edition', number } as const,
      })),
      ...[...starterKeys, ...Object.keys(site.ownStarters ?? {})].flatMap((key) => {
        const starter = starterByKey(site, key);
        return starter === null
          ? []
          : [
              {
                value: `starter ${key}`,
                label: `Looks of “${starter.name}”`,
                of: { kind: 'starter', key } as const,
              },
            ];
      }),
    ];
  });
  const name = computed(() => {
    const { value } = other;
    if (value === null) return '';
    if (value.kind === 'edition') return `Edition ${value.number}`;
    return copy.document === null
      ? ''
      : `Looks of “${starterByKey(copy.document.site, value.key)?.name ?? value.key}”`;
  });

  async function choose(next: ComparedWith | null): Promise<void> {
    loaded.value = null;
    other.value = next;
    if (next?.kind !== 'edition' || copy.siteKey === null) return;
    const answer = await ask(routes.readEdition, { params: { siteKey: copy.siteKey, number: next.number } });
    if (other.value !== next) return;
    if (answer.kind !== 'reply' || answer.value.source === null) {
      other.value = null;
      notices.say(
        answer.kind === 'reply'
          ? `Edition ${next.number} was published before its frame was kept. Choose a later one.`
          : problemOf(answer),
      );
      return;
    }
    const { menus, source } = answer.value;
    loaded.value = { number: next.number, menus: new Map(menus.map((menu) => [menu.key, menu])), source };
  }

  /** The other state, and its menus where they are not those of its document. */
  const shown = computed(
    (): {
      readonly document: SiteDocument;
      readonly menus: ReadonlyMap<string, ResolvedMenu> | null;
    } | null => {
      const { document } = copy;
      const { value } = other;
      if (document === null || value === null) return null;
      if (value.kind === 'starter')
        return {
          document: inMode(
            { ...document, site: { ...document.site, starter: value.key, areaStarters: {} } },
            fit.mode,
          ),
          menus: null,
        };
      return loaded.value === null
        ? null
        : { document: withSource(document, loaded.value.source), menus: loaded.value.menus };
    },
  );

  /** What each entry of a page says, and where it leads, by its item. */
  function entriesOf(
    document: SiteDocument,
    menus: ReadonlyMap<string, ResolvedMenu> | null,
  ): Map<string, string> {
    const { header, side, footer } = renderPage(document, frame.situation, {
      ...pageChoices(document.site),
      ...(menus === null ? {} : { menus }),
      isComposed: true,
    });
    return new Map(
      [...pageOf(header + side + footer).querySelectorAll('[data-zv-item]')].map((one) => {
        const face = one.querySelector(':scope>:is(a,span,button)');
        return [
          one.getAttribute('data-zv-item') ?? '',
          `${face?.textContent ?? ''} → ${face?.getAttribute('href') ?? 'no link'}`,
        ];
      }),
    );
  }
  const entries = computed(() => {
    if (copy.document === null || shown.value === null) return null;
    return { now: entriesOf(copy.document, null), then: entriesOf(shown.value.document, shown.value.menus) };
  });
  /** Entries that differ, in the picture of the working copy and in the other one. */
  const signs = computed(
    (): { readonly main: readonly PictureSign[]; readonly other: readonly PictureSign[] } => {
      if (entries.value === null) return { main: [], other: [] };
      const { now, then } = entries.value;
      const sign = (item: string, text: string): PictureSign => ({ part: null, item, text });
      return {
        main: [...now].flatMap(([item, words]) => {
          const was = then.get(item);
          return was === words
            ? []
            : [sign(item, was === undefined ? `Not in ${name.value}` : `${name.value}: ${was}`)];
        }),
        other: [...then].flatMap(([item, words]) => {
          const is = now.get(item);
          return is === words
            ? []
            : [sign(item, is === undefined ? 'Not in the working copy' : `Working copy: ${is}`)];
        }),
      };
    },
  );
  /** How many entries differ. */
  const count = computed(
    () => new Set([...signs.value.main, ...signs.value.other].map(({ item }) => item)).size,
  );

  watch(
    () => copy.siteKey,
    () => void choose(null),
  );
  return { other, choices, name, choose, shown, signs, count, top };
});
