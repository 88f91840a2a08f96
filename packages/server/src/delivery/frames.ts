import { DELIVERY } from '@zorvik/contract';
import {
  currentMarks,
  fillSlot,
  frameAreas,
  markPlaces,
  no,
  ok,
  pathKey,
  refusal,
  splice,
  type Combination,
  type FragmentFile,
  type FrameIndex,
  type Insert,
  type MarkPlaces,
  type PageFacts,
  type PageRow,
  type Result,
} from '@zorvik/core';
import { limited, readLimits } from './frameData.ts';
import { hashOf, textOf, type MakeFile } from './markedFiles.ts';
import type { PagePaths } from './pagePaths.ts';
import type { ReadyFile } from './sendFile.ts';

/** What is asked of a frame: a path behind `frame`, such as `/header.html`, and a query. */
export interface Frames {
  readonly answer: (path: string, query: URLSearchParams) => Result<ReadyFile>;
}

/** What is known of the page that is asked about. */
interface Asked {
  /** Its path, as it is compared; null: the page is none that anybody knows. */
  readonly path: string | null;
  readonly way: readonly PageRow[];
  readonly template: string | null;
  readonly combination: Combination;
}

const HTML = 'text/html; charset=utf-8';
const JSON_TYPE = 'application/json; charset=utf-8';

/**
 * The frame of an edition by page. All paths that nobody knows share one answer, and pages with the same fragments,
 * marks and slots do: so the memory follows what is different, and not what is asked for. `year`: the present one.
 */
