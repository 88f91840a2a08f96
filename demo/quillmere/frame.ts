import {
  onlyId,
  zoneNames,
  type Id,
  type Part,
  type PartFacts,
  type PartKind,
  type Site,
  type ZoneName,
} from '@zorvik/core';

/** A part of Quillmere's frame, and what is in it. */
interface Made {
  readonly kind: PartKind;
  readonly facts?: PartFacts;
  readonly inner?: readonly Made[];
  /** By this name, the drawer shows it again. */
  readonly name?: string;
}

/** The facts that Quillmere's frame shows. */
export const quillmereFacts: Pick<
  Site,
  'phone' | 'email' | 'postal' | 'hours' | 'holder' | 'social' | 'payments' | 'contentWidth'
> = {
  contentWidth: 1200,
  phone: '01632 960140',
  email: 'hello@quillmere.example',
  postal: ['Quillmere', 'Mill Lane', 'Little Quill'],
  hours: ['April to September: 10 to 18', 'October to March: 10 to 16'],
  holder: 'Quillmere Trust',
  social: [
    mark('Films from the garden', 'https://films.example/quillmere', 'film', 'M4 5h16v14H4Zm6 4v6l5-3Z'),
    mark(
      'Pictures of the week',
      'https://pictures.example/quillmere',
      'picture',
      'M4 5h16v14H4Zm2 11h12l-4-5-3 4-2-2Z',
    ),
    mark(
      'Press and news',
      '/press',
      'feed',
      'M5 5a14 14 0 0 1 14 14h-3A11 11 0 0 0 5 8Zm0 6a8 8 0 0 1 8 8h-3a5 5 0 0 0-5-5Zm0 5h3v3H5Z',
    ),
  ],
  payments: [
    { name: 'Card', mark: { name: 'card', path: 'M2 5h20v14H2Zm0 4h20v2H2Z' } },
    {
      name: 'Bank transfer',
      mark: { name: 'bank', path: 'M12 3l9 5v2H3V8Zm-6 9h2v6H6Zm5 0h2v6h-2Zm5 0h2v6h-2ZM3 20h18v2H3Z' },
    },
    {
      name: 'Invoice',
      mark: { name: 'invoice', path: 'M5 2h14v20l-3-2-2 2-2-2-2 2-2-2-3 2Zm3 5h8v2H8Zm0 4h8v2H8Z' },
    },
  ],
};

function mark(
  name: string,
  address: string,
  icon: string,
  path: string,
): NonNullable<Site['social']>[number] {
  return { name, address, mark: { name: icon, path } };
}

/**
 * Quillmere's header of two bands, the plant finder's side, and its footer, in preorder. `menus` has the ids of
 * menus by their keys, `at` those of pages by their paths.
 */
