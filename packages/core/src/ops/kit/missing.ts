import { refusal, type Refusal } from '../../base/refusal.ts';
import type { Id } from '../../base/ids.ts';
import { forests, type ForestName } from '../../schema/forests.ts';

export function missing(forest: ForestName, id: Id): Refusal {
  return refusal('notThere', { what: forests[forest].name, id });
}
