import { byCause, causeInWords, fixAllInWords } from '../src/drift/causes.ts';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { Id } from '../src/base/ids.ts';
import type { Result } from '../src/base/result.ts';
import { seededRandom } from '../src/base/seededRandom.ts';
import type { CommandContext } from '../src/commands/context.ts';
import { follow } from '../src/commands/follow.ts';
import { addLink, addPages, leadTo, moveItems, removeItems, renameItem } from '../src/commands/items.ts';
import {
  leaveFinding,
  mendDrift,
  openFindings,
  safeMends,
  takeUpFinding,
} from '../src/commands/mendDrift.ts';
import { createMenu } from '../src/commands/menus.ts';
import { planPage } from '../src/commands/planPage.ts';
import { addShared, shareItem } from '../src/commands/sharedLinks.ts';
import { driftOf } from '../src/drift/driftOf.ts';
import { inWords } from '../src/base/sentences.ts';
import {
  findingInWords,
  findingKinds,
  fixedSentence,
  fixInWords,
  toneOf,
  type Finding,
} from '../src/drift/finding.ts';
import { longestIncreasing } from '../src/walk/longestIncreasing.ts';
import { agreedFacts } from '../src/model/agreedFacts.ts';
import type { SiteDocument } from '../src/model/document.ts';
import { findBreach } from '../src/model/findBreach.ts';
import {
  childrenOf,
  nodeAt,
  withNode,
  withNodeChanged,
  withNodeMoved,
  withNodesLast,
} from '../src/model/forest.ts';
import { labelOf } from '../src/model/labelOf.ts';
import { newPart, type UnplacedPart } from '../src/model/newPart.ts';
import { latestSince } from '../src/model/latestSince.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import type { Edit } from '../src/ops/edit.ts';
import { withFollowed } from '../src/resolve/withFollowed.ts';
import type { Destination } from '../src/schema/item.ts';
import type { Page, PageAnchor } from '../src/schema/page.ts';
import type { Part } from '../src/schema/part.ts';
import type { RichText } from '../src/schema/richText.ts';
import { applied } from '../testing/withPlaced.ts';
import { followingContext } from '../testing/followingContext.ts';
import { outlined } from '../testing/outlined.ts';

const PAGES =
  '/ Home\n/seeds Seeds\n  /seeds/herbs Herbs\n  /seeds/beans Beans\n  /seeds/corn Corn\n  /seeds/dill Dill\n/tools Tools\n  /tools/hoes Hoes\n  /tools/rakes Rakes';
const MENU =
  '= /seeds\n  = /seeds/herbs\n  = /seeds/beans\n  = /seeds/corn\n= /tools\n  = /tools/hoes\nOwn > https://x.example/a';
const bare = outlined(MENU, PAGES);
const { menu } = bare;
const id = (name: string): Id => bare.ids.get(name) as Id;
const item = (path: string): Id => id(`= ${path}`);

/** The menu above with all facts agreed on, as they are. */
const start: SiteDocument = {
  ...bare.document,
  items: [...bare.document.items.nodes.values()].reduce(
    (items, one) =>
      one.destination.kind === 'page'
        ? withNodeChanged(items, { ...one, agreed: agreedFacts(bare.document, one.destination.page) })
        : items,
    bare.document.items,
  ),
};

let seed = 100;
function after(document: SiteDocument, command: (context: CommandContext) => Result<Edit>): SiteDocument {
  seed += 1;
  const result = command(followingContext(document, seed));
  if (!result.ok) throw new Error(result.refusal.message);
  const applied = applyEdit(document, result.value);
  if (!applied.ok) throw new Error(applied.refusal.message);
  expect(findBreach(applied.value.document)).toBeNull();
  return applied.value.document;
}

