import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import {
  childrenOf,
  partsFrom,
  withNodesLast,
  type Id,
  type PartSketch,
  type Picture,
  type SiteDocument,
} from '@zorvik/core';

const FOLDER = new URL('./pictures/', import.meta.url);

/** The pictures of Quillmere's panels: drawings, in the form in which they are kept. */
export const panelPictures = ['autumn.svg', 'gate.svg'] as const;

/** The bytes of a picture of the panels. */
export function panelPicture(name: (typeof panelPictures)[number]): Buffer {
  return readFileSync(new URL(name, FOLDER));
}

function pictured(name: (typeof panelPictures)[number]): Picture {
  return {
    file: createHash('sha256').update(panelPicture(name)).digest('hex').slice(0, 32),
    width: 480,
    height: 320,
    isDrawn: true,
  };
}

/**
 * The document with the panels of its main menu composed: plan a visit, and the seed house by season and
 * kind. The third, learning, is plain columns.
 */
export function withPanels(
  document: SiteDocument,
  pageAt: (path: string) => Id,
  mint: () => Id,
): SiteDocument {
  const to = (path: string): Pick<PartSketch, 'destination'> => ({
    destination: { kind: 'page', page: pageAt(path), anchor: null },
  });
  const panels: readonly (readonly [string, readonly PartSketch[]])[] = [
    [
      '/visit',
      [
        {
          kind: 'row',
          parts: [
            { kind: 'cell', span: 8, parts: [{ kind: 'groups', columns: 2 }] },
            {
              kind: 'cell',
              span: 4,
              parts: [
                {
                  kind: 'picture',
                  picture: pictured('gate.svg'),
                  isOrnament: true,
                  isBled: true,
                  ratio: '16/9',
                },
                { kind: 'heading', text: 'Plan the day' },
                {
                  kind: 'text',
                  body: [
                    {
                      kind: 'paragraph',
                      runs: [
                        { text: 'A ticket is good for the whole day, and ' },
                        { text: 'under fives come free', bold: true },
                        { text: '.' },
                      ],
                    },
                  ],
                },
                { kind: 'button', text: 'Tickets and prices', ...to('/visit/tickets') },
              ],
            },
          ],
        },
      ],
    ],
    [
      '/shop',
      [
        {
          kind: 'row',
          parts: [
            { kind: 'cell', span: 9, parts: [{ kind: 'groups', columns: 3 }] },
            {
              kind: 'cell',
              span: 3,
              parts: [
                {
                  kind: 'picture',
                  picture: pictured('autumn.svg'),
                  isOrnament: true,
                  isRounded: true,
                  ...to('/shop/seeds/sow-in-autumn'),
                },
                { kind: 'heading', text: 'The autumn seed list is here', ...to('/shop/seeds/sow-in-autumn') },
              ],
            },
          ],
        },
        { kind: 'row', parts: [{ kind: 'cell', span: 12, parts: [{ kind: 'divider' }] }] },
        {
          kind: 'row',
          parts: [
            {
              kind: 'cell',
              span: 9,
              parts: [
                {
                  kind: 'pages',
                  text: 'New in the seed house',
                  columns: 3,
                  source: { page: pageAt('/shop'), depth: 20, order: 'date', limit: 6, kinds: ['product'] },
                },
              ],
            },
            {
              kind: 'cell',
              span: 3,
              parts: [
                {
                  kind: 'search',
                  text: 'Search the seed house',
                  address: '/search',
                  parameter: 'q',
                  extraParameter: { name: 'in', value: 'shop' },
                },
              ],
            },
          ],
        },
      ],
    ],
  ];
  const main = [...document.menus.nodes.values()].find(({ key }) => key === 'main')?.id ?? '';
  return panels.reduce((made, [path, rows]) => {
    const owner = [...childrenOf(made.items, main)].find((id) => {
      const destination = made.items.nodes.get(id)?.destination;
      return destination?.kind === 'page' && destination.page === pageAt(path);
    });
    if (owner === undefined) throw new Error(`Nothing in the main menu links to ${path}.`);
    return {
      ...made,
      parts: withNodesLast(
        made.parts,
        partsFrom(made, rows, owner, [...childrenOf(made.items, owner)], mint),
      ),
    };
  }, document);
}
