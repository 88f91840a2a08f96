/** A search field that an icon opens has the focus then, and closes by Escape and by a press elsewhere. */
(() => {
  document.addEventListener(
    'toggle',
    ({ target }) => {
      if (target instanceof Element && target.matches('.zv-fold[open]'))
        target.querySelector<HTMLElement>('[type=search]')?.focus();
    },
    true,
  );
  const fold = ({ target, key }: { readonly target: EventTarget | null; readonly key?: string }): void => {
    for (const one of document.querySelectorAll<HTMLDetailsElement>('.zv-fold[open]')) {
      const isInside = target instanceof Node && one.contains(target);
      if (key === undefined ? isInside : key !== 'Escape') continue;
      one.open = false;
      if (key !== undefined && isInside) one.querySelector('summary')?.focus();
    }
  };
  document.addEventListener('pointerdown', fold);
  document.addEventListener('keydown', fold);
})();
