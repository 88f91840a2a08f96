import { escapeHtml } from '../base/escape.ts';
import type { ResolvedMenu } from '../resolve/resolved.ts';
import { fontFileName } from '../schema/fontFile.ts';
import type { Site } from '../schema/site.ts';
import { darkDeclarations, fontFaces, fontsUsed, paletteDeclarations } from '../model/palette.ts';
import { printRules, schemeConditions } from '../style/printRules.ts';
import { flat, looks, rule, type Rule } from '../style/rule.ts';
import { plainSheet, type Sheet } from '../style/sheet.ts';
import { entrances } from '../anatomy/properties.ts';
import type { Situation, StyleValues } from '../schema/style.ts';
import { dropdownRules } from './dropdownRules.ts';
import type { FrameLook } from './frameLook.ts';
import { frameRules } from './frameRules.ts';
import { settingRules } from './settingRules.ts';

/**
 * The style sheet for a site's menus. Every value that a site may want to change is a custom property on
 * `.zv`; directions are logical, so that right-to-left needs nothing of its own. Without the script, branches
 * open under the pointer and on focus. Rules for what may be set for an item are there when an item of
 * `menus` needs them; so are the rules of the parts of a frame. `files`: what the names of uploaded files are put behind.
 */
export function renderStyles(
  site: Pick<Site, 'breakpoints' | 'contentWidth' | 'margins'>,
  menus: readonly ResolvedMenu[] = [],
  frame: FrameLook = NO_FRAME,
  sheet: Sheet = plainSheet(),
  files = '',
): string {
  const values = valuesIn(sheet);
  const { takeover } = frame.areas.drawer;
  return (
    '/* Navigation. Colours, fonts and lengths: set the --zv- properties around .zv to override them. */\n' +
    fontFaces(fontsUsed(sheet.palette, values), files) +
    // A band evaluates them anew, so that a site can give one band other colours.
    sheet.starters
      .map(({ palette, within }, at) => {
        const selectors =
          at === 0 ? ['.zv', '.zv-band'] : ['.zv', '.zv-band'].map((one) => flat(one, within));
        const head = selectors.join(',');
        const dark = sheet.hasDark
          ? `@media ${schemeConditions.dark}{${head}{${darkDeclarations(palette, values)}}}\n`
          : '';
        return `${head}{${paletteDeclarations(palette, values, files)}}\n${dark}`;
      })
      .join('') +
    entrancesUsed(sheet) +
    printRules(
      stylesOf(site, menus, frame),
      { ...site.breakpoints, ...(takeover === undefined ? {} : { takeover }) },
      { ...sheet, situations: situationsOf(frame) },
    )
  );
}

/** The hashes of the files that a style sheet names: of fonts that are used, and of all pictures with a name. */
export function lookFilesOf(sheet: Sheet): string[] {
  const fonts = fontsUsed(sheet.palette, valuesIn(sheet)).flatMap(({ files = [] }) =>
    files.map(({ file }) => file),
  );
  const pictures = [...sheet.palette.values()].flatMap(({ picture }) => picture?.file ?? []);
  return [...fonts, ...pictures];
}

/**
 * What lets browsers load the fonts of a page along with its style sheet, so that they are there when text is first
 * drawn: of each font the files with Latin letters.
 */
export function fontPreloads(sheet: Sheet, files: string): string {
  return fontsUsed(sheet.palette, valuesIn(sheet))
    .flatMap(({ files: own = [] }) =>
      own.filter(({ range }) => range === undefined || /U\+00?0?0?-/.test(range)),
    )
    .map(
      (one) =>
        `<link rel="preload" as="font" type="font/woff2" crossorigin href="${escapeHtml(files + fontFileName(one))}">`,
    )
    .join('');
}

/** The ways to come into sight that are used, as keyframes. */
function entrancesUsed({ starters, set }: Sheet): string {
  const looks: readonly StyleValues[] = [
    ...set.map(({ values }) => values),
    ...starters.flatMap(({ looks: all }) => Object.values(all).flatMap((one) => Object.values(one))),
  ];
  const used = new Set(looks.map(({ appear = 'none' }) => appear.split(' ')[0]));
  return Object.entries(entrances)
    .filter(([name]) => used.has(name))
    .map(([name, from]) => `@keyframes zv-${name}{from{${from}}}\n`)
    .join('');
}

