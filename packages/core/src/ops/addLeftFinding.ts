import { sentence } from '../base/sentences.ts';
import { LeftFindingShape } from '../schema/leftFinding.ts';
import { defineAdd, topOf, type Branch } from './kit/defineAdd.ts';

/** Leaves a finding of drift as it is, with a reason. */
export type AddLeftFinding = Branch<'addLeftFinding', 'leftFindings'>;

export const addLeftFinding = defineAdd(
  'addLeftFinding',
  'removeLeftFinding',
  'leftFindings',
  LeftFindingShape,
  (_, operation) => sentence('findingLeft', { what: topOf(operation).reason }),
);
