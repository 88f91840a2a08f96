import { describe, expect, it } from 'vitest';
import { seededRandom } from '../src/base/seededRandom.ts';
import { wordsIn } from '../src/base/visitorWords.ts';
import type { Id } from '../src/base/ids.ts';
import { retireMenu } from '../src/commands/menus.ts';
import { setPageState } from '../src/commands/pages.ts';
import { newDocument, type SiteDocument } from '../src/model/document.ts';
import { nodeAt, withNodeChanged, withNodesLast } from '../src/model/forest.ts';
import { newPart } from '../src/model/newPart.ts';
import { areaId, zoneId } from '../src/model/partRoots.ts';
import { partProblem } from '../src/model/partProblem.ts';
import { newProblem } from '../src/ops/newProblem.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import { fillSlot } from '../src/render/fillSlot.ts';
import { frameProblem, frameTable, MOST_VARIANTS } from '../src/render/frameVariants.ts';
import { renderEdition, type Edition } from '../src/render/renderEdition.ts';
import { placementOf, placementsIn } from '../src/resolve/placementOf.ts';
import { addToFrame } from '../src/commands/frame.ts';
import { exceptionsOf, winning } from '../src/resolve/frameExceptions.ts';
import { resolveArea } from '../src/resolve/resolveFrame.ts';
import {
  addableKinds,
  heldBy,
  exceptionId,
  type ExceptionOn,
  type Part,
  type PartFacts,
  type PartKind,
} from '../src/schema/part.ts';
import { applied, withPlaced } from '../testing/withPlaced.ts';
import { contextOf } from '../testing/contextOf.ts';
import { outlined } from '../testing/outlined.ts';

const start = outlined(
  'Shop > /shop\nHelp > /help',
  '/ Home\n/shop Shop\n  /shop/mugs Mugs\n    /shop/mugs/blue Blue\n/help Help',
);
const page = (address: string): Id => start.ids.get(address) ?? '';
const { site } = start.document;
const header = areaId('header');
const [band = ''] = [...start.document.parts.children.get(header)!];
const zone = zoneId(band, 'end');
const placement = placementOf(start.document, start.menu)!.id;

let made = 0;
const part = (kind: PartKind, facts: PartFacts = {}, parent = zone): Part =>
  newPart(`c${String((made += 1)).padStart(15, '0')}`, parent, { kind, ...facts });
const exception = (about: Id, on: ExceptionOn, facts: PartFacts): Part =>
  newPart(exceptionId(about, on), about, { kind: 'exception', isShown: true, ...on, ...facts });
const withParts = (document: SiteDocument, ...parts: Part[]): SiteDocument =>
  parts.reduce((now, one) => applied(now, { kind: 'addPart', after: null, branch: [one] }), document);
const edition = (document: SiteDocument): Edition =>
  renderEdition(document, { compareTitles: () => 0, pictures: '' });
/** The header as it is on a page. */
function headerOn(document: SiteDocument, address: string): string {
  const { files, pages, frame } = edition(document);
  const row = pages.find(({ path }) => path === address);
  const at = frame!.combinations[row?.frame ?? 0]!.header;
  const { html } = frame!.areas.header[at]!;
  return files.find(({ path }) => path === html)?.body ?? '';
}
const withSeeds = (): { document: SiteDocument; seeds: Id } => {
  const menu = {
    id: 'm000000000000009',
    parent: site.id,
    key: 'seeds',
    name: 'Seeds',
    language: 'en',
    description: '',
  };
  const document = { ...start.document, menus: withNodesLast(start.document.menus, [menu]) };
  const item = {
    id: 'i000000000000009',
    parent: menu.id,
    label: 'Sowing',
    destination: { kind: 'none' as const },
    opensNewTab: false,
    agreed: null,
  };
  return { document: { ...document, items: withNodesLast(document.items, [item]) }, seeds: menu.id };
};

