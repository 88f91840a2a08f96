import { sentence } from '../base/sentences.ts';
import { PageShape } from '../schema/page.ts';
import { defineAdd, parentName, topOf, type Branch } from './kit/defineAdd.ts';

/** Adds a page, or a branch of pages, to the structure. */
export type AddPage = Branch<'addPage', 'pages'>;

export const addPage = defineAdd('addPage', 'removePage', 'pages', PageShape, (document, operation) => {
  const count = operation.branch.length;
  return count > 1
    ? sentence('pagesAdded', { count, label: parentName(document, 'pages', operation) })
    : sentence('pageAdded', { label: topOf(operation).title });
});
