/** What drops lies above the page. */
export const SURFACE =
  'background:var(--_paper);border:1px solid var(--_edge);border-radius:var(--_radius);box-shadow:0 .75rem 1.75rem -.75rem #0006';