export function quillmereFrame(
  site: Id,
  menus: ReadonlyMap<string, Id>,
  at: (path: string) => Id,
  mint: () => Id,
): Part[] {
  const menu = (key: string): { readonly shows: Id } => ({ shows: menus.get(key) ?? '' });
  const parts: Part[] = [];
  const named = new Map<string, Id>();
  const add = (parent: Id, { kind, facts, inner = [], name }: Made): void => {
    const uses = kind === 'use' ? { of: named.get(name ?? '') ?? '' } : {};
    const part = { ...facts, ...uses, kind, id: '', parent } as Part;
    const id = onlyId(part) ?? mint();
    parts.push({ ...part, id });
    if (name !== undefined && kind !== 'use') named.set(name, id);
    for (const one of inner) add(id, one);
  };
  const areas: readonly (readonly ['header' | 'side' | 'footer' | 'drawer', readonly Made[]])[] = [
    [
      'header',
      [
        band({
          start: [{ kind: 'contact', facts: { says: ['phone', 'email'], yields: true }, name: 'contact' }],
          end: [{ kind: 'placement', facts: { ...menu('second'), yields: true }, name: 'second' }],
        }),
        band({
          start: [
            { kind: 'logo', facts: { text: 'Quillmere' } },
            { kind: 'placement', facts: { ...menu('main'), yields: true }, name: 'main' },
          ],
          end: [
            {
              kind: 'basket',
              facts: {
                text: 'Basket',
                destination: { kind: 'page', page: at('/shop'), anchor: null },
                faces: { wide: 'icon', medium: 'icon', narrow: 'icon' },
                isHidden: true,
              },
              inner: [exception({ onPage: at('/shop'), isBelow: true, isShown: true })],
            },
            { kind: 'menuButton', facts: { faces: { wide: 'icon', medium: 'icon', narrow: 'icon' } } },
          ],
        }),
        // On the start page there is no way to show.
        {
          ...band({ start: [{ kind: 'breadcrumb' }] }),
          inner: [
            ...(band({ start: [{ kind: 'breadcrumb' }] }).inner ?? []),
            exception({ template: 'home', isShown: false }),
          ],
        },
        {
          kind: 'behaviour',
          facts: { does: 'overlaid', isHidden: true },
          inner: [exception({ template: 'home', isShown: true })],
        },
        {
          kind: 'behaviour',
          facts: { does: 'returns', isHidden: true },
          inner: [exception({ template: 'article', isShown: true })],
        },
      ],
    ],
    [
      'side',
      [
        grid([
          [
            12,
            [
              {
                kind: 'placement',
                facts: { ...menu('plants'), isHidden: true, pattern: 'accordion' },
                inner: [
                  exception({ onPage: at('/plants'), isBelow: true, isShown: true, ...menu('plants') }),
                ],
              },
            ],
          ],
        ]),
      ],
    ],
    [
      'footer',
      [
        grid([
          [8, [{ kind: 'placement', facts: menu('footer') }]],
          [
            4,
            [
              { kind: 'heading', facts: { text: 'Where we are' } },
              { kind: 'contact', facts: { says: ['postal', 'hours', 'email'] } },
              { kind: 'social' },
            ],
          ],
        ]),
        band({ start: [{ kind: 'copyright' }], end: [{ kind: 'payment' }] }),
      ],
    ],
    [
      'drawer',
      [
        grid([
          [
            12,
            [
              // The start page has the short menu, and the seed house, whose branches are long, steps in.
              {
                kind: 'placement',
                facts: { ...menu('phone'), isHidden: true },
                inner: [exception({ template: 'home', isShown: true, ...menu('phone') })],
              },
              {
                kind: 'placement',
                facts: { ...menu('main') },
                inner: [
                  exception({ template: 'home', isShown: false, ...menu('main') }),
                  exception({ onPage: at('/shop'), isBelow: true, isShown: false, ...menu('main') }),
                ],
              },
              {
                kind: 'placement',
                facts: { ...menu('main'), pattern: 'stepIn', isHidden: true },
                inner: [exception({ onPage: at('/shop'), isBelow: true, isShown: true, ...menu('main') })],
              },
            ],
          ],
        ]),
        grid([
          [
            12,
            [
              { kind: 'use', name: 'second', facts: { pattern: 'open' } },
              { kind: 'use', name: 'contact' },
            ],
          ],
        ]),
      ],
    ],
  ];
  for (const [area, inner] of areas) add(site, { kind: 'area', facts: { area }, inner });
  return parts;
}

function band(zones: { readonly [Z in ZoneName]?: readonly Made[] }): Made {
  return {
    kind: 'band',
    inner: zoneNames.map((at): Made => ({ kind: 'zone', facts: { at }, inner: zones[at] ?? [] })),
  };
}

function grid(cells: readonly (readonly [span: number, parts: readonly Made[]])[]): Made {
  return {
    kind: 'band',
    inner: cells.map(([span, inner]): Made => ({ kind: 'cell', facts: { span }, inner })),
  };
}

function exception(facts: PartFacts): Made {
  return { kind: 'exception', facts };
}
