import * as Type from 'typebox';
import type { Static } from 'typebox';
import { derivedId, type Id } from '../../base/ids.ts';
import { refusal } from '../../base/refusal.ts';
import { IdShape } from '../shapes.ts';
import { definePart, field } from './definePart.ts';
import { shows } from './placement.ts';

const TemplateShape = Type.String({ minLength: 1, maxLength: 200 });
const YesShape = Type.Literal(true);
const ShownShape = Type.Boolean();

/** The pages of this template. */
const template = field<Static<typeof TemplateShape>>(TemplateShape, {
  control: { kind: 'none', label: 'Template' },
});
/** This page. It may be gone: then the exception is about nothing, until the page comes back. */
const onPage = field<Static<typeof IdShape>>(IdShape, {
  control: { kind: 'none', label: 'Page' },
  refs: { role: 'memory', find: (value, visit, path) => visit('page', value, path) },
});
/** And everything below the page. */
const isBelow = field<Static<typeof YesShape>>(YesShape, { control: { kind: 'none', label: 'Below' } });
/** What the exception is about is shown there, or not. */
const isShown = field<Static<typeof ShownShape>>(ShownShape, { control: { kind: 'none', label: 'Shown' } });

/** Everything that there can be an exception about. */
export const EXCEPTED = [
  'band',
  'cell',
  'placement',
  'behaviour',
  'logo',
  'menuButton',
  'button',
  'search',
  'account',
  'basket',
  'social',
  'contact',
  'heading',
  'text',
  'picture',
  'payment',
  'copyright',
  'divider',
  'spacer',
  'breadcrumb',
  'anchors',
  'form',
  'links',
  'pages',
  'video',
  'html',
] as const;

/**
 * What is otherwise on some pages about the part that it stands in: whether it is shown there, and which menu.
 * A part has at most one for a template, for a page, and for a page with all below it: its id follows from
 * these, so that two people who decide the same cannot both have it.
 */
export const exception = definePart({
  kind: 'exception',
  name: 'exception',
  oneOf: 'an exception',
  standsIn: EXCEPTED,
  root: 'frame',
  always: { isShown },
  maybe: { template, onPage, isBelow, shows },
  check: ({ template: of, onPage: page, isBelow: below }) =>
    (of === undefined) === (page === undefined) || (below === true && page === undefined)
      ? refusal('wrongPart', { what: 'exception', problem: 'it is about either a template or a page' })
      : null,
});

/** For which pages there is an exception. */
export type ExceptionOn = { readonly template: string } | { readonly onPage: Id; readonly isBelow?: true };

/** The id of the exception that a part has for some pages. */
export function exceptionId(part: Id, on: ExceptionOn): Id {
  const about =
    'template' in on ? `template ${on.template}` : `${on.isBelow === true ? 'below' : 'page'} ${on.onPage}`;
  return derivedId('part', `${part} ${about}`);
}