/** What the site does of itself. */
const site = {
  set: (document: SiteDocument, address: string, set: Partial<Page>): SiteDocument => ({
    ...document,
    pages: withNodeChanged(document.pages, { ...nodeAt(document.pages, id(address)), ...set }),
  }),
  move: (document: SiteDocument, address: string, under: string, behind: string | null): SiteDocument => {
    const to = {
      parent: under === '' ? document.site.id : id(under),
      after: behind === null ? null : id(behind),
    };
    const isFar = nodeAt(document.pages, id(address)).parent !== to.parent;
    const moved = { ...document, pages: withNodeMoved(document.pages, id(address), to) };
    return isFar ? site.set(moved, address, { since: latestSince(document) + 1 }) : moved;
  },
  add: (
    document: SiteDocument,
    address: string,
    under: string,
    behind: string | null,
    set: Partial<Page> = {},
  ): SiteDocument => {
    const parent = under === '' ? document.site.id : id(under);
    const page: Page = {
      id: `p${address.replaceAll(/[^a-z]/g, '')}new0`,
      parent,
      key: address,
      kind: 'page',
      title: address.slice(address.lastIndexOf('/') + 1),
      address,
      state: 'live',
      language: null,
      template: null,
      since: latestSince(document) + 1,
      ...set,
    };
    return { ...document, pages: withNode(document.pages, page, behind === null ? null : id(behind)) };
  },
};

function drift(stored: SiteDocument, dead?: ReadonlyMap<string, string>): Finding[] {
  const filled = withFollowed(stored);
  const findings = driftOf({ stored, filled, ...(dead === undefined ? {} : { dead }) });
  for (const one of findings) expect(findingInWords(one)).not.toMatch(/[{}]/);
  expect(new Set(findings.map((one) => one.id)).size).toBe(findings.length);
  return openFindings(stored, findings).open;
}

const renamed = (document: SiteDocument, path: string, label: string): SiteDocument =>
  after(document, (context) => renameItem(context, item(path), label));
/** An item whose own label is its page's very title: what bringing in a file gives, and typing does not. */
const labelled = (document: SiteDocument, path: string): SiteDocument => {
  const one = nodeAt(document.items, item(path));
  return { ...document, items: withNodeChanged(document.items, { ...one, label: labelOf(document, one) }) };
};
const followed = (document: SiteDocument): SiteDocument =>
  after(document, (context) =>
    follow(context, item('/seeds'), { of: { kind: 'pages', page: id('/seeds') }, depth: 2, order: 'site' }),
  );
const added = (document: SiteDocument, address: string, parent: Id): SiteDocument =>
  after(document, (context) =>
    addPages(context, {
      pages: [id(address)],
      depth: 0,
      spot: { parent, after: childrenOf(document.items, parent).last() },
    }),
  );
const linked = (document: SiteDocument, address: string): SiteDocument =>
  after(document, (context) => addLink(context, { parent: menu, after: null }, { label: 'Link', address }));
/** A plain link, as older sites have it: since then, what is typed links to the page itself. */
const typed = (document: SiteDocument, address: string): SiteDocument =>
  applied(document, {
    kind: 'addItem',
    after: null,
    branch: [
      {
        id: 'i000000000typed0',
        parent: menu,
        label: 'Link',
        destination: { kind: 'address', address },
        opensNewTab: false,
        agreed: null,
      },
    ],
  });
const child = (document: SiteDocument, label: string): Id => {
  const full = withFollowed(document);
  return (
    [...full.items.nodes.values()].find((one) => one.exception !== undefined && labelOf(full, one) === label)
      ?.id ?? ''
  );
};
const following = (document: SiteDocument): { document: SiteDocument; menu: Id } => {
  const made = after(document, (context) =>
    createMenu(context, {
      name: 'Phone',
      place: 'drawer',
      fill: { kind: 'follow', follow: { of: { kind: 'menu', menu }, depth: 3, order: 'site' } },
    }),
  );
  return { document: made, menu: [...made.menus.nodes.keys()].find((one) => one !== menu) as Id };
};
const gone = (document: SiteDocument, address: string): SiteDocument =>
  site.set(document, address, { state: 'gone' });
const retitled = (document: SiteDocument, address: string): SiteDocument =>
  site.set(document, address, { title: 'Pulses' });
const anchored = (document: SiteDocument, anchor: string): SiteDocument =>
  after(document, (context) => leadTo(context, item('/seeds/corn'), { page: id('/seeds/corn'), anchor }));

