const FACE = /@font-face\{[^}]*\}\n?/g;

/**
 * Shows delivered style sheets in the page of an iframe. Fonts are in a style sheet of their own, which stays as long as
 * they do: otherwise every change would load them anew, and text would flicker. They are shown as soon as they are
 * there, since on a live page there is no next page.
 */
export function showsStyles(): (css: string) => void {
  const [faces, rules] = [new CSSStyleSheet(), new CSSStyleSheet()];
  document.adoptedStyleSheets = [faces, rules];
  let [shownFaces, shownCss] = ['', ''];
  return (css) => {
    if (css === shownCss) return;
    shownCss = css;
    const wanted = (css.match(FACE) ?? []).join('').replaceAll('font-display:optional', 'font-display:swap');
    if (wanted !== shownFaces) faces.replaceSync((shownFaces = wanted));
    rules.replaceSync(css.replaceAll(FACE, ''));
  };
}
