import { describe, expect, it } from 'vitest';
import { fillWithPicture, removeToken } from '../src/commands/palette.ts';
import { setLooks } from '../src/commands/looks.ts';
import { writeOwnCss } from '../src/commands/ownCss.ts';
import { inWords } from '../src/base/sentences.ts';
import type { Result } from '../src/base/result.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { filesIn } from '../src/model/filesIn.ts';
import { paletteOf } from '../src/model/palette.ts';
import { newProblem } from '../src/ops/newProblem.ts';
import type { Edit } from '../src/ops/edit.ts';
import { lookFilesOf, renderStyles } from '../src/render/renderStyles.ts';
import { resolveMenu } from '../src/resolve/resolveMenu.ts';
import { sheetOf } from '../src/resolve/sheetOf.ts';
import { styleId, type StyleTarget } from '../src/schema/style.ts';
import { styleOf } from '../src/commands/styleFile.ts';
import { applied as appliedTo, contextOf, outlined } from '../testing/index.ts';

const { document: bare, menu } = outlined('Shop\n  Seeds\nVisit');
const applied = (before: SiteDocument, made: Result<Edit>): SiteDocument => {
  if (!made.ok) throw new Error(made.refusal.message);
  return made.value.operations.reduce(appliedTo, before);
};
const made = {
  picture: { file: 'ab'.repeat(16), width: 2000, height: 900 },
  tones: ['#101010', '#f0f0f0'],
};
const target: StyleTarget = { owner: bare.site.id, thing: 'barEntry' };
const filling = fillWithPicture(contextOf(bare), target, 'backgroundImage', 'spring_meadow.JPG', made);
const filled = applied(bare, filling);
const cssOf = (document: SiteDocument): string =>
  renderStyles(document.site, [resolveMenu(document, menu)], undefined, sheetOf(document), '/p/');
const fillIn = (document: SiteDocument): string | undefined =>
  document.styles.nodes.get(styleId(target))?.backgroundImage;

describe('a picture behind something', () => {
  it('gets a name and is set in one step; the same file again is the same picture', () => {
    expect(filling.ok && inWords(filling.value.sentence)).toMatch(
      /^Set the picture of bar entries in “.+” to “spring meadow”$/,
    );
    expect(fillIn(filled)).toBe('@spring-meadow');
    const again = applied(
      filled,
      fillWithPicture(
        contextOf(filled, 3),
        { ...target, thing: 'dropdown' },
        'backgroundImage',
        'x.png',
        made,
      ),
    );
    expect([...paletteOf(again).values()].filter(({ of }) => of === 'picture')).toHaveLength(1);
    expect(filesIn(filled)).toContain(made.picture.file);
    expect(lookFilesOf(sheetOf(filled))).toEqual([made.picture.file]);
  });

  it('is loaded from where files are served, no wider than it has to be, and fills its place as it is told', () => {
    expect(cssOf(filled)).toContain(`--zv-t-spring-meadow:url("/p/${made.picture.file}-1440.webp")`);
    expect(cssOf(filled)).toContain(
      'background-image:var(--zv-t-spring-meadow);background-position:50%;background-size:cover;background-repeat:no-repeat',
    );
    const set = (value: string): string =>
      cssOf(applied(filled, setLooks(contextOf(filled), target, { backgroundImage: value })));
    expect(set('@spring-meadow tile')).toContain('background-size:auto;background-repeat:repeat');
    expect(set('linear(180deg, #00000080, #00000080) @spring-meadow')).toContain(
      'background-image:linear-gradient(180deg, #00000080, #00000080),var(--zv-t-spring-meadow)',
    );
    expect(set('linear(180deg, #000000, #ffffff)')).toContain(
      'background-image:linear-gradient(180deg, #000000, #ffffff)',
    );
  });

  it('can part entries, too, and what is set nearer takes it away whole', () => {
    const divider: StyleTarget = { owner: bare.site.id, thing: 'barDivider' };
    const parted = applied(
      bare,
      fillWithPicture(contextOf(bare), divider, 'divider', 'leaf.svg', {
        ...made,
        picture: { ...made.picture, isDrawn: true },
      }),
    );
    expect(cssOf(parted)).toContain(
      'content:"";border-inline-start:0;inline-size:1em;background:var(--zv-t-leaf) 50%/contain no-repeat',
    );
    expect(cssOf(parted)).toContain(`url("/p/${made.picture.file}.svg")`);
    const near = setLooks(contextOf(parted), { ...divider, owner: menu }, { divider: 'line' });
    expect(cssOf(applied(parted, near))).toContain(
      'border-inline-start:1px solid;inline-size:auto;background:none',
    );
  });

  it('is used in CSS written by hand by its name, where addresses are refused', () => {
    const css = (value: string) =>
      writeOwnCss(contextOf(filled), filled.site.id, [
        { selectors: ['.zv-badge'], declarations: [{ name: 'background-image', value }] },
      ]);
    const named = applied(filled, css('var(--zv-t-spring-meadow)'));
    expect(cssOf(named)).toContain('background-image:var(--zv-t-spring-meadow)');
    expect(css(`url(/p/${made.picture.file}.webp)`).ok).toBe(false);
  });

  it('leaves its gradient behind when it is removed, and nothing where it had none', () => {
    const remove = (document: SiteDocument): SiteDocument =>
      applied(document, removeToken(contextOf(document), { key: 'spring-meadow', of: 'picture' }));
    expect(fillIn(remove(filled))).toBeUndefined();
    const veil = 'linear(180deg, #00000080, #00000080)';
    const veiled = applied(
      filled,
      setLooks(contextOf(filled), target, { backgroundImage: `${veil} @spring-meadow` }),
    );
    expect(fillIn(remove(veiled))).toBe(veil);
    expect(filesIn(remove(veiled)).size).toBe(0);
    expect(styleOf(filled).style.names, 'files stay on their site').toEqual([]);
  });

  it.each([
    ['@nowhere', 'no picture called “nowhere”'],
    ['@accent', 'no picture called “accent”'],
    ['linear(180deg, #000000, #ffffff) @nowhere', 'no picture called “nowhere”'],
    ['url(https://evil.example/x.png)', 'Can’t set Picture or gradient'],
  ])('is refused as %s', (value, words) => {
    const refused = setLooks(contextOf(filled), target, { backgroundImage: value });
    expect(refused.ok ? '' : refused.refusal.message).toContain(words);
  });

  it('is no value of anything else that has a name, and not there without its file', () => {
    const token = (of: 'colour' | 'picture', set: object) =>
      newProblem(bare, { kind: 'setToken', target: { key: 'odd', of }, set, was: {} })?.code;
    expect(token('picture', { name: 'Odd', value: 'own:picture' })).toBe('wrongToken');
    expect(token('picture', { name: 'Odd', value: '#123456', ...made })).toBe('wrongToken');
    expect(token('colour', { name: 'Odd', value: '#123456', ...made })).toBe('wrongToken');
    expect(token('picture', { name: 'Odd', value: 'own:picture', ...made })).toBeUndefined();
  });
});