const toPage = (address: string, anchor: string | null = null): Destination => ({
  kind: 'page',
  page: id(address),
  anchor,
});
/** Two links to the same in one text: they are one finding. */
const linkedText = (to: Destination): RichText => [
  { kind: 'paragraph', runs: [{ text: 'Read ' }, { text: 'this', to }, { text: ' and ' }] },
  { kind: 'listed', runs: [{ text: 'this', bold: true, to }] },
];
/** The panel of Tools with one more row, of one cell with one part. */
const withPart = (document: SiteDocument, facts: UnplacedPart): SiteDocument => {
  const at = document.parts.nodes.size;
  const [row, cell] = [`crow${at}`, `ccell${at}`];
  const parts: Part[] = [
    { id: row, parent: item('/tools'), kind: 'row' },
    { id: cell, parent: row, kind: 'cell', span: 12 },
    newPart(`cpart${at}`, cell, facts),
  ];
  const made = { ...document, parts: withNodesLast(document.parts, parts) };
  expect(findBreach(made)).toBeNull();
  return made;
};
const anchoredPart = (anchors: PageAnchor[]): SiteDocument =>
  site.set(
    withPart(start, {
      kind: 'heading',
      text: 'When to sow',
      destination: toPage('/tools/rakes', 'sowing'),
    }),
    '/tools/rakes',
    { anchors },
  );

/** Each row of the table: what the site and the menu are then, and addresses outside that do not answer. */
const cases: Readonly<
  Record<string, () => SiteDocument | { document: SiteDocument; dead: ReadonlyMap<string, string> }>
