/**
 * What a header does while the page scrolls: it publishes its height, lets go where it would take more than a third
 * of the screen, is lower or opaque once scrolled, and comes back when the page scrolls up.
 */
(() => {
  /** The page counts as scrolled beyond the greater, and as not scrolled below the less, in px. */
  const FAR = 24;
  const NEAR = 4;
  const start = (): void => {
    const header = document.querySelector<HTMLElement>('.zv-header:is(.zv-sticky,.zv-overlaid)');
    if (header === null || header.hasAttribute('data-zv-on')) return;
    header.setAttribute('data-zv-on', '');
    const { classList, style } = header;
    const isSticky = classList.contains('zv-sticky');
    const isVertical = (): boolean => header.offsetHeight >= innerHeight && classList.contains('zv-vertical');
    if (isSticky && header.parentElement !== document.body)
      console.warn('A sticky header has to be right in the body: it stays within the element around it.');
    /** How high it is while the page is not scrolled. */
    let full = 0;
    const measure = (): void => {
      if (!classList.contains('zv-scrolled')) full = header.offsetHeight;
      const isCovering = isSticky && !isVertical();
      classList.toggle('zv-let-go', isCovering && header.offsetHeight > innerHeight / 3);
      const size = isCovering && !classList.contains('zv-let-go') ? header.offsetHeight : 0;
      document.documentElement.style.setProperty('--zv-header-size', `${size}px`);
    };
    let last = scrollY;
    const scrolled = (): void => {
      const was = classList.contains('zv-scrolled');
      const is = scrollY > (was ? NEAR : FAR);
      if (is !== was) {
        classList.toggle('zv-scrolled', is);
        if (classList.contains('zv-overlaid')) classList.toggle('zv-over-content', !is);
        // Its box in the flow keeps its height: nothing below it moves.
        if (classList.contains('zv-lower') && !classList.contains('zv-overlaid'))
          style.marginBlockEnd = is ? `${full - header.offsetHeight}px` : '';
      }
      const isBusy = header.contains(document.activeElement) || header.querySelector('[aria-expanded=true]');
      if (Math.abs(scrollY - last) > NEAR || scrollY <= 0) {
        classList.toggle('zv-away', scrollY > last && scrollY > full && !isBusy);
        last = scrollY;
      }
    };
    header.addEventListener('focusin', () => classList.remove('zv-away'));
    addEventListener('scroll', scrolled, { passive: true });
    addEventListener('resize', measure);
    new ResizeObserver(measure).observe(header);
    measure();
    scrolled();
  };
  document.addEventListener('zv:added', start);
  if (document.readyState === 'loading') document.addEventListener('DOMContentLoaded', start);
  else start();
})();
