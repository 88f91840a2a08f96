import { shallowRef, type ShallowRef } from 'vue';
import type * as Everything from '../live/drawing.ts';

type Drawing = typeof Everything;
const drawing = shallowRef<Drawing | null>(null);
let isAsked = false;

/** What draws menus and knows how things look; null until it has loaded, once for all who ask. */
export function useDrawing(): Readonly<ShallowRef<Drawing | null>> {
  if (!isAsked) {
    isAsked = true;
    void import('../live/drawing.ts').then((loaded) => (drawing.value = loaded));
  }
  return drawing;
}