> = {
  same: () => start,
  own: () =>
    after(renamed(start, '/seeds/beans', 'All beans'), (context) =>
      moveItems(context, [item('/tools/hoes')], { parent: item('/seeds'), after: null }),
    ),
  gone: () => gone(start, '/seeds/corn'),
  'gone-below': () => gone(start, '/seeds'),
  'gone-next': () => site.add(gone(start, '/seeds/corn'), '/seeds/corn', '/', null, { title: 'Sweetcorn' }),
  'gone-hidden': () => gone(followed(start), '/seeds/corn'),
  draft: () => site.set(start, '/seeds/corn', { state: 'draft' }),
  'draft-known': () =>
    added(site.set(start, '/seeds/dill', { state: 'draft' }), '/seeds/dill', item('/seeds')),
  planned: () =>
    after(start, (context) =>
      planPage(context, {
        title: 'Peas',
        under: id('/seeds'),
        spot: { parent: item('/seeds'), after: null },
      }),
    ),
  'planned-live': () => {
    const planned = cases.planned?.() as SiteDocument;
    const page = [...planned.pages.nodes.values()].find((one) => one.planned === true) as Page;
    const { planned: _, ...real } = page;
    return { ...planned, pages: withNodeChanged(planned.pages, { ...real, state: 'live' }) };
  },
  'title-taken': () => retitled(start, '/seeds/beans'),
  'title-stale': () => retitled(labelled(start, '/seeds/beans'), '/seeds/beans'),
  'title-own': () => retitled(renamed(start, '/seeds/beans', 'All beans'), '/seeds/beans'),
  'title-exception': () => {
    const full = followed(start);
    const made = after(full, (context) => renameItem(context, child(full, 'Beans'), 'Other'));
    const one = nodeAt(made.items, child(made, 'Other'));
    return retitled(
      { ...made, items: withNodeChanged(made.items, { ...one, label: 'Beans' }) },
      '/seeds/beans',
    );
  },
  address: () => site.set(start, '/seeds/corn', { address: '/corn', formerAddresses: ['/seeds/corn'] }),
  'address-former': () =>
    linked(
      site.set(start, '/seeds/dill', { address: '/dill', formerAddresses: ['/seeds/dill'] }),
      '/seeds/dill/',
    ),
  'address-gone': () => linked(gone(start, '/seeds/dill'), 'https://meadow.example/seeds/dill'),
  'address-page': () => typed(start, '/seeds/corn#sowing'),
  'address-outside': () => linked(start, 'https://elsewhere.example/seeds/corn'),
  'address-dead': () => ({
    document: start,
    dead: new Map([['https://x.example/a', 'the server answers 404']]),
  }),
  'panel-same': () =>
    withPart(withPart(start, { kind: 'button', text: 'All', destination: toPage('/tools/rakes') }), {
      kind: 'text',
      body: linkedText(toPage('/seeds/corn')),
    }),
  'panel-gone': () =>
    gone(
      withPart(start, { kind: 'button', text: 'All', destination: toPage('/tools/rakes') }),
      '/tools/rakes',
    ),
  'panel-gone-text': () =>
    gone(withPart(start, { kind: 'text', body: linkedText(toPage('/tools/rakes')) }), '/tools/rakes'),
  'panel-gone-next': () =>
    site.add(
      gone(
        withPart(start, { kind: 'heading', text: 'Rakes', destination: toPage('/tools/rakes') }),
        '/tools/rakes',
      ),
      '/tools/rakes',
      '/',
      null,
    ),
  'panel-draft': () =>
    site.set(
      withPart(start, { kind: 'button', text: 'All', destination: toPage('/tools/rakes') }),
      '/tools/rakes',
      { state: 'draft' },
    ),
  'panel-renamed': () =>
    retitled(
      withPart(start, { kind: 'button', text: 'Rakes', destination: toPage('/tools/rakes') }),
      '/tools/rakes',
    ),
  'panel-anchor': () => anchoredPart([{ id: 'harvest', title: 'Harvest' }]),
  'panel-anchor-alike': () => anchoredPart([{ id: 'sowing-times', title: 'When' }]),
  'panel-address-former': () =>
    withPart(site.set(start, '/seeds/dill', { address: '/dill', formerAddresses: ['/seeds/dill'] }), {
      kind: 'button',
      text: 'Dill',
      destination: { kind: 'address', address: '/seeds/dill' },
    }),
  'panel-address-gone': () =>
    withPart(gone(start, '/seeds/dill'), {
      kind: 'text',
      body: linkedText({ kind: 'address', address: 'https://meadow.example/seeds/dill' }),
    }),
  'panel-address-dead': () => ({
    document: withPart(start, {
      kind: 'button',
      text: 'Elsewhere',
      destination: { kind: 'address', address: 'https://y.example/b' },
    }),
    dead: new Map([['https://y.example/b', 'the server answers 404']]),
  }),
  'panel-search': () =>
    withPart(gone(start, '/seeds/dill'), {
      kind: 'search',
      text: 'Search',
      address: '/seeds/dill',
      parameter: 'q',
    }),
  'panel-consent': () =>
    gone(
      withPart(start, {
        kind: 'form',
        label: 'E-mail',
        text: 'Sign up',
        address: '/newsletter',
        parameter: 'email',
        body: linkedText(toPage('/tools/rakes')),
      }),
      '/tools/rakes',
    ),
  kind: () => site.set(start, '/seeds/corn', { kind: 'category' }),
  anchor: () =>
    site.set(anchored(start, 'sowing'), '/seeds/corn', { anchors: [{ id: 'harvest', title: 'Harvest' }] }),
  'anchor-alike': () =>
    site.set(anchored(start, 'sowing'), '/seeds/corn', {
      anchors: ['sowing-times', 'harvest', 'sow'].map((one) => ({ id: one, title: one })),
    }),
  'anchor-there': () =>
    site.set(anchored(start, 'sowing'), '/seeds/corn', { anchors: [{ id: 'sowing', title: 'Sowing' }] }),
  'anchor-unknown': () => anchored(start, 'sowing'),
  moved: () => site.move(start, '/seeds/corn', '/tools', '/tools/hoes'),
  'moved-out': () => site.move(start, '/seeds/corn', '/', null),
  'moved-with': () =>
    site.move(
      after(start, (context) =>
        moveItems(context, [item('/seeds/corn')], { parent: item('/tools'), after: null }),
      ),
      '/seeds/corn',
      '/tools',
      null,
    ),
  'moved-heading': () =>
    site.move(
      after(start, (context) => leadTo(context, item('/seeds'), 'nothing')),
      '/seeds/corn',
      '/',
      null,
    ),
  'moved-own': () =>
    site.move(
      after(start, (context) =>
        moveItems(context, [item('/seeds/corn')], { parent: id('Own'), after: null }),
      ),
      '/seeds/corn',
      '/tools',
      null,
    ),
  new: () => site.add(start, '/seeds/peas', '/seeds', '/seeds/beans'),
  'new-heading': () => {
    const heading = after(start, (context) => leadTo(context, item('/seeds'), 'nothing'));
    return site.add(heading, '/seeds/peas', '/seeds', null);
  },
  'new-top': () => site.add(start, '/news', '', '/tools'),
  'new-deeper': () => site.add(start, '/seeds/corn/popcorn', '/seeds/corn', null),
  'new-elsewhere': () => {
    const grown = site.add(start, '/seeds/peas', '/seeds', null);
    return after(grown, (context) =>
      addPages(context, { pages: ['pseedspeasnew0'], depth: 0, spot: { parent: id('Own'), after: null } }),
    );
  },
  'new-draft': () => site.add(start, '/seeds/peas', '/seeds', null, { state: 'draft' }),
  'new-back': () => site.set(gone(start, '/seeds/dill'), '/seeds/dill', { state: 'live', since: 1 }),
  'new-followed': () => site.add(followed(start), '/seeds/peas', '/seeds', null),
  'left-out': () => start,
  order: () =>
    site.move(
      site.move(start, '/seeds/herbs', '/seeds', '/seeds/dill'),
      '/seeds/beans',
      '/seeds',
      '/seeds/herbs',
    ),
  'order-fewest': () => site.move(start, '/seeds/herbs', '/seeds', '/seeds/dill'),
  'order-own': () =>
    after(start, (context) =>
      moveItems(context, [item('/seeds/corn')], { parent: item('/seeds'), after: null }),
    ),
  'order-new': () => site.add(start, '/seeds/first', '/seeds', null),
  'order-same': () =>
    site.move(
      after(start, (context) =>
        moveItems(context, [item('/seeds/herbs')], { parent: item('/seeds'), after: item('/seeds/corn') }),
      ),
      '/seeds/herbs',
      '/seeds',
      '/seeds/dill',
    ),
  'exception-lost': () => {
    const full = followed(start);
    return site.move(
      after(full, (context) => removeItems(context, [child(full, 'Beans')])),
      '/seeds/beans',
      '/',
      null,
    );
  },
  'exception-own': () => {
    const full = followed(start);
    const own = after(full, (context) =>
      addLink(
        context,
        { parent: child(full, 'Beans'), after: null },
        { label: 'Broad', address: 'https://b.example/' },
      ),
    );
    return site.move(own, '/seeds/beans', '/', null);
  },
  'follow-true': () =>
    gone(
      site.move(
        site.add(followed(start), '/seeds/peas', '/seeds', null),
        '/seeds/beans',
        '/tools/rakes',
        null,
      ),
      '/seeds/dill',
    ),
  'source-renamed': () => {
    const made = following(start);
    const own = after(made.document, (context) => renameItem(context, child(made.document, 'Own'), 'Ours'));
    return after(own, (context) => renameItem(context, id('Own'), 'Elsewhere'));
  },
  'source-same': () =>
    after(following(start).document, (context) => renameItem(context, id('Own'), 'Elsewhere')),
  shared: () => {
    const shared = after(labelled(start, '/seeds/beans'), (context) =>
      shareItem(context, item('/seeds/beans')),
    );
    const link = [...shared.sharedLinks.nodes.keys()][0] as Id;
    return retitled(
      after(shared, (context) => addShared(context, link, { parent: menu, after: null })),
      '/seeds/beans',
    );
  },
  left: () => {
    const without = gone(start, '/seeds/corn');
    return after(without, (context) => leaveFinding(context, drift(without), 'Back in spring'));
  },
  'left-again': () => {
    const moved = site.move(start, '/seeds/corn', '/', null);
    const left = after(moved, (context) => leaveFinding(context, drift(moved), 'Fine here'));
    expect(drift(left)).toEqual([]);
    return site.move(left, '/seeds/corn', '/tools', null);
  },
};

