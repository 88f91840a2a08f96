import { habits, plants, type Plant } from './plants.ts';
import { goods } from './goods.ts';
import { sections } from './sections.ts';

/** A page of the made-up garden: what its site would know of it. */
export interface QuillmerePage {
  readonly path: string;
  readonly parent: string | null;
  readonly title: string;
  readonly kind: 'page' | 'category' | 'article' | 'product' | 'event';
  readonly template: string;
  readonly text: string;
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

export function slugOf(title: string): string {
  return title
    .normalize('NFKD')
    .replaceAll(/[\p{M}’']/gu, '')
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, '-')
    .replaceAll(/^-|-$/g, '');
}

/** All pages of Quillmere, parents before children, in the order in which its own site shows them. */
export function quillmerePages(): QuillmerePage[] {
  const home: QuillmerePage = {
    path: '/',
    parent: null,
    title: 'Quillmere',
    kind: 'page',
    template: 'home',
    text: 'A botanic garden and seed house between the river and the old brick works. Open today.',
  };
  const outlined = outlinedPages(sections, '', 'page');
  const shop: QuillmerePage = {
    path: '/shop',
    parent: null,
    title: 'Seed house',
    kind: 'category',
    template: 'shop',
    text: 'Seeds, bulbs, tools and pots, sold where they are grown, made or mended.',
  };
  const before = outlined.findIndex(({ path }) => path === '/learn');
  return [
    home,
    ...outlined.slice(0, before),
    shop,
    ...outlinedPages(goods, '/shop', 'category'),
    ...plantPages(),
    ...outlined.slice(before),
  ];
}

/** Pages from an outline set in by two spaces a level; a line with a dash is a product. */
function outlinedPages(outline: string, root: string, kind: QuillmerePage['kind']): QuillmerePage[] {
  const paths: string[] = [];
  return outline
    .trim()
    .split('\n')
    .map((line) => {
      const depth = (line.length - line.trimStart().length) / 2;
      const parent = depth === 0 ? root : (paths[depth - 1] ?? root);
      const page = line.trimStart().startsWith('- ') ? productAt(line, parent) : pageAt(line, parent, kind);
      paths[depth] = page.path;
      return { ...page, parent: parent === '' ? null : parent };
    });
}

function pageAt(line: string, parent: string, kind: QuillmerePage['kind']): QuillmerePage {
  const [slug = '', titled = '', text = ''] = line.split('|').map((part) => part.trim());
  const [title = '', marked] = titled.split(' @');
  const own = (marked as QuillmerePage['kind'] | undefined) ?? kind;
  return { path: `${parent}/${slug}`, parent, title, kind: own, template: own, text };
}

function productAt(line: string, parent: string): QuillmerePage {
  const [title = '', price = ''] = line
    .trim()
    .slice(2)
    .split('|')
    .map((part) => part.trim());
  const text = `${title} costs ${price}. It is packed in the seed house on the day you order and leaves with the next post.`;
  return { path: `${parent}/${slugOf(title)}`, parent, title, kind: 'product', template: 'product', text };
}

function plantPages(): QuillmerePage[] {
  const finder: QuillmerePage = {
    path: '/plants',
    parent: null,
    title: 'Plant finder',
    kind: 'category',
    template: 'category',
    text: `The ${plants.length} plants that visitors ask about most, by habit, season, soil and light.`,
  };
  const byHabit = Object.entries(habits).flatMap(([habit, text]) => {
    const path = `/plants/${habit}`;
    const section: QuillmerePage = {
      path,
      parent: '/plants',
      title: capital(habit),
      kind: 'category',
      template: 'category',
      text,
    };
    return [
      section,
      ...plants.filter((plant) => plant.habit === habit).map((plant) => plantPage(plant, path)),
    ];
  });
  return [
    finder,
    ...byHabit,
    ...groupPages('season', 'In'),
    ...groupPages('soil', 'For'),
    ...groupPages('light', 'For'),
  ];
}

/** Pages that gather plants by one of their traits. */
function groupPages(trait: 'season' | 'soil' | 'light', word: string): QuillmerePage[] {
  const parent = `/plants/by-${trait}`;
  const values = [...new Set(plants.map((plant) => plant[trait]))].toSorted();
  const named = (value: string): string => (trait === 'soil' ? `${value} soil` : value);
  const listed = (value: string): string => {
    const names = plants.filter((plant) => plant[trait] === value).map(({ name }) => name);
    return `${names.length} of our plants, among them ${names.slice(0, 4).join(', ')}.`;
  };
  return [
    {
      path: parent,
      parent: '/plants',
      title: `By ${trait}`,
      kind: 'category',
      template: 'category',
      text: `The same plants, gathered by ${trait}: ${values.map(named).join(', ')}.`,
    },
    ...values.map((value): QuillmerePage => ({
      path: `${parent}/${slugOf(value)}`,
      parent,
      title: `${word} ${named(value)}`,
      kind: 'category',
      template: 'category',
      text: listed(value),
    })),
  ];
}

function plantPage(
  { name, botanical, habit, season, soil, light, height }: Plant,
  parent: string,
): QuillmerePage {
  const tall = height >= 200 ? `${height / 100} m` : `${height} cm`;
  const text = `${name} (${botanical}) grows to about ${tall}. It is at its best in ${season}, in ${soil} soil and ${light}. Look for it among the ${habit}; its slate label gives the year in which it was planted.`;
  return { path: `${parent}/${slugOf(name)}`, parent, title: name, kind: 'article', template: 'plant', text };
}
