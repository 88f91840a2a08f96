import { onScopeDispose, watch, type Ref } from 'vue';

/** A font that the editor's own page shows, by the name of its family there. */
export interface ShownFace {
  readonly family: string;
  readonly url: string;
  readonly weight: string;
  readonly isItalic?: boolean;
  readonly range?: string;
}

/** Lets the editor's own page show fonts, as long as it does: samples of them. What cannot be read is left out. */
export function useFontFaces(wanted: Ref<readonly ShownFace[]>): void {
  const faces = new Map<string, FontFace>();
  const nameOf = ({ family, url }: ShownFace): string => `${family} ${url}`;
  watch(
    wanted,
    (now) => {
      const names = new Set(now.map(nameOf));
      for (const [name, face] of faces) {
        if (names.has(name)) continue;
        document.fonts.delete(face);
        faces.delete(name);
      }
      for (const one of now) {
        if (faces.has(nameOf(one))) continue;
        const face = new FontFace(one.family, `url("${one.url}")`, {
          weight: one.weight,
          style: one.isItalic === true ? 'italic' : 'normal',
          ...(one.range === undefined ? {} : { unicodeRange: one.range }),
        });
        faces.set(nameOf(one), face);
        document.fonts.add(face);
      }
    },
    { immediate: true },
  );
  onScopeDispose(() => {
    for (const face of faces.values()) document.fonts.delete(face);
  });
}