describe('which menu shows where', () => {
  const { document, seeds } = withSeeds();
  const shows = (address: string, ...exceptions: Part[]): string => {
    const html = headerOn(withParts(document, ...exceptions), address);
    return html.includes('Sowing') ? 'seeds' : html.includes('Help') ? 'menu' : 'none';
  };
  const on = (about: ExceptionOn, facts: PartFacts): Part => exception(placement, about, facts);

  it('is the menu for all pages, unless an exception for the page, a branch or a template says otherwise', () => {
    expect(shows('/help')).toBe('menu');
    expect(shows('/help', on({ onPage: page('/help') }, { shows: seeds }))).toBe('seeds');
    expect(shows('/shop', on({ onPage: page('/help') }, { shows: seeds }))).toBe('menu');
    expect(shows('/shop/mugs/blue', on({ onPage: page('/shop'), isBelow: true }, { shows: seeds }))).toBe(
      'seeds',
    );
    expect(shows('/shop', on({ onPage: page('/shop'), isBelow: true }, { isShown: false }))).toBe('none');
    expect(shows('/shop/mugs', on({ onPage: page('/shop') }, { shows: seeds })), 'not below').toBe('menu');
  });

  it('goes to the most specific exception, whatever order they were made in', () => {
    const all = [
      on({ onPage: page('/shop'), isBelow: true }, { shows: seeds }),
      on({ onPage: page('/shop/mugs'), isBelow: true }, { isShown: false }),
      on({ onPage: page('/shop/mugs') }, { shows: start.menu }),
    ];
    for (const some of [all, all.toReversed()])
      expect(['/shop', '/shop/mugs', '/shop/mugs/blue'].map((one) => shows(one, ...some))).toEqual([
        'seeds',
        'menu',
        'none',
      ]);
  });

  it('goes by template, which a page and a branch win over', () => {
    const templated = {
      ...document,
      pages: ['/shop', '/help'].reduce(
        (now, address) => withNodeChanged(now, { ...nodeAt(now, page(address)), template: 'wide' }),
        document.pages,
      ),
    };
    const ofTemplate = on({ template: 'wide' }, { shows: seeds });
    const html = (address: string, ...more: Part[]): boolean =>
      headerOn(withParts(templated, ofTemplate, ...more), address).includes('Sowing');
    expect([html('/shop'), html('/help'), html('/shop/mugs')]).toEqual([true, true, false]);
    expect(html('/help', on({ onPage: page('/help') }, { isShown: false }))).toBe(false);
    const { frame } = edition(withParts(templated, ofTemplate));
    expect(Object.keys(frame!.templates)).toEqual(['wide']);
  });

  it('shows nothing while the menu is gone, and shows it again after undo; a gone page’s exception is dormant', () => {
    const gone = retireMenu(contextOf(document), start.menu);
    if (!gone.ok) throw new Error(gone.refusal.message);
    const without = applyEdit(document, gone.value);
    if (!without.ok) throw new Error(without.refusal.message);
    expect(placementsIn(without.value.document.parts, site.id).map((one) => one.shows)).toEqual([start.menu]);
    expect(edition(without.value.document).frame).toBeNull();
    const excepted = withParts(document, on({ onPage: page('/help') }, { shows: seeds }));
    const retired = setPageState(contextOf(excepted), [page('/help')], 'gone');
    expect(retired.ok, 'an exception keeps no page from being deleted').toBe(true);
  });
});

