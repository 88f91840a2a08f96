import { withChanges, type SiteDocument } from '@zorvik/core';
import { pageChanges, pagesIn, readPageFile, type PageFile } from './pageFile.ts';
import { SAMPLE, type FromPageFile, type ToPageFile } from './pageFileClient.ts';

/** Reads a file of pages and compares it with the site beside the page's own thread. */
let document: SiteDocument | null = null;
let file: PageFile = { kind: 'problem', problem: '' };

onmessage = ({ data }: MessageEvent<ToPageFile>) => {
  const answer = answerTo(data);
  if (answer !== null) postMessage(answer);
};

function answerTo(asked: ToPageFile): FromPageFile | null {
  switch (asked.kind) {
    case 'document':
      document = withChanges(asked.isAnew ? null : document, asked.changes);
      return null;
    case 'read': {
      file = readPageFile(asked.file, asked.origin);
      const { ticket } = asked;
      if (file.kind !== 'table')
        return { kind: 'read', ticket, file: file.kind === 'nested' ? { kind: 'nested' } : file };
      const { headers, rows, guesses } = file.table;
      return {
        kind: 'read',
        ticket,
        file: { kind: 'table', table: { headers, rows: rows.slice(0, SAMPLE), guesses } },
      };
    }
    case 'compare': {
      const { pages, problems } = pagesIn(file, asked.columns);
      const changes = document === null ? null : pageChanges(document, pages, asked.missing);
      return {
        kind: 'compared',
        ticket: asked.ticket,
        count: pages.length,
        changes,
        problems: problems.slice(0, asked.most),
        problemCount: problems.length,
      };
    }
    case 'take':
      return { kind: 'taken', ticket: asked.ticket, pages: pagesIn(file, asked.columns).pages };
  }
}