export function framesOf(
  siteKey: string,
  index: FrameIndex,
  files: ReadonlyMap<string, ReadyFile>,
  pages: PagePaths,
  make: MakeFile,
  year: () => number,
): Frames {
  const base = `${DELIVERY}/sites/${siteKey}`;
  const marksIn = new Map<string, MarkPlaces>();
  const placesIn = (file: ReadyFile): MarkPlaces => {
    const found = marksIn.get(file.hash) ?? markPlaces(textOf(file), { inMenus: true });
    marksIn.set(file.hash, found);
    return found;
  };
  /** Paths that menus lead to, though they are no pages: they are marked, too. */
  let linked: ReadonlySet<string> | null = null;
  const isLinked = (path: string): boolean => {
    linked ??= new Set(
      fragmentsOf(index).flatMap(({ html }) => {
        const file = files.get(html);
        return file === undefined ? [] : placesIn(file).links.map((link) => link.path);
      }),
    );
    return linked.has(path);
  };

  function about(query: URLSearchParams): Asked {
    const page = query.get('page');
    const path = page === null ? null : pathKey(page);
    const way = path === null ? [] : pages.way(path);
    const [row] = way;
    const template = row === undefined ? query.get('template') : row.template;
    const at = row === undefined ? ofTemplate(template) : (row.frame ?? 0);
    return {
      path: path !== null && (row !== undefined || isLinked(path)) ? path : null,
      way,
      template,
      combination: index.combinations[at] ?? index.combinations[0]!,
    };
  }

  function ofTemplate(template: string | null): number {
    return template === null || !Object.hasOwn(index.templates, template)
      ? 0
      : (index.templates[template] ?? 0);
  }

  function factsOf({ way, template }: Asked): PageFacts {
    return {
      way: way.map(({ title = '', address = '', path }) => ({ title, path: address || path })).reverse(),
      anchors: way[0]?.anchors ?? [],
      year: year(),
      template,
    };
  }

  /** What is put into a fragment on a page: the marks of the current page, and what its slots ask for. */
  function insertsIn(fragment: FragmentFile, file: ReadyFile, asked: Asked): Insert[] {
    const above = new Set(
      asked.way
        .slice(1)
        .map(({ path }) => path)
        .filter((path) => path !== '/'),
    );
    const marks = asked.path === null ? [] : currentMarks(placesIn(file), asked.path, above);
    const facts = factsOf(asked);
    const filled = fragment.slots.map((slot) => ({ at: slot.at, text: fillSlot(slot, facts) }));
    return [...marks, ...filled.filter(({ text }) => text !== '')].sort((a, b) => a.at - b.at);
  }

  function fragmentFile(fragment: FragmentFile, asked: Asked): ReadyFile | null {
    const file = files.get(fragment.html);
    if (file === undefined) return null;
    const inserts = insertsIn(fragment, file, asked);
    if (inserts.length === 0) return file;
    return make(hashOf([file.hash, inserts]), HTML, () => splice(file.bytes, inserts));
  }

  const placesOn = ({ combination }: Asked): readonly (readonly [string, FragmentFile])[] =>
    Object.entries(index.places[combination.page] ?? {});

  function whole(asked: Asked): ReadyFile {
    const pieces = [
      ...frameAreas.map((area) => [area, index.areas[area][asked.combination[area]]] as const),
      ...placesOn(asked),
    ].map(([name, fragment]) => {
      const file = fragment === undefined ? undefined : files.get(fragment.html);
      const inserts = file === undefined || fragment === undefined ? [] : insertsIn(fragment, file, asked);
      return { name, file, inserts };
    });
    const head = { page: asked.path, template: asked.template };
    const made = pieces.map(({ file, inserts }) => [file?.hash, inserts]);
    return make(hashOf([base, index.skip, made, head]), JSON_TYPE, () => {
      const texts = pieces.map(({ name, file, inserts }) => {
        const bytes = file === undefined ? new Uint8Array() : splice(file.bytes, inserts);
        return [name, Buffer.from(bytes).toString('utf8')] as const;
      });
      const areas = Object.fromEntries(texts.slice(0, frameAreas.length));
      const body = {
        ...head,
        language: index.language,
        direction: index.direction,
        css: `${base}/navigation.css`,
        script: `${base}/navigation.js`,
        skip: index.skip,
        ...areas,
        places: Object.fromEntries(texts.slice(frameAreas.length)),
      };
      return Buffer.from(JSON.stringify(body));
    });
  }

  function asData(asked: Asked, query: URLSearchParams): Result<ReadyFile> {
    const limits = readLimits(query);
    if (!limits.ok) return limits;
    const dataAt = (path: string | undefined): unknown => {
      const file = path === undefined ? undefined : files.get(path);
      return file === undefined ? [] : JSON.parse(textOf(file));
    };
    const facts = factsOf(asked);
    const body = {
      page: asked.path,
      template: asked.template,
      language: index.language,
      direction: index.direction,
      words: index.words,
      way: facts.way,
      anchors: facts.anchors,
      year: facts.year,
      ...Object.fromEntries(
        frameAreas.map((area) => [
          area,
          limited(dataAt(index.areas[area][asked.combination[area]]?.data), limits.value),
        ]),
      ),
      drawer: limited(dataAt(index.areas.header[asked.combination.header]?.drawer), limits.value),
      places: Object.fromEntries(
        placesOn(asked).map(([key, fragment]) => [key, limited(dataAt(fragment.data), limits.value)]),
      ),
    };
    const text = JSON.stringify(body);
    return ok(make(hashOf([text]), JSON_TYPE, () => Buffer.from(text)));
  }

  return {
    answer(path, query) {
      const asked = about(query);
      if (path === '') {
        return query.get('as') === 'data' ? asData(asked, query) : ok(whole(asked));
      }
      if (path === '/skip.html') return ok(make(hashOf([index.skip]), HTML, () => Buffer.from(index.skip)));
      const [, name = ''] = /^\/(?:places\/)?([a-z0-9-]+)\.html$/.exec(path) ?? [];
      const area = frameAreas.find((one) => path === `/${one}.html`);
      const fragment =
        area !== undefined
          ? index.areas[area][asked.combination[area]]
          : path.startsWith('/places/')
            ? placesOn(asked).find(([key]) => key === name)?.[1]
            : undefined;
      const file = fragment === undefined ? null : fragmentFile(fragment, asked);
      return file === null ? no(refusal('unknownPath', { method: 'GET', path: `frame${path}` })) : ok(file);
    },
  };
}

function fragmentsOf({ areas, places }: FrameIndex): FragmentFile[] {
  return [...frameAreas.flatMap((area) => areas[area]), ...places.flatMap((some) => Object.values(some))];
}
