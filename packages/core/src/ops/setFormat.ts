import * as Type from 'typebox';
import { refusal } from '../base/refusal.ts';
import { no, ok } from '../base/result.ts';
import { sentence } from '../base/sentences.ts';
import { closed } from '../schema/shapes.ts';
import type { OperationKind } from './kit/operationKind.ts';

/** Says that the document is in another format from here on. Its nodes are changed by operations beside it. */
export interface SetFormat {
  readonly kind: 'setFormat';
  readonly from: number;
  readonly to: number;
}

const Format = Type.Integer({ minimum: 1 });

/**
 * Marks in the log where a site was upgraded. The document stands in no forest: it touches none, and whoever
 * stores the document stores its format where it is another one.
 */
export const setFormat: OperationKind<SetFormat, SetFormat> = {
  kind: 'setFormat',
  onlyInLogs: true,
  shape: Type.Object({ kind: Type.Literal('setFormat'), from: Format, to: Format }, closed),

  apply(document, operation) {
    const { from, to } = operation;
    if (document.format !== from) return no(refusal('wrongFormat', { format: document.format, from, to }));
    return ok({ document: from === to ? document : { ...document, format: to }, operation });
  },

  invert: ({ from, to }) => ({ kind: 'setFormat', from: to, to: from }),
  describe: () => sentence('siteUpgraded', {}),
  touches: () => [],
  writes: () => [],
  overwritten: () => null,
  claims: () => [],
  shift: (_, spot) => spot,
  rebase: (operation) => operation,
};
