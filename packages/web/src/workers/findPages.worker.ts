import { forgivingSearch, type Findable, type PageSearch } from './findPages.ts';
import type { FromSearch, ToSearch } from './findPagesClient.ts';

/** Finds pages beside the page's own thread: typing must not wait for a hundred thousand titles. */
let pages: Findable[] = [];
let search: PageSearch | null = null;

onmessage = ({ data }: MessageEvent<ToSearch>) => {
  if (data.kind === 'begin') {
    pages = [];
    search = null;
  } else if (data.kind === 'pages') pages.push(...data.pages);
  else {
    search ??= forgivingSearch(pages);
    // Numbers in one block are handed over without being copied one by one.
    const found = Uint32Array.from(search.find(data.typed));
    const answer: FromSearch = { ticket: data.ticket, found };
    postMessage(answer, { transfer: [found.buffer] });
  }
};
