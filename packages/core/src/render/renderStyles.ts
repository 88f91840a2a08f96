import type { ResolvedMenu } from '../resolve/resolved.ts';
import type { Site } from '../schema/site.ts';
import { printRules } from '../style/printRules.ts';
import { rule, type Rule } from '../style/rule.ts';
import { dropdownRules } from './dropdownRules.ts';
import { settingRules } from './settingRules.ts';

/**
 * The style sheet for a site's menus. Every value that a site may want to change is a custom property on
 * `.zv`; directions are logical, so that right-to-left needs nothing of its own. Without the script, branches
 * open under the pointer and on focus. Rules for what may be set for an item are there when an item of
 * `menus` needs them.
 */
export function renderStyles(site: Pick<Site, 'breakpoints'>, menus: readonly ResolvedMenu[] = []): string {
  return (
    '/* Navigation. Set the properties below on .zv, or on any element around it, to restyle it. */\n' +
    printRules([...basic, ...settingRules(menus), ...dropdownRules(menus)], site.breakpoints)
  );
}

const basic: readonly Rule[] = [
  rule(
    '.zv',
    '--_ink:var(--zv-ink,#1d2a22);--_paper:var(--zv-paper,#fff);--_edge:var(--zv-edge,#cfd6cd);--_accent:var(--zv-accent,#1f5a3a);--_tint:var(--zv-tint,#edf3ea);--_gap:var(--zv-gap,.25rem);--_pad:var(--zv-pad,.75rem);--_radius:var(--zv-radius,.375rem);font:var(--zv-font,500 1rem/1.5 system-ui,sans-serif);color:var(--_ink)',
  ),
  rule('.zv ul', 'list-style:none;margin:0;padding:0'),
  rule('.zv li', 'position:relative'),
  rule(
    '.zv li>:is(a,span,button)',
    'box-sizing:border-box;display:flex;align-items:center;min-height:2.75rem;padding:.375rem var(--_pad);margin:0;border:0;border-radius:var(--_radius);background:none;color:inherit;font:inherit;text-align:start;text-decoration:none;overflow-wrap:anywhere',
  ),
  rule('.zv li>:is(a,button)', 'cursor:pointer'),
  rule('.zv li>:is(a,button):hover', 'background:var(--_tint)'),
  rule('.zv li>:is(a,button):focus-visible', 'outline:2px solid var(--_accent);outline-offset:-2px'),
  rule('.zv [aria-current]', 'color:var(--_accent)'),
  rule('.zv [aria-current=page]', 'text-decoration:underline .16em;text-underline-offset:.5em'),
  rule('.zv-list ul ul', 'padding-inline-start:1rem'),
  rule('.zv-list a:hover', 'text-decoration:underline'),
  rule(
    '.zv-list li>:is(a,span)',
    'min-height:2rem;padding-block:.125rem;display:inline-flex;font-weight:400',
  ),
  rule('.zv-list li>span,.zv-list>ul>li>a', 'font-weight:600'),
  rule('.zv-bar>ul', 'display:flex;flex-wrap:wrap;gap:var(--_gap)'),
  rule('.zv-bar li', 'display:flex;flex-wrap:wrap'),
  rule('.zv-bar li>a', 'flex:1 1 auto;min-inline-size:0'),
  rule('.zv-bar li>a:has(+button)', 'flex-basis:0'),
  rule(
    '.zv-bar button::after',
    'content:"";inline-size:.4rem;block-size:.4rem;margin-inline-start:.5rem;margin-block-end:.2rem;border:solid;border-width:0 .11rem .11rem 0;rotate:45deg;flex:none',
  ),
  rule(
    '.zv-bar a+button',
    'padding-inline:.4rem .7rem;margin-inline-start:-.6rem;min-inline-size:1.75rem;justify-content:center',
  ),
  rule('.zv-bar a+button::after', 'margin-inline-start:0'),
  rule('.zv-bar button[aria-expanded=true]::after', 'rotate:225deg;margin-block-end:-.2rem'),
  rule('.zv-bar ul ul', 'flex-basis:100%;display:none;font-weight:400'),
  rule(
    '.zv-bar>ul>li>ul',
    'position:absolute;z-index:10;inset-block-start:100%;inset-inline-start:0;box-sizing:border-box;min-inline-size:100%;inline-size:max-content;max-inline-size:min(22rem,calc(100vw - 1rem));max-block-size:calc(100vh - 6rem);overflow:auto;padding:.375rem;background:var(--_paper);border:1px solid var(--_edge);border-radius:var(--_radius);box-shadow:0 .75rem 1.75rem -.75rem #0006',
  ),
  rule('.zv-bar>ul>li[data-zv-end]>ul', 'inset-inline:auto 0'),
  rule('.zv-bar ul ul ul', 'padding-inline-start:1rem'),
  rule('.zv-bar button[aria-expanded=true]~ul', 'display:block'),
  rule(
    '.zv-bar:not([data-zv-on])>ul>li:is(:hover,:focus-within)>ul,.zv-bar:not([data-zv-on]) ul ul ul',
    'display:block',
  ),
  rule(
    '.zv-bar>ul>li:is(:has(>button[aria-expanded=true]),.zv-bar:not([data-zv-on]) :focus-within)',
    'flex-basis:100%',
    { medium: 'narrow' },
  ),
  rule('.zv-bar>ul>li>a:not(:has(+button))', 'flex-grow:0', { medium: 'narrow' }),
  rule(
    '.zv-bar>ul>li:has(>button[aria-expanded=true])>a',
    'flex:0 1 auto;max-inline-size:calc(100% - 1.75rem)',
    { medium: 'narrow' },
  ),
  rule(
    '.zv-bar>ul>li>ul',
    'position:static;inline-size:100%;max-inline-size:none;max-block-size:none;box-shadow:none',
    { medium: 'narrow' },
  ),
  rule('.zv-bar button::after', 'transition:rotate .15s', { medium: 'motion' }),
  rule('.zv-bar ul ul', 'display:none!important', { medium: 'print' }),
];