const rows = readFileSync(new URL('../../../docs/drift.md', import.meta.url), 'utf8')
  .split('\n')
  .filter((line) => /^\| [a-z-]+ \|/.test(line) && !line.startsWith('| row |') && !line.startsWith('| --- |'))
  .map((line) => line.split('|').map((cell) => cell.trim()))
  .map(([, row = '', , , expectation = '', mend = '']) => ({ row, expectation, mend }));

const look = (
  given: ReturnType<NonNullable<(typeof cases)[string]>>,
): { document: SiteDocument; findings: Finding[]; dead: ReadonlyMap<string, string> } => {
  const { document, dead } = 'dead' in given ? given : { document: given, dead: new Map<string, string>() };
  return { document, dead, findings: drift(document, dead) };
};

describe('the decision table of drift', () => {
  it('has a test for every row, and a row for every test', () => {
    expect(rows.map(({ row }) => row).sort()).toEqual(Object.keys(cases).sort());
    const expectation = new Set(rows.flatMap((one) => one.expectation.split(/[^a-zA-Z]+/)));
    expect(findingKinds.filter((kind) => !expectation.has(kind))).toEqual([]);
  });

  it.each(rows)('$row: $expectation', ({ row, expectation, mend }) => {
    const make = cases[row];
    if (make === undefined) throw new Error(`No test for the row ${row}.`);
    const { document, findings, dead } = look(make());
    const [expected] = expectation.replace('nothing but ', '').split(/[ ,]/);
    expect(findings.map(({ kind }) => kind)).toEqual(expected === 'nothing' ? [] : [expected]);
    const [finding] = findings;
    if (finding === undefined) return;
    expect(finding.mends[0]?.kind).toBe(mend);
    expect(toneOf(finding)).toMatch(/broken|wrong|news/);
    // Every mend takes away what it is about, and nothing else comes of it.
    for (const fix of finding.mends) {
      const { kind } = fix;
      expect(fixInWords(fix)).not.toMatch(/…|^$/);
      expect(inWords(fixedSentence(fix))).not.toMatch(/…|^$/);
      const mended = after(document, (context) => mendDrift(context, [{ finding, mend: kind }]));
      expect(
        drift(mended, dead).map((one) => findingInWords(one)),
        `after ${kind}`,
      ).toEqual([]);
      // Two people, or two quick keys, may apply it to the same finding: the second changes nothing.
      expect(mendDrift(followingContext(mended), [{ finding, mend: kind }]).ok, `${kind} again`).toBe(false);
    }
    // And so does leaving it, until it is taken up again.
    const left = after(document, (context) => leaveFinding(context, [finding], 'As it should be'));
    expect(drift(left, dead)).toEqual([]);
    expect(
      drift(
        after(left, (context) => takeUpFinding(context, finding.id)),
        dead,
      ),
    ).toHaveLength(1);
  });
});