describe('parts on some pages only', () => {
  it('are hidden on a template, or hidden everywhere but below a page; bands, too', () => {
    const button = part('button', { text: 'Book', destination: { kind: 'address', address: '/book' } });
    const only = part('button', {
      text: 'Basket now',
      destination: { kind: 'address', address: '/b' },
    });
    const hidden = newPart(only.id, only.parent, { ...only, logoWidth: 80 } as PartFacts & {
      kind: 'button';
    });
    expect(partProblem(start.document, hidden)?.code, 'what a kind has not is refused').toBe('wrongPart');
    const basket = part('basket', {
      text: 'Basket now',
      destination: { kind: 'address', address: '/b' },
      isHidden: true,
    });
    const document = withParts(
      start.document,
      button,
      basket,
      exception(button.id, { onPage: page('/help') }, { isShown: false }),
      exception(basket.id, { onPage: page('/shop'), isBelow: true }, { isShown: true }),
    );
    const on = (address: string): boolean[] => {
      const html = headerOn(document, address);
      return [html.includes('Book'), html.includes('Basket now')];
    };
    expect([on('/'), on('/help'), on('/shop/mugs')]).toEqual([
      [true, false],
      [false, false],
      [true, true],
    ]);
    const noBand = withParts(document, exception(band, { onPage: page('/help') }, { isShown: false }));
    expect(headerOn(noBand, '/help')).toBe('');
  });

  it('are as few variants as there are differences, and too many are refused with what makes them', () => {
    const button = part('button', { text: 'Book', destination: { kind: 'address', address: '/book' } });
    const document = withParts(start.document, button);
    expect(frameTable(document).variants.header).toHaveLength(1);
    const some = withParts(
      document,
      exception(button.id, { onPage: page('/help') }, { isShown: false }),
      exception(button.id, { onPage: page('/shop') }, { isShown: true }),
    );
    expect(frameTable(some).variants.header).toHaveLength(3);
    expect(frameProblem(some)).toBeNull();
    const templates = Array.from({ length: MOST_VARIANTS + 1 }, (_, at) =>
      exception(button.id, { template: `t${at}` }, { isShown: false }),
    );
    const many = { ...document, parts: withNodesLast(document.parts, templates) };
    const problem = frameProblem(many);
    expect(problem?.code).toBe('tooManyVariants');
    expect(problem?.message).toContain('Book');
  });
});

describe('what can be in a frame', () => {
  const refused = (one: Part): string | undefined => partProblem(start.document, one)?.code;

  it('is each area once, each zone of a band once, one exception for the same pages', () => {
    expect(refused(newPart('c00000000000zzzz', site.id, { kind: 'area', area: 'header' }))).toBe('wrongPart');
    expect(refused(newPart('c00000000000zzzz', band, { kind: 'zone', at: 'end' }))).toBe('wrongPart');
    expect(
      refused(newPart('c00000000000zzzz', placement, { kind: 'exception', isShown: true, template: 'a' })),
    ).toBe('wrongPart');
    expect(refused(exception(placement, { template: 'a' }, {}))).toBeUndefined();
  });

  it('is not what belongs into panels, nor the other way, however deep', () => {
    for (const kind of ['groups', 'tabs', 'row'] as const)
      expect(refused(part(kind)), kind).toBe('wrongPartPlace');
    const item = start.ids.get('Shop') ?? '';
    const row = part('row', {}, item);
    const cell = part('cell', { span: 12 }, row.id);
    const panel = withParts(start.document, row, cell);
    expect(partProblem(panel, part('logo', {}, cell.id))?.code).toBe('wrongPartPlace');
    const grid = part('band', {}, header);
    const inGrid = part('cell', { span: 6 }, grid.id);
    const framed = withParts(panel, grid, inGrid, part('logo', {}, inGrid.id));
    expect(() =>
      applied(framed, {
        kind: 'movePart',
        id: inGrid.id,
        from: { parent: grid.id, after: null },
        to: { parent: row.id, after: null },
      }),
    ).toThrow('logo');
  });

  it('takes an area that somebody else has just added as it is', () => {
    const area = newPart(header, site.id, { kind: 'area', area: 'header' });
    expect(applied(start.document, { kind: 'addPart', after: null, branch: [area] })).toBe(start.document);
  });
});

