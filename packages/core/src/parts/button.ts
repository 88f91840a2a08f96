import { element, linkTo, textOf } from './html.ts';
import { linked, type PartHandler } from './partHandler.ts';

const CSS = `.zv .zv-action-link{display:inline-flex;align-items:center;min-height:2.75rem;margin-inline:.5rem;padding:.375rem 1.1rem;border-radius:var(--_radius);background:var(--zv-button,var(--_accent));color:var(--zv-button-ink,#fff);font-weight:600;text-decoration:none}
.zv a.zv-action-link:hover{background:var(--zv-button-hover,var(--_ink))}
@media (forced-colors:active){.zv .zv-action-link{border:1px solid ButtonText}}`;

export const button: PartHandler<'button'> = {
  resolve: linked,
  html: (part, within, classes) =>
    element(part, within, ` zv-action${classes}`, linkTo(part, textOf(part), ' class="zv-action-link"')),
  css: () => [CSS],
};
