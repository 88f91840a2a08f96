import { placePanel, type Extent, type PanelAlign, type Span } from '../src/panel/placePanel.ts';

/**
 * The script that a site gets with its navigation: opens and closes branches of menus, and the drawer. It depends on nothing,
 * changes no markup but the states below, and everything can be reached without it.
 * `scripts/site-scripts.mjs` makes core/src/render/navigationScript.ts of it.
 */
(() => {
  /**
   * How long the pointer rests on an entry before its branch opens, and how long the way back may take, in
   * ms.
   */
  const REST = 120;
  const GRACE = 320;
  /** So soon after a branch has opened under the pointer, a press means to open it, in ms. */
  const MEANT = 500;
  /** Where this script is served, and what is fetched beside it. */
  const base = (document.currentScript as HTMLScriptElement | null)?.src || location.href;
  const buttons = (root: Element): HTMLElement[] => [
    ...root.querySelectorAll<HTMLElement>('button[aria-expanded]'),
  ];
  const isOpen = (button: Element): boolean => button.getAttribute('aria-expanded') === 'true';

  /** Whether the script works there already; from now on it does. */
  const isOn = (root: Element): boolean => {
    const was = root.hasAttribute('data-zv-on');
    root.setAttribute('data-zv-on', '');
    return was;
  };

  const close = (root: Element): void => {
    for (const button of buttons(root)) if (isOpen(button)) button.setAttribute('aria-expanded', 'false');
  };

  const open = (button: HTMLElement): void => {
    const entry = button.parentElement;
    const branch = entry?.querySelector<HTMLElement>(':scope>:is(ul,.zv-panel,.zv-stacked)');
    if (!entry || !branch || isOpen(button)) return;
    if (entry.closest('.zv-bar,.zv-single'))
      for (const other of entry.parentElement?.children ?? []) if (other !== entry) close(other);
    // One for each device class there may be: all of an entry say the same.
    for (const own of entry.querySelectorAll(':scope>button')) own.setAttribute('aria-expanded', 'true');
    if (branch.dataset.zvFrom !== undefined) return fill(branch, branch.dataset.zvFrom, entry);
    if (branch.dataset.zvPanel !== undefined) return place(branch, entry);
    entry.removeAttribute('data-zv-end');
    const { left, right } = branch.getBoundingClientRect();
    if (left < 0 || right > document.documentElement.clientWidth) entry.setAttribute('data-zv-end', '');
  };

  /**
   * Fetches what stands in a panel that is opened first. What could not be had is asked for again the next
   * time.
   */
  const fill = (panel: HTMLElement, from: string, entry: Element): void => {
    delete panel.dataset.zvFrom;
    void fetch(new URL(from, base))
      .then((reply) => (reply.ok ? reply.text() : Promise.reject(new Error(reply.statusText))))
      .then((html) => {
        panel.innerHTML = html;
        markHere(panel);
        place(panel, entry);
      })
      .catch(() => (panel.dataset.zvFrom = from));
  };

  /** What pages are compared by: their path without query, fragment and final slash. */
  const pathOf = ({ pathname }: { readonly pathname: string }): string => pathname.replace(/\/+$/, '');

  /** Marks the links to this page, the links to what is above it by its path, and the entries around both. */
  const markHere = (root: Element): void => {
    const here = pathOf(location);
    for (const link of root.querySelectorAll('a')) {
      const path = pathOf(link);
      if (link.origin !== location.origin) continue;
      const isHere = path === here;
      if (!isHere && !(path !== '' && here.startsWith(`${path}/`))) continue;
      link.setAttribute('aria-current', String(isHere ? 'page' : true));
      for (
        let entry = link.closest('li')?.parentElement?.closest('li');
        entry && root.contains(entry);
        entry = entry.parentElement?.closest('li')
      )
        for (const face of entry.querySelectorAll(
          ':scope>:is(a,span,button:not([aria-label])):not([aria-current])',
        ))
          face.setAttribute('aria-current', 'true');
    }
  };

  let last = location.href;
  let lastPath = pathOf(location);
  /** Where a site changes the address without loading a page, the mark moves, and what is open closes. */
  const moved = (): void => {
    if (location.href === last) return;
    last = location.href;
    document.querySelector<HTMLDialogElement>('dialog.zv-drawer[open]')?.close();
    for (const menu of document.querySelectorAll('nav.zv')) {
      if (menu.matches('.zv-bar')) close(menu);
      if (pathOf(location) === lastPath) continue;
      for (const marked of menu.querySelectorAll('[aria-current]')) marked.removeAttribute('aria-current');
      markHere(menu);
    }
    lastPath = pathOf(location);
  };
  const { navigation } = window as { readonly navigation?: EventTarget };
  if (navigation) navigation.addEventListener('currententrychange', moved);
  else
    for (const name of ['pushState', 'replaceState'] as const) {
      const own = history[name].bind(history);
      history[name] = (...state) => {
        own(...state);
        moved();
      };
    }
  addEventListener('popstate', moved);

  /**
   * Puts an open panel where it was wanted, inside the screen. On narrow screens it stands in the bar, and
   * its style sheet says how.
   */
  const place = (panel: HTMLElement, entry: Element): void => {
    panel.removeAttribute('style');
    const nav = panel.closest<HTMLElement>('.zv-bar');
    if (nav === null || getComputedStyle(panel).position !== 'absolute') return;
    const [extent = 'bar', align = 'item', offset = 0] = panel.dataset.zvPanel?.split(' ') ?? [];
    const screen = document.documentElement.clientWidth;
    const isRtl = getComputedStyle(nav).direction === 'rtl';
    const span = (of: Element): Span => {
      const { left, right, width } = of.getBoundingClientRect();
      return { start: isRtl ? screen - right : left, size: width };
    };
    panel.style.inlineSize = 'max-content';
    const content = panel.getBoundingClientRect().width;
    const bar = span(nav);
    const container = span(nav.closest('.zv-container,.zv-band-content') ?? nav.parentElement ?? nav);
    const around = { screen, item: span(entry), bar, container, content, offset: Number(offset) };
    const { start, size } = placePanel((Number(extent) || extent) as Extent, align as PanelAlign, around);
    panel.style.inlineSize = `${size}px`;
    panel.style.insetInlineStart = `${start - bar.start - nav.clientLeft}px`;
  };

  const start = (nav: HTMLElement): void => {
    if (isOn(nav)) return;
    if (nav.querySelector('[aria-current]') === null) markHere(nav);
    // What shows because the page is in it is open for the buttons, too.
    if (nav.matches('.zv-opens-current'))
      for (const button of nav.querySelectorAll('li:has([aria-current])>button[aria-expanded]'))
        button.setAttribute('aria-expanded', 'true');
    let timer: ReturnType<typeof setTimeout> | undefined;
    /** When the pointer has opened a branch by resting on it. */
    let opened = 0;
    const later = (act: () => void, wait: number): void => {
      clearTimeout(timer);
      timer = setTimeout(act, wait);
    };
    const topEntry = (target: EventTarget | null): Element | null =>
      target instanceof Element ? target.closest('.zv-bar>ul>li,.zv-drops-flyouts li:has(>button)') : null;

    nav.addEventListener('click', ({ target }) => {
      const button = target instanceof Element ? target.closest<HTMLElement>('button[aria-expanded]') : null;
      if (button === null) return;
      clearTimeout(timer);
      const entry = button.parentElement;
      if (isOpen(button) && entry !== null && Date.now() - opened > MEANT) close(entry);
      else open(button);
    });
    if (!nav.matches('.zv-bar')) return;
    nav.addEventListener('pointerover', ({ target, pointerType }) => {
      const entry = topEntry(target);
      if (pointerType !== 'mouse') return;
      const button = entry?.querySelector<HTMLElement>(':scope>button[aria-expanded]');
      const opens = entry?.getAttribute('data-zv-opens');
      if (opens === 'press') return;
      later(
        () => {
          if (!button) return entry && close(nav);
          if (!isOpen(button)) opened = Date.now();
          open(button);
        },
        opens === 'atOnce' ? 0 : REST,
      );
    });
    nav.addEventListener('pointerleave', ({ pointerType }) => {
      if (pointerType === 'mouse') later(() => nav.contains(document.activeElement) || close(nav), GRACE);
    });
    nav.addEventListener('keydown', (event) => {
      if (event.key !== 'Escape') return;
      const from = document.activeElement;
      const entry = [...nav.querySelectorAll('li')].findLast(
        (li) => li.querySelector(':scope>button[aria-expanded=true]') && li.contains(from),
      );
      const button = [...(entry?.children ?? [])].find(
        (one): one is HTMLElement => one.matches('button') && one.checkVisibility(),
      );
      if (!entry || !button) return close(nav);
      close(entry);
      button.focus();
      event.stopPropagation();
    });
    nav.addEventListener('focusout', ({ relatedTarget }) => {
      if (!(relatedTarget instanceof Node)) return;
      // An entry that the focus has left would lie over the one that it has come to. Branches that open
      // inside of it stay.
      for (const button of buttons(nav)) {
        const entry = button.parentElement;
        if (entry !== null && entry === topEntry(button) && !entry.contains(relatedTarget)) close(entry);
      }
    });
    addEventListener('resize', () => {
      for (const panel of nav.querySelectorAll<HTMLElement>('button[aria-expanded=true]~.zv-panel'))
        place(panel, panel.parentElement ?? nav);
    });
    document.addEventListener('pointerdown', ({ target }) => {
      if (target instanceof Node && !nav.contains(target)) close(nav);
    });
    document.addEventListener('keydown', ({ key }) => {
      if (key === 'Escape') close(nav);
    });
  };

  /** Shows the count that the site has set in every basket link. */
  const showCount = (): void => {
    const { zvBasket = '' } = document.documentElement.dataset;
    for (const count of document.querySelectorAll('.zv-count'))
      count.textContent = zvBasket === '0' ? '' : zvBasket;
  };

  /** How far a finger goes across until it is a swipe, in px. */
  const SWIPE = 60;

  /**
   * A drawer is a dialog, opened by buttons that take the places of the links to it: what is behind it is inert, and
   * Escape, or a press beside it, closes it and gives the focus back.
   */
  const startDrawer = (drawer: HTMLDialogElement): void => {
    if (isOn(drawer)) return;
    drawer.addEventListener('click', (event) => {
      const link = event.target instanceof Element ? event.target.closest('a') : null;
      if (link?.matches('.zv-close')) event.preventDefault();
      if (event.target === drawer || link !== null) drawer.close();
    });
    let from = { x: 0, y: 0 };
    drawer.addEventListener(
      'touchstart',
      ({ touches: [touch] }) => touch && (from = { x: touch.clientX, y: touch.clientY }),
      { passive: true },
    );
    drawer.addEventListener('touchend', ({ changedTouches: [touch] }) => {
      const across = Math.abs((touch?.clientX ?? from.x) - from.x);
      if (across < SWIPE || across < 2 * Math.abs((touch?.clientY ?? from.y) - from.y)) return;
      const back = [...drawer.querySelectorAll<HTMLElement>('.zv-back>button')].findLast((one) =>
        one.checkVisibility(),
      );
      if (back) back.click();
      else drawer.close();
    });
    // Where it does not take over any more, its button is gone.
    addEventListener('resize', () => {
      if (![...document.querySelectorAll('.zv-menu-button')].some((one) => one.checkVisibility()))
        drawer.close();
    });
    // Without script, it was shown by its address.
    if (location.hash === '#zv-drawer') {
      history.replaceState(history.state, '', location.pathname + location.search);
      drawer.showModal();
    }
  };

  /** The links to the drawer become buttons of the same look. */
  const startOpener = (link: HTMLElement): void => {
    const button = document.createElement('button');
    button.type = 'button';
    button.className = link.className;
    button.setAttribute('aria-haspopup', 'dialog');
    button.append(...link.childNodes);
    button.addEventListener('click', () =>
      document.querySelector<HTMLDialogElement>('dialog.zv-drawer:not([open])')?.showModal(),
    );
    link.replaceWith(button);
  };

  /** What is at the side opens by its button where it is folded. */
  const startSide = (side: HTMLElement): void => {
    if (isOn(side)) return;
    side.querySelector(':scope>.zv-section')?.addEventListener('click', ({ currentTarget }) => {
      const button = currentTarget as HTMLElement;
      button.setAttribute('aria-expanded', String(!isOpen(button)));
    });
  };

  const startAll = (): void => {
    document.querySelectorAll<HTMLElement>('.zv-bar,.zv-folds').forEach(start);
    document.querySelectorAll<HTMLDialogElement>('dialog.zv-drawer').forEach(startDrawer);
    document.querySelectorAll<HTMLElement>('.zv-menu-button>a').forEach(startOpener);
    document.querySelectorAll<HTMLElement>('.zv-side').forEach(startSide);
    showCount();
  };
  new MutationObserver(showCount).observe(document.documentElement, { attributeFilter: ['data-zv-basket'] });
  document.addEventListener('zv:added', startAll);
  if (document.readyState === 'loading') document.addEventListener('DOMContentLoaded', startAll);
  else startAll();
})();
