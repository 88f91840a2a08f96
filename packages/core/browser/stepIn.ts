/**
 * Lists that step in: the focus goes to the row that leads back when a level opens, and to the entry when somebody
 * goes back. Which level shows is in the style sheet.
 */
(() => {
  document.addEventListener('click', ({ target }) => {
    const button = target instanceof Element ? target.closest<HTMLElement>('.zv-step-in button') : null;
    if (button === null) return;
    if (button.getAttribute('aria-expanded') === 'true')
      return button.parentElement?.querySelector<HTMLElement>('.zv-back>button')?.focus();
    // The entry that the row leads back to is around it.
    const opener = button
      .closest('.zv-back')
      ?.parentElement?.closest('li')
      ?.querySelector<HTMLElement>(':scope>button');
    if (!opener) return;
    opener.setAttribute('aria-expanded', 'false');
    opener.focus();
  });
})();