describe('findings with one cause', () => {
  const causes = (document: SiteDocument): string[] =>
    byCause(document, drift(document)).map((one) => `${one.tone}: ${causeInWords(document, one)}`);

  it('are one, the urgent ones first: broken, wrong for visitors, news', () => {
    let document = labelled(start, '/tools/hoes');
    // One page gets another address, and with it all below it.
    for (const path of ['/seeds', '/seeds/herbs', '/seeds/beans', '/seeds/corn'])
      document = site.set(document, path, { address: path.replace('/seeds', '/sowing') });
    document = site.set(document, '/tools/hoes', { title: 'Hoes and rakes' });
    document = site.add(document, '/tools/forks', '/tools', null);
    document = site.set(document, '/seeds/corn', { state: 'gone' });
    expect(causes(document)).toEqual([
      'broken: “Corn” links to a deleted page',
      'wrong: “Hoes” is the old title: the page is now called “Hoes and rakes”',
      'news: 3 addresses changed, from /seeds to /sowing',
      'news: New page “forks” under “Tools”, which is in this menu',
    ]);
    const [, , addresses] = byCause(document, drift(document));
    expect(addresses?.findings.map(({ params }) => params['label'])).toEqual(['Seeds', 'Herbs', 'Beans']);
    expect(addresses === undefined ? '' : fixAllInWords(addresses)).toBe(
      'OK, all 3 links are already updated',
    );
  });

  it('are told apart where other changes caused them', () => {
    let document = site.set(start, '/seeds/herbs', { address: '/herbs' });
    document = site.set(document, '/tools/hoes', { address: '/hoes' });
    expect(causes(document)).toHaveLength(2);
    document = site.set(start, '/seeds', { state: 'gone' });
    document = site.set(document, '/seeds/herbs', { state: 'gone' });
    document = site.set(document, '/tools/hoes', { state: 'gone' });
    expect(causes(document)).toEqual([
      'broken: 2 items link to pages that were deleted with “Seeds”',
      'broken: “Hoes” links to a deleted page',
    ]);
  });

  it('have words of their own for each kind, and for each button', () => {
    for (const kind of findingKinds) {
      const make = Object.values(cases).find(
        (one) => 'items' in one() && drift(one() as SiteDocument)[0]?.kind === kind,
      );
      const [finding] = make === undefined ? [] : drift(make() as SiteDocument);
      if (finding === undefined || finding.part !== undefined) continue;
      const twin = byCause(start, [finding, { ...finding, id: `${finding.id} twin` }]);
      if (twin.length > 1) continue;
      const [cause] = twin;
      if (cause === undefined) throw new Error(kind);
      expect(causeInWords(start, cause), kind).toMatch(/^2 /);
      expect(causeInWords(start, cause), kind).not.toMatch(/[{}…]/);
      expect(fixAllInWords(cause), kind).toMatch(/all 2/);
    }
  });
});

