import {
  mdiAccountEditOutline,
  mdiCancel,
  mdiContrastCircle,
  mdiDevices,
  mdiFileClockOutline,
  mdiFormatTextVariantOutline,
  mdiHelpCircleOutline,
  mdiLinkOff,
  mdiLinkVariant,
  mdiNumeric2CircleOutline,
  mdiOpenInNew,
  mdiPinOutline,
  mdiPublishOff,
  mdiSync,
  mdiTuneVariant,
} from '@mdi/js';
import { computed } from 'vue';
import { exceptionWords, faceOf, menuOf, type Id, type Item } from '@zorvik/core';
import { usePeople } from '../stores/people.ts';
import { hardWords, useHardToRead } from '../stores/hardToRead.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';
import { pageUse } from './pageUse.ts';

/** A remark on an item: a sign with its words as the tooltip, so that it takes little room in the row. */
export interface Sign {
  readonly icon: string;
  readonly text: string;
  readonly tone: 'bad' | 'look' | 'good' | 'plain';
}

const byWeight = ['bad', 'look', 'good', 'plain'] as const;
const exceptionIcons: Readonly<Record<string, string>> = {
  hidden: mdiCancel,
  pinned: mdiPinOutline,
  'own label': mdiFormatTextVariantOutline,
};

/** What is remarkable about an item, the gravest first. */
export function useItemSigns(item: () => Item) {
  const copy = useWorkingCopy();
  const people = usePeople();
  const hardToRead = useHardToRead();

  /** The same page twice in a menu is allowed, and remarked quietly. */
  function isUsedTwice(page: Id): boolean {
    const { document } = copy;
    return (
      document !== null && (pageUse(document).get(page)?.get(menuOf(document, item().id).id)?.items ?? 0) > 1
    );
  }

  return computed((): readonly Sign[] => {
    const { document, stored } = copy;
    if (document === null || stored === null) return [];
    const { id, exception, follow, link } = item();
    const { destination, hiddenOn, heldBack, opensNewTab } = faceOf(document, item());
    const page = destination.kind === 'page' ? document.pages.nodes.get(destination.page) : undefined;
    const author = people.changed.get(id);
    const [hard] = hardToRead.byItem.get(id) ?? [];
    const found: (Sign | false)[] = [
      destination.kind === 'undecided' && { icon: mdiHelpCircleOutline, text: 'no link yet', tone: 'look' },
      page?.state === 'gone' && { icon: mdiLinkOff, text: 'page deleted', tone: 'bad' },
      page?.state === 'draft' && {
        icon: mdiFileClockOutline,
        text: page.planned === true ? 'planned' : 'draft',
        tone: 'look',
      },
      hard !== undefined && { icon: mdiContrastCircle, text: hardWords(hard).toLowerCase(), tone: 'bad' },
      heldBack === true && { icon: mdiPublishOff, text: 'unpublished', tone: 'look' },
      page !== undefined &&
        isUsedTwice(page.id) && { icon: mdiNumeric2CircleOutline, text: 'used twice', tone: 'plain' },
      follow !== undefined && { icon: mdiSync, text: 'follows', tone: 'good' },
      link !== undefined && { icon: mdiLinkVariant, text: 'shared link', tone: 'plain' },
      hiddenOn !== undefined && { icon: mdiDevices, text: `not on ${hiddenOn.join(', ')}`, tone: 'plain' },
      opensNewTab && { icon: mdiOpenInNew, text: 'new tab', tone: 'plain' },
      author !== undefined && {
        icon: mdiAccountEditOutline,
        text: `just changed by ${author}`,
        tone: 'good',
      },
    ];
    const exceptions = exception === undefined ? [] : exceptionWords(stored, id);
    const signs: Sign[] = [
      ...found.filter((sign) => sign !== false),
      ...exceptions.map((text): Sign => ({
        icon: exceptionIcons[text] ?? mdiTuneVariant,
        text,
        tone: text === 'hidden' ? 'look' : 'plain',
      })),
    ];
    return signs.sort((a, b) => byWeight.indexOf(a.tone) - byWeight.indexOf(b.tone));
  });
}