describe('the frame as HTML', () => {
  const facts = { ...site, phone: '+44 (0)1632 960140', hours: ['10 to 16'], holder: 'Meadow & Co' };
  const rich = (): SiteDocument => ({
    ...withParts(
      start.document,
      part('logo', { text: '<Meadow>' }),
      part('contact', { says: ['phone', 'hours', 'email'] }),
      part('copyright', { text: 'Ltd' }),
      part('breadcrumb'),
      part('account', {
        text: 'Sign in',
        destination: { kind: 'address', address: '/me' },
        faces: { narrow: 'icon' },
      }),
    ),
    site: facts,
  });

  it('escapes what people wrote, says facts where they are used, and leaves out what is not known', () => {
    const html = headerOn(rich(), '/help');
    expect(html).toContain('&lt;Meadow&gt;');
    expect(html).not.toContain('<Meadow>');
    expect(html).toContain('href="tel:+4401632960140"');
    expect(html).toContain('zv-icon-only-narrow');
    expect(html, 'there is no e-mail address').not.toContain('mailto:');
    expect(headerOn({ ...rich(), site: { ...facts, phone: '112' } }, '/help')).toContain('tel:112');
  });

  it('has no marks of slots, and its slots are where the text goes', () => {
    const { files, frame } = edition(rich());
    const { html, slots } = frame!.areas.header[0]!;
    const body = files.find(({ path }) => path === html)!.body;
    // eslint-disable-next-line no-control-regex -- the marks of slots are what must not be there
    expect(body).not.toMatch(/[\u0000-\u0008]/);
    const year = slots.find(({ kind }) => kind === 'year')!;
    const before = Buffer.from(body).subarray(0, year.at).toString();
    expect(before.endsWith('© ')).toBe(true);
    expect(slots.map(({ kind }) => kind).sort()).toEqual(['breadcrumb', 'template', 'year']);
  });

  it('lets no text end a slot and get into the HTML as it was written', () => {
    const evil = '\u0001<img src=x onerror=alert(1)>\u0001year\u0002';
    const document = withParts(
      start.document,
      part('breadcrumb', { text: evil }),
      part('anchors', { text: evil }),
      part('copyright', { text: evil }),
    );
    const { files, frame } = edition(document);
    const { html, slots } = frame!.areas.header[0]!;
    const body = files.find(({ path }) => path === html)!.body;
    expect(body).not.toContain('<img');
    expect(slots.map(({ kind }) => kind).sort()).toEqual(['anchors', 'breadcrumb', 'template', 'year']);
    const page = {
      way: [{ title: 'A', path: '/a' }],
      anchors: [{ id: 'a', title: 'A' }],
      year: 2030,
      template: 'a',
    };
    for (const one of slots) expect(fillSlot(one, page)).not.toContain('<img');
  });

  it('puts an entry and all behind it at the far end of its bar', () => {
    const help = start.ids.get('Help') ?? '';
    const pushed = applied(start.document, {
      kind: 'updatePart',
      id: placement,
      set: { pushed: help },
      was: { pushed: null },
    });
    expect(headerOn(pushed, '/help')).toMatch(/<li class="zv-pushed"><a href="\/help">/);
    expect(edition(pushed).files.find(({ path }) => path === 'navigation.css')?.body).toContain(
      'zv-pushed){margin-inline-start:auto}',
    );
  });

  it('gives one menu that stands twice ids of its own each time', () => {
    const twice = withPlaced(start.document, start.menu, 'footer', seededRandom(3));
    const { files } = edition(twice);
    const ids = files
      .filter(({ path }) => path.endsWith('.html') && path.startsWith('.frame'))
      .flatMap(({ body }) => [...body.matchAll(/ id="([^"]+)"/g)].map(([, id]) => id));
    expect(ids.length).toBeGreaterThan(1);
    expect(new Set(ids).size).toBe(ids.length);
  });

  it('has rules for what it has alone: a site without a frame gets none', () => {
    const sheet = (document: SiteDocument): string =>
      edition(document).files.find(({ path }) => path === 'navigation.css')!.body;
    expect(sheet(rich())).toContain('.zv-logo{');
    expect(sheet(start.document), 'no logo, no rules for logos').not.toContain('.zv-logo{');
    expect(sheet(newDocument(site))).not.toContain('.zv-band-content');
  });
});

describe('slots', () => {
  const known = {
    way: [
      { title: 'Home', path: '/' },
      { title: 'Shop', path: '/shop' },
      { title: 'Mugs & "more"', path: '/shop/mugs' },
    ],
    anchors: [{ id: 'a b', title: 'First <part>' }],
    year: 2031,
    template: 'goods "on" sale',
  };

  it('are filled with the way to the page, its anchors and the year', () => {
    const crumb = { at: 0, kind: 'breadcrumb' as const, facts: ['Breadcrumb', 'Start'] };
    expect(fillSlot(crumb, known)).toBe(
      '<nav aria-label="Breadcrumb"><ol><li><a href="/">Start</a></li><li><a href="/shop">Shop</a></li><li><span aria-current="page">Mugs &amp; &quot;more&quot;</span></li></ol></nav>',
    );
    expect(fillSlot(crumb, { ...known, way: known.way.slice(0, 1) }), 'none on the start page').toBe('');
    expect(fillSlot({ at: 0, kind: 'anchors', facts: ['Here'] }, known)).toContain(
      '<a href="#a%20b">First &lt;part&gt;</a>',
    );
    expect(fillSlot({ at: 0, kind: 'anchors', facts: ['Here'] }, { ...known, anchors: [] })).toBe('');
    expect(fillSlot({ at: 0, kind: 'year', facts: [] }, known)).toBe('2031');
    expect(fillSlot({ at: 0, kind: 'template', facts: [] }, known)).toBe(
      ' data-zv-template="goods &quot;on&quot; sale"',
    );
    expect(fillSlot({ at: 0, kind: 'template', facts: [] }, { ...known, template: null })).toBe('');
  });
});

describe('words that visitors read', () => {
  it('ship in ten languages, are found by the language alone, and are replaced word by word', () => {
    expect(wordsIn('de-AT').skip).toBe('Zum Inhalt springen');
    expect(wordsIn('xx').skip, 'else English').toBe('Skip to content');
    const own = { de: { skip: 'Zum Text' }, 'de-AT': { more: 'Mehr davon' } };
    expect([wordsIn('de-AT', own).skip, wordsIn('de-AT', own).more, wordsIn('de', own).more]).toEqual([
      'Zum Text',
      'Mehr davon',
      'Mehr',
    ]);
  });
});

describe('own HTML in a frame', () => {
  const body = '<p class="note">Open <em>today</em></p>';

  it('is in the page as it was stored, and links in it are no marks of the page', () => {
    const link = part('html', { html: `${body}<a href="/shop">Shop</a>` });
    expect(headerOn(withParts(start.document, link), '/shop')).toContain(
      `<div class="zv-prose">${body}<a href="/shop">Shop</a></div>`,
    );
  });

  it('is refused when it was not cleaned, and never shown, however it came there', () => {
    for (const html of ['<p onclick="x()">a</p>', '<script>x</script>', '<p>a', '</header>']) {
      const operation = { kind: 'addPart', after: null, branch: [part('html', { html })] } as const;
      expect(newProblem(start.document, operation)?.code).toBe('badHtml');
      expect(headerOn(applied(start.document, operation), '/shop')).not.toContain('zv-prose');
    }
  });
});

describe('a part that is added to the frame for some pages alone', () => {
  it.each(
    addableKinds('frame')
      .filter((kind) => heldBy('zone').includes(kind))
      .map((kind) => [kind]),
  )('can be a %s', (kind) => {
    const on = { template: 'product' };
    const made = addToFrame(contextOf(start.document), { parent: zone, after: null }, kind, { on });
    expect(made.ok ? '' : made.refusal.message).toBe('');
    const [operation] = made.ok ? made.value.operations : [];
    expect(newProblem(start.document, operation!)).toBeNull();
    const document = applied(start.document, operation!);
    const [id] = kind === 'placement' ? [placement] : [...document.parts.children.get(zone)!];
    const shownOn = (template: string): boolean =>
      JSON.stringify(
        resolveArea(
          {
            document,
            compareTitles: () => 0,
            keepsEmpty: true,
            menuOf: () => null,
            exceptionFor: (one) => winning(exceptionsOf(document, one.id), { template, pages: [] }),
          },
          'header',
        ),
      ).includes(`"${id}"`);
    if (kind !== 'placement') expect([shownOn('product'), shownOn('other')]).toEqual([true, false]);
  });
});

describe('the picture of a logo', () => {
  const drawn = (hash: string) => ({ file: hash.repeat(32), width: 120, height: 40, isDrawn: true as const });

  it('is another one where the header is marked so, and only then is it asked for', () => {
    const logo = part('logo', { picture: drawn('a'), darkPicture: drawn('b'), scrolledPicture: drawn('c') });
    const made = edition(withParts(start.document, logo));
    const html = made.files.find(({ path }) => path === made.frame!.areas.header[0]!.html)!.body;
    expect(html).toContain('class="zv-logo zv-has-on-dark zv-has-scrolled"');
    expect(html.match(/<img [^>]*class="zv-logo-(?:on-dark|scrolled)" loading="lazy"/g)).toHaveLength(2);
    expect(made.uploads.toSorted()).toEqual(['a', 'b', 'c'].map((one) => one.repeat(32)));
    const css = made.files.find(({ path }) => path === 'navigation.css')!.body;
    expect(css).toContain('zv-has-scrolled');
    expect(css, 'what no logo has').not.toContain('zv-over-content');
  });
});

describe('buttons and searches of a frame', () => {
  it('have an icon where one is given, and a field that an icon opens', () => {
    const glyph = { name: 'star', path: 'M1 1h2v2Z' };
    const destination = { kind: 'address', address: '/book' } as const;
    const document = withParts(
      start.document,
      part('button', { text: 'Book', destination, glyph, faces: { narrow: 'icon' }, isIconAbove: true }),
      part('search', { text: 'Find', address: '/find', parameter: 'q', isFolded: true }),
    );
    const html = headerOn(document, '/');
    expect(html).toMatch(
      /class="zv-action zv-icon-above zv-icon-only-narrow"><a [^>]*class="zv-action-link"><svg/,
    );
    expect(html).toMatch(
      /<details class="zv-fold"><summary aria-label="Find"><svg.*<form class="zv-search" role="search"/,
    );
    expect(headerOn(withParts(start.document, part('button', { text: 'Book', destination })), '/')).toContain(
      'class="zv-action"><a href="/book" class="zv-action-link">Book</a>',
    );
  });
});

describe('the content width of the site', () => {
  it('is kept by panels as wide as the page, unless they say another or nobody said one', () => {
    const shop = start.ids.get('Shop') ?? '';
    const child = {
      ...nodeAt(start.document.items, shop),
      id: 'i000000000000777',
      parent: shop,
      label: 'Mugs',
    };
    const inner = (panel: object, contentWidth?: number): string[] => {
      const item = {
        ...nodeAt(start.document.items, shop),
        dropdown: { form: 'panel' as const, panel },
      };
      const items = withNodesLast(withNodeChanged(start.document.items, item), [child]);
      const facts = contentWidth === undefined ? {} : { contentWidth };
      const html = headerOn({ ...start.document, items, site: { ...site, ...facts } }, '/');
      return html.match(/zv-inner-width-\d+/g) ?? [];
    };
    expect(inner({ extent: 'page' }, 1100)).toEqual(['zv-inner-width-1100']);
    expect(inner({ extent: 'page', innerWidth: 700 }, 1100)).toEqual(['zv-inner-width-700']);
    expect(inner({ extent: 'bar' }, 1100)).toEqual([]);
    expect(inner({ extent: 'page' })).toEqual([]);
  });
});
