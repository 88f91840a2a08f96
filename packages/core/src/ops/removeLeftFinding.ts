import { sentence } from '../base/sentences.ts';
import { LeftFindingShape } from '../schema/leftFinding.ts';
import type { Branch } from './kit/defineAdd.ts';
import { defineRemove } from './kit/defineRemove.ts';

/** Takes up again a finding that was left. */
export type RemoveLeftFinding = Branch<'removeLeftFinding', 'leftFindings'>;

export const removeLeftFinding = defineRemove(
  'removeLeftFinding',
  'addLeftFinding',
  'leftFindings',
  LeftFindingShape,
  () => sentence('findingTakenUp', {}),
);
