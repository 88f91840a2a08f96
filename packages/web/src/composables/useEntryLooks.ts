import { computed } from 'vue';
import { plainColour, setEntryLooks, styleId, type Id, type Property } from '@zorvik/core';
import { useDrawing } from './useDrawing.ts';
import { usePalette } from '../stores/palette.ts';
import { useWorkingCopy } from '../stores/workingCopy.ts';

/** See `useEntryLooks`. */
export type EntryLooks = ReturnType<typeof useEntryLooks>;

/** How the icon or the badge of some items, or of a link in a panel, looks, and setting that for all of them at once. */
export function useEntryLooks(thing: 'icon' | 'badge', chosen: () => readonly Id[]) {
  const copy = useWorkingCopy();
  const palette = usePalette();
  const drawing = useDrawing();
  /** Items that show a shared link have its looks. */
  const owners = computed(() => chosen().map((id) => copy.document?.items.nodes.get(id)?.link ?? id));

  /** What a property comes to; empty where the items differ. */
  function valueOf(property: Property): string {
    const { document } = copy;
    if (document === null || drawing.value === null) return '';
    const { entryStyle } = drawing.value;
    const values = new Set(
      owners.value.map((owner) => entryStyle(document, owner, thing, property)?.value ?? ''),
    );
    const [value = ''] = values;
    return values.size === 1 ? value : '';
  }

  /** A colour as six digits; null where it is that of the text, or the items differ. */
  const colourOf = (property: Property): string | null =>
    plainColour(palette.all, valueOf(property), 'light')?.slice(0, 7) ?? null;

  /** Whether a value was set for one of the items alone. */
  const isOwn = (property: Property): boolean =>
    owners.value.some(
      (owner) => copy.document?.styles.nodes.get(styleId({ owner, thing }))?.[property] !== undefined,
    );

  /** Sets a value for all of the items, or resets it with null; gives what is wrong with it, or null. */
  function set(property: Property, value: string | null): string | null {
    const done = copy.perform(
      (context) => setEntryLooks(context, chosen(), thing, { [property]: value }),
      `${thing} ${property}`,
    );
    return done.ok || done.refusal.code === 'changesNothing' ? null : done.refusal.message;
  }

  return { valueOf, colourOf, isOwn, set };
}