describe('what mends make of a menu', () => {
  const outline = (document: SiteDocument): string => {
    const lines = (parent: Id): string[] =>
      [...childrenOf(document.items, parent)].flatMap((one) => [
        labelOf(document, nodeAt(document.items, one)),
        ...lines(one).map((line) => `-${line}`),
      ]);
    return lines(menu).join(' ');
  };
  const mended = (row: string, mend?: string): string => {
    const { document, findings } = look((cases[row] as () => SiteDocument)());
    const finding = findings[0] as Finding;
    return outline(
      after(document, (context) =>
        mendDrift(context, [
          { finding, mend: (mend ?? finding.mends[0]?.kind) as Finding['mends'][number]['kind'] },
        ]),
      ),
    );
  };

  it.each([
    ['gone', undefined, 'Seeds -Herbs -Beans Tools -Hoes Own'],
    ['gone-below', 'makeHeading', 'Seeds -Herbs -Beans -Corn Tools -Hoes Own'],
    ['gone-below', 'remove', 'Herbs Beans Corn Tools -Hoes Own'],
    ['gone-next', undefined, 'Seeds -Herbs -Beans -Sweetcorn Tools -Hoes Own'],
    ['moved', undefined, 'Seeds -Herbs -Beans Tools -Hoes -Corn Own'],
    ['moved', 'agree', 'Seeds -Herbs -Beans -Corn Tools -Hoes Own'],
    ['new', undefined, 'Seeds -Herbs -Beans -peas -Corn Tools -Hoes Own'],
    ['new-top', undefined, 'Seeds -Herbs -Beans -Corn Tools -Hoes news Own'],
    ['order-new', undefined, 'Seeds -first -Herbs -Beans -Corn Tools -Hoes Own'],
    ['order', undefined, 'Seeds -Corn -Herbs -Beans Tools -Hoes Own'],
    ['order-fewest', undefined, 'Seeds -Beans -Corn -Herbs Tools -Hoes Own'],
    ['title-stale', undefined, 'Seeds -Herbs -Pulses -Corn Tools -Hoes Own'],
    ['title-stale', 'agree', 'Seeds -Herbs -Beans -Corn Tools -Hoes Own'],
    ['exception-own', undefined, 'Seeds -Broad Tools -Hoes Own'],
  ])('%s, by %s', (row, mend, expected) => {
    expect(mended(row, mend)).toBe(expected);
  });

  it('are one edit for many, leave out what another did already, and say why nothing is left to do', () => {
    const document = retitled(gone(labelled(start, '/seeds/beans'), '/seeds/corn'), '/seeds/beans');
    const findings = drift(document);
    expect(findings.map(({ kind }) => kind)).toEqual(['titleStale', 'pageGone']);
    expect(safeMends(findings).map(({ finding }) => finding.kind)).toEqual(['titleStale']);
    const all = findings.map((finding) => ({ finding, mend: finding.mends[0]?.kind ?? 'agree' }));
    const both = after(document, (context) => mendDrift(context, [...all, ...all]));
    expect(outline(both)).toBe('Seeds -Herbs -Pulses Tools -Hoes Own');
    const again = mendDrift(followingContext(both), all);
    expect(again.ok ? 'done' : again.refusal.code).toBe('changesNothing');
  });
});

describe('the fewest to move', () => {
  it('is the longest increasing subsequence, by trying all for short lists', () => {
    const random = seededRandom(3);
    for (let round = 0; round < 400; round += 1) {
      const values = Array.from({ length: 1 + (random() % 9) }, (_, at) => at).sort(() => (random() % 3) - 1);
      const weights = values.map(() => 1 + (random() % 3));
      const kept = longestIncreasing(values, (at) => weights[at] ?? 0);
      const list = values.filter((_, at) => kept.has(at));
      expect(list).toEqual([...list].sort((a, b) => a - b));
      let best = 0;
      for (let mask = 0; mask < 1 << values.length; mask += 1) {
        const chosen = values
          .map((value, at) => ({ value, weight: weights[at] ?? 0 }))
          .filter((_, at) => (mask & (1 << at)) !== 0);
        if (chosen.every(({ value }, at) => at === 0 || value > (chosen[at - 1]?.value ?? 0)))
          best = Math.max(
            best,
            chosen.reduce((sum, one) => sum + one.weight, 0),
          );
      }
      expect([...kept].reduce((sum, at) => sum + (weights[at] ?? 0), 0)).toBe(best);
    }
  });
});
