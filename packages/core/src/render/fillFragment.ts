import { fillSlot, type PageFacts } from './fillSlot.ts';
import type { Fragment } from './renderFrame.ts';
import type { Insert } from './splice.ts';

/** A fragment as text, as it is on a page: its slots are filled, and `marks` are put in. O(length). */
export function fillFragment(
  { html, slots }: Fragment,
  facts: PageFacts,
  marks: readonly Insert[] = [],
): string {
  const filled = slots.map((slot) => ({ at: slot.at, text: fillSlot(slot, facts) }));
  const inserts = [...filled, ...marks].sort((a, b) => a.at - b.at);
  let made = '';
  let read = 0;
  let index = 0;
  let byte = 0;
  for (const { at, text } of inserts) {
    // Inserts are at bytes of UTF-8.
    while (byte < at && index < html.length) {
      const code = html.codePointAt(index) ?? 0;
      byte += code < 0x80 ? 1 : code < 0x800 ? 2 : code < 0x10000 ? 3 : 4;
      index += code < 0x10000 ? 1 : 2;
    }
    made += html.slice(read, index) + text;
    read = index;
  }
  return made + html.slice(read);
}
