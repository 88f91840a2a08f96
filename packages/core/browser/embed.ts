/**
 * The script of a menu that is put into a page by a snippet: it brings what stands in `<zorvik-menu src="…">`, the
 * menu as it was when the snippet was copied, up to date. Where it cannot, what stands there stays and works.
 * `scripts/site-scripts.mjs` makes core/src/render/embedScript.ts of it.
 */
(() => {
  const own = (document.currentScript as HTMLScriptElement | null)?.src || location.href;

  class Menu extends HTMLElement {
    async connectedCallback(): Promise<void> {
      const address = new URL(this.getAttribute('src') ?? '', own);
      address.searchParams.set('page', location.pathname);
      const reply = await fetch(address).catch(() => null);
      const html = reply?.ok ? await reply.text() : '';
      // Somebody in the middle of it is not thrown out; the next page has the present one.
      if (html === '' || this.contains(document.activeElement) || this.querySelector('[aria-expanded=true]'))
        return;
      this.innerHTML = html;
      document.dispatchEvent(new Event('zv:added'));
    }
  }

  if (!document.querySelector('script[src$="/navigation.js"]')) {
    const script = document.createElement('script');
    script.src = new URL('navigation.js', own).href;
    document.head.append(script);
  }
  if (!customElements.get('zorvik-menu')) customElements.define('zorvik-menu', Menu);
})();