function valuesIn({ set }: Sheet): string[] {
  return set.flatMap(({ values }) => Object.values(values));
}

/** All rules that menus and a frame need. */
export function stylesOf(
  site: Pick<Site, 'contentWidth' | 'margins'>,
  menus: readonly ResolvedMenu[],
  frame: FrameLook = NO_FRAME,
): Rule[] {
  return [...basic, ...settingRules(menus), ...dropdownRules(menus), ...frameRules(site, frame)];
}

/** The situations that the header of a frame can be in. */
export function situationsOf({ does }: FrameLook): Situation[] {
  const isMoving = does.has('sticky') || does.has('returns');
  return [...(does.has('overlaid') ? (['over'] as const) : []), ...(isMoving ? (['scrolled'] as const) : [])];
}

/** The situations that the header of one page can be in, from its HTML. */
export function situationsOfHeader(html: string): Situation[] {
  const [tag = ''] = /<header[^>]*>/.exec(html) ?? [];
  return [
    ...(tag.includes('zv-overlaid') ? (['over'] as const) : []),
    ...(/zv-(?:sticky|returns)/.test(tag) ? (['scrolled'] as const) : []),
  ];
}

const NO_FRAME: FrameLook = {
  parts: [],
  areas: { header: {}, side: {}, footer: {}, drawer: {} },
  does: new Set(),
};

const basic: readonly Rule[] = [
  // A site may set its font with one property; what is set in Style comes later, and wins.
  rule('.zv,.zv-band', 'font:var(--zv-font,500 1rem/1.5 var(--_font))'),
  rule('.zv ul', 'list-style:none;margin:0;padding:0'),
  rule('.zv li', 'position:relative'),
  rule(
    '.zv li>:is(a,span,button)',
    'box-sizing:border-box;display:flex;align-items:center;text-align:start;overflow-wrap:anywhere',
  ),
  rule('.zv li>:is(a,button)', 'cursor:pointer'),
  rule('.zv-list li>:is(a,span)', 'display:inline-flex'),
  rule('.zv-bar>ul', 'display:flex;flex-wrap:wrap'),
  rule('.zv-bar li', 'display:flex;flex-wrap:wrap'),
  rule('.zv-bar>ul>li+li::before', 'flex:none;align-self:center'),
  rule('.zv-bar li>a', 'flex:1 1 auto;min-inline-size:0'),
  rule('.zv-bar li>a:has(+button)', 'flex-basis:0'),
  rule('.zv-bar button::after', 'content:"";rotate:45deg;flex:none'),
  rule('.zv-bar a+button', 'justify-content:center'),
  rule('.zv-bar button[aria-expanded=true]::after', 'rotate:calc(45deg + var(--_turn))'),
  rule('.zv-bar ul ul', 'flex-basis:100%;display:none'),
  rule(
    '.zv-bar>ul>li>ul',
    'position:absolute;inset-block-start:100%;inset-inline-start:0;box-sizing:border-box;min-inline-size:100%;inline-size:max-content;max-block-size:calc(100vh - 6rem);overflow:auto',
  ),
  rule('.zv-bar>ul>li[data-zv-end]>ul', 'inset-inline:auto 0'),
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
  rule('.zv-bar>ul>li>ul', 'position:static;inline-size:100%;max-block-size:none', {
    medium: 'narrow',
  }),
  rule('.zv,.zv *,.zv *::before,.zv *::after', 'transition:none;animation:none', {
    medium: 'lessMotion',
    isLate: true,
  }),
  rule('.zv-bar ul ul', 'display:none!important', { medium: 'print' }),
  looks(
    'site',
    'listLevel',
    'listRow',
    'bar',
    'barDivider',
    'level',
    'dropdown',
    'level3',
    'dropRow',
    'entry',
    'barEntry',
    'barBranch',
    'arrowButton',
    'dropEntry',
    'listEntry',
    'listHeading',
    'arrow',
    'loneArrow',
  ),
];
